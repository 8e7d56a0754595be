import { Undo2 } from 'lucide-react';
import type { Given, Line, Status } from './useLine';

const WORDS = { good: 'Good', not_good: 'Not good', unobserved: 'Counted', fell: 'Fell' } as const;

/** What was given last and to whom: taken back, or moved to the right one, by one touch. */
export function LastGiven({ line }: { line: Line }) {
    const { last } = line;
    if (last === null)
        return <p className="min-h-12 border-b border-line px-3 py-3 text-sm text-soft">Nothing counted yet.</p>;
    const name = line.statuses[last.sheetId]?.name ?? '';
    return (
        <div className="flex min-h-12 items-center gap-1.5 overflow-x-auto border-b border-line px-3">
            <p className="shrink-0 leading-tight" role="status">
                <strong>{name}:</strong> {inWords(last)}
            </p>
            <button type="button" className="btn btn-quiet shrink-0" onClick={line.takeBackLast}>
                <Undo2 size={16} aria-hidden /> Undo
            </button>
            {last.verdict !== 'fell' && (
                <span className="flex shrink-0 items-center gap-1" role="group" aria-label="Meant for">
                    <span className="label">Meant for</span>
                    {line.order
                        .filter((id) => id !== last.sheetId && mayHaveBeen(line.statuses[id]))
                        .map((id) => (
                            <button
                                key={id}
                                type="button"
                                className="btn min-h-11 px-2"
                                onClick={() => line.moveLast(id)}
                            >
                                {line.statuses[id]?.name}
                            </button>
                        ))}
                </span>
            )}
        </div>
    );
}

const inWords = ({ verdict, faultName, times, outcome }: Given): string =>
    faultName ??
    (outcome !== null && /^[a-z]+$/.test(outcome) ? `Counted, ${outcome}` : null) ??
    `${WORDS[verdict]}${times > 1 ? ` ${times}` : ''}`;

/** Neither out of the line nor counted by another phone. */
const mayHaveBeen = (status: Status | undefined): boolean => status?.out === null && !status.elsewhere;
