import type { SquadAfter } from '../../api/client';
import { dayName } from '../../api/words';
import { SaveList } from '../../parts/SaveList';
import { clsx } from 'clsx';

type Attendance = SquadAfter['attendance'];
type Mark = NonNullable<Attendance['rows'][number]['marks'][number]>;

const SAID: Record<Mark, string> = {
    came: 'Came',
    late: 'Late',
    left_early: 'Left early',
    not_there: 'Not there',
    away: 'Away',
    not_counted: 'Nothing counted',
};
/** Shapes that are told apart in grey: full, half, empty. */
const SHAPE: Record<Mark, string> = {
    came: 'bg-ink border-2 border-ink',
    late: 'border-2 border-ink bg-linear-to-r from-transparent from-50% to-ink to-50%',
    left_early: 'border-2 border-ink bg-linear-to-r from-ink from-50% to-transparent to-50%',
    not_there: 'border-2 border-ink',
    away: 'border-b-2 border-ink',
    not_counted: 'border-2 border-dashed border-line',
};

/** Who came, this time first, then the times before. */
export function AttendanceList({ attendance }: { attendance: Attendance }) {
    const sessions = [...attendance.sessions].reverse();
    const rows = attendance.rows.map((row) => ({ ...row, marks: [...row.marks].reverse() }));
    const titles = ['Name', 'There', 'Of', ...sessions.map((each) => `${each.day} ${each.title}`)];
    const listed = (): (string | number)[][] =>
        rows.map((row) => [
            row.athlete.name,
            row.there,
            row.of,
            ...row.marks.map((mark) => (mark === null ? '' : SAID[mark])),
        ]);
    const used = [...new Set(rows.flatMap((row) => row.marks.filter((mark) => mark !== null)))];
    return (
        <section aria-label="Attendance" className="mt-5">
            <h2 className="flex items-end border-b border-ink pb-0.5 text-base">
                <span className="grow">Attendance</span>
                <SaveList name={`attendance ${sessions[0]?.day ?? ''}`} titles={titles} rows={listed} />
            </h2>
            <p className="flex flex-wrap gap-x-4 py-1 text-sm text-soft">
                {used.map((mark) => (
                    <span key={mark} className="flex items-center gap-1.5">
                        <Shape mark={mark} /> {SAID[mark]}
                    </span>
                ))}
            </p>
            <div className="overflow-x-auto" role="group" aria-label="Who came, session by session" tabIndex={0}>
                <table className="border-collapse">
                    <thead>
                        <tr className="text-left">
                            <th className="label py-1 pr-4">Name</th>
                            <th className="label px-2 py-1 text-right">There</th>
                            {sessions.map((each) => (
                                <th
                                    key={each.session_id}
                                    className="label whitespace-nowrap px-2 py-1"
                                    title={each.title}
                                >
                                    {dayName(each.day)}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {rows.map((row) => (
                            <tr key={row.athlete.id} className="border-t border-line">
                                <th scope="row" className="whitespace-nowrap py-1 pr-4 text-left font-semibold">
                                    {row.athlete.name}
                                </th>
                                <td className="figure whitespace-nowrap px-2 py-1 text-right">
                                    {row.of === 0 ? '' : `${row.there} of ${row.of}`}
                                </td>
                                {row.marks.map((mark, i) => (
                                    <td key={sessions[i]?.session_id} className="px-2 py-1">
                                        {mark !== null && <Shape mark={mark} said />}
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </section>
    );
}

function Shape({ mark, said = false }: { mark: Mark; said?: boolean }) {
    return (
        <>
            <span aria-hidden title={SAID[mark]} className={clsx('inline-block size-3.5 align-middle', SHAPE[mark])} />
            {said && <span className="sr-only">{SAID[mark]}</span>}
        </>
    );
}
