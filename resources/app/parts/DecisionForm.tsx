import type { Body } from '../api/typed';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Gate } from '../api/client';
import { newId } from '../offline/store';
import { Notice } from './Notice';
import { Labelled } from './Labelled';

type Action = Body<'POST', `/api/athletes/${string}/decisions`>['action'];

const ACTS: [action: Action, label: string, said: string][] = [
    ['advance', 'Advance', 'Advanced.'],
    ['repeat', 'Repeat', 'Repeats this rung.'],
    ['step_back', 'Step back', 'Stepped back one rung.'],
    ['pause', 'Pause', 'Paused.'],
];

/** The coach’s act. Advancing against the mechanics needs a written reason; nothing else can be passed over. */
export function DecisionForm({
    athleteId,
    ladder,
    rung,
    gate,
    hasNext,
    hasPrevious,
}: {
    athleteId: string;
    ladder: string;
    rung: string;
    gate: Gate;
    hasNext: boolean;
    hasPrevious: boolean;
}) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [kept, setKept] = useState<string | null>(null);
    const [reason, setReason] = useState('');
    const [overriding, setOverriding] = useState(false);
    // One id until it has arrived: a second press sends the same decision, not another.
    const id = useRef(newId());
    const open = gate.criteria.filter((criterion) => criterion.verdict !== 'pass');
    const firm = open.filter((criterion) => !criterion.overridable);
    const mayOverride = hasNext && open.length > 0 && firm.length === 0;
    // What the gate says is shown as the first choice; while evidence is collected, the rung is repeated.
    const suggested = gate.decision === 'collect' ? 'repeat' : gate.decision;
    const acts = ACTS.filter(
        ([action]) => (action !== 'advance' || hasNext) && (action !== 'step_back' || hasPrevious),
    );
    const decide = (action: Action, said: string): void => {
        api('POST', `/api/athletes/${athleteId}/decisions`, {
            id: id.current,
            ladder,
            rung,
            action,
            reason: reason.trim() === '' ? null : reason,
        }).then(() => {
            id.current = newId();
            setProblem(null);
            setKept(said);
            setReason('');
            setOverriding(false);
            void queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <div className="grid gap-2 border-t-2 border-ink pt-3">
            <Notice problem={problem} />
            {kept && (
                <p role="status" className="border-l-4 border-full pl-2">
                    {kept} The evidence is frozen beside it.
                </p>
            )}
            <div className="flex flex-wrap gap-2">
                {acts.map(([action, label, said]) => (
                    <button
                        key={action}
                        type="button"
                        className={`btn ${suggested === action ? 'btn-main' : ''}`}
                        disabled={action === 'advance' && gate.decision !== 'advance'}
                        onClick={() => decide(action, said)}
                    >
                        {label}
                    </button>
                ))}
                {mayOverride && !overriding && (
                    <button type="button" className="btn btn-quiet" onClick={() => setOverriding(true)}>
                        Advance against the mechanics
                    </button>
                )}
            </div>
            {overriding && (
                <AgainstTheMechanics
                    open={open}
                    reason={reason}
                    onReason={setReason}
                    onAdvance={() => decide('advance', 'Advanced against the mechanics.')}
                    onLeave={() => setOverriding(false)}
                />
            )}
            {firm.length > 0 && hasNext && (
                <p className="text-sm text-soft">
                    Nobody can pass over: {firm.map((criterion) => criterion.label.toLowerCase()).join(', ')}.
                </p>
            )}
        </div>
    );
}

function AgainstTheMechanics({
    open,
    reason,
    onReason,
    onAdvance,
    onLeave,
}: {
    open: Gate['criteria'];
    reason: string;
    onReason: (reason: string) => void;
    onAdvance: () => void;
    onLeave: () => void;
}) {
    return (
        <form
            className="grid gap-2"
            onSubmit={(event) => {
                event.preventDefault();
                onAdvance();
            }}
        >
            <Labelled
                label={
                    <>
                        Why, in a sentence. It stays beside:{' '}
                        {open.map((criterion) => criterion.label.toLowerCase()).join(', ')}
                    </>
                }
            >
                <textarea
                    className="field"
                    rows={2}
                    value={reason}
                    onChange={(event) => onReason(event.target.value)}
                />
            </Labelled>
            <div className="flex gap-2">
                <button className="btn btn-main">Advance with this reason</button>
                <button type="button" className="btn" onClick={onLeave}>
                    Cancel
                </button>
            </div>
        </form>
    );
}
