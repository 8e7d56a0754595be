import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type MatchTeam } from '../../api/client';
import { dayName } from '../../api/words';
import { answerOrKept } from '../../offline/store';
import { AskWhy } from '../../parts/AskWhy';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { PlayerRow } from './PlayerRow';
import { useTeamCount } from './useTeamCount';

/** A match of the squad: who plays, and one screen to count the whole team on, without a connection too. */
export function TeamScreen() {
    const { fixtureId } = useParams({ from: '/frame/matches/$fixtureId' });
    const query = useQuery({
        queryKey: ['team', fixtureId],
        queryFn: () =>
            answerOrKept(`/api/fixtures/${fixtureId}/team`, () => api('GET', `/api/fixtures/${fixtureId}/team`)),
    });
    if (!query.data) return <Waiting query={query} what="the match" />;
    return <Team team={query.data} />;
}

function Team({ team }: { team: MatchTeam }) {
    const me = useMe();
    const queries = useQueryClient();
    const [naming, setNaming] = useState(!team.lined_up && team.day >= team.date);
    const [problem, setProblem] = useState<unknown>(null);
    const count = useTeamCount(team);
    const isOn = team.day <= team.date;
    const shown = naming ? team.players : team.players.filter((each) => each.plays);
    const [leaving, setLeaving] = useState<string[] | null>(null);
    const isOver = team.day < team.date;
    // What was asked for and not answered yet: the next touch goes on from there.
    const [asked, setAsked] = useState<string[] | null>(null);
    const lineUp = (athletes: string[], reason: string | null = null): void => {
        setAsked(athletes);
        api('PUT', `/api/fixtures/${team.id}/line-up`, { athletes, reason })
            .then(async (next) => {
                setProblem(null);
                setLeaving(null);
                // A look that began before this was kept knows nothing of it.
                await queries.cancelQueries({ queryKey: ['team', team.id] });
                queries.setQueryData(['team', team.id], next);
                void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'team' });
            }, setProblem)
            .finally(() => setAsked((last) => (last === athletes ? null : last)));
    };
    const toggle = (id: string): void => {
        const kept = team.lined_up ? team.players.filter((each) => each.plays).map((each) => each.athlete.id) : [];
        const now = asked ?? kept;
        const left = now.filter((each) => each !== id);
        if (!now.includes(id)) lineUp([...now, id]);
        else if (isOver) setLeaving(left);
        else lineUp(left);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <h1 className="text-2xl">
                    {team.title}, {dayName(team.day)} {team.starts_at}
                </h1>
                <Link to="/calendar" className="opens head">
                    Calendar
                </Link>
                <span className="hidden grow sm:block" />
                {me.decides && (
                    <button type="button" className="btn" onClick={() => setNaming(!naming)}>
                        {naming ? 'Line-up named' : 'Change the line-up'}
                    </button>
                )}
            </header>
            <Notice problem={problem} />
            <p className="max-w-prose pb-2 text-soft">{about(team, naming)}</p>
            <ul className="max-w-4xl border-t-2 border-ink">
                {shown.map((player) => (
                    <PlayerRow
                        key={player.athlete.id}
                        player={player}
                        team={team}
                        count={isOn && !naming ? count : null}
                        onToggle={naming && me.decides ? () => toggle(player.athlete.id) : null}
                    />
                ))}
            </ul>
            {shown.length === 0 && <p className="py-6 text-soft">Nobody plays. Change the line-up.</p>}
            {isOn && !naming && (
                <p className="sticky bottom-0 mt-3 grid grid-cols-2 gap-2 bg-chalk py-2 sm:max-w-xl">
                    <button type="button" className="btn thumb" disabled={count.total === 0} onClick={count.undo}>
                        Undo
                    </button>
                    <button
                        type="button"
                        className="btn btn-main thumb"
                        disabled={count.total === 0}
                        onClick={() => void count.keep()}
                    >
                        Match over: save {count.total}
                    </button>
                </p>
            )}
            <AskWhy
                open={leaving !== null}
                onClose={() => setLeaving(null)}
                title="Not in the match after all"
                act="Take out"
                problem={problem}
                onSay={(why) => lineUp(leaving ?? [], why)}
            >
                What was expected of them goes: there is more room since, and Today says so for a week.
            </AskWhy>
            {count.waiting > 0 && (
                <p role="status" className="border-l-4 border-tape pl-2">
                    {count.waiting} repetitions lie on this device and are sent when the connection is back.
                </p>
            )}
            {count.saved && count.waiting === 0 && (
                <p role="status" className="border-l-4 border-full pl-2">
                    Saved as load of {dayName(team.day)}. Cool down, and ask: anything sore, and where?
                </p>
            )}
        </main>
    );
}

function about(team: MatchTeam, naming: boolean): string {
    if (naming)
        return team.lined_up
            ? 'Only who plays is charged with the match and keeps the days before it light. A substitute plays.'
            : 'Nobody has said who plays, so it counts for everybody of the squad. Touch who does.';
    return team.day > team.date
        ? 'What each is expected to do, from their own last matches. It stands in every plan until it is counted.'
        : 'Touch the skill for each repetition. What nobody counts stands as expected until somebody does.';
}
