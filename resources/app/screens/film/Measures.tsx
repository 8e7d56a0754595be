import { clsx } from 'clsx';
import { n } from '../../api/words';
import { figureOf, judge, type Look, type Picture, spreadOf, SURE_SD, turnedBy } from '../../rules/frame';
import {
    asksAt,
    type FilmCheckpoint,
    type FilmLadder,
    type FilmMeasure,
    type Mark,
    type Seen,
    type Spreads,
    spreadsOf,
} from './marks';

const LOOKS: Record<Look, string> = {
    right: 'within the band',
    wrong: 'outside the band',
    uncertain: 'too near the edge to say',
};

/** How long the athlete’s limbs ever looked, in trunks, and from how many degrees on one is told as turned. */
export type Limbs = { longest: Record<string, number>; turnedFromDeg: number };

const toldOf = ({ turnedFromDeg }: Limbs, turned: number | null): number | null =>
    turned !== null && turned >= turnedFromDeg ? turned : null;

/** What the points of this moment say of each checkpoint, and what somebody who looks says. */
export function Measures({
    ladder,
    mark,
    picture,
    spreads,
    limbs,
    seen,
    onSay,
}: {
    ladder: FilmLadder;
    mark: Mark;
    picture: Picture;
    spreads: Spreads;
    limbs: Limbs;
    seen: Seen[];
    onSay: (checkpoint: string, verdict: Seen['verdict']) => void;
}) {
    const spreadPx = spreadsOf(mark, spreads);
    return asksAt(ladder, mark.moment).map((checkpoint) => {
        const { measure } = checkpoint;
        if (!measure) return null;
        const value = figureOf(measure.figure, picture);
        const spread = spreadOf(measure.figure, measure.unit, picture, spreadPx);
        const verdict =
            seen.find((each) => each.rep === mark.rep && each.checkpoint === checkpoint.id)?.verdict ?? null;
        return (
            <section key={checkpoint.id} aria-label={checkpoint.name} className="border-t border-line py-2">
                <h2 className="text-base">{checkpoint.name}</h2>
                <p className="text-sm text-soft">{checkpoint.good}</p>
                {value === null || spread === null ? (
                    <p className="text-sm text-soft">
                        {measure.needs_runway && picture.setting.runway === null
                            ? 'Draw the run-up line first.'
                            : `${measure.name}: ${measure.needs.length} points ask for it.`}
                    </p>
                ) : (
                    <Measured
                        checkpoint={checkpoint}
                        measure={measure}
                        value={value}
                        spread={spread}
                        turned={toldOf(limbs, turnedBy(measure.needs, mark.points, limbs.longest))}
                    />
                )}
                <div className="mt-1 grid grid-cols-2 gap-1.5">
                    {(['right', 'wrong'] as const).map((each) => (
                        <button
                            key={each}
                            type="button"
                            aria-pressed={verdict === each}
                            className={clsx('btn min-h-9', verdict === each && 'btn-main')}
                            onClick={() => onSay(checkpoint.id, each)}
                        >
                            I see it {each}
                        </button>
                    ))}
                </div>
            </section>
        );
    });
}

function Measured({
    checkpoint,
    measure,
    value,
    spread,
    turned,
}: {
    checkpoint: FilmCheckpoint;
    measure: FilmMeasure;
    value: number;
    spread: number;
    turned: number | null;
}) {
    const look = judge(measure, value, spread);
    return (
        <>
            <p>
                {measure.name}: <strong className="figure text-lg">{withUnit(measure, value)}</strong>{' '}
                <span className="text-soft">± {withUnit(measure, SURE_SD * spread)}</span>
                {turned === null && `, ${LOOKS[look]}`}
            </p>
            {turned !== null && (
                <p className="border-l-4 border-tape pl-2 text-sm">
                    Turned out of the picture by about {5 * Math.round(turned / 5)}°, as its length says: it reads
                    wrong, and says nothing.
                </p>
            )}
            <Band measure={measure} value={value} spread={spread} />
            {checkpoint.safety && look === 'right' && turned === null && (
                <p className="text-sm text-soft">A fault here can hurt: no measure rules it out. Look yourself.</p>
            )}
        </>
    );
}

function withUnit({ unit }: FilmMeasure, value: number): string {
    return unit === 'deg' ? `${n(Math.round(value))}°` : `${value.toFixed(2)} trunk`;
}

/** The band on a tape: tape is right, bare is not; the figure is inked, what it may be off is hatched. */
export function Band({ measure, value, spread }: { measure: FilmMeasure; value: number; spread: number }) {
    const pad = measure.unit === 'deg' ? 30 : 0.4;
    const from = Math.min(measure.low ?? value, measure.high ?? value, value - SURE_SD * spread) - pad;
    const to = Math.max(measure.low ?? value, measure.high ?? value, value + SURE_SD * spread) + pad;
    const at = (each: number): number => Math.min(100, Math.max(0, (100 * (each - from)) / (to - from)));
    const [low, high] = [measure.low === null ? 0 : at(measure.low), measure.high === null ? 100 : at(measure.high)];
    const within = [measure.low, measure.high].map((bound) => (bound === null ? '' : withUnit(measure, bound)));
    return (
        <div className="pb-4">
            <div
                role="img"
                aria-label={`right ${within[0] ? `from ${within[0]}` : ''} ${within[1] ? `to ${within[1]}` : ''}`}
                className="relative mt-1 h-5 border-y border-ink/60 bg-faint"
            >
                <div className="absolute inset-y-0 bg-tape" style={{ left: `${low}%`, width: `${high - low}%` }} />
                <div
                    className="hatch absolute inset-y-1"
                    style={{
                        left: `${at(value - SURE_SD * spread)}%`,
                        width: `${at(value + SURE_SD * spread) - at(value - SURE_SD * spread)}%`,
                    }}
                />
                <div className="absolute -inset-y-1 w-[3px] bg-ink" style={{ left: `calc(${at(value)}% - 1.5px)` }} />
                {[measure.low, measure.high].map(
                    (bound) =>
                        bound !== null && (
                            <span
                                key={bound}
                                className="absolute top-full -translate-x-1/2 text-xs text-soft"
                                style={{ left: `${at(bound)}%` }}
                            >
                                {withUnit(measure, bound)}
                            </span>
                        ),
                )}
            </div>
        </div>
    );
}
