import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Gate } from '../api/client';
import { newId } from '../offline/store';
import { Notice } from './Notice';

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
    const decide = (action: string, said: string): void => {
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
                {hasNext && (
                    <button
                        type="button"
                        className={`btn ${gate.decision === 'advance' ? 'btn-main' : ''}`}
                        disabled={gate.decision !== 'advance'}
                        onClick={() => decide('advance', 'Advanced.')}
                    >
                        Advance
                    </button>
                )}
                <button
                    type="button"
                    className={`btn ${gate.decision === 'repeat' || gate.decision === 'collect' ? 'btn-main' : ''}`}
                    onClick={() => decide('repeat', 'Repeats this rung.')}
                >
                    Repeat
                </button>
                {hasPrevious && (
                    <button
                        type="button"
                        className={`btn ${gate.decision === 'step_back' ? 'btn-main' : ''}`}
                        onClick={() => decide('step_back', 'Stepped back one rung.')}
                    >
                        Step back
                    </button>
                )}
                <button
                    type="button"
                    className={`btn ${gate.decision === 'pause' ? 'btn-main' : ''}`}
                    onClick={() => decide('pause', 'Paused.')}
                >
                    Pause
                </button>
                {mayOverride && !overriding && (
                    <button type="button" className="btn btn-quiet" onClick={() => setOverriding(true)}>
                        Advance against the mechanics
                    </button>
                )}
            </div>
            {overriding && (
                <form
                    className="grid gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        decide('advance', 'Advanced against the mechanics.');
                    }}
                >
                    <label className="grid gap-1">
                        <span className="label">
                            Why, in a sentence. It stays beside:{' '}
                            {open.map((criterion) => criterion.label.toLowerCase()).join(', ')}
                        </span>
                        <textarea
                            className="field"
                            rows={2}
                            value={reason}
                            onChange={(event) => setReason(event.target.value)}
                        />
                    </label>
                    <div className="flex gap-2">
                        <button className="btn btn-main">Advance with this reason</button>
                        <button type="button" className="btn" onClick={() => setOverriding(false)}>
                            Leave it
                        </button>
                    </div>
                </form>
            )}
            {firm.length > 0 && hasNext && (
                <p className="text-sm text-soft">
                    Nobody can pass over: {firm.map((criterion) => criterion.label.toLowerCase()).join(', ')}.
                </p>
            )}
        </div>
    );
}
