import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Skills } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { SkillsAsk } from './SkillsAsk';
import { SkillsGrid } from './SkillsGrid';

/** What is asked of one skill. */
export type SkillAsked = {
    ladder: string;
    version: number | null;
    goal_rung: string | null;
    goal_on: string;
    weekdays: number[];
    minutes: number | null;
};

/** What is asked of all of them, in the coach’s order. */
export type Asked = { evenly: boolean; skills: SkillAsked[] };

const askedOf = (plan: Skills): Asked => ({
    evenly: plan.evenly,
    skills: plan.skills.map(({ ladder, version, goal_rung, goal_on, weekdays, minutes }) => ({
        ladder,
        version,
        goal_rung,
        goal_on,
        weekdays,
        minutes,
    })),
});

/** What does each skill get of one arm, and what does it give up for the others? */
export function SkillsScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/skills' });
    const kept = useQuery({
        queryKey: ['skills', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/skills`),
        refetchOnWindowFocus: false,
    });
    if (!kept.data) return <Waiting query={kept} what="the plan of all skills" />;
    const versions = kept.data.skills.map((each) => `${each.ladder} ${each.version ?? 'new'}`).join();
    return <Together key={versions} kept={kept.data} />;
}

function Together({ kept }: { kept: Skills }) {
    const me = useMe();
    const { plan, asked, set, undo, changed, waiting, problem, save } = useTogether(kept);
    const add = ({ ladder, goal_rung, goal_on, weekdays }: Skills['others'][number]): void =>
        set({
            ...asked,
            skills: [...asked.skills, { ladder, version: null, goal_rung, goal_on, weekdays, minutes: null }],
        });
    return (
        <main className="one-page px-4 pb-10 sm:px-6 print:[zoom:0.58]!">
            <Header
                plan={plan}
                maySave={me.decides && (changed || !plan.kept)}
                waiting={waiting}
                onUndo={undo}
                onSave={save}
            />
            <Notice problem={problem} />
            {plan.skills.length === 0 && (
                <p className="border-t-2 border-ink py-8 text-soft">
                    On no ladder yet.{' '}
                    <Link
                        to="/athletes/$athleteId/intake"
                        params={{ athleteId: plan.athlete.id }}
                        className="underline"
                    >
                        Place {plan.athlete.given_name} first, under Intake.
                    </Link>
                </p>
            )}
            <SkillsAsk plan={plan} asked={asked} editable={me.decides} onSet={set} onAdd={add} />
            {plan.skills.length > 0 && (
                <div className={waiting ? 'opacity-60' : ''}>
                    <Told plan={plan} />
                    <SkillsGrid plan={plan} />
                    <section aria-label="Cautions" className="mt-6 max-w-prose text-soft">
                        <p>
                            No day of this plan stands over a hard limit, all skills together; it was simulated from the
                            real record. It is a plan, not a permission: the day’s word, a clearance and the gates
                            decide when the day comes.
                        </p>
                        <ul className="mt-1 list-disc pl-5">
                            {plan.cautions.map((each) => (
                                <li key={each}>{each}</li>
                            ))}
                        </ul>
                    </section>
                </div>
            )}
        </main>
    );
}

/** What is asked as it is changed here, and the plan that comes of it. */
function useTogether(kept: Skills) {
    const queries = useQueryClient();
    const start = askedOf(kept);
    const [asked, setAsked] = useState(start);
    const [past, setPast] = useState<Asked[]>([]);
    const [refused, setRefused] = useState<unknown>(null);
    const changed = JSON.stringify(asked) !== JSON.stringify(start);
    const athleteId = kept.athlete.id;
    const draft = useQuery({
        queryKey: ['skills-look', athleteId, asked],
        queryFn: () => api('POST', `/api/athletes/${athleteId}/skills/draft`, asked),
        enabled: changed,
        placeholderData: keepPreviousData,
        retry: false,
        staleTime: 60_000,
    });
    const set = (now: Asked): void => {
        setRefused(null);
        setPast([...past, asked]);
        setAsked(now);
    };
    const last = past.at(-1);
    const undo =
        last === undefined
            ? null
            : (): void => {
                  setAsked(last);
                  setPast(past.slice(0, -1));
              };
    const save = async (): Promise<void> => {
        try {
            const answer = await api('PUT', `/api/athletes/${athleteId}/skills`, asked);
            queries.setQueryData(['skills', athleteId], answer);
            await queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'skills' });
        } catch (error) {
            setRefused(error);
        }
    };
    return {
        plan: changed ? (draft.data ?? kept) : kept,
        asked,
        set,
        undo,
        changed,
        waiting: changed && draft.isFetching,
        problem: refused ?? (changed ? draft.error : null),
        save,
    };
}

function Header({
    plan,
    maySave,
    waiting,
    onUndo,
    onSave,
}: {
    plan: Skills;
    maySave: boolean;
    waiting: boolean;
    onUndo: (() => void) | null;
    onSave: () => Promise<void>;
}) {
    return (
        <header className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-ink py-3">
            <div>
                <p className="label">
                    <Link to="/athletes/$athleteId" params={{ athleteId: plan.athlete.id }} className="hover:underline">
                        {plan.athlete.name}
                    </Link>
                    , {plan.athlete.age ?? 'age not known'}
                </p>
                <h1 className="text-2xl">All skills in one plan</h1>
            </div>
            <span className="grow" />
            <p role="status" className="label pb-2">
                {waiting ? 'Simulating every day…' : ''}
            </p>
            {onUndo && (
                <button type="button" className="no-print btn btn-quiet" onClick={onUndo}>
                    Undo
                </button>
            )}
            <button type="button" className="no-print btn" onClick={() => window.print()}>
                Print
            </button>
            {maySave && plan.skills.length > 0 && (
                <button
                    type="button"
                    className="no-print btn btn-main"
                    disabled={waiting}
                    onClick={() => void onSave()}
                >
                    {plan.skills.length === 1 ? 'Save this season' : `Save these ${plan.skills.length} seasons`}
                </button>
            )}
        </header>
    );
}

function Told({ plan }: { plan: Skills }) {
    return (
        <div className="my-3 grid max-w-4xl gap-1">
            {plan.undivided && (
                <p className="border-l-4 border-reduced bg-page px-3 py-2 font-bold">{plan.undivided}</p>
            )}
            <p className="text-soft">{plan.chosen}</p>
            {plan.next_best && <p className="text-soft">{plan.next_best}</p>}
        </div>
    );
}
