import type { Season } from '../../api/client';

type Heeded = Season['heeded'];
type Said = Season['suggestions'][number];

/** What each kind of suggestion sets when it is taken, and what it is without. */
const SETS: Record<Said['kind'], (value: number | null) => Partial<Heeded>> = {
    units: (value) => ({ units: value }),
    reps: (value) => ({ reps: value }),
    effort: (value) => ({ effort_less: value ?? 0 }),
};

const IS_TAKEN: Record<Said['kind'], (heeded: Heeded) => boolean> = {
    units: (heeded) => heeded.units != null,
    reps: (heeded) => heeded.reps != null,
    effort: (heeded) => heeded.effort_less > 0,
};

/** What the record says about this plan, each with its counts: taken or left by the coach, and taken back as easily. */
export function Suggestions({
    said,
    heeded,
    editable,
    onHeed,
}: {
    said: Said[];
    heeded: Heeded;
    editable: boolean;
    onHeed: (heeded: Heeded) => void;
}) {
    const shown = said.filter((each) => !heeded.left.includes(each.kind) || IS_TAKEN[each.kind](heeded));
    const left = said.length - shown.length;
    if (said.length === 0) return null;
    return (
        <section aria-label="What the record says" className="no-print my-3 border-l-4 border-ink bg-page px-3 py-2">
            <h2 className="text-base">What the record says about this plan</h2>
            {shown.map((each) => (
                <div key={each.kind} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
                    <p className="max-w-prose grow basis-80">{each.evidence}</p>
                    {editable && each.ask != null && (
                        <Choice each={each} ask={each.ask} heeded={heeded} onHeed={onHeed} />
                    )}
                </div>
            ))}
            {editable && left > 0 && (
                <button
                    type="button"
                    className="underline decoration-dotted"
                    onClick={() => onHeed({ ...heeded, left: [] })}
                >
                    {left} put aside: show again
                </button>
            )}
        </section>
    );
}

function Choice({
    each,
    ask,
    heeded,
    onHeed,
}: {
    each: Said;
    ask: string;
    heeded: Heeded;
    onHeed: (heeded: Heeded) => void;
}) {
    const left = heeded.left.filter((kind) => kind !== each.kind);
    if (IS_TAKEN[each.kind](heeded))
        return (
            <>
                <span className="head text-full">{ask}: in this plan</span>
                <button
                    type="button"
                    className="btn btn-quiet"
                    onClick={() => onHeed({ ...heeded, ...SETS[each.kind](null), left })}
                >
                    Take it out
                </button>
            </>
        );
    return (
        <>
            <button
                type="button"
                className="btn"
                onClick={() => onHeed({ ...heeded, ...SETS[each.kind](each.value ?? null), left })}
            >
                {ask}
            </button>
            <button
                type="button"
                className="btn btn-quiet"
                onClick={() => onHeed({ ...heeded, left: [...left, each.kind] })}
            >
                Not now
            </button>
        </>
    );
}
