import { clsx } from 'clsx';
import type { Season } from '../../api/client';
import { dayName, n } from '../../api/words';
import { compared, type WeekOf } from './compared';

/** Two plans side by side: the one that was set aside, and the one on the page. */
export function Compare({
    was,
    now,
    onBack,
    onPutAway,
}: {
    was: Season;
    now: Season;
    onBack: () => void;
    onPutAway: () => void;
}) {
    const { lines, weeks } = compared(was, now);
    const most = Math.max(1, ...weeks.flatMap((week) => [week.was?.units ?? 0, week.now?.units ?? 0]));
    return (
        <section aria-label="Two plans side by side" className="no-print my-3 border-y-2 border-ink py-3">
            <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
                <h2 className="text-lg">Two plans side by side</h2>
                <span className="grow" />
                <button type="button" className="opens" onClick={onBack}>
                    Go back to the first
                </button>
                <button type="button" className="opens" onClick={onPutAway}>
                    Put the first away
                </button>
            </div>
            <div className="grid gap-x-10 gap-y-4 pt-2 lg:grid-cols-[1fr_1.3fr]">
                <table className="w-full self-start">
                    <thead>
                        <tr className="label text-left">
                            <th className="py-1 font-normal">
                                <span className="sr-only">What</span>
                            </th>
                            <th className="py-1">The first</th>
                            <th className="py-1">On this page</th>
                        </tr>
                    </thead>
                    <tbody>
                        {lines.map((line) => (
                            <tr key={line.what} className="border-t border-line align-baseline">
                                <th scope="row" className="py-1 pr-3 text-left font-normal text-soft">
                                    {line.what}
                                </th>
                                <td className="py-1 pr-3 tabular-nums">{line.was}</td>
                                <td className={clsx('py-1 tabular-nums', line.was !== line.now && 'font-bold')}>
                                    {line.now}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
                <div className="relative overflow-x-auto">
                    <table className="w-full min-w-[30rem]">
                        <thead>
                            <tr className="label text-left">
                                <th className="w-20 py-1">Week of</th>
                                <th className="py-1">Units, reps of the rungs: the first above, on this page below</th>
                            </tr>
                        </thead>
                        <tbody>
                            {weeks.map((week) => (
                                <tr key={week.monday} className="border-t border-line align-top">
                                    <th scope="row" className="label py-1 text-left font-normal">
                                        {dayName(week.monday).replace(/^\w+ /, '')}
                                    </th>
                                    <td className="py-1">
                                        <Bar of={week.was} most={most} inked />
                                        <Bar of={week.now} most={most} />
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            </div>
        </section>
    );
}

function Bar({ of, most, inked = false }: { of: WeekOf | null; most: number; inked?: boolean }) {
    return (
        <div className="flex items-center gap-2" title={of?.fullest}>
            <div className="h-3 w-1/2 shrink-0">
                <div
                    className={clsx('h-full border border-ink/60', inked ? 'bg-ink' : 'hatch')}
                    style={{ width: `${(100 * (of?.units ?? 0)) / most}%` }}
                />
            </div>
            <span className="text-sm leading-tight tabular-nums">
                {of === null ? 'not in this plan' : `${n(of.units)} units, ${n(of.reps)} reps`}
            </span>
        </div>
    );
}
