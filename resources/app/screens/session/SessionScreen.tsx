import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Session } from '../../api/client';
import { dayName } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { FloorChoice } from '../../parts/FloorChoice';
import { Notice } from '../../parts/Notice';
import { PlanChanges } from '../../parts/PlanChanges';
import { ScanCode } from '../../parts/ScanCode';
import { Waiting } from '../../parts/Waiting';
import { Members } from './Members';
import { PlanB } from './PlanB';
import { RoundTable } from './RoundTable';
import { SessionLife } from './SessionLife';
import { SpaceForm } from './SpaceForm';
import { type Changes, type SpaceSet, useSession } from './useSession';

const many = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** Who is where when, with what? */
export function SessionScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId' });
    const session = useQuery({
        queryKey: ['session', sessionId],
        queryFn: () => api('GET', `/api/sessions/${sessionId}`),
        refetchOnWindowFocus: false,
    });
    if (!session.data) return <Waiting query={session} what="the session" />;
    return <Stations key={`${sessionId} ${session.data.version}`} kept={session.data} />;
}

function Stations({ kept }: { kept: Session }) {
    const session = useSession(kept);
    const { setup, keep } = session;
    const me = useMe();
    const [planB, setPlanB] = useState(false);
    const [editing, setEditing] = useState<SpaceSet[] | null>(null);
    const nobody = kept.members.length === 0;
    const navigate = useNavigate();
    return (
        <main className="px-4 pb-10 sm:px-6">
            <Header
                kept={kept}
                session={session}
                onSpaces={() => setEditing(setup.spaces)}
                onPlanB={() => setPlanB(true)}
                onDeleted={() => void navigate({ to: '/calendar' })}
            />
            <Notice problem={session.problem} />
            <PlanChanges changes={kept.life.changes} shown={1} />
            <Standing kept={kept} />
            {!nobody && <SeeTo kept={kept} />}
            {kept.rounds.length > 0 && <RoundTable kept={kept} />}
            {!nobody && <Members kept={kept} session={session} />}
            {!nobody && <FromPaper kept={kept} />}
            {kept.absent.length > 0 && (
                <p className="no-print mt-4">
                    <span className="label">Not here: </span>
                    {kept.absent.map((athlete) => (
                        <button
                            key={athlete.id}
                            type="button"
                            className="btn btn-quiet"
                            disabled={!me.records}
                            onClick={() => session.toggleAbsent(athlete.id)}
                        >
                            {athlete.name}, came after all
                        </button>
                    ))}
                </p>
            )}
            <ul aria-label="Cautions" className="mt-5 list-disc pl-5 text-soft">
                {kept.cautions.slice(0, 6).map((each) => (
                    <li key={each}>{each}</li>
                ))}
            </ul>
            {planB && <PlanB kept={kept} setup={setup} onClose={() => setPlanB(false)} onKeep={keep} />}
            <SpaceForm
                spaces={editing}
                kept={kept}
                onClose={() => setEditing(null)}
                onKeep={(spaces, adults, balls) =>
                    void keep({ ...setup, spaces, adults, balls }).then(() => setEditing(null))
                }
            />
        </main>
    );
}

/** What has to be seen to before anybody starts, and the smallest change that would help. */
function SeeTo({ kept }: { kept: Session }) {
    if (kept.flags.length === 0) return null;
    return (
        <ul
            aria-label="To see to first"
            className="my-3 grid gap-x-8 gap-y-0.5 border-l-4 border-reduced bg-page px-3 py-2 lg:grid-cols-2"
        >
            {kept.would_help && <li className="head">{kept.would_help}</li>}
            {kept.flags.map((flag) => (
                <li key={flag.code + flag.sentence}>{flag.sentence}</li>
            ))}
        </ul>
    );
}

/** That it was called off, or is too far ahead for doses. */
function Standing({ kept }: { kept: Session }) {
    const { life } = kept;
    if (life.state === 'called_off')
        return (
            <p role="status" className="my-3 border-l-4 border-stop bg-page px-3 py-2">
                <strong className="head text-stop">Called off:</strong> “{life.reason}” Nothing of it is planned for
                anybody.
            </p>
        );
    return life.has_sheets ? null : (
        <p role="status" className="my-3 border-l-4 border-tape px-3 py-2">
            On the calendar. Everybody gets a sheet when the day is a fortnight away: doses further ahead would be
            guesses.
        </p>
    );
}

function Header({
    kept,
    session,
    onSpaces,
    onPlanB,
    onDeleted,
}: {
    kept: Session;
    session: Changes;
    onSpaces: () => void;
    onPlanB: () => void;
    onDeleted: () => void;
}) {
    const me = useMe();
    const athletes = kept.members.length;
    return (
        <header className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-ink py-3">
            <div className="max-w-3xl">
                <p className="label">
                    <Link to="/calendar" className="hover:underline">
                        Calendar
                    </Link>{' '}
                    · {kept.squad.name}
                    {kept.life.place ? ` · ${kept.life.place}` : ''}
                    {kept.life.repeats ? ' · every week' : ''}
                    {kept.life.moved_from ? ` · was ${dayName(kept.life.moved_from)}` : ''}
                </p>
                <h1 className="text-2xl">
                    {kept.title}, {dayName(kept.day, true)} {kept.starts_at}
                </h1>
                <p className="text-soft" hidden={athletes === 0}>
                    {many(athletes, 'athlete')}, {many(kept.adults, 'adult')}, {many(kept.balls, 'ball')}. Warm up
                    together {kept.warm_up_min} min, {many(kept.rounds.length, 'round')} with a minute to change, cool
                    down {kept.cool_down_min} min: ends {kept.ends_at}, {kept.minutes} min at most.
                </p>
                {me.records && (
                    <FloorChoice
                        floor={kept.floor ?? null}
                        label="Landed on:"
                        onChange={(floor) => session.landedOn(floor)}
                    />
                )}
            </div>
            <span className="grow" />
            <span className="no-print flex flex-wrap gap-2">
                {me.records && (
                    <>
                        {kept.can_undo && (
                            <button type="button" className="btn btn-quiet" onClick={() => session.undo()}>
                                Undo the last change
                            </button>
                        )}
                        {athletes > 0 && (
                            <>
                                <button type="button" className="btn" onClick={onSpaces}>
                                    Set the spaces
                                </button>
                                <button type="button" className="btn" onClick={onPlanB}>
                                    Plan B
                                </button>
                            </>
                        )}
                    </>
                )}
                <SessionLife kept={kept} onDeleted={onDeleted} />
                {athletes > 0 && <OnTheDay kept={kept} />}
            </span>
        </header>
    );
}

/** On its day it is counted; before that it is printed. */
function OnTheDay({ kept }: { kept: Session }) {
    const me = useMe();
    const first = kept.rounds[0]?.places[0]?.athletes[0]?.athlete_id;
    const member = kept.members.find((each) => each.athlete.id === first) ?? kept.members[0];
    const counts = member !== undefined && me.records && kept.day === me.today && kept.life.state === 'planned';
    return (
        <>
            <button type="button" className={`btn ${counts ? '' : 'btn-main'}`} onClick={() => window.print()}>
                Print
            </button>
            <Link to="/sessions/$sessionId/clock" params={{ sessionId: kept.id }} className="btn">
                Clock
            </Link>
            {kept.life.may_change && kept.day <= me.today && (
                <Link to="/sessions/$sessionId/paper" params={{ sessionId: kept.id }} className="btn">
                    From paper
                </Link>
            )}
            {me.records && <WhoRunsIt kept={kept} />}
            {counts && (
                <Link to="/sheets/$sheetId/line" params={{ sheetId: member.sheet_id }} className="btn btn-main">
                    Count the line
                </Link>
            )}
        </>
    );
}

function WhoRunsIt({ kept }: { kept: Session }) {
    return (
        <>
            <Link to="/sessions/$sessionId/brief" params={{ sessionId: kept.id }} className="btn">
                Brief
            </Link>
            {kept.life.counted && (
                <>
                    <Link to="/sessions/$sessionId/after" params={{ sessionId: kept.id }} className="btn">
                        {kept.life.open ? 'Finish' : 'What came of it'}
                    </Link>
                    <Link to="/sessions/$sessionId/readings" params={{ sessionId: kept.id }} className="btn">
                        Devices
                    </Link>
                </>
            )}
        </>
    );
}

/** On paper: the code that opens what was ticked to be entered, for whoever is signed in. */
function FromPaper({ kept }: { kept: Session }) {
    return (
        <section
            aria-label="To enter from paper"
            className="mt-4 hidden break-inside-avoid items-center gap-4 print:flex"
        >
            <div className="w-28 shrink-0">
                <ScanCode address={`${window.location.origin}/sessions/${kept.id}/paper`} />
            </div>
            <p>
                A box is a set. What is ticked here is entered from this code: scan, sign in, then change what was
                otherwise than planned.
            </p>
        </section>
    );
}
