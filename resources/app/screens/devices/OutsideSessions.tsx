import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Outside } from '../../api/client';
import { dayName } from '../../api/words';
import { newId, type Work } from '../../offline/store';
import { DoseFields } from '../../parts/DoseFields';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Waiting } from '../../parts/Waiting';

type Group = Outside['groups'][number];
type Dose = { skill: string; reps: number; felt: Work['felt'] };

/** So many readings are spoken of at a time. */
const AT_ONCE = 500;
const MOST_REPS = 1000;

const time = (atS: number): string =>
    new Date(1000 * atS).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false });

async function say(readings: string[], word: 'aside' | 'counts'): Promise<void> {
    for (let from = 0; from < readings.length; from += AT_ONCE) {
        await api('POST', '/api/devices/outside', { readings: readings.slice(from, from + AT_ONCE), word });
    }
}

/** What came in while nobody was training: shown, spoken of, and load until somebody does. */
export function OutsideSessions() {
    const queries = useQueryClient();
    const [told, setTold] = useState<Group | null>(null);
    const found = useQuery({ queryKey: ['outside'], queryFn: () => api('GET', '/api/devices/outside') });
    const aside = useMutation({
        mutationFn: (group: Group) => say(group.readings, 'aside'),
        onSettled: () => queries.invalidateQueries(),
    });
    if (!found.data) return <Waiting query={found} what="what came in outside the sessions" />;
    if (found.data.groups.length === 0) return null;
    return (
        <section aria-label="Outside the sessions" className="pt-6">
            <h2 className="text-lg">Outside the sessions</h2>
            <Notice problem={aside.error} />
            <ul className="border-t border-line">
                {found.data.groups.map((group) => (
                    <li
                        key={group.readings[0]}
                        className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-line py-2"
                    >
                        <span className="w-60">
                            <span className="head block">{group.device}</span>
                            <span className="label">
                                {dayName(group.day)}, {time(group.from_s)} to {time(group.until_s)}
                            </span>
                        </span>
                        <span className="min-w-60 flex-1">{group.said}</span>
                        <span className="flex gap-2">
                            {group.athlete_id !== null && group.kind === 'wrist_counter' && (
                                <button type="button" className="btn" onClick={() => setTold(group)}>
                                    It was work
                                </button>
                            )}
                            <button
                                type="button"
                                className="btn btn-quiet"
                                disabled={aside.isPending}
                                onClick={() => aside.mutate(group)}
                            >
                                It was none
                            </button>
                        </span>
                    </li>
                ))}
            </ul>
            <Sheetlet open={told !== null} onClose={() => setTold(null)} title={`Work of ${told?.athlete ?? ''}`}>
                {told && <ItWasWork key={told.readings[0]} group={told} onDone={() => setTold(null)} />}
            </Sheetlet>
        </section>
    );
}

/** What it was, how many and how hard: entered as work at home, and the readings are spoken of. */
function ItWasWork({ group, onDone }: { group: Group; onDone: () => void }) {
    const queries = useQueryClient();
    const [id] = useState(newId);
    const skills = useQuery({ queryKey: ['skills'], queryFn: () => api('GET', '/api/skills') });
    const [dose, setDose] = useState<Dose | null>(null);
    const first = skills.data?.[0]?.id ?? '';
    const shown = dose ?? { skill: first, reps: Math.min(MOST_REPS, group.readings.length), felt: null };
    const keep = useMutation({
        mutationFn: async () => {
            await api('POST', `/api/athletes/${group.athlete_id ?? ''}/logged-work`, {
                ...shown,
                id,
                day: group.day,
                source: 'home',
                distance_m: null,
                side: 'dominant',
            });
            const counted = group.readings.slice(0, shown.reps);
            if (counted.length > 0) await say(counted, 'counts');
            const none = group.readings.slice(shown.reps);
            if (none.length > 0) await say(none, 'aside');
        },
        onSuccess: onDone,
        onSettled: () => queries.invalidateQueries(),
    });
    if (!skills.data) return <Waiting query={skills} what="the skills" />;
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                keep.mutate();
            }}
        >
            <p className="max-w-prose">{group.said}</p>
            <DoseFields dose={shown} skills={skills.data} most={MOST_REPS} onChange={setDose} />
            <Notice problem={keep.error} />
            <button className="btn btn-main" disabled={keep.isPending}>
                Save
            </button>
        </form>
    );
}
