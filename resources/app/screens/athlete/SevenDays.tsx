import type { Athlete } from '../../api/client';
import { dayName, n } from '../../api/words';
import { Opens } from '../../parts/Opens';

const DAYS = 7;

const two = (value: number | null | undefined): string => (value == null ? 'not known' : value.toFixed(2));

/** The arm's seven days, opened to their days; ratio and monotony for those who want them, deciding nothing. */
export function SevenDays({ of }: { of: Athlete }) {
    const days = of.days.filter((day) => day.date <= of.date).slice(-DAYS);
    const { acute, chronic_week, ratio_ewma, monotony, strain } = of.statistics;
    return (
        <p className="label mt-1">
            Arm: last 7 days{' '}
            <Opens
                label="The seven days, one by one"
                className="opens"
                content={
                    <table>
                        <caption className="head pb-1 text-left">Arm units, day by day</caption>
                        <tbody>
                            {days.map((day) => (
                                <tr key={day.date} className="border-t border-line">
                                    <th scope="row" className="py-1 pr-6 text-left font-medium">
                                        {dayName(day.date)}
                                    </th>
                                    <td className="text-right">{n(day.arm)}</td>
                                </tr>
                            ))}
                            <tr className="border-t-2 border-ink">
                                <th scope="row" className="py-1 pr-6 text-left">
                                    Together
                                </th>
                                <td className="text-right font-bold">
                                    {n(days.reduce((sum, day) => sum + day.arm, 0))}
                                </td>
                            </tr>
                        </tbody>
                    </table>
                }
            >
                {n(acute ?? 0)} units
            </Opens>
            , mean week of the month {n(chronic_week ?? 0)}.{' '}
            <Opens
                label="Ratio, monotony and strain"
                className="opens"
                content={
                    <>
                        <p className="head">Figures some schools look at</p>
                        <p>Weighted ratio of the last days to the last weeks: {two(ratio_ewma)}.</p>
                        <p>Monotony, mean day over its spread: {two(monotony)}.</p>
                        <p>Strain, the week times its monotony: {strain == null ? 'not known' : n(strain)}.</p>
                        <p className="mt-1 text-sm text-soft">
                            Shown beside the caps; they decide nothing and never loosen a limit.
                        </p>
                    </>
                }
            >
                Ratio {two(ratio_ewma)}
            </Opens>
        </p>
    );
}
