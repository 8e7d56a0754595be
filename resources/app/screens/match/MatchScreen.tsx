import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { ArrowLeft } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api, type MatchCount } from '../../api/client';
import { percent } from '../../api/words';
import { answerOrKept, newId } from '../../offline/store';
import { tightest } from '../../parts/bounds';
import { Loading, Notice } from '../../parts/Notice';
import { Opens } from '../../parts/Opens';
import { useAwake } from '../../parts/useAwake';

type Entry = { id: string; skill: string; reps: number };
/** What was counted on this device: taps of the match that runs, in order, and what of earlier ones has not arrived yet. */
type Count = { taps: string[]; unsent: Entry[]; ended: number | null };
const EMPTY: Count = { taps: [], unsent: [], ended: null };
const done = (count: Count, skill: string): number => count.taps.filter((each) => each === skill).length;

/** Match: how many has she done, how many are left? */
export function MatchScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/match' });
    useAwake();
    const query = useQuery({ queryKey: ['match', athleteId], queryFn: () => answerOrKept<MatchCount>(`/api/athletes/${athleteId}/match`) });
    if (query.error && !query.data) return <main className="p-6"><Notice problem={query.error}><button type="button" className="btn mt-2" onClick={() => void query.refetch()}>Try again</button></Notice></main>;
    if (!query.data) return <main><Loading what="the match" /></main>;
    return <Counting pack={query.data} athleteId={athleteId} />;
}

function Counting({ pack, athleteId }: { pack: MatchCount; athleteId: string }) {
    const queries = useQueryClient();
    const key = `augendo-match-${athleteId}-${pack.date}`;
    const [count, setCount] = useState<Count>(() => JSON.parse(localStorage.getItem(key) ?? 'null') as Count | null ?? EMPTY);
    const [problem, setProblem] = useState<unknown>(null);
    const [kept, setKept] = useState(false);
    // A tap may come while an earlier match is being sent: every change starts from what is there now.
    const latest = useRef(count);
    const write = (change: (now: Count) => Count): void => { latest.current = change(latest.current); localStorage.setItem(key, JSON.stringify(latest.current)); setCount(latest.current); };
    const tap = (skill: string): void => { setKept(false); navigator.vibrate?.(15); write((now) => ({ ...now, taps: [...now.taps, skill] })); };
    const keep = async (): Promise<void> => {
        // An entry never grows once it was tried to be sent: its answer may be what got lost.
        write((now) => ({ taps: [], unsent: [...now.unsent, ...[...new Set(now.taps)].map((skill) => ({ id: newId(), skill, reps: done(now, skill) }))], ended: Date.now() }));
        const sending = latest.current.unsent;
        try {
            for (const entry of sending) await api('POST', `/api/athletes/${athleteId}/logged-work`, { ...entry, day: pack.date, source: 'match', felt: 'hard', distance_m: null, side: 'dominant' });
            // What is left is asked anew before the entries go from here: at no moment does it look like more.
            await queries.invalidateQueries();
            write((now) => ({ ...now, unsent: now.unsent.filter((entry) => !sending.includes(entry)) }));
            setProblem(null);
            setKept(true);
        } catch (error) {
            setProblem(error);
        }
    };
    const cost = (of: MatchCount['skills'][number], limitId: string): number => of.costs.find((each) => each.limit_id === limitId)?.per_rep ?? 0;
    const here = (skill: string): number => done(count, skill) + count.unsent.filter((entry) => entry.skill === skill).reduce((all, entry) => all + entry.reps, 0);
    const left = (skill: MatchCount['skills'][number]): { reps: number; label: string } | null => {
        const first = tightest(pack.bounds, (limitId) => cost(skill, limitId), (limitId) => pack.skills.reduce((sum, each) => sum + here(each.id) * cost(each, limitId), 0));
        return first && { reps: first.repsLeft, label: first.bound.label.toLowerCase() };
    };
    return (
        <main className="courtside flex min-h-dvh flex-col bg-chalk text-ink">
            <header className="flex items-center gap-1 border-b-2 border-ink px-2">
                <Link to="/athletes/$athleteId" params={{ athleteId }} aria-label="Back to the athlete" className="grid h-14 w-11 place-items-center"><ArrowLeft aria-hidden /></Link>
                <h1 className="truncate text-xl">{pack.athlete.given_name}: {pack.title}</h1><span className="grow" />
                {pack.emergency && <Opens label={`Emergency: whom to call for ${pack.athlete.given_name}`} className="btn btn-quiet min-h-12" content={<p className="whitespace-pre-line text-lg">{pack.emergency}</p>}>SOS</Opens>}
            </header>
            <div className="mx-auto grid w-full max-w-3xl gap-3 p-3">
                <p className="text-soft">Each counts at {percent(pack.effort)}. What was done today counts already.{count.ended !== null && count.taps.length === 0 ? <> The last match ended <Ago since={count.ended} /> ago.</> : null}</p>
                {pack.skills.length === 0 && <p className="text-lg">{pack.athlete.given_name} stands on no ladder, and no match is declared for today: nothing to count. Declare the match under Plan, or log the work on the athlete’s page.</p>}
                {pack.skills.map((skill) => {
                    const more = left(skill);
                    const stopped = skill.blocked ?? (more?.reps === 0 ? `${more.label} is used up. This is a hard limit: off the court.` : null);
                    return (
                        <section key={skill.id} aria-label={skill.name} className={`grid grid-cols-[6rem_1fr] items-center gap-x-4 gap-y-1 border-y-2 py-2 sm:grid-cols-[8rem_1fr_14rem] ${stopped ? 'border-stop' : 'border-ink'}`}>
                            <p className="figure text-6xl" data-testid={`count-${skill.id}`}>{done(count, skill.id)}</p>
                            <div><h2 className="text-lg">{skill.name}</h2><p className={stopped ? 'head text-stop' : ''} role={stopped ? 'alert' : undefined}>{stopped ?? (more === null ? <span className="text-soft">No limit binds.</span> : <><strong>{more.reps} more</strong> <span className="text-soft">until {more.label} stops</span></>)}</p></div>
                            <button type="button" className={`btn col-span-2 text-2xl sm:col-span-1 ${stopped ? '' : 'btn-main'}`} style={{ minHeight: '5.5rem' }} onClick={() => tap(skill.id)}>{stopped ? 'One was done: record it' : 'Count one'}</button>
                        </section>
                    );
                })}
                <div className="grid grid-cols-2 gap-2"><button type="button" className="btn thumb" disabled={count.taps.length === 0} onClick={() => write((now) => ({ ...now, taps: now.taps.slice(0, -1) }))}>Undo</button><button type="button" className="btn thumb" disabled={count.taps.length === 0 && count.unsent.length === 0} onClick={() => void keep()}>{count.taps.length === 0 && count.unsent.length > 0 ? 'Send again' : 'Match over: keep it'}</button></div>
                {count.unsent.length > 0 && <p role="status" className="border-l-4 border-tape pl-2">{count.unsent.reduce((all, entry) => all + entry.reps, 0)} repetitions lie on this device and are not sent yet.</p>}
                <Notice problem={problem} />
                {kept && <p role="status" className="border-l-4 border-full pl-2">Kept as load of today. Cool down, and ask: anything sore, and where?</p>}
            </div>
        </main>
    );
}

/** The gap since the last match of the day. */
function Ago({ since }: { since: number }) {
    const [now, setNow] = useState(Date.now());
    useEffect(() => {
        const timer = window.setInterval(() => setNow(Date.now()), 30_000);
        return () => window.clearInterval(timer);
    }, []);
    const minutes = Math.max(0, Math.round((now - since) / 60_000));
    return <>{minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`}</>;
}
