import { Link } from '@tanstack/react-router';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { clsx } from 'clsx';
import type { Skills } from '../../api/client';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Weekdays } from '../../parts/Weekdays';
import type { Asked, SkillAsked } from './SkillsScreen';
import { SkillMark } from './SkillMark';

type Skill = Skills['skills'][number];

/** The skills in the coach’s order: what is asked of each, and what comes of it. */
export function SkillsAsk({
    plan,
    asked,
    editable,
    onSet,
    onAdd,
}: {
    plan: Skills;
    asked: Asked;
    editable: boolean;
    onSet: (asked: Asked) => void;
    onAdd: (other: Skills['others'][number]) => void;
}) {
    const change = (at: number, now: Partial<SkillAsked>): void =>
        onSet({ ...asked, skills: asked.skills.map((each, i) => (i === at ? { ...each, ...now } : each)) });
    const up = (at: number): void => {
        const skills = [...asked.skills];
        skills.splice(at - 1, 0, ...skills.splice(at, 1));
        onSet({ ...asked, skills });
    };
    const others = plan.others.filter((each) => !asked.skills.some((skill) => skill.ladder === each.ladder));
    return (
        <section aria-label="Skills in order">
            <ol>
                {asked.skills.map((skill, at) => (
                    <li
                        key={skill.ladder}
                        className={clsx(
                            'grid gap-x-5 gap-y-1.5 border-b border-line py-2.5',
                            'lg:grid-cols-[2rem_15rem_auto_1fr]',
                        )}
                    >
                        <Order
                            at={at}
                            last={asked.skills.length - 1}
                            name={nameOf(plan, skill.ladder)}
                            editable={editable}
                            onUp={up}
                        />
                        <Name
                            of={plan.skills.find((each) => each.ladder === skill.ladder)}
                            name={nameOf(plan, skill.ladder)}
                        />
                        {editable && (
                            <Wanted
                                skill={skill}
                                of={plan.skills.find((each) => each.ladder === skill.ladder)}
                                today={plan.date}
                                onChange={(now) => change(at, now)}
                                onLeave={
                                    skill.version === null && asked.skills.length > 1
                                        ? () =>
                                              onSet({ ...asked, skills: asked.skills.filter((each) => each !== skill) })
                                        : null
                                }
                            />
                        )}
                        <Outlook of={plan.skills.find((each) => each.ladder === skill.ladder)} />
                    </li>
                ))}
            </ol>
            <div className="no-print flex flex-wrap items-center gap-x-6 gap-y-2 py-2.5">
                {asked.skills.length > 1 && (
                    <Sharing
                        all={asked.skills.length > 2}
                        evenly={asked.evenly}
                        editable={editable}
                        onSet={(evenly) => onSet({ ...asked, evenly })}
                    />
                )}
                {editable &&
                    others.map((each) => (
                        <button key={each.ladder} type="button" className="opens" onClick={() => onAdd(each)}>
                            Add {each.ladder_name}
                        </button>
                    ))}
            </div>
        </section>
    );
}

const nameOf = (plan: Skills, ladder: string): string =>
    plan.skills.find((each) => each.ladder === ladder)?.ladder_name ??
    plan.others.find((each) => each.ladder === ladder)?.ladder_name ??
    ladder;

function Order({
    at,
    last,
    name,
    editable,
    onUp,
}: {
    at: number;
    last: number;
    name: string;
    editable: boolean;
    onUp: (at: number) => void;
}) {
    return (
        <div className="flex items-start gap-1 lg:flex-col">
            <SkillMark skill={at} heavy />
            {editable && at > 0 && (
                <button
                    type="button"
                    className="no-print grid size-7 place-items-center hover:bg-line"
                    aria-label={`${name} earlier`}
                    onClick={() => onUp(at)}
                >
                    <ArrowUp size={16} aria-hidden />
                </button>
            )}
            {editable && at < last && (
                <button
                    type="button"
                    className="no-print grid size-7 place-items-center hover:bg-line"
                    aria-label={`${name} later`}
                    onClick={() => onUp(at + 1)}
                >
                    <ArrowDown size={16} aria-hidden />
                </button>
            )}
        </div>
    );
}

function Name({ of, name }: { of: Skill | undefined; name: string }) {
    const stands = of?.rungs.find((rung) => rung.id === of.current_rung)?.name;
    return (
        <div>
            <h2 className="text-base">
                {of?.season_id ? (
                    <Link to="/seasons/$seasonId" params={{ seasonId: of.season_id }} className="underline">
                        {name}
                    </Link>
                ) : (
                    name
                )}
            </h2>
            {stands && <p className="text-sm text-soft">stands on “{stands}”</p>}
        </div>
    );
}

function Wanted({
    skill,
    of,
    today,
    onChange,
    onLeave,
}: {
    skill: SkillAsked;
    of: Skill | undefined;
    today: string;
    onChange: (now: Partial<SkillAsked>) => void;
    onLeave: (() => void) | null;
}) {
    const rungs = of?.rungs ?? [];
    const stands = rungs.findIndex((each) => each.id === of?.current_rung);
    return (
        <div className="no-print flex flex-wrap items-end gap-x-4 gap-y-1.5">
            <Labelled label="Goal rung" tight>
                <select
                    className="field w-48"
                    value={skill.goal_rung ?? ''}
                    onChange={(event) => onChange({ goal_rung: event.target.value || null })}
                >
                    <option value="">hold the rung</option>
                    <Options of={rungs.slice(stands)} />
                </select>
            </Labelled>
            <LabelledInput
                label="Goal day"
                tight
                className="w-38"
                type="date"
                min={today}
                value={skill.goal_on}
                onChange={(event) => {
                    if (event.target.value) onChange({ goal_on: event.target.value });
                }}
            />
            <div className="grid gap-0.5">
                <span className="label">Training days</span>
                <Weekdays
                    value={skill.weekdays}
                    onChange={(weekdays) => {
                        if (weekdays.length > 0) onChange({ weekdays });
                    }}
                />
            </div>
            {onLeave && (
                <button type="button" className="opens pb-2" onClick={onLeave}>
                    Leave out
                </button>
            )}
        </div>
    );
}

function Outlook({ of }: { of: Skill | undefined }) {
    if (of === undefined) return null;
    return (
        <div className="min-w-0 text-sm">
            {of.leads && <p className="font-bold">Heavy on {of.leads}</p>}
            <p className={of.in_time ? '' : 'font-bold text-reduced'}>{of.outlook}</p>
            {of.held_back.length > 0 && (
                <p className="text-soft">Held back by {of.held_back.slice(0, 2).join('; ')}.</p>
            )}
        </div>
    );
}

function Sharing({
    all,
    evenly,
    editable,
    onSet,
}: {
    all: boolean;
    evenly: boolean;
    editable: boolean;
    onSet: (evenly: boolean) => void;
}) {
    const choices: [boolean, string][] = [
        [false, 'The first comes first'],
        [true, 'Share evenly'],
    ];
    return (
        <fieldset disabled={!editable} className="flex flex-wrap items-center gap-x-4">
            <legend className="label float-left mr-4">Where they do not {all ? 'all' : 'both'} fit</legend>
            {choices.map(([value, name]) => (
                <label key={name} className="inline-flex min-h-10 items-center gap-2">
                    <input type="radio" name="sharing" checked={evenly === value} onChange={() => onSet(value)} />
                    {name}
                </label>
            ))}
        </fieldset>
    );
}
