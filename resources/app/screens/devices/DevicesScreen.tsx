import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Devices } from '../../api/client';
import { newId } from '../../offline/store';
import { picked, typed } from '../../parts/forms';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Waiting } from '../../parts/Waiting';
import { DeviceRow } from './DeviceRow';
import { OutsideSessions } from './OutsideSessions';

type Kind = Devices['devices'][number]['kind'];

export const KINDS: ReadonlyArray<readonly [Kind, string]> = [
    ['speed_gun', 'Speed gun'],
    ['wrist_counter', 'Wrist counter'],
    ['landing_pad', 'Landing pad'],
    ['feeder', 'Feeder'],
];

/** What measures and counts for the club, who has it, and can it be believed just now? */
export function DevicesScreen() {
    const queries = useQueryClient();
    const [adding, setAdding] = useState(false);
    const [token, setToken] = useState<{ token: string; kind: Kind } | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const devices = useQuery({ queryKey: ['devices'], queryFn: () => api('GET', '/api/devices') });
    if (!devices.data) return <Waiting query={devices} what="the devices" />;
    const shown = (now: Devices): void => {
        queries.setQueryData(['devices'], now);
        setProblem(null);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <h1 className="text-2xl">Devices</h1>
                <span className="grow" />
                <button type="button" className="btn btn-main" onClick={() => setAdding(true)}>
                    Add a device
                </button>
            </header>
            <p className="max-w-[75ch] pb-3 text-soft">
                A device sends what it saw with a token of its own. What it sent belongs to whoever it was lent to then,
                and is paired with what was tapped by the clock; the session shows it. Nothing it sends is dropped, and
                nothing counts twice.
            </p>
            <Notice problem={problem} />
            {devices.data.devices.length === 0 && (
                <p className="border-t-2 border-ink py-4 text-soft">
                    None yet. Without one, try a stand-in: add a device, and start{' '}
                    <code>php artisan augendo:device speed-gun</code> with its token.
                </p>
            )}
            <ul className={devices.data.devices.length > 0 ? 'border-t-2 border-ink' : ''}>
                {devices.data.devices.map((device) => (
                    <DeviceRow key={device.id} device={device} onChanged={shown} onProblem={setProblem} />
                ))}
            </ul>
            <OutsideSessions />
            <Sheetlet open={adding} onClose={() => setAdding(false)} title="A device">
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        const kind = picked<Kind>(form, 'kind');
                        api('PUT', '/api/devices', { id: newId(), name: typed(form, 'name'), kind }).then((now) => {
                            shown(now);
                            setAdding(false);
                            if (now.token !== null) setToken({ token: now.token, kind });
                        }, setProblem);
                    }}
                >
                    <LabelledInput label="What it is called" name="name" required maxLength={80} />
                    <Labelled label="What it is">
                        <select className="field" name="kind">
                            <Options of={KINDS} />
                        </select>
                    </Labelled>
                    <Notice problem={problem} />
                    <button className="btn btn-main">Save</button>
                </form>
            </Sheetlet>
            <Sheetlet open={token !== null} onClose={() => setToken(null)} title="Its token, shown this once">
                <p className="pb-2">Enter it in the device. Whoever has it can send readings in its name.</p>
                <input
                    className="field figure"
                    aria-label="Token"
                    readOnly
                    value={token?.token ?? ''}
                    onFocus={(event) => event.target.select()}
                />
                <p className="pt-3 text-sm text-soft">
                    A stand-in to try it with:
                    <code className="block break-all">
                        php artisan augendo:device {token?.kind.replace('_', '-')} {token?.token} --url=
                        {window.location.origin}
                    </code>
                </p>
            </Sheetlet>
        </main>
    );
}
