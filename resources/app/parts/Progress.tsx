import type { Ladder } from '../api/client';
import { dayName } from '../api/words';
import { Opens } from './Opens';
import { clsx } from 'clsx';

type Row = Ladder['progress']['rows'][number];

const share = (right: number, seen: number): number => (seen === 0 ? 0 : (100 * right) / seen);

/**
 * Checkpoints over the months on one axis from none right to all right: a hollow mark for the first looks, a solid
 * one for the latest.
 */
export function Progress({ of: { rows, unnamed } }: { of: Ladder['progress'] }) {
    if (rows.length === 0) return <p className="text-soft">No checkpoint has been judged yet.</p>;
    return (
        <div>
            <ul>
                {rows.map((row) => (
                    <li
                        key={row.name}
                        className={clsx(
                            'grid grid-cols-[8.5rem_1fr_6.5rem] items-center gap-3 border-t border-line py-1',
                            'first:border-0',
                        )}
                    >
                        <span className="truncate" title={row.name}>
                            {row.name}
                        </span>
                        <Axis row={row} />
                        <Opens
                            label={`${row.name}: ${row.sentence}`}
                            className="opens justify-self-start text-sm"
                            content={
                                <>
                                    <p className="head">{row.name}</p>
                                    <p>{row.sentence}</p>
                                    <p className="mt-1 text-sm text-soft">
                                        {dayName(row.from_day)} to {dayName(row.to_day)}; the 90 % interval is
                                        Newcombe’s.
                                    </p>
                                </>
                            }
                        >
                            {row.latest_seen == null
                                ? 'one stretch'
                                : row.says === 'too few to tell'
                                  ? 'no clear change'
                                  : row.says}
                        </Opens>
                    </li>
                ))}
            </ul>
            <p className="label mt-1 grid grid-cols-[8.5rem_1fr_6.5rem] gap-3">
                <span>○ first, ● latest</span>
                <span className="flex justify-between">
                    <span>none right</span>
                    <span>all right</span>
                </span>
                <span />
            </p>
            {unnamed > 0 && (
                <p className="text-sm text-soft">
                    {unnamed === 1 ? 'One that was' : `${unnamed} that were`} not good without a named fault{' '}
                    {unnamed === 1 ? 'is' : 'are'} in none of these.
                </p>
            )}
        </div>
    );
}

function Axis({ row }: { row: Row }) {
    const first = share(row.first_right, row.first_seen);
    const latest = row.latest_seen == null ? null : share(row.latest_right ?? 0, row.latest_seen);
    const stroke =
        row.says === 'better' ? 'var(--color-full)' : row.says === 'worse' ? 'var(--color-stop)' : 'var(--color-ink)';
    return (
        <svg
            viewBox="-4 0 108 12"
            className="h-4 w-full overflow-visible"
            preserveAspectRatio="none"
            aria-hidden="true"
        >
            <line x1="0" x2="100" y1="6" y2="6" stroke="var(--color-line)" vectorEffect="non-scaling-stroke" />
            {latest !== null && (
                <line
                    x1={first}
                    x2={latest}
                    y1="6"
                    y2="6"
                    stroke={stroke}
                    strokeWidth="3"
                    vectorEffect="non-scaling-stroke"
                />
            )}
            {/* Round ends drawn as zero-length strokes stay round whatever the width. */}
            <line
                x1={first}
                x2={first}
                y1="6"
                y2="6"
                stroke="var(--color-ink)"
                strokeWidth="12"
                strokeLinecap="round"
                vectorEffect="non-scaling-stroke"
            />
            <line
                x1={first}
                x2={first}
                y1="6"
                y2="6"
                stroke="var(--color-chalk)"
                strokeWidth="8"
                strokeLinecap="round"
                vectorEffect="non-scaling-stroke"
            />
            {latest !== null && (
                <line
                    x1={latest}
                    x2={latest}
                    y1="6"
                    y2="6"
                    stroke={stroke}
                    strokeWidth="12"
                    strokeLinecap="round"
                    vectorEffect="non-scaling-stroke"
                />
            )}
        </svg>
    );
}
