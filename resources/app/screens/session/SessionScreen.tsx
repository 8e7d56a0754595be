import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type Session } from '../../api/client';
import { dayName, n } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { type Floor, FloorChoice } from '../../parts/FloorChoice';
import { Notice } from '../../parts/Notice';
import { PlanChanges } from '../../parts/PlanChanges';
import { Sheetlet } from '../../parts/Sheetlet';
import { Stepper } from '../../parts/Stepper';
import { WordMark } from '../../parts/WordMark';
import { Waiting } from '../../parts/Waiting';
import { SessionLife } from './SessionLife';
import { StationForm } from './StationForm';

type Station = Session['stations'][number];
export type StationSet = Pick<
    Station,
    'id' | 'title' | 'kinds' | 'length_m' | 'capacity' | 'needs_adult' | 'gloves' | 'balls_each'
> & { surface: Station['surface'] | null };
export type Setup = {
    minutes: number;
    adults: number;
    balls: number;
    stations: StationSet[];
    absent: string[];
    late: { athlete: string; minutes: number }[];
};

const LATE_BY_MIN = 10;
const LOOK_AFTER_MS = 250;

const setupOf = (session: Session): Setup => ({
    minutes: session.minutes,
    adults: session.adults,
    balls: session.balls,
    stations: session.stations.map(
        ({ id, title, kinds, length_m, capacity, needs_adult, surface, gloves, balls_each }) => ({
            id,
            title,
            kinds,
            length_m,
            capacity,
            needs_adult,
            surface: surface ?? null,
            gloves,
            balls_each,
        }),
    ),
    absent: session.absent.map((athlete) => athlete.id),
    late: session.groups.flatMap((group) =>
        group.members
            .filter((member) => member.late_minutes > 0)
            .map((member) => ({ athlete: member.athlete.id, minutes: member.late_minutes })),
    ),
});

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
    const [editing, setEditing] = useState<StationSet[] | null>(null);
    const open = kept.stations.filter((station) => station.open);
    const nobody = kept.groups.length === 0;
    const navigate = useNavigate();
    return (
        <main className="px-4 pb-10 sm:px-6">
            <Header
                kept={kept}
                session={session}
                onStations={() => setEditing(setup.stations)}
                onPlanB={() => setPlanB(true)}
                onDeleted={() => void navigate({ to: '/calendar' })}
            />
            <Notice problem={session.problem} />
            <PlanChanges changes={kept.life.changes} shown={1} />
            <Standing kept={kept} />
            {!nobody && kept.flags.length > 0 && (
                <ul
                    aria-label="To see to first"
                    className="my-3 grid gap-x-8 border-l-4 border-reduced bg-page px-3 py-2 lg:grid-cols-2"
                >
                    {kept.flags.map((flag) => (
                        <li key={flag.code + flag.sentence}>{flag.sentence}</li>
                    ))}
                </ul>
            )}
            {!nobody && open.length > 0 && <Clock kept={kept} open={open} />}
            <div className="mt-5 grid gap-6">
                {kept.groups.map((group) => (
                    <Group key={group.name} kept={kept} group={group} open={open} session={session} />
                ))}
            </div>
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
            <StationForm
                stations={editing}
                kept={kept}
                onClose={() => setEditing(null)}
                onKeep={(stations, adults, balls) =>
                    void keep({ ...setup, stations, adults, balls }).then(() => setEditing(null))
                }
            />
        </main>
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

/** “Twenty-five minutes, in the hall, nine came”: what changes is shown before it is kept. */
function PlanB({
    kept,
    setup,
    onClose,
    onKeep,
}: {
    kept: Session;
    setup: Setup;
    onClose: () => void;
    onKeep: (setup: Setup) => Promise<void>;
}) {
    const [now, setNow] = useState(setup);
    const [look, setLook] = useState<Session | null>(null);
    const asking = useRef(0);
    const [problem, setProblem] = useState<unknown>(null);
    const change = (with_: Partial<Setup>): void => {
        const next = { ...now, ...with_ };
        setNow(next);
        const asked = ++asking.current;
        window.setTimeout(() => {
            // Only the last of several quick changes is looked at.
            if (asked !== asking.current) return;
            api('POST', `/api/sessions/${kept.id}/preview`, { version: kept.version, ...next }).then((answer) => {
                if (asked === asking.current) {
                    setLook(answer);
                    setProblem(null);
                }
            }, setProblem);
        }, LOOK_AFTER_MS);
    };
    return (
        <Sheetlet open onClose={onClose} title="Plan B" wide>
            <div className="grid gap-4">
                <Means now={now} onChange={change} />
                <WhoCame kept={kept} now={now} onChange={change} />
                <Notice problem={problem} />
                <div role="status" className="min-h-16 border-l-4 border-tape pl-3">
                    {look === null ? (
                        <p className="text-soft">Change something to see what it does.</p>
                    ) : look.differences.length === 0 ? (
                        <p>Nothing changes.</p>
                    ) : (
                        <ul>
                            {look.differences.map((each) => (
                                <li key={each} className="head">
                                    {each}
                                </li>
                            ))}
                        </ul>
                    )}
                    {look?.flags.map((flag) => (
                        <p key={flag.code + flag.sentence} className="text-reduced">
                            {flag.sentence}
                        </p>
                    ))}
                </div>
                <button
                    type="button"
                    className="btn btn-main"
                    disabled={look === null}
                    onClick={() => void onKeep(now).then(onClose)}
                >
                    Go with this
                </button>
            </div>
        </Sheetlet>
    );
}

/** The session as it is set up, and every change of it. */
function useSession(kept: Session) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const put = (answer: Session): void => {
        queries.setQueryData(['session', kept.id], answer);
        setProblem(null);
        void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    };
    const keep = (setup: Setup): Promise<void> =>
        api('PUT', `/api/sessions/${kept.id}`, { version: kept.version, ...setup }).then(put, setProblem);
    const setup = setupOf(kept);
    const toggleAbsent = (id: string): void => {
        void keep({
            ...setup,
            absent: setup.absent.includes(id) ? setup.absent.filter((each) => each !== id) : [...setup.absent, id],
            late: setup.late.filter((each) => each.athlete !== id),
        });
    };
    const toggleLate = (id: string): void => {
        void keep({
            ...setup,
            late: setup.late.some((each) => each.athlete === id)
                ? setup.late.filter((each) => each.athlete !== id)
                : [...setup.late, { athlete: id, minutes: LATE_BY_MIN }],
        });
    };
    return {
        problem,
        setup,
        keep,
        toggleAbsent,
        toggleLate,
        landedOn: (floor: Floor) => void api('PUT', `/api/sessions/${kept.id}/floor`, { floor }).then(put, setProblem),
        undo: () => void api('POST', `/api/sessions/${kept.id}/undo`).then(put, setProblem),
    };
}

type Changes = ReturnType<typeof useSession>;
type GroupOf = Session['groups'][number];

function Header({
    kept,
    session,
    onStations,
    onPlanB,
    onDeleted,
}: {
    kept: Session;
    session: Changes;
    onStations: () => void;
    onPlanB: () => void;
    onDeleted: () => void;
}) {
    const me = useMe();
    const athletes = kept.groups.reduce((sum, group) => sum + group.members.length, 0);
    const rounds = kept.stations.filter((station) => station.open).length;
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
                    {athletes} athletes in {kept.groups.length} groups. Warm up together {kept.warm_up_min} min,{' '}
                    {rounds} × {kept.rotation_min} min with a minute between, cool down {kept.cool_down_min} min:{' '}
                    {kept.minutes} min. {kept.balls_needed} balls in use of {kept.balls}, {kept.adults}{' '}
                    {kept.adults === 1 ? 'adult' : 'adults'}.
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
                                <button type="button" className="btn" onClick={onStations}>
                                    Set the stations
                                </button>
                                <button type="button" className="btn" onClick={onPlanB}>
                                    Plan B
                                </button>
                            </>
                        )}
                    </>
                )}
                <SessionLife kept={kept} onDeleted={onDeleted} />
                {athletes > 0 && (
                    <button type="button" className="btn btn-main" onClick={() => window.print()}>
                        Print
                    </button>
                )}
            </span>
        </header>
    );
}

/** Groups by round and station. */
function Clock({ kept, open }: { kept: Session; open: Station[] }) {
    return (
        <section aria-label="The clock" className="overflow-x-auto pt-3">
            <table className="w-full min-w-[40rem] table-fixed">
                <caption className="sr-only">Groups by round and station</caption>
                <thead>
                    <tr className="border-b-2 border-ink text-left align-bottom">
                        <th className="label w-20 py-1">Starts</th>
                        {open.map((station) => (
                            <th key={station.id} className="border-l border-line py-1 pl-3 pr-2">
                                <span className="head text-lg">{station.title}</span>
                                <span className="label block">
                                    {station.work.slice(0, 3).join(', ').toLowerCase() || 'nobody has work here'}
                                </span>
                                <span className="label block">
                                    {n(station.length_m)} m, room for {station.capacity}
                                    {station.needs_adult ? ', an adult' : ''}
                                    {station.balls_each > 0 ? `, ${station.balls_each} balls each` : ''}
                                    {station.surface ? `, ${station.surface} floor` : ''}
                                </span>
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    <tr className="border-b border-line text-soft">
                        <th scope="row" className="py-1 text-left font-normal">
                            {kept.starts_at}
                        </th>
                        <td colSpan={open.length} className="border-l border-line pl-3">
                            Everybody: warm up
                        </td>
                    </tr>
                    {kept.rounds.map((round) => (
                        <tr key={round.starts_at} className="border-b border-line">
                            <th scope="row" className="figure py-2 text-left text-lg">
                                {round.starts_at}
                            </th>
                            {round.groups.map((group, i) => (
                                <td key={i} className="figure border-l border-line pl-3 text-2xl">
                                    {group}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function Group({ kept, group, open, session }: { kept: Session; group: GroupOf; open: Station[]; session: Changes }) {
    return (
        <section aria-label={`Group ${group.name}`} className="break-inside-avoid overflow-x-auto">
            <table className="w-full min-w-[52rem] table-fixed">
                <caption className="head border-b-2 border-ink pb-0.5 text-left text-lg">Group {group.name}</caption>
                <colgroup>
                    <col className="w-44" />
                    <col className="w-28" />
                    {open.map((station) => (
                        <col key={station.id} />
                    ))}
                    <col className="no-print w-40" />
                </colgroup>
                <thead className="sr-only">
                    <tr>
                        <th>Athlete</th>
                        <th>With</th>
                        {open.map((station) => (
                            <th key={station.id}>{station.title}</th>
                        ))}
                        <th className="hidden print:table-cell">To tick</th>
                        <th className="no-print">Here or not</th>
                    </tr>
                </thead>
                <tbody>
                    {group.members.map((member) => (
                        <MemberRow key={member.athlete.id} kept={kept} member={member} open={open} session={session} />
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function MemberRow({
    kept,
    member,
    open,
    session,
}: {
    kept: Session;
    member: GroupOf['members'][number];
    open: Station[];
    session: Changes;
}) {
    const me = useMe();
    return (
        <tr className="border-b border-line align-top">
            <th scope="row" className="py-1 pr-2 text-left">
                <Link
                    to={kept.day < me.today ? '/sheets/$sheetId/after' : '/sheets/$sheetId'}
                    params={{ sheetId: member.sheet_id }}
                    className="head hover:underline"
                >
                    {member.athlete.name}
                </Link>
                <span className="label block font-normal">
                    <WordMark word={member.word} size={12} /> {member.athlete.throwing_side === 'left' ? 'left' : ''}
                </span>
            </th>
            <td className="py-1 pr-2 text-sm text-soft">
                {member.with ? `with ${member.with}` : 'with an adult'}
                {member.joins_round > 0 && (
                    <span className="block font-bold text-reduced">
                        late: warms up first, joins {kept.rounds[member.joins_round]?.starts_at ?? 'no round any more'}
                    </span>
                )}
            </td>
            {open.map((station) => (
                <td key={station.id} className="border-l border-line py-1 pl-2 pr-1 text-sm">
                    {member.doses[station.id] || <span className="text-soft">feeds, watches</span>}
                </td>
            ))}
            <td className="hidden border-l border-line print:table-cell">
                <span className="sr-only">to tick</span>
            </td>
            <td className="no-print whitespace-nowrap py-0.5 text-right">
                {me.records && (
                    <>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => session.toggleLate(member.athlete.id)}
                        >
                            {member.late_minutes > 0 ? 'On time' : 'Late'}
                        </button>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => session.toggleAbsent(member.athlete.id)}
                        >
                            Not here
                        </button>
                    </>
                )}
            </td>
        </tr>
    );
}

/** Minutes, adults and balls there are. */
function Means({ now, onChange }: { now: Setup; onChange: (with_: Partial<Setup>) => void }) {
    const inside = (): void =>
        onChange({
            stations: now.stations.map((station) => ({
                ...station,
                length_m: Math.min(station.length_m, 12),
                surface: 'sprung' as const,
            })),
        });
    return (
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
            <div>
                <span className="label block">Minutes left</span>
                <Stepper
                    label="minutes"
                    value={now.minutes}
                    shown={`${now.minutes} min`}
                    step={5}
                    least={5}
                    most={240}
                    onChange={(minutes) => onChange({ minutes })}
                />
            </div>
            <div>
                <span className="label block">Adults</span>
                <Stepper
                    label="adults"
                    value={now.adults}
                    shown={String(now.adults)}
                    step={1}
                    least={0}
                    most={20}
                    onChange={(adults) => onChange({ adults })}
                />
            </div>
            <div>
                <span className="label block">Balls</span>
                <Stepper
                    label="balls"
                    value={now.balls}
                    shown={String(now.balls)}
                    step={5}
                    least={0}
                    most={300}
                    onChange={(balls) => onChange({ balls })}
                />
            </div>
            <button type="button" className="btn" onClick={inside}>
                Rain: into a hall of 12 m
            </button>
        </div>
    );
}

function WhoCame({ kept, now, onChange }: { kept: Session; now: Setup; onChange: (with_: Partial<Setup>) => void }) {
    const everybody = [
        ...kept.groups.flatMap((group) => group.members.map((member) => member.athlete)),
        ...kept.absent,
    ].sort((a, b) => a.name.localeCompare(b.name));
    return (
        <fieldset>
            <legend className="label mb-1">Who came</legend>
            <div className="flex flex-wrap gap-1.5">
                {everybody.map((athlete) => {
                    const gone = now.absent.includes(athlete.id);
                    return (
                        <button
                            key={athlete.id}
                            type="button"
                            aria-pressed={!gone}
                            className={`btn ${gone ? 'text-soft line-through' : ''}`}
                            onClick={() =>
                                onChange({
                                    absent: gone
                                        ? now.absent.filter((each) => each !== athlete.id)
                                        : [...now.absent, athlete.id],
                                })
                            }
                        >
                            {athlete.given_name}
                        </button>
                    );
                })}
            </div>
        </fieldset>
    );
}
