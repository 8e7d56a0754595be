import { Link } from '@tanstack/react-router';
import { clsx } from 'clsx';
import type { Ladder } from '../../api/client';
import { dayName } from '../../api/words';
import { Strip } from '../../parts/Strip';

const LONGEST = 28;

const good = (marks: string): number => marks.replace(/[^g]/gi, '').length;
const seen = (marks: string): number => marks.replace(/u/gi, '').length;

/** What a good rate is made of: each session on this rung, each repetition of it; a session opens to what happened. */
export function JudgedSessions({ of }: { of: Ladder['sessions'] }) {
    if (of.length === 0) return null;
    return (
        <table className="mt-2 w-full">
            <caption className="label pb-1 text-left">
                The gate looks at these sessions; older ones no longer count
            </caption>
            <tbody>
                {of.map((session) => (
                    <tr key={session.sheet_id} className={clsx('border-t border-line', !session.counts && 'text-soft')}>
                        <th scope="row" className="whitespace-nowrap py-1 pr-3 text-left font-medium">
                            <Link to="/sheets/$sheetId/after" params={{ sheetId: session.sheet_id }} className="opens">
                                {dayName(session.day)}
                            </Link>
                        </th>
                        <td className="whitespace-nowrap pr-3">
                            {good(session.marks)} of {seen(session.marks)}
                            {session.counts ? '' : ', older'}
                        </td>
                        <td className="w-full max-w-0 overflow-hidden">
                            <Strip marks={session.marks} length={Math.min(LONGEST, session.marks.length)} height={11} />
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
