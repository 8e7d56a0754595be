import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { DRILL_WITH, LOADED_PARTS, type LoadedPart } from '../../parts/dose';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { PictureChoice } from '../../parts/PictureChoice';
import { Toggle } from '../../parts/Toggle';

/** As core `DrillReader` reads a club’s own drill. */
export type DrillDef = {
    id?: string;
    version?: number;
    name: string;
    about: string;
    with: string;
    for?: string[];
    purpose?: string;
    mends?: string;
    cue?: string;
    stop?: string;
    picture?: string;
    withdrawn?: boolean;
    seated?: boolean;
    dose: {
        block: string;
        title: string;
        text: string;
        skill: string;
        object: string;
        sets: number;
        reps: number;
        effort: number;
        distance_m?: number;
        hold_s?: number;
        loads?: LoadedPart[];
    };
};

export const NEW_DRILL: DrillDef = {
    name: '',
    about: 'practice',
    with: 'alone',
    dose: {
        block: 'part',
        title: '',
        text: '',
        skill: 'overhand-throw',
        object: 'nothing',
        sets: 2,
        reps: 6,
        effort: 0.3,
    },
};

const ABOUT = [
    ['practice', 'the skill itself'],
    ['warm_up', 'warming up'],
    ['footwork', 'footwork'],
    ['rehearsal', 'slow rehearsal'],
    ['scoring', 'keeping score'],
    ['strategy', 'reading the game'],
] as const;

/** What is not said is left out: empty texts and figures. */
function asSaid(drill: DrillDef): DrillDef {
    const said = Object.fromEntries(Object.entries(drill).filter(([, value]) => value !== '')) as DrillDef;
    const dose = Object.fromEntries(
        Object.entries({ ...drill.dose, title: drill.name }).filter(([, value]) => value !== undefined),
    );
    return { ...said, name: drill.name, dose: dose as DrillDef['dose'] };
}

/** One drill: why, how, with whom, its dose and what it loads. */
export function DrillForm({
    start,
    problem,
    busy,
    onSave,
    onCancel,
}: {
    start: DrillDef;
    problem: unknown;
    busy: boolean;
    onSave: (drill: DrillDef) => void;
    onCancel: () => void;
}) {
    const [drill, set] = useState(start);
    const text = (key: 'name' | 'purpose' | 'mends' | 'cue' | 'stop', label: string, required = false) => (
        <LabelledInput
            label={label}
            required={required}
            maxLength={300}
            value={drill[key] ?? ''}
            onChange={(event) => set({ ...drill, [key]: event.target.value })}
        />
    );
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                onSave(asSaid(drill));
            }}
        >
            {text('name', 'What it is called', true)}
            {text('purpose', 'Why it is done')}
            <Labelled label="Set-up, and what is done">
                <textarea
                    className="field"
                    rows={3}
                    required
                    maxLength={1000}
                    value={drill.dose.text}
                    onChange={(event) => set({ ...drill, dose: { ...drill.dose, text: event.target.value } })}
                />
            </Labelled>
            <div className="grid gap-3 sm:grid-cols-3">
                {text('mends', 'The fault it mends')}
                {text('cue', 'The short thought')}
                {text('stop', 'When to stop')}
            </div>
            <div className="grid gap-3 sm:grid-cols-2">
                <Labelled label="What it is about">
                    <select
                        className="field"
                        value={drill.about}
                        onChange={(event) => set({ ...drill, about: event.target.value })}
                    >
                        <Options of={ABOUT} />
                    </select>
                </Labelled>
                <Labelled label="Whom it takes">
                    <select
                        className="field"
                        value={drill.with}
                        onChange={(event) => set({ ...drill, with: event.target.value })}
                    >
                        <Options of={DRILL_WITH} />
                    </select>
                </Labelled>
            </div>
            <div>
                <span className="label block">What it looks like</span>
                <PictureChoice
                    label="What it looks like"
                    value={drill.picture}
                    onChange={(picture) => set({ ...drill, picture: picture ?? '' })}
                />
            </div>
            <Dose drill={drill} onChange={set} />
            <Loads drill={drill} onChange={set} />
            <div>
                <span className="label block">From a chair</span>
                <Toggle on={drill.seated ?? false} onChange={(seated) => set({ ...drill, seated })}>
                    can be done from a chair
                </Toggle>
            </div>
            <Notice problem={problem} />
            <div className="flex gap-2">
                <button className="btn btn-main" disabled={busy}>
                    Save
                </button>
                <button type="button" className="btn" onClick={onCancel}>
                    Cancel
                </button>
            </div>
        </form>
    );
}

function Dose({ drill, onChange }: { drill: DrillDef; onChange: (next: DrillDef) => void }) {
    const skills = useQuery({ queryKey: ['skills'], queryFn: () => api('GET', '/api/skills'), staleTime: Infinity });
    const objects = useQuery({
        queryKey: ['all-objects'],
        queryFn: () => api('GET', '/api/objects?all=1'),
        staleTime: Infinity,
    });
    const { dose } = drill;
    const put = (more: Partial<DrillDef['dose']>): void => onChange({ ...drill, dose: { ...dose, ...more } });
    const figure = (key: 'sets' | 'reps' | 'distance_m' | 'hold_s', label: string, least: number) => (
        <LabelledInput
            label={label}
            type="number"
            min={least}
            step={key === 'distance_m' ? 0.5 : 1}
            required={key === 'sets' || key === 'reps'}
            value={dose[key] ?? ''}
            onChange={({ target }) => put({ [key]: target.value === '' ? undefined : target.valueAsNumber })}
        />
    );
    return (
        <>
            <div className="grid gap-3 sm:grid-cols-2">
                <Labelled label="Skill it is done with">
                    <select
                        className="field"
                        value={dose.skill}
                        onChange={(event) => put({ skill: event.target.value })}
                    >
                        <Options of={skills.data ?? []} />
                    </select>
                </Labelled>
                <Labelled label="In the hand">
                    <select
                        className="field"
                        value={dose.object}
                        onChange={(event) => put({ object: event.target.value })}
                    >
                        <Options of={objects.data ?? []} />
                    </select>
                </Labelled>
            </div>
            <div className="grid grid-cols-3 gap-3 sm:grid-cols-5">
                {figure('sets', 'Sets', 1)}
                {figure('reps', 'Repetitions', 0)}
                <LabelledInput
                    label="Effort, %"
                    type="number"
                    min={0}
                    max={100}
                    required
                    value={Math.round(100 * dose.effort)}
                    onChange={({ target }) => put({ effort: (target.valueAsNumber || 0) / 100 })}
                />
                {figure('distance_m', 'Metres', 0.5)}
                {figure('hold_s', 'Seconds held', 1)}
            </div>
        </>
    );
}

/** What it loads, counted or not: that of its skill, unless it is said otherwise. */
function Loads({ drill, onChange }: { drill: DrillDef; onChange: (next: DrillDef) => void }) {
    const { loads } = drill.dose;
    const put = (next: LoadedPart[] | undefined): void => onChange({ ...drill, dose: { ...drill.dose, loads: next } });
    return (
        <div role="group" aria-label="What it loads">
            <span className="label block">What it loads</span>
            <div className="flex flex-wrap gap-1.5">
                <Toggle on={loads === undefined} onChange={(on) => put(on ? undefined : [])}>
                    what its skill loads
                </Toggle>
                {loads !== undefined &&
                    LOADED_PARTS.map(([part, name]) => (
                        <Toggle
                            key={part}
                            on={loads.includes(part)}
                            onChange={(on) => put(on ? [...loads, part] : loads.filter((each) => each !== part))}
                        >
                            {name}
                        </Toggle>
                    ))}
            </div>
        </div>
    );
}
