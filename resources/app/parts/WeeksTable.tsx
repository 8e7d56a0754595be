import type { ReactNode } from 'react';
import { dayName } from '../api/words';
import { WEEKDAYS } from './Weekdays';

/** Weeks down, days across, and what the arm takes of each week beside them. */
export function WeeksTable({ caption, children }: { caption: string; children: ReactNode }) {
    return (
        <div className="relative overflow-x-auto">
            <table className="w-full min-w-[62rem] table-fixed">
                <caption className="sr-only">{caption}</caption>
                <colgroup>
                    <col className="w-[5.2rem]" />
                    {WEEKDAYS.map((name) => (
                        <col key={name} />
                    ))}
                    <col className="w-[13.5rem]" />
                </colgroup>
                <thead>
                    <tr className="label text-left">
                        <th className="py-1.5">Week</th>
                        {WEEKDAYS.map((name) => (
                            <th key={name} className="pl-2">
                                {name}
                            </th>
                        ))}
                        <th className="pl-3">Arm units of the week</th>
                    </tr>
                </thead>
                <tbody>{children}</tbody>
            </table>
        </div>
    );
}

/** @param arm what stands in the last column */
export function WeekRow({
    week,
    arm,
    children,
}: {
    week: { number: number; monday: string; lighter: boolean; fresh?: boolean };
    arm: ReactNode;
    children: ReactNode;
}) {
    return (
        <tr className="border-t border-line align-top">
            <th scope="row" className="py-1.5 text-left font-normal">
                <span className="figure text-lg">{week.number}</span>
                <span className="label block leading-tight">
                    {dayName(week.monday).replace(/^\w+ /, '')}
                    {week.lighter && <span className="block text-full">lighter</span>}
                    {week.fresh && <span className="block text-full">for the goal</span>}
                </span>
            </th>
            {children}
            <td className="py-1.5 pl-3">{arm}</td>
        </tr>
    );
}
