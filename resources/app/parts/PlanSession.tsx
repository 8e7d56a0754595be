import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { api, type SessionMade, type Today } from '../api/client';
import { useMe } from './Frame';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';
import { LabelledInput } from './Labelled';
import { figure, typed } from './forms';

/** A session for the squad: everybody on a ladder gets a sheet, fitted to that day. */
export function PlanSession({ squad, open, onClose }: { squad: Today['squad']; open: boolean; onClose: () => void }) {
    const me = useMe();
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [made, setMade] = useState<SessionMade | null>(null);
    const [ladders, setLadders] = useState<string[]>([]);
    /** null: everything the rungs ask for is there. */
    const [objects, setObjects] = useState<string[] | null>(null);
    const all = useQuery({
        queryKey: ['ladders'],
        queryFn: () => api('GET', '/api/ladders'),
        enabled: open,
        staleTime: Infinity,
    });
    const kit = useQuery({
        queryKey: ['objects'],
        queryFn: () => api('GET', '/api/objects'),
        enabled: open,
        staleTime: Infinity,
    });
    const close = (): void => {
        setMade(null);
        setProblem(null);
        onClose();
    };
    return (
        <Sheetlet open={open} onClose={close} title={`Plan a session for ${squad.name}`}>
            {made !== null ? (
                <Made made={made} onDone={close} />
            ) : (
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        api('POST', `/api/squads/${squad.id}/sessions`, {
                            day: typed(form, 'day'),
                            starts_at: typed(form, 'starts_at'),
                            title: typed(form, 'title'),
                            minutes: figure(form, 'minutes'),
                            ladders: ladders.length > 0 ? ladders : null,
                            objects,
                        }).then((answer) => {
                            setMade(answer);
                            setProblem(null);
                            void queries.invalidateQueries();
                        }, setProblem);
                    }}
                >
                    <div className="grid grid-cols-2 gap-2">
                        <LabelledInput
                            label="Day"
                            type="date"
                            name="day"
                            required
                            min={me.today}
                            defaultValue={me.today}
                        />
                        <LabelledInput label="Starts at" type="time" name="starts_at" required defaultValue="17:00" />
                    </div>
                    <LabelledInput label="What it is called" name="title" required defaultValue="Evening session" />
                    <LabelledInput
                        label="Minutes; left open, nothing is cut for time"
                        className="w-28"
                        name="minutes"
                        inputMode="numeric"
                    />
                    {(all.data?.length ?? 0) > 1 && (
                        <fieldset>
                            <legend className="label mb-1">
                                Skills; none chosen: the one each worked on last. Two on one arm are counted together.
                            </legend>
                            <div className="flex flex-wrap gap-1.5">
                                {all.data?.map((each) => (
                                    <Toggle
                                        key={each.id}
                                        on={ladders.includes(each.id)}
                                        onChange={(on) =>
                                            setLadders(
                                                on ? [...ladders, each.id] : ladders.filter((id) => id !== each.id),
                                            )
                                        }
                                    >
                                        {each.name}
                                    </Toggle>
                                ))}
                            </div>
                        </fieldset>
                    )}
                    {kit.data && <AtHand kit={kit.data} objects={objects} onChange={setObjects} />}
                    <Notice problem={problem} />
                    <button className="btn btn-main">Make the sheets</button>
                </form>
            )}
        </Sheetlet>
    );
}

function Toggle({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: ReactNode }) {
    return (
        <button type="button" aria-pressed={on} className={`btn ${on ? 'btn-main' : ''}`} onClick={() => onChange(!on)}>
            {children}
        </button>
    );
}

function Made({ made, onDone }: { made: SessionMade; onDone: () => void }) {
    return (
        <div className="grid gap-3">
            <p className="text-lg">
                {made.sheets} {made.sheets === 1 ? 'sheet is' : 'sheets are'} fitted to the limits.
            </p>
            {made.left_out.length > 0 && (
                <ul className="border-l-4 border-tape pl-3">
                    {made.left_out.map((each) => (
                        <li key={each}>{each}.</li>
                    ))}
                </ul>
            )}
            <button type="button" className="btn btn-main" onClick={onDone}>
                Done
            </button>
        </div>
    );
}

/** What is there, when not everything is; null: all of it. */
function AtHand({
    kit,
    objects,
    onChange,
}: {
    kit: { id: string; name: string }[];
    objects: string[] | null;
    onChange: (objects: string[] | null) => void;
}) {
    return (
        <details
            open={objects !== null}
            onToggle={(event) => onChange(event.currentTarget.open ? (objects ?? kit.map((each) => each.id)) : null)}
        >
            <summary className="opens">Not everything is at hand</summary>
            <div className="mt-2 flex flex-wrap gap-1.5">
                {kit.map((each) => (
                    <Toggle
                        key={each.id}
                        on={objects?.includes(each.id) ?? true}
                        onChange={(on) =>
                            onChange(
                                on ? [...(objects ?? []), each.id] : (objects ?? []).filter((id) => id !== each.id),
                            )
                        }
                    >
                        {each.name}
                    </Toggle>
                ))}
            </div>
        </details>
    );
}
