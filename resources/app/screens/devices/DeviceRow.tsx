import { useQuery } from '@tanstack/react-query';
import { api, type Devices } from '../../api/client';
import { dayName, n, percent } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { Options } from '../../parts/Labelled';
import { KINDS } from './DevicesScreen';
import { clsx } from 'clsx';

type Device = Devices['devices'][number];

/** More than this and a person looks at the clock. */
const CLOCK_OFF_S = 5;
const BATTERY_LOW = 0.2;

/** One device: who has it, and how it fares. */
export function DeviceRow({
    device,
    onChanged,
    onProblem,
}: {
    device: Device;
    onChanged: (devices: Devices) => void;
    onProblem: (problem: unknown) => void;
}) {
    const me = useMe();
    const roster = useQuery({ queryKey: ['roster'], queryFn: () => api('GET', '/api/athletes') });
    const lend = (squad: number | null, athlete: string | null): void =>
        void api('POST', `/api/devices/${device.id}/lend`, { squad, athlete_id: athlete }).then(onChanged, onProblem);
    const athletes = roster.data?.athletes.filter(
        ({ squads }) => device.squad !== null && squads.includes(device.squad),
    );
    return (
        <li
            className={clsx(
                'grid gap-x-6 gap-y-1 border-b border-line py-2.5 lg:grid-cols-[15rem_1fr_auto]',
                !device.in_use && 'text-soft',
            )}
        >
            <div>
                <p className="head text-lg">{device.name}</p>
                <p className="label">{KINDS.find(([kind]) => kind === device.kind)?.[1]}</p>
            </div>
            <p className="self-center text-sm">
                <Fares device={device} />
            </p>
            {device.in_use ? (
                <div className="flex flex-wrap items-center gap-2">
                    <select
                        className="field w-44"
                        aria-label={`${device.name}: lent to`}
                        value={device.squad ?? ''}
                        onChange={(event) => lend(event.target.value === '' ? null : Number(event.target.value), null)}
                    >
                        <Options
                            of={[
                                ['', 'Nobody has it'],
                                ...me.squads.map(({ id, name }) => [String(id), name] as const),
                            ]}
                        />
                    </select>
                    {device.squad !== null && device.kind === 'wrist_counter' && (
                        <select
                            className="field w-44"
                            aria-label={`${device.name}: worn by`}
                            value={device.athlete_id ?? ''}
                            onChange={(event) => lend(device.squad, event.target.value || null)}
                        >
                            <Options
                                of={[
                                    ['', 'Worn by nobody'],
                                    ...(athletes ?? []).map(({ id, name }) => [id, name] as const),
                                ]}
                            />
                        </select>
                    )}
                    <button
                        type="button"
                        className="btn btn-quiet"
                        onClick={() => void api('POST', `/api/devices/${device.id}/revoke`).then(onChanged, onProblem)}
                    >
                        Take out of use
                    </button>
                </div>
            ) : (
                <span className="self-center">Out of use</span>
            )}
        </li>
    );
}

/** What it told of itself, the worrying in another colour. */
function Fares({ device }: { device: Device }) {
    if (device.heard_at === null) return <span className="text-soft">Not heard yet.</span>;
    const { clock_off_s: off, battery } = device;
    return (
        <>
            Last heard {dayName(device.heard_at.slice(0, 10))}, {device.heard_at.slice(11, 16)}.{' '}
            {battery !== null && (
                <span className={battery < BATTERY_LOW ? 'text-stop' : ''}>Battery {percent(battery)}. </span>
            )}
            {off !== null && Math.abs(off) >= 1 && (
                <span className={Math.abs(off) > CLOCK_OFF_S ? 'text-reduced' : ''}>
                    Its clock is {n(Math.round(Math.abs(off)))} s {off > 0 ? 'behind' : 'ahead'}, which is put
                    right.{' '}
                </span>
            )}
            {n(device.came)} readings in seven days{device.aside > 0 && `, ${n(device.aside)} of them none`}.{' '}
            {device.gaps.length > 0 && (
                <span className="text-reduced">Never came: number {device.gaps.join(', ')}.</span>
            )}
        </>
    );
}
