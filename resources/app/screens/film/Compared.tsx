import { type Drawable, DrawnPoints, LaidOver } from '../../parts/DrawnPoints';
import { changeBetween } from '../../rules/frame';
import type { FilmLadder } from './marks';
import { mirrored, type Shown } from './shown';

export type View = {
    /** one drawing, aligned at the hips */
    over: boolean;
    /** left and right of the other one changed over, to compare sides */
    mirror: boolean;
};

/**
 * Two repetitions at one moment, drawn from their points: as large as each other by the trunk, the target on the right.
 * Where the camera stood on different sides no difference is told, only the two pictures.
 */
export function Compared({
    one,
    other,
    moment,
    ladder,
    view,
}: {
    one: Shown;
    other: Shown;
    moment: string;
    ladder: FilmLadder;
    view: View;
}) {
    const a = drawable(one, moment, false);
    const b = drawable(other, moment, view.mirror);
    const whyNone = view.mirror
        ? 'Mirrored: only the two pictures, no difference is told.'
        : one.clip.target !== other.clip.target
          ? 'Filmed from different sides: no difference is told, only the two pictures.'
          : null;
    return (
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-[14rem_14rem_1fr]">
            {view.over ? (
                <div className="col-span-2">
                    <LaidOver one={{ name: one.name, of: a }} other={{ name: other.name, of: b }} side={ladder.side} />
                </div>
            ) : (
                <>
                    <DrawnPoints name={one.name} of={a} side={ladder.side} />
                    <DrawnPoints name={other.name} of={b} side={ladder.side} />
                </>
            )}
            <div className="col-span-2 sm:col-span-1">
                {whyNone === null ? (
                    <Differences one={one} other={other} moment={moment} ladder={ladder} />
                ) : (
                    <p className="text-soft">{whyNone}</p>
                )}
            </div>
        </div>
    );
}

function drawable({ clip, rep }: Shown, moment: string, mirror: boolean): Drawable | null {
    const mark = rep.marks.find((each) => each.moment === moment);
    if (!mark) return null;
    const points = Object.fromEntries(
        Object.entries(mark.points).map(([name, [x = 0, y = 0]]) => [name, [x, y] as const]),
    );
    return mirror
        ? { points: mirrored(points), target: clip.target === 'left' ? 'right' : 'left' }
        : { points, target: clip.target };
}

function Differences({ one, other, moment, ladder }: { one: Shown; other: Shown; moment: string; ladder: FilmLadder }) {
    const rows = ladder.checkpoints.filter((checkpoint) => checkpoint.measure?.moment === moment);
    const figureIn = ({ rep }: Shown, id: string) => rep.figures.find((figure) => figure.checkpoint === id);
    return (
        <ul>
            {rows.map((checkpoint) => {
                const [a, b] = [figureIn(one, checkpoint.id), figureIn(other, checkpoint.id)];
                return (
                    <li key={checkpoint.id} className="border-t border-line py-1.5">
                        <strong>{checkpoint.name}</strong>{' '}
                        {a && b && checkpoint.measure
                            ? difference(checkpoint.measure.unit, changeBetween(a, b))
                            : 'is not measured in both.'}
                    </li>
                );
            })}
            {rows.length === 0 && <li className="text-soft">Nothing is measured at this moment.</li>}
        </ul>
    );
}

/** A difference is told with what it may be off, and as none where that is larger. */
function difference(unit: 'deg' | 'trunk', { by, off, isTold }: ReturnType<typeof changeBetween>): string {
    const text = (value: number): string => (unit === 'deg' ? `${Math.round(value)}°` : `${value.toFixed(2)} trunk`);
    if (!isTold) return `no difference that can be told (within ± ${text(off)}).`;
    return `${text(Math.abs(by))} ${by > 0 ? 'more' : 'less'} (± ${text(off)}).`;
}
