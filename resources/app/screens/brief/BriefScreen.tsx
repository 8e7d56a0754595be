import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api, type Brief } from '../../api/client';
import { inALine } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { NoteFor, NotesBefore } from '../../parts/NoteFor';
import { OfSession } from '../../parts/OfSession';
import { Waiting } from '../../parts/Waiting';

type Row = Brief['rows'][number];

/** I stand in today: who, what, what do I look for, what must not be? */
export function BriefScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId/brief' });
    const brief = useQuery({
        queryKey: ['brief', sessionId],
        queryFn: () => api('GET', `/api/sessions/${sessionId}/brief`),
    });
    if (!brief.data) return <Waiting query={brief} what="the session" />;
    return <Standing brief={brief.data} />;
}

function Standing({ brief }: { brief: Brief }) {
    const me = useMe();
    const first = brief.rows[0];
    return (
        <main className="mx-auto max-w-3xl px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <OfSession session={brief} />
                <h1 className="text-2xl">
                    {brief.rows.length === 1 ? 'One athlete' : `${brief.rows.length} athletes`}, in brief
                </h1>
            </header>
            <div className="mt-3">
                <NotesBefore notes={brief.before} />
            </div>
            {brief.rows.length === 0 && <p className="py-4">Nobody is in this session yet.</p>}
            <ul>
                {brief.rows.map((row) => (
                    <Athlete key={row.sheet_id} row={row} brief={brief} />
                ))}
            </ul>
            <section aria-label="Note for the squad" className="mt-4">
                <h2 className="text-base">To whoever runs the next one</h2>
                <NoteFor sessionId={brief.session_id} athleteId={null} name="the squad" notes={brief.notes} />
            </section>
            <ul aria-label="Cautions" className="mt-4 list-disc pl-5 text-soft">
                {brief.cautions.map((each) => (
                    <li key={each}>{each}</li>
                ))}
            </ul>
            {first && brief.day === me.today && (
                <Link
                    to="/sheets/$sheetId/line"
                    params={{ sheetId: first.sheet_id }}
                    className="btn btn-main thumb no-print mt-4 w-full text-lg"
                >
                    Count the line
                </Link>
            )}
        </main>
    );
}

function Athlete({ row, brief }: { row: Row; brief: Brief }) {
    return (
        <li aria-label={row.athlete.name} className="break-inside-avoid border-b border-line py-3">
            <h2 className="flex flex-wrap items-baseline gap-x-3 text-xl">
                {row.athlete.name}
                <span className="label">
                    {row.rung_name}
                    {row.athlete.throwing_side === 'left' ? ' · left-handed' : ''}
                </span>
            </h2>
            {row.must_not.map((each) => (
                <p key={each} className="head border-l-4 border-stop pl-2 text-stop">
                    {each}
                </p>
            ))}
            <NotesBefore notes={row.before} />
            <ul className="mt-1">
                {row.look_for.map((each) => (
                    <li key={each} className="text-lg leading-snug">
                        {each}
                    </li>
                ))}
            </ul>
            <p className="text-sm text-soft">{row.doses.map(inALine).join(' · ')}</p>
            <NoteFor
                sessionId={brief.session_id}
                athleteId={row.athlete.id}
                name={row.athlete.given_name}
                notes={brief.notes}
            />
        </li>
    );
}
