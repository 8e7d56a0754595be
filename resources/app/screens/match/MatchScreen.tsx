import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { ArrowLeft } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { api, type MatchCount } from '../../api/client';
import { nowWithOffset, percent } from '../../api/words';
import { own } from '../../offline/person';
import { recall, remember } from '../../offline/place';
import { answerOrKept, type KeptWork, keepWork, newId, type Work, workOf } from '../../offline/store';
import { useKept } from '../../offline/useKept';
import { tightest } from '../../rules/bounds';
import { Opens } from '../../parts/Opens';
import { useAwake } from '../../parts/useAwake';
import { useNow } from '../../parts/useNow';
import { Waiting } from '../../parts/Waiting';
import { clsx } from 'clsx';

/** The match that runs, on this device: its taps in order, and when the last one ended. */
type Count = { taps: string[]; ended: number | null };
const EMPTY: Count = { taps: [], ended: null };

/** Match: how many has she done, how many are left? */
export function MatchScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/match' });
    useAwake();
    const query = useQuery({
        queryKey: ['match', athleteId],
        queryFn: () =>
            answerOrKept(`/api/athletes/${athleteId}/match`, () => api('GET', `/api/athletes/${athleteId}/match`)),
    });
    if (!query.data) return <Waiting query={query} what="the match" />;
    return <Counting pack={query.data} athleteId={athleteId} />;
}

function Counting({ pack, athleteId }: { pack: MatchCount; athleteId: string }) {
    const match = useMatch(pack, athleteId);
    const { count, kept, unsent } = match;
    return (
        <main className="courtside flex min-h-dvh flex-col bg-chalk text-ink">
            <Header pack={pack} athleteId={athleteId} />
            <div className="mx-auto grid w-full max-w-3xl gap-3 p-3">
                <p className="text-soft">
                    Each counts at {percent(pack.effort)}. What was done today counts already.
                    {count.ended !== null && count.taps.length === 0 ? (
                        <>
                            {' '}
                            The last match ended <Ago since={count.ended} /> ago.
                        </>
                    ) : null}
                </p>
                {pack.skills.length === 0 && (
                    <p className="text-lg">
                        {pack.athlete.given_name} stands on no ladder, and no match is declared for today: nothing to
                        count. Declare the match under Plan, or log the work on the athlete’s page.
                    </p>
                )}
                {pack.skills.map((skill) => (
                    <SkillRow key={skill.id} skill={skill} match={match} />
                ))}
                <div className="grid grid-cols-2 gap-2">
                    <button type="button" className="btn thumb" disabled={count.taps.length === 0} onClick={match.undo}>
                        Undo
                    </button>
                    <button
                        type="button"
                        className="btn thumb"
                        disabled={count.taps.length === 0}
                        onClick={() => void match.keep()}
                    >
                        Match over: keep it
                    </button>
                </div>
                {unsent.length > 0 && (
                    <p role="status" className="border-l-4 border-tape pl-2">
                        {unsent.reduce((all, each) => all + each.reps, 0)} repetitions lie on this device and are sent
                        when the connection is back.
                    </p>
                )}
                {kept && unsent.length === 0 && (
                    <p role="status" className="border-l-4 border-full pl-2">
                        Saved as load of today. Cool down, and ask: anything sore, and where?
                    </p>
                )}
            </div>
        </main>
    );
}

const NOTHING_KEPT: KeptWork[] = [];

/** What was kept on this device of this athlete’s work of a day, sent or not. */
function useKeptWork(athleteId: string, day: string): KeptWork[] {
    const read = useCallback(
        async () => (await workOf(athleteId)).filter((each) => each.work.day === day),
        [athleteId, day],
    );
    return useKept(read, NOTHING_KEPT);
}

/** The gap since the last match of the day. */
function Ago({ since }: { since: number }) {
    const now = useNow(30_000);
    const minutes = Math.max(0, Math.round((now - since) / 60_000));
    return <>{minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`}</>;
}

/** The match that runs: its taps, what was kept, and how many are left of each skill. */
function useMatch(pack: MatchCount, athleteId: string) {
    const queries = useQueryClient();
    const key = own(`match-${athleteId}-${pack.date}`);
    const [count, setCount] = useState<Count>(() => (JSON.parse(recall(key) ?? 'null') as Count | null) ?? EMPTY);
    const [kept, setKept] = useState(false);
    const write = (next: Count): void => {
        remember(key, JSON.stringify(next));
        setCount(next);
    };
    const done = (skill: string): number => count.taps.filter((each) => each === skill).length;
    const tap = (skill: string): void => {
        setKept(false);
        navigator.vibrate?.(15);
        write({ ...count, taps: [...count.taps, skill] });
    };
    const mine = useKeptWork(athleteId, pack.date);
    const unsent = mine.filter((each) => each.sending === 'waiting').map((each) => each.work);
    // Taken off here until the bounds that were asked know of it.
    const pending = mine
        .filter((each) => each.sending !== 'refused' && !pack.logged.includes(each.id))
        .map((each) => each.work);
    const keep = async (): Promise<void> => {
        const work = [...new Set(count.taps)].map((skill): Work => ({
            id: newId(),
            day: pack.date,
            at: nowWithOffset(),
            source: 'match',
            skill: skill,
            reps: done(skill),
            felt: 'hard',
            distance_m: null,
            side: 'dominant',
            fixture: pack.match_id,
        }));
        write({ taps: [], ended: Date.now() });
        await keepWork(athleteId, work);
        setKept(true);
    };
    const arrived = pending.length > 0 && unsent.length === 0;
    useEffect(() => {
        if (arrived) void queries.invalidateQueries();
    }, [arrived, queries]);
    const cost = (of: MatchCount['skills'][number], limitId: string): number =>
        of.costs.find((each) => each.limit_id === limitId)?.per_rep ?? 0;
    const here = (skill: string): number =>
        done(skill) + pending.filter((each) => each.skill === skill).reduce((all, each) => all + each.reps, 0);
    const left = (skill: MatchCount['skills'][number]): { reps: number; label: string; full: string } | null => {
        const first = tightest(
            pack.bounds,
            (limitId) => cost(skill, limitId),
            (limitId) => pack.skills.reduce((sum, each) => sum + here(each.id) * cost(each, limitId), 0),
        );
        return first && { reps: first.repsLeft, label: first.bound.label.toLowerCase(), full: first.bound.full };
    };
    return {
        count,
        kept,
        unsent,
        done,
        left,
        tap,
        undo: () => write({ ...count, taps: count.taps.slice(0, -1) }),
        keep,
    };
}

function SkillRow({ skill, match }: { skill: MatchCount['skills'][number]; match: ReturnType<typeof useMatch> }) {
    const more = match.left(skill);
    const stopped =
        skill.blocked ?? (more?.reps === 0 ? `${more.label} is used up. This is a hard limit: off the court.` : null);
    return (
        <section
            aria-label={skill.name}
            className={clsx(
                'grid grid-cols-[6rem_1fr] items-center gap-x-4 gap-y-1 border-y-2 py-2',
                'sm:grid-cols-[8rem_1fr_14rem]',
                stopped ? 'border-stop' : 'border-ink',
            )}
        >
            <p className="figure text-6xl" data-testid={`count-${skill.id}`}>
                {match.done(skill.id)}
            </p>
            <div>
                <h2 className="text-lg">{skill.name}</h2>
                <p className={stopped ? 'head text-stop' : ''} role={stopped ? 'alert' : undefined}>
                    {stopped ??
                        (more === null ? (
                            <span className="text-soft">No limit counts this work.</span>
                        ) : (
                            <>
                                <strong>{more.reps} left.</strong> <span className="text-soft">Then {more.full}.</span>
                            </>
                        ))}
                </p>
            </div>
            <button
                type="button"
                className={`btn col-span-2 text-2xl sm:col-span-1 ${stopped ? '' : 'btn-main'}`}
                style={{ minHeight: '5.5rem' }}
                onClick={() => match.tap(skill.id)}
            >
                {stopped ? 'One was done: record it' : 'Count one'}
            </button>
        </section>
    );
}

function Header({ pack, athleteId }: { pack: MatchCount; athleteId: string }) {
    return (
        <header className="flex items-center gap-1 border-b-2 border-ink px-2">
            <Link
                to="/athletes/$athleteId"
                params={{ athleteId }}
                aria-label="Back to the athlete"
                className="grid h-14 w-11 place-items-center"
            >
                <ArrowLeft aria-hidden />
            </Link>
            <h1 className="truncate text-xl">
                {pack.athlete.given_name}: {pack.title}
            </h1>
            <span className="grow" />
            {pack.emergency && (
                <Opens
                    label={`Emergency: whom to call for ${pack.athlete.given_name}`}
                    className="btn btn-quiet min-h-12"
                    content={<p className="whitespace-pre-line text-lg">{pack.emergency}</p>}
                >
                    SOS
                </Opens>
            )}
        </header>
    );
}
