import type { Body } from '../../api/typed';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type People, type Token } from '../../api/client';
import { dayName } from '../../api/words';
import { newId } from '../../offline/store';
import { AthleteFields, athleteIn } from '../../parts/AthleteFields';
import { FloorChoice } from '../../parts/FloorChoice';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { LinkShown } from '../../parts/LinkShown';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Waiting } from '../../parts/Waiting';
import { LabelledInput, Options } from '../../parts/Labelled';

type Role = Body<'POST', '/api/people/invitations'>['role'];

const ROLES: ReadonlyArray<readonly [role: Role, name: string, does: string]> = [
    ['coach', 'Coach', 'everything for the squads chosen'],
    ['assistant', 'Assistant', 'runs sessions and records, decides nothing'],
    ['clinician', 'Clinician', 'reports, returns and clearances of the athletes chosen'],
    ['athlete', 'Athlete', 'own check-ins, plan and progress'],
    ['guardian', 'Guardian', 'the same, for a child'],
];
const PURPOSES: Record<string, string> = {
    check_in: 'Check-in page',
    invitation: 'Invitation',
    password: 'New password',
};

type Person = People['people'][number];
type Made = { token: Token; path: string; whom: string };

/** Who sees what, and what did they do? */
export function PeopleScreen() {
    const me = useMe();
    const queries = useQueryClient();
    const [inviting, setInviting] = useState(false);
    const [made, setMade] = useState<Made | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [confirming, setConfirming] = useState<Person | null>(null);
    const [handingTo, setHandingTo] = useState<Person | null>(null);
    const query = useQuery({ queryKey: ['people'], queryFn: () => api('GET', '/api/people') });
    if (!query.data) return <Waiting query={query} what="the people" />;
    const { people, links, audit } = query.data;
    const change = (ask: Promise<People>): void => {
        ask.then((answer) => {
            queries.setQueryData(['people'], answer);
            setProblem(null);
        }, setProblem);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-4 py-3">
                <div>
                    <h1 className="text-2xl">People</h1>
                    <p className="mt-1 text-soft">
                        Health data is seen by those who need it. Everything decided, cleared, shared or erased stands
                        below with who did it.
                    </p>
                </div>
                <span className="grow" />
                {me.head && (
                    <a className="btn btn-quiet" href="/api/export.zip" download>
                        Export the whole club
                    </a>
                )}
                <button type="button" className="btn btn-main" onClick={() => setInviting(true)}>
                    Invite somebody
                </button>
            </header>
            <Notice problem={problem} />
            <table className="w-full border-t-2 border-ink">
                <caption className="sr-only">Accounts</caption>
                <thead>
                    <tr className="label border-b border-line text-left">
                        <th className="py-1">Name</th>
                        <th>Role</th>
                        <th>Sees</th>
                        <th className="hidden sm:table-cell">Signed in</th>
                        <th>
                            <span className="sr-only">Acts</span>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {people.map((person) => (
                        <PersonRow
                            key={person.id}
                            person={person}
                            onConfirm={setConfirming}
                            onHandOver={setHandingTo}
                            onMade={setMade}
                            onClose={() => change(api('POST', `/api/people/${person.id}/close`))}
                            onProblem={setProblem}
                        />
                    ))}
                </tbody>
            </table>
            <Confirm key={confirming?.id} of={confirming} onClose={() => setConfirming(null)} />
            <HandOver key={handingTo?.id} to={handingTo} onClose={() => setHandingTo(null)} />
            <Squads of={query.data} onProblem={setProblem} />
            <div className="mt-8 grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_1.5fr]">
                <Links links={links} onTakeBack={(id) => change(api('POST', `/api/people/links/${id}/revoke`))} />
                <WhoDidWhat audit={audit} />
            </div>
            {inviting && <Invite of={query.data} onClose={() => setInviting(false)} onMade={setMade} />}
            <LinkShown made={made} onClose={() => setMade(null)} />
        </main>
    );
}

const SCHOOLS: ReadonlyArray<readonly [school: string, label: string]> = [
    ['', 'strict under 16, graded from then on'],
    ['strict', 'strict for everybody: any joint soreness stops that part'],
    ['graded', 'graded for everybody: soreness by its score'],
];

/** A squad with the school its words follow, and the way to add somebody to it. */
function SquadRow({ squad, onProblem }: { squad: People['squads'][number]; onProblem: (problem: unknown) => void }) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [adding, setAdding] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const id = useRef(newId());
    const done = (write: Promise<unknown>): void => {
        write.then(() => {
            onProblem(null);
            return queries.invalidateQueries();
        }, onProblem);
    };
    const change = (what: Partial<Pick<typeof squad, 'name' | 'school' | 'floor'>>): void => {
        const { name, school, floor } = { ...squad, ...what };
        done(api('PUT', `/api/squads/${squad.id}`, { name, school, floor: floor ?? null }));
    };
    return (
        <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-1.5">
            <input
                aria-label={`Name of ${squad.name}`}
                className="head w-44 border-b border-transparent bg-transparent hover:border-soft focus:border-ink"
                defaultValue={squad.name}
                maxLength={80}
                onBlur={(event) => {
                    const name = event.target.value.trim();
                    if (name === '') event.target.value = squad.name;
                    else if (name !== squad.name) change({ name });
                }}
            />
            <label className="flex items-center gap-2 text-sm">
                <span className="text-soft">How sore is too sore:</span>
                <select
                    className="border-b border-soft bg-transparent py-1"
                    value={squad.school ?? ''}
                    onChange={(event) => change({ school: (event.target.value || null) as typeof squad.school })}
                >
                    <Options of={SCHOOLS} />
                </select>
            </label>
            <FloorChoice floor={squad.floor ?? null} label="Usual floor:" onChange={(floor) => change({ floor })} />
            <span className="grow" />
            <button
                type="button"
                className="btn btn-quiet"
                onClick={() => done(api('POST', `/api/squads/${squad.id}/archive`))}
            >
                Archive
            </button>
            <button type="button" className="btn" onClick={() => setAdding(true)}>
                Add an athlete
            </button>
            <Sheetlet open={adding} onClose={() => setAdding(false)} title={`Add an athlete to ${squad.name}`}>
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        api('POST', `/api/squads/${squad.id}/athletes`, {
                            ...athleteIn(form),
                            id: id.current,
                        }).then((added) => {
                            id.current = newId();
                            void queries.invalidateQueries();
                            return navigate({ to: '/athletes/$athleteId/intake', params: { athleteId: added.id } });
                        }, setProblem);
                    }}
                >
                    <AthleteFields />
                    <Notice problem={problem} />
                    <button className="btn btn-main">Add, and go on to the intake</button>
                </form>
            </Sheetlet>
        </li>
    );
}

function PersonRow({
    person,
    onConfirm,
    onHandOver,
    onMade,
    onClose,
    onProblem,
}: {
    person: Person;
    onConfirm: (person: Person) => void;
    onHandOver: (person: Person) => void;
    onMade: (made: Made) => void;
    onClose: () => void;
    onProblem: (problem: unknown) => void;
}) {
    const me = useMe();
    return (
        <tr className={`border-b border-line align-top ${person.closed ? 'text-soft' : ''}`}>
            <td className="py-2 pr-4">
                <span className="head">{person.name}</span>
                <span className="block break-all text-sm text-soft">{person.email}</span>
            </td>
            <td className="py-2 pr-4">
                {person.role[0]?.toUpperCase()}
                {person.role.slice(1)}
                {person.head && ', head coach'}
                {person.closed && ', closed'}
                {person.unconfirmed && (
                    <span className="block text-sm text-reduced">not confirmed: clears nobody yet</span>
                )}
            </td>
            <td className="py-2 pr-4 text-sm">{person.sees.join(', ') || 'nobody'}</td>
            <td className="hidden py-2 pr-4 text-sm sm:table-cell">
                {person.signed_in_at === 0
                    ? ''
                    : `${person.signed_in_at} ${person.signed_in_at === 1 ? 'place' : 'places'}`}
            </td>
            <td className="whitespace-nowrap py-1 text-right">
                {person.unconfirmed && me.head && (
                    <button type="button" className="btn" onClick={() => onConfirm(person)}>
                        Confirm
                    </button>
                )}
                {person.may_be_head && me.head && (
                    <button type="button" className="btn btn-quiet" onClick={() => onHandOver(person)}>
                        Make head coach
                    </button>
                )}
                {!person.closed && (
                    <>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() =>
                                void api('POST', `/api/people/${person.id}/new-password`).then(
                                    (token) =>
                                        onMade({
                                            token,
                                            path: '/join',
                                            whom: `${person.name}, to set a new password within two hours`,
                                        }),
                                    onProblem,
                                )
                            }
                        >
                            New password
                        </button>
                        {!person.head && (
                            <button type="button" className="btn btn-quiet" onClick={onClose}>
                                Close account
                            </button>
                        )}
                    </>
                )}
            </td>
        </tr>
    );
}

/** A clinician’s account counts once two people compared a code in the same room. */
function Confirm({ of, onClose }: { of: Person | null; onClose: () => void }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    return (
        <Sheetlet open={of !== null} onClose={onClose} title={`Confirm ${of?.name ?? ''}`}>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const code = typed(new FormData(event.currentTarget), 'code');
                    api('POST', `/api/people/${of?.id}/confirm`, { code }).then((answer) => {
                        queries.setQueryData(['people'], answer);
                        onClose();
                    }, setProblem);
                }}
            >
                <p>
                    In the same room: {of?.name} signs in and opens their name at the top; six digits stand there. Type
                    them here. From then on this account’s clearances count.
                </p>
                <LabelledInput label="The six digits" name="code" inputMode="numeric" autoComplete="off" required />
                <Notice problem={problem} />
                <button className="btn btn-main">Confirm</button>
            </form>
        </Sheetlet>
    );
}

function HandOver({ to, onClose }: { to: Person | null; onClose: () => void }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    return (
        <Sheetlet open={to !== null} onClose={onClose} title={`Make ${to?.name ?? ''} head coach`}>
            <p>
                {to?.name} then invites and confirms clinicians, and hands the club on. You stay a coach of the whole
                club. Only {to?.name} can give it back.
            </p>
            <Notice problem={problem} />
            <button
                type="button"
                className="btn btn-main mt-3"
                onClick={() => {
                    api('POST', `/api/people/${to?.id}/hand-over`).then(() => {
                        onClose();
                        return queries.invalidateQueries();
                    }, setProblem);
                }}
            >
                Hand the club over
            </button>
        </Sheetlet>
    );
}

function Squads({ of, onProblem }: { of: People; onProblem: (problem: unknown) => void }) {
    const queries = useQueryClient();
    return (
        <section aria-label="Squads" className="mt-8">
            <h2 className="text-base">Squads</h2>
            <ul>
                {of.squads.map((squad) => (
                    <SquadRow key={squad.id} squad={squad} onProblem={onProblem} />
                ))}
            </ul>
            <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2">
                <form
                    className="flex items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = event.currentTarget;
                        api('POST', '/api/squads', { name: typed(new FormData(form), 'name'), school: null }).then(
                            () => {
                                form.reset();
                                onProblem(null);
                                return queries.invalidateQueries();
                            },
                            onProblem,
                        );
                    }}
                >
                    <LabelledInput label="Another squad" name="name" required placeholder="its name" />
                    <button className="btn">Add</button>
                </form>
                <label className="flex items-center gap-2">
                    <input
                        type="checkbox"
                        checked={of.asks_wellness}
                        onChange={(event) => {
                            api('POST', '/api/people/settings', {
                                asks_wellness: event.target.checked,
                            }).then((answer) => queries.setQueryData(['people'], answer), onProblem);
                        }}
                    />
                    Personal pages ask for sleep, energy and illness
                </label>
            </div>
        </section>
    );
}

function Links({ links, onTakeBack }: { links: People['links']; onTakeBack: (id: number) => void }) {
    return (
        <section aria-label="Links">
            <h2 className="text-base">Links that still work</h2>
            {links.length === 0 ? (
                <p className="text-soft">None.</p>
            ) : (
                <ul>
                    {links.map((link) => (
                        <li
                            key={link.id}
                            className="flex items-center justify-between gap-3 border-t border-line py-0.5"
                        >
                            <span>
                                {PURPOSES[link.purpose]}: {link.label}{' '}
                                <span className="text-sm text-soft">until {dayName(link.expires_on)}</span>
                            </span>
                            <button type="button" className="btn btn-quiet" onClick={() => onTakeBack(link.id)}>
                                Take back
                            </button>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

function WhoDidWhat({ audit }: { audit: People['audit'] }) {
    return (
        <section aria-label="Who did what">
            <h2 className="text-base">Who did what</h2>
            {audit.length === 0 && <p className="text-soft">Nothing yet.</p>}
            <ul className="max-h-[28rem] overflow-auto" tabIndex={0} aria-label="Entries, newest first">
                {audit.map((entry, i) => (
                    <li key={i} className="grid grid-cols-[8.5rem_1fr] gap-x-3 border-t border-line py-1 text-sm">
                        <span className="text-soft">
                            {dayName(entry.at.slice(0, 10))}, {entry.at.slice(11, 16)}
                        </span>
                        <span>
                            {entry.by}: {entry.what}
                            {entry.about ? `, ${entry.about}` : ''}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

function Invite({ of, onClose, onMade }: { of: People; onClose: () => void; onMade: (made: Made) => void }) {
    const queries = useQueryClient();
    const [role, setRole] = useState<Role>('assistant');
    const [problem, setProblem] = useState<unknown>(null);
    const seesSquads = role === 'coach' || role === 'assistant';
    return (
        <Sheetlet open onClose={onClose} title="Invite somebody">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    const name = typed(form, 'name');
                    api('POST', '/api/people/invitations', {
                        role,
                        name,
                        squads: seesSquads ? form.getAll('squads').map(Number) : [],
                        athletes: seesSquads ? [] : form.getAll('athletes').map(String),
                    }).then((token) => {
                        onClose();
                        onMade({ token, path: '/join', whom: name });
                        void queries.invalidateQueries({ queryKey: ['people'] });
                    }, setProblem);
                }}
            >
                <fieldset className="grid gap-1">
                    <legend className="label mb-1">As</legend>
                    {ROLES.map(([each, label, does]) => (
                        <label key={each} className="flex gap-2">
                            <input type="radio" name="role" checked={role === each} onChange={() => setRole(each)} />
                            <span>
                                <span className="head">{label}</span> <span className="text-soft">{does}</span>
                            </span>
                        </label>
                    ))}
                </fieldset>
                <LabelledInput label="Name" name="name" required />
                <Whom of={of} seesSquads={seesSquads} />
                <Notice problem={problem} />
                <button className="btn btn-main">Make the link</button>
            </form>
        </Sheetlet>
    );
}

function Whom({ of: { squads, athletes }, seesSquads }: { of: People; seesSquads: boolean }) {
    return seesSquads ? (
        <fieldset>
            <legend className="label mb-1">Squads</legend>
            {squads.map((squad) => (
                <label key={squad.id} className="flex gap-2">
                    <input type="checkbox" name="squads" value={squad.id} defaultChecked={squads.length === 1} />
                    {squad.name}
                </label>
            ))}
        </fieldset>
    ) : (
        <fieldset>
            <legend className="label mb-1">Whose records</legend>
            <div className="grid grid-cols-2 gap-x-4">
                {athletes.map((athlete) => (
                    <label key={athlete.id} className="flex gap-2">
                        <input type="checkbox" name="athletes" value={athlete.id} />
                        {athlete.name}
                    </label>
                ))}
            </div>
        </fieldset>
    );
}
