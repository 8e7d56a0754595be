import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { clsx } from 'clsx';
import { api, type Plan } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';
import { DoseFields } from '../../parts/DoseFields';
import { figure, typed } from '../../parts/forms';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';

type Fixture = Body<'POST', `/api/squads/${number}/fixtures`>;
type Kind = Fixture['kind'];
type Dose = Fixture['doses'][number];

/** How many kinds of work one entry may name. */
const MOST_DOSES = 6;

const KINDS: Record<Kind, { name: string; startsAt: string; say: string }> = {
    match: { name: 'Match', startsAt: '15:00', say: 'Its work is kept free: the days before give way.' },
    elsewhere: {
        name: 'Training elsewhere',
        startsAt: '17:00',
        say: 'Counts as expected until somebody says otherwise.',
    },
    beside: {
        name: 'Strength, bands, sprints',
        startsAt: '18:00',
        say: 'Shares arm and landings with the sessions. Ticked when done, on the athlete’s page or their own.',
    },
};

/** Who of the squad stands on a ladder, by name. */
export const everybody = (plan: Plan): Plan['without'] =>
    [...plan.without, ...plan.seasons.map((season) => season.athlete)].sort((a, b) => a.name.localeCompare(b.name));

const blank = (plan: Plan, kind: Kind): Dose => ({
    skill: (kind === 'beside' ? plan.beside : plan.skills)[0]?.id ?? 'jump',
    reps: 0,
    felt: kind === 'beside' ? 'middling' : 'hard',
});

/** A day fixed beside the sessions, with the work it is expected to take. */
export function FixtureForm({ plan, open, onClose }: { plan: Plan; open: boolean; onClose: () => void }) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    const id = useRef(newId());
    const [kind, setKind] = useState<Kind>('match');
    const [doses, setDoses] = useState<Dose[]>([blank(plan, 'match')]);
    const [problem, setProblem] = useState<unknown>(null);
    const become = (next: Kind): void => {
        setKind(next);
        if ((next === 'beside') !== (kind === 'beside')) setDoses([blank(plan, next)]);
    };
    const save = (form: FormData): void => {
        const fixtureId = id.current;
        const isOver = typed(form, 'day') < plan.date;
        api('POST', `/api/squads/${plan.squad.id}/fixtures`, {
            id: fixtureId,
            kind,
            athlete_id: typed(form, 'athlete') || null,
            day: typed(form, 'day'),
            weeks: figure(form, 'weeks') ?? 1,
            starts_at: typed(form, 'starts_at'),
            title: typed(form, 'title'),
            doses,
        }).then(() => {
            id.current = newId();
            setProblem(null);
            setDoses([blank(plan, kind)]);
            onClose();
            // One that is over is on no list ahead: who was in it, and what it took, is said on its page.
            if (isOver) void navigate({ to: '/matches/$fixtureId', params: { fixtureId } });
            return queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <Sheetlet open={open} onClose={onClose} title="A match, or work beside the sessions">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    save(new FormData(event.currentTarget));
                }}
            >
                <WhatItIs kind={kind} onChange={become} />
                <p className="text-sm text-soft">{KINDS[kind].say}</p>
                <div className="grid grid-cols-[1fr_1fr_6rem] gap-2">
                    <LabelledInput
                        label="Day"
                        type="date"
                        name="day"
                        required
                        min={kind === 'match' ? plan.matches_from : plan.date}
                    />
                    <LabelledInput
                        key={kind}
                        label="Starts at"
                        type="time"
                        name="starts_at"
                        required
                        defaultValue={KINDS[kind].startsAt}
                    />
                    <LabelledInput label="Weeks in a row" name="weeks" inputMode="numeric" defaultValue="1" />
                </div>
                <div className="grid grid-cols-2 gap-2">
                    <LabelledInput label="What it is called" name="title" required />
                    <Labelled label="For whom">
                        <select className="field" name="athlete">
                            <option value="">the whole squad</option>
                            <Options of={everybody(plan)} />
                        </select>
                    </Labelled>
                </div>
                {doses.map((dose, nth) => (
                    <OneDose
                        key={nth}
                        skills={kind === 'beside' ? plan.beside : plan.skills}
                        dose={dose}
                        onChange={(next) => setDoses(doses.map((each, at) => (at === nth ? next : each)))}
                        onRemove={doses.length > 1 ? () => setDoses(doses.filter((_, at) => at !== nth)) : null}
                    />
                ))}
                {doses.length < MOST_DOSES && (
                    <button
                        type="button"
                        className="btn btn-quiet justify-self-start"
                        onClick={() => setDoses([...doses, blank(plan, kind)])}
                    >
                        And also
                    </button>
                )}
                <Notice problem={problem} />
                <button className="btn btn-main">Save</button>
            </form>
        </Sheetlet>
    );
}

function OneDose({
    skills,
    dose,
    onChange,
    onRemove,
}: {
    skills: Plan['skills'];
    dose: Dose;
    onChange: (dose: Dose) => void;
    onRemove: (() => void) | null;
}) {
    return (
        <fieldset className="grid gap-2 border-t border-line pt-2">
            <legend className="sr-only">Expected work</legend>
            <DoseFields dose={dose} skills={skills} most={400} label="Expected work, each" onChange={onChange} />
            {onRemove && (
                <button type="button" className="btn btn-quiet justify-self-start" onClick={onRemove}>
                    Take it away
                </button>
            )}
        </fieldset>
    );
}

function WhatItIs({ kind, onChange }: { kind: Kind; onChange: (kind: Kind) => void }) {
    return (
        <div role="group" aria-label="What it is" className="grid grid-cols-2 gap-1.5">
            {(Object.keys(KINDS) as Kind[]).map((each) => (
                <button
                    key={each}
                    type="button"
                    aria-pressed={kind === each}
                    className={clsx('btn last:col-span-2', kind === each && 'btn-main')}
                    onClick={() => onChange(each)}
                >
                    {KINDS[each].name}
                </button>
            ))}
        </div>
    );
}
