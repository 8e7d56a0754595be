import { useQuery } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { api, type ReturnRef } from '../../api/client';
import { dayName } from '../../api/words';
import { StageMark } from '../../parts/StageMark';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { clsx } from 'clsx';

const TITLES = ['Name', 'Programme', 'Site', 'Stage', 'Of', 'Name of the stage', 'Awaited', 'Not before'];

const listed = (returns: ReturnRef[]) =>
    returns.map((each) => [
        each.athlete.name,
        each.programme,
        each.site,
        each.stage,
        each.of,
        each.stage_name,
        each.awaited,
        each.not_before,
    ]);

/** Who is on the way back, what is awaited, from whom? */
export function ReturnsScreen() {
    const board = useQuery({ queryKey: ['returns'], queryFn: () => api('GET', '/api/returns') });
    if (!board.data) return <Waiting query={board} what="the returns" />;
    const open = board.data.filter((each) => each.state === 'open');
    const done = board.data.filter((each) => each.state === 'done');
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <p className="float-right flex gap-2">
                    <SaveList name="ways back" titles={TITLES} rows={() => listed(board.data)} />
                    <Link to="/programmes" className="btn">
                        Programmes
                    </Link>
                </p>
                <h1 className="text-2xl">On the way back</h1>
                <p className="mt-1 text-soft">
                    {open.length === 0
                        ? 'Nobody is on the way back. A return is opened on an athlete’s page.'
                        : `${open.length} open. Nothing moves on without the morning after, and nothing past ` +
                          `a clearance without one.`}
                </p>
            </header>
            {open.length > 0 && (
                <table className="w-full border-t-2 border-ink">
                    <caption className="sr-only">Open returns</caption>
                    <thead className="hidden md:table-header-group">
                        <tr className="label border-b border-line text-left">
                            <th className="py-1">Athlete</th>
                            <th>Stage</th>
                            <th>What comes next</th>
                            <th>Awaited</th>
                        </tr>
                    </thead>
                    <tbody>
                        {open.map((each) => (
                            <tr
                                key={each.id}
                                className={clsx(
                                    'grid grid-cols-[1fr_auto] gap-x-4 border-b border-line py-2 align-top ' +
                                        'md:table-row',
                                )}
                            >
                                <td className="md:py-2.5 md:pr-6">
                                    <Link
                                        to="/returns/$returnId"
                                        params={{ returnId: each.id }}
                                        className="head text-lg hover:underline"
                                    >
                                        {each.athlete.name}
                                    </Link>
                                    <span className="label block">
                                        {each.site} · {each.programme}
                                    </span>
                                </td>
                                <td className="md:py-2.5 md:pr-6">
                                    <StageMark stage={each.stage} of={each.of} />
                                    <span className="text-sm">
                                        {each.stage} of {each.of}, {each.stage_name}
                                    </span>
                                </td>
                                <td className="col-span-2 md:py-2.5 md:pr-6">{each.sentence}</td>
                                <td className="col-span-2 md:py-2.5">
                                    <span
                                        className={
                                            each.awaited_from === 'coach' || each.awaited_from === 'clinician'
                                                ? 'head'
                                                : ''
                                        }
                                    >
                                        {each.awaited}
                                    </span>
                                    {each.awaited_from !== 'nobody' && (
                                        <span className="text-soft"> from the {each.awaited_from}</span>
                                    )}
                                    {each.not_before && each.action !== 'wait' ? (
                                        <span className="label block">not before {dayName(each.not_before)}</span>
                                    ) : null}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {done.length > 0 && (
                <section className="mt-8">
                    <h2 className="text-base">Finished, the weeks after</h2>
                    <ul>
                        {done.map((each) => (
                            <li key={each.id} className="border-t border-line py-1.5">
                                <Link
                                    to="/returns/$returnId"
                                    params={{ returnId: each.id }}
                                    className="head hover:underline"
                                >
                                    {each.athlete.name}
                                </Link>{' '}
                                <span className="text-soft">
                                    {each.programme}. {each.sentence}
                                </span>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </main>
    );
}
