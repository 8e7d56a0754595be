import type { Intake } from '../../api/client';
import { api } from '../../api/client';

type Measurement = Intake['marks'][number];

/** What was measured, the latest first: one far off the others is asked about, and any can be taken back. */
export function Measured({
    all,
    most,
    path,
    may,
    onDone,
    onProblem,
}: {
    all: Measurement[];
    most: number;
    path: string;
    may: boolean;
    onDone: (answer: Intake, said: string) => void;
    onProblem: (problem: unknown) => void;
}) {
    const change = (id: string, how: 'confirm' | 'withdraw', said: string): void => {
        api<Intake>('POST', `${path}/${id}/${how}`).then((answer) => onDone(answer, said), onProblem);
    };
    const shown = [...all.filter((each) => each.doubt !== null), ...all.filter((each) => each.doubt === null)].slice(
        0,
        Math.max(most, all.filter((each) => each.doubt !== null).length),
    );
    return (
        <ul>
            {shown.map((each) => (
                <li key={each.id} className="border-t border-line py-1">
                    <div className="flex items-center justify-between gap-2">
                        <span className={each.withdrawn ? 'text-soft line-through' : ''}>{each.text}</span>
                        {may && each.withdrawn === null && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                aria-label={`Take back ${each.text}`}
                                onClick={() => change(each.id, 'withdraw', 'Taken back.')}
                            >
                                Take back
                            </button>
                        )}
                    </div>
                    {each.withdrawn && <p className="text-sm text-soft">{each.withdrawn}</p>}
                    {each.doubt && (
                        <p className="flex flex-wrap items-center gap-2 border-l-4 border-tape pl-2">
                            {each.doubt}
                            {may && (
                                <button
                                    type="button"
                                    className="btn"
                                    onClick={() => change(each.id, 'confirm', 'Saved: it counts.')}
                                >
                                    It is right
                                </button>
                            )}
                        </p>
                    )}
                </li>
            ))}
        </ul>
    );
}
