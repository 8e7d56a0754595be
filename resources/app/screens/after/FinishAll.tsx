import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, type SquadAfter } from '../../api/client';
import { sendAllOf } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import { SessionEffort } from '../../parts/SessionEffort';
import { LabelledStepper } from '../../parts/LabelledStepper';

type Own = { minutes: number; rpe: number | null };

const MOST_MIN = 600;

/** Minutes and felt effort once for all, changed for whoever left early or felt it otherwise. */
export function FinishAll({ after }: { after: SquadAfter }) {
    const queries = useQueryClient();
    const open = after.rows.filter((row) => row.sheet.state === 'running');
    const [minutes, setMinutes] = useState(after.minutes ?? 60);
    const [rpe, setRpe] = useState<number | null>(null);
    const [differs, setDiffers] = useState<Record<string, Own>>({});
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const finish = async (event: FormEvent): Promise<void> => {
        event.preventDefault();
        setBusy(true);
        try {
            await sendAllOf(open.map((row) => row.sheet.id));
            await api('POST', `/api/sessions/${after.session_id}/finish`, {
                minutes,
                session_rpe: rpe,
                differs: Object.entries(differs).map(([sheet_id, own]) => ({
                    sheet_id,
                    minutes: own.minutes,
                    session_rpe: own.rpe,
                })),
            });
            await queries.invalidateQueries();
        } catch (error) {
            setProblem(error);
        } finally {
            setBusy(false);
        }
    };
    const change = (sheetId: string, own: Own | null): void => {
        const { [sheetId]: _, ...rest } = differs;
        setDiffers(own === null ? rest : { ...rest, [sheetId]: own });
    };
    return (
        <form
            aria-label="Finish for all"
            className="mt-3 grid gap-3 border-b border-line pb-4"
            onSubmit={(event) => void finish(event)}
        >
            <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
                <Minutes label="Minutes, for all" value={minutes} onChange={setMinutes} />
                <div className="min-w-72 max-w-xl grow">
                    <SessionEffort
                        value={rpe}
                        onChange={setRpe}
                        label="How hard did they say it was, 0 rest to 10 all out? May be left open."
                    />
                </div>
            </div>
            <fieldset>
                <legend className="label mb-1">Left early, or felt it otherwise?</legend>
                <div className="flex flex-wrap gap-1.5">
                    {open.map((row) => (
                        <button
                            key={row.sheet.id}
                            type="button"
                            aria-pressed={row.sheet.id in differs}
                            className={`btn min-h-12 ${row.sheet.id in differs ? 'btn-main' : ''}`}
                            onClick={() => change(row.sheet.id, row.sheet.id in differs ? null : { minutes, rpe })}
                        >
                            {row.athlete.given_name}
                        </button>
                    ))}
                </div>
            </fieldset>
            {open.map((row) => {
                const own = differs[row.sheet.id];
                return own === undefined ? null : (
                    <div
                        key={row.sheet.id}
                        className="flex flex-wrap items-end gap-x-8 gap-y-2 border-l-4 border-tape pl-3"
                    >
                        <Minutes
                            label={`Minutes, ${row.athlete.given_name}`}
                            value={own.minutes}
                            onChange={(value) => change(row.sheet.id, { ...own, minutes: value })}
                        />
                        <div className="min-w-72 max-w-xl grow">
                            <SessionEffort
                                value={own.rpe}
                                onChange={(value) => change(row.sheet.id, { ...own, rpe: value })}
                                label={`How hard for ${row.athlete.given_name}`}
                            />
                        </div>
                    </div>
                );
            })}
            <Notice problem={problem} />
            <button className="btn btn-main justify-self-start" disabled={busy}>
                {busy ? 'Sending…' : `Finish for ${open.length === 1 ? 'one' : `all ${open.length}`}`}
            </button>
        </form>
    );
}

function Minutes({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
    return (
        <LabelledStepper
            label={label}
            value={value}
            shown={`${value} min`}
            step={5}
            least={1}
            most={MOST_MIN}
            onChange={onChange}
        />
    );
}
