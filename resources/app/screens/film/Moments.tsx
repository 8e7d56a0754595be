import { clsx } from 'clsx';
import { type Draft, type FilmLadder, landmark, type Mark, markOf, needsAt, nextPoint } from './marks';

/** The moments of the rung: found, marked by one touch, and the points each asks for. */
export function Moments({
    ladder,
    draft,
    rep,
    chosen,
    onChoose,
    onMark,
    onGo,
}: {
    ladder: FilmLadder;
    draft: Draft;
    rep: number;
    chosen: string;
    onChoose: (moment: string) => void;
    onMark: (moment: string) => void;
    onGo: (no: number) => void;
}) {
    return (
        <ol>
            {ladder.moments.map((moment) => {
                const mark = markOf(draft, rep, moment.id);
                const isChosen = moment.id === chosen;
                return (
                    <li
                        key={moment.id}
                        className={clsx('border-t border-line py-1.5', isChosen && 'border-l-4 border-l-tape pl-2')}
                    >
                        <div className="flex items-center gap-2">
                            <button
                                type="button"
                                aria-expanded={isChosen}
                                className="grow text-left"
                                onClick={() => {
                                    onChoose(moment.id);
                                    if (mark) onGo(mark.no);
                                }}
                            >
                                <span className="head">{moment.name}</span>{' '}
                                <span className="text-sm text-soft">{stateOf(ladder, moment.id, mark)}</span>
                            </button>
                            <button
                                type="button"
                                className={clsx('btn px-2', !mark && isChosen && 'btn-main')}
                                onClick={() => onMark(moment.id)}
                            >
                                {mark ? 'Move here' : 'Mark here'}
                            </button>
                        </div>
                        {isChosen && <p className="text-sm text-soft">{moment.text}.</p>}
                    </li>
                );
            })}
        </ol>
    );
}

function stateOf(ladder: FilmLadder, moment: string, mark: Mark | undefined): string {
    const needs = needsAt(ladder, moment);
    if (!mark) return needs.length === 0 ? '' : 'asked';
    const missing = needs.filter((name) => !(name in mark.points)).length;
    const where = `${mark.found ? 'proposed, ' : ''}picture ${mark.no + 1}`;
    return missing === 0 ? where : `${where}, ${missing} to touch`;
}

/** What the next touch puts, and every point there is to put. */
export function PointChooser({
    ladder,
    landmarks,
    mark,
    moment,
    asked,
    onAsk,
}: {
    ladder: FilmLadder;
    /** every one there is, for whoever wants to put more than is asked */
    landmarks: string[];
    mark: Mark | undefined;
    moment: string;
    asked: string | null;
    onAsk: (name: string | null) => void;
}) {
    if (!mark) return <p className="py-1 text-sm text-soft">Go to the picture, then “Mark here”.</p>;
    const needs = needsAt(ladder, moment);
    const next = nextPoint(needs, mark.points);
    return (
        <div className="py-1.5">
            <p aria-live="polite" className="min-h-6">
                {asked !== null ? (
                    <>
                        Touch the <strong>{landmark(asked)}</strong>.
                    </>
                ) : next === null ? (
                    'All points are there. Drag one to put it right.'
                ) : (
                    'Choose a point.'
                )}
            </p>
            <Points names={needs} mark={mark} asked={asked} onAsk={onAsk} />
            <details className="pt-1">
                <summary className="text-sm text-soft">More points</summary>
                <Points
                    names={landmarks.filter((name) => !needs.includes(name))}
                    mark={mark}
                    asked={asked}
                    onAsk={onAsk}
                />
            </details>
        </div>
    );
}

function Points({
    names,
    mark,
    asked,
    onAsk,
}: {
    names: readonly string[];
    mark: Mark;
    asked: string | null;
    onAsk: (name: string | null) => void;
}) {
    return (
        <div className="mt-1 flex flex-wrap gap-1">
            {names.map((name) => (
                <button
                    key={name}
                    type="button"
                    aria-pressed={asked === name}
                    className={clsx(
                        'min-h-8 rounded-sm border px-1.5 py-0.5 text-sm',
                        asked === name
                            ? 'border-ink bg-tape'
                            : name in mark.points
                              ? 'border-line text-soft'
                              : 'border-ink',
                    )}
                    onClick={() => onAsk(asked === name ? null : name)}
                >
                    {name in mark.points ? '✓ ' : ''}
                    {landmark(name)}
                </button>
            ))}
        </div>
    );
}
