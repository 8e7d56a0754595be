import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useRef, useState } from 'react';
import { api, type After } from '../../api/client';
import { dayName } from '../../api/words';
import { newId } from '../../offline/store';
import { figure, typed } from '../../parts/forms';
import { LabelledInput } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';

const ROW = 'grid grid-cols-[1fr_6rem] items-center gap-3 border-t border-line py-1 first:border-0';

/** What was done, entered as sums, or counts put right: fewer than were counted needs a reason. */
export function Counts({ after }: { after: After }) {
    const [open, setOpen] = useState(false);
    if (!after.may_correct) return null;
    const nothing = after.sheet.done_reps === 0;
    return (
        <>
            <button type="button" className={`btn ${nothing ? 'btn-main' : ''}`} onClick={() => setOpen(true)}>
                {nothing ? 'Enter what was done' : 'Put the counts right'}
            </button>
            {open && <CountsForm after={after} onClose={() => setOpen(false)} />}
        </>
    );
}

function CountsForm({ after, onClose }: { after: After; onClose: () => void }) {
    const queries = useQueryClient();
    const id = useRef(newId());
    const [counts, setCounts] = useState<Record<string, string>>({});
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const nothing = after.sheet.done_reps === 0;
    const countOf = (block: After['counts'][number]): string =>
        counts[block.id] ?? String(nothing && after.entered_late ? block.planned : block.done);
    const lowers = after.counts.some((block) => Number(countOf(block)) < block.done);
    const save = (event: FormEvent<HTMLFormElement>): void => {
        event.preventDefault();
        const form = new FormData(event.currentTarget);
        setBusy(true);
        void api('POST', `/api/sheets/${after.sheet.id}/counts`, {
            id: id.current,
            reason: typed(form, 'reason') || null,
            blocks: after.counts.map((block) => ({ id: block.id, reps: Math.round(Number(countOf(block))) })),
            minutes: figure(form, 'minutes'),
            session_rpe: figure(form, 'session_rpe'),
        })
            .then(() => {
                onClose();
                return queries.invalidateQueries();
            }, setProblem)
            .finally(() => setBusy(false));
    };
    return (
        <Sheetlet
            open
            onClose={onClose}
            title={`${after.athlete.given_name}, ${dayName(after.sheet.held_on)}: what was done`}
        >
            <form className="grid gap-3" onSubmit={save}>
                <ul className="border-y border-line">
                    {after.counts.map((block) => (
                        <li key={block.id} className={ROW}>
                            <label htmlFor={`count-${block.id}`}>
                                <span className="head">{block.title}</span>
                                <span className="block text-sm text-soft">
                                    {block.dose}; planned {block.planned}, counted {block.done}
                                    {block.falls > 0
                                        ? `, ${block.falls} of them ${block.falls === 1 ? 'a fall' : 'falls'}`
                                        : ''}
                                </span>
                            </label>
                            <input
                                id={`count-${block.id}`}
                                className="field text-right"
                                inputMode="numeric"
                                required
                                pattern="[0-9]{1,3}"
                                title="A whole number, 0 to 500"
                                value={countOf(block)}
                                onChange={(event) => setCounts({ ...counts, [block.id]: event.target.value })}
                            />
                        </li>
                    ))}
                </ul>
                <p className="text-soft">
                    What is added is load at once; nobody judged it, so it is no evidence for the gate. To judge it,
                    count it courtside from the sheet.
                </p>
                {lowers && (
                    <LabelledInput
                        label="Why fewer than were counted? It gives more room today, and stands on Today for a week."
                        name="reason"
                        required
                        minLength={3}
                        maxLength={200}
                    />
                )}
                <div className="grid grid-cols-2 gap-2">
                    <LabelledInput label="Minutes, may be left open" name="minutes" inputMode="numeric" />
                    <LabelledInput label="How hard, 0 to 10, may be left open" name="session_rpe" inputMode="numeric" />
                </div>
                <Notice problem={problem} />
                <button className="btn btn-main" disabled={busy}>
                    {busy ? 'Saving…' : 'Save'}
                </button>
            </form>
        </Sheetlet>
    );
}

/** What was put right, old beside new. */
export function Corrections({ of }: { of: After['corrections'] }) {
    if (of.length === 0) return null;
    return (
        <div>
            <h2 className="text-base">Entered after the fact</h2>
            <ul>
                {of.map((each) => (
                    <li key={each.at + each.sentence}>
                        {each.sentence}{' '}
                        <span className="text-soft">
                            {each.by}, {dayName(each.at.slice(0, 10))}
                            {each.reason ? `: “${each.reason}”` : ''}
                        </span>
                    </li>
                ))}
            </ul>
        </div>
    );
}
