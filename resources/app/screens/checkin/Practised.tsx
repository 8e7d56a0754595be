import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type CheckInPage } from '../../api/client';
import { dayName, FELT, n, nowWithOffset } from '../../api/words';
import { newId } from '../../offline/store';
import { Choice } from '../../parts/Choice';
import { Notice } from '../../parts/Notice';
import { Listen } from './Listen';

type Task = CheckInPage['tasks'][number];
type Felt = (typeof FELT)[number][0];

const START_WITH = 20;
const STEP = 5;
const MOST = 300;

/** What was done at home: what, how many, how hard. It counts as soon as it is said. */
export function Practised({ about, token }: { about: CheckInPage; token: string }) {
    const [open, setOpen] = useState(false);
    if (about.tasks.length === 0) return null;
    return (
        <section aria-label="Practised at home" className="mt-4 border-t border-line pt-3">
            {about.practised.map((each) => (
                <p key={each} className="text-sm text-soft">
                    {each}
                </p>
            ))}
            {open ? (
                <PractisedForm about={about} token={token} onDone={() => setOpen(false)} />
            ) : (
                <button type="button" className="btn thumb mt-1 w-full" onClick={() => setOpen(true)}>
                    I practised at home
                </button>
            )}
        </section>
    );
}

function PractisedForm({ about, token, onDone }: { about: CheckInPage; token: string; onDone: () => void }) {
    const queries = useQueryClient();
    const id = useRef(newId());
    const [task, setTask] = useState<Task['id']>(about.tasks[0]?.id ?? '');
    const [day, setDay] = useState(about.date);
    const [reps, setReps] = useState(START_WITH);
    const [felt, setFelt] = useState<Felt>(null);
    const [heard, setHeard] = useState<number | null>(null);
    const [listens, setListens] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const save = (): void => {
        setBusy(true);
        void api(
            'POST',
            '/api/link/practice',
            { id: id.current, at: nowWithOffset(), day, skill: task, reps, felt, heard },
            { linkToken: token },
        )
            .then((answer) => {
                queries.setQueryData(['check-in', token], answer);
                onDone();
            }, setProblem)
            .finally(() => setBusy(false));
    };
    // What was heard is put right one by one.
    const step = heard === null ? STEP : 1;
    if (listens)
        return (
            <Listen
                dose={reps}
                onClose={() => setListens(false)}
                onHeard={(count) => {
                    setListens(false);
                    if (count === 0) return;
                    setHeard(count);
                    setReps(Math.min(MOST, count));
                }}
            />
        );
    return (
        <div className="grid gap-4">
            <Choice
                label="What was it?"
                of={about.tasks.map((each) => [each.id, each.name] as const)}
                value={task}
                onChange={setTask}
                columns={3}
                thumb
            />
            <Choice
                label="When?"
                of={about.days.map(
                    (each, i) =>
                        [each, ['Today', 'Yesterday'][i] ?? dayName(each, true).split(' ')[0] ?? each] as const,
                )}
                value={day}
                onChange={setDay}
                columns={3}
                thumb
            />
            <div role="group" aria-label="How many?">
                <p className="label mb-1">How many?</p>
                {heard !== null && (
                    <p className="mb-1 text-lg">
                        We heard {n(heard)}. You say?{' '}
                        {reps !== heard && `The larger counts: ${n(Math.max(heard, reps))}.`}
                    </p>
                )}
                <div className="grid grid-cols-[4rem_1fr_4rem] items-center gap-2 text-center">
                    <button
                        type="button"
                        className="btn thumb"
                        aria-label={heard === null ? 'Five fewer' : 'One fewer'}
                        disabled={reps <= step}
                        onClick={() => setReps(reps - step)}
                    >
                        −
                    </button>
                    <span className="figure text-3xl" aria-live="polite">
                        {n(reps)}
                    </span>
                    <button
                        type="button"
                        className="btn thumb"
                        aria-label={heard === null ? 'Five more' : 'One more'}
                        disabled={reps >= MOST}
                        onClick={() => setReps(reps + step)}
                    >
                        +
                    </button>
                </div>
            </div>
            {heard === null && (
                <button type="button" className="btn thumb" onClick={() => setListens(true)}>
                    Let the phone count
                </button>
            )}
            <Choice label="How hard?" of={FELT} value={felt} onChange={setFelt} columns={3} thumb />
            <Notice problem={problem} />
            <div className="grid grid-cols-[auto_1fr] gap-2">
                <button type="button" className="btn thumb" onClick={onDone}>
                    Cancel
                </button>
                <button type="button" className="btn btn-main thumb" disabled={busy} onClick={save}>
                    {busy ? 'Saving…' : 'Save'}
                </button>
            </div>
            <p className="text-sm text-soft">
                It counts like any other work. Left open, how hard counts as full. Does anything hurt? Say so above.
            </p>
        </div>
    );
}
