import { type Drawable, DrawnPoints } from '../../parts/DrawnPoints';
import { changeBetween } from '../../rules/frame';
import type { FilmLadder } from './marks';
import type { Shown } from './Earlier';

/**
 * Two repetitions at one moment, drawn from their points: as large as each other by the trunk, the target on the right.
 * Where the camera stood on different sides no difference is told, only the two pictures.
 */
export function Compared({
    one,
    other,
    moment,
    ladder,
}: {
    one: Shown;
    other: Shown;
    moment: string;
    ladder: FilmLadder;
}) {
    const [a, b] = [one, other].map((each) => drawable(each, moment));
    const sameSide = one.clip.target === other.clip.target;
    return (
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-[14rem_14rem_1fr]">
            {[
                [one, a],
                [other, b],
            ].map(([shown, drawn], i) => (
                <DrawnPoints key={i} name={(shown as Shown).name} of={drawn as Drawable | null} side={ladder.side} />
            ))}
            <div className="col-span-2 sm:col-span-1">
                {sameSide ? (
                    <Differences one={one} other={other} moment={moment} ladder={ladder} />
                ) : (
                    <p className="text-soft">
                        Filmed from different sides: no difference is told, only the two pictures.
                    </p>
                )}
            </div>
        </div>
    );
}

function drawable({ clip, rep }: Shown, moment: string): Drawable | null {
    const mark = rep.marks.find((each) => each.moment === moment);
    if (!mark) return null;
    const points = Object.fromEntries(
        Object.entries(mark.points).map(([name, [x = 0, y = 0]]) => [name, [x, y] as const]),
    );
    return { points, target: clip.target };
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
