import type { Season } from '../../api/client';
import { dayName, n } from '../../api/words';
import { clsx } from 'clsx';

const FIRST = 5;

/** Before and after: the days that are other ones than were agreed to, the nearest first. */
export function Changes({ changes, asked }: { changes: Season['changes']; asked: boolean }) {
    if (changes.length === 0) return null;
    return (
        <section aria-label="What changes" className="no-print my-3 border-l-4 border-tape bg-page px-3 py-2">
            <h2 className="text-base">
                {n(changes.length)} {changes.length === 1 ? 'day differs' : 'days differ'} from what was agreed
                {asked ? '' : ', because of what is on record since'}
            </h2>
            <Rows changes={changes.slice(0, FIRST)} />
            {changes.length > FIRST && (
                <details>
                    <summary className="cursor-pointer py-1 underline decoration-dotted">
                        {n(changes.length - FIRST)} more
                    </summary>
                    <Rows changes={changes.slice(FIRST)} />
                </details>
            )}
        </section>
    );
}

function Rows({ changes }: { changes: Season['changes'] }) {
    return (
        <table className="w-full max-w-4xl table-fixed">
            <thead className="sr-only">
                <tr>
                    <th>Day</th>
                    <th>Agreed</th>
                    <th>Now</th>
                </tr>
            </thead>
            <tbody>
                {changes.map((change) => (
                    <tr key={change.date} className="align-top">
                        <th scope="row" className="w-32 py-0.5 text-left font-normal">
                            {dayName(change.date)}
                        </th>
                        <td className={clsx('py-0.5 text-soft', change.was && 'line-through decoration-ink/40')}>
                            {change.was ?? 'nothing'}
                        </td>
                        <td className="py-0.5">{change.now ?? 'nothing'}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
