import type { Season } from '../../api/client';
import { dayName } from '../../api/words';
import { daysBetween } from '../../parts/days';

/** When each rung is likely begun: a tape from early to late with its day on it, on the season's own time. */
export function Expected({ season }: { season: Season }) {
    if (season.expected.length === 0) return null;
    const length = Math.max(1, daysBetween(season.starts_on, season.goal_on));
    const at = (date: string): number => {
        const share = daysBetween(season.starts_on, date) / length;
        return Math.min(100, Math.max(0, 100 * share));
    };
    return (
        <section aria-label="When each rung is likely begun" className="mt-5">
            <h2 className="text-base">When each rung is likely begun</h2>
            <table className="mt-1 w-full table-fixed">
                <thead className="sr-only">
                    <tr>
                        <th>Rung</th>
                        <th>Between early and late</th>
                        <th>Likely</th>
                        <th>Early to late</th>
                    </tr>
                </thead>
                <tbody>
                    {season.expected.map((rung) => (
                        <tr key={rung.id} className="border-t border-line">
                            <th scope="row" className="truncate py-1 pr-3 text-left font-normal sm:w-52">
                                {rung.name}
                            </th>
                            <td className="hidden sm:table-cell">
                                {rung.likely && (
                                    <Span
                                        from={at(rung.early ?? rung.likely)}
                                        likely={at(rung.likely)}
                                        to={rung.late ? at(rung.late) : 100}
                                        beyond={rung.likely > season.goal_on}
                                    />
                                )}
                            </td>
                            <td className="w-32 pl-3 sm:w-40">
                                <span
                                    className={rung.likely && rung.likely <= season.goal_on ? 'head' : 'text-reduced'}
                                >
                                    {rung.likely ? dayName(rung.likely) : 'not in half a year'}
                                </span>
                            </td>
                            <td className="hidden w-56 text-sm text-soft sm:table-cell">
                                {rung.likely && dayName(rung.early ?? rung.likely)}
                                {rung.likely && ` to ${rung.late ? dayName(rung.late) : 'later than that'}`}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="mt-1 max-w-prose text-sm text-soft">{season.learning}</p>
        </section>
    );
}

function Span({ from, likely, to, beyond }: { from: number; likely: number; to: number; beyond: boolean }) {
    return (
        <div className="relative h-3.5 border-b border-line" aria-hidden="true">
            <div
                className="hatch absolute inset-y-0.5 border border-ink/60"
                style={{ left: `${from}%`, width: `max(3px, ${to - from}%)` }}
            />
            {!beyond && <div className="absolute inset-y-0 w-[3px] bg-ink" style={{ left: `${likely}%` }} />}
        </div>
    );
}
