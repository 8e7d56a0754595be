import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type Given, type Scores } from '../../api/client';
import { dayName, n } from '../../api/words';
import { newId } from '../../offline/store';
import { Choice } from '../../parts/Choice';
import { useMe } from '../../parts/Frame';
import { TakeBackEntry } from '../../parts/TakeBackEntry';
import { Notice } from '../../parts/Notice';
import { Pad } from '../../parts/Pad';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { FIGURES, gameName, GAMES, setupInWords } from '../../parts/games';
import { readSetup } from '../../rules/round';
import { chunk, type Figures, isFull, type Kind, NOW, SEEN, type Tap } from '../../rules/score';
import { LabelledInput, Options } from '../../parts/Labelled';

const WIDEST_PAD_M = 30;
const BEGUN_WITH: Figures = { zones: 4, balls: 5, points: 5, targets: 3, gaps: 4, passes: 10 };
/** Kinds that say nothing before they are done. */
const ENDS: Kind[] = ['clear_targets', 'timed_gaps'];

const TITLES = ['Game', 'Day', 'Score', 'Detail', 'Repetitions counted as load'];

const listed = ({ series, boxes }: Scores) =>
    series.flatMap((game) =>
        game.scores.map((each) => [titleOf(game, boxes), each.day, each.value, each.detail, each.load_reps]),
    );

/** As it was named, or, played on a block, how it was set up. */
function titleOf({ name, setup }: Scores['series'][number], boxes: Scores['boxes']): string {
    if (setup === null) return name;
    const read = readSetup(setup);
    return setupInWords(read, boxes.find(({ id }) => id === read.on?.join(':'))?.name ?? null);
}

/** Points, runs and places, against the athlete’s own past. */
export function ScoresScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/scores' });
    const me = useMe();
    const query = useQuery({
        queryKey: ['scores', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/scores`),
    });
    if (!query.data) return <Waiting query={query} what="the scores" />;
    const { athlete, series, ladders, hidden, skills, boxes } = query.data;
    const ignoring = ladders.filter((each) => each.ignored_on !== null);
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <p className="float-right">
                    <SaveList name={`scores of ${athlete.name}`} titles={TITLES} rows={() => listed(query.data)} />
                </p>
                <p className="label">
                    <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                        {athlete.name}
                    </Link>
                </p>
                <h1 className="text-2xl">Scores</h1>
                <p className="text-soft">
                    Held against {athlete.given_name}’s own past and a goal. A score advances nobody by itself.
                </p>
            </header>
            {ignoring.length > 0 && (
                <p className="mb-3 border-l-4 border-tape bg-page px-3 py-2">
                    Where it lands is not looked at yet on:{' '}
                    {ignoring.map((each) => `${each.name}, ${each.ignored_on?.toLowerCase()}`).join('; ')}. A target
                    there brings the old habit back.
                    {hidden > 0
                        ? ` ${hidden === 1 ? 'One score is' : `${hidden} scores are`} put away until it counts again.`
                        : ''}
                </p>
            )}
            <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[26rem_1fr]">
                {me.records && (
                    <Take athleteId={athleteId} name={athlete.given_name} ladders={ladders} skills={skills} />
                )}
                <section aria-label="So far">
                    <h2 className="border-b-2 border-ink pb-1 text-base">So far</h2>
                    {series.length === 0 && <p className="py-3 text-soft">Nothing scored yet.</p>}
                    {series.map((each) => (
                        <article
                            key={`${each.kind} ${each.name} ${each.setup ?? ''}`}
                            className="border-b border-line py-2"
                        >
                            <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
                                <div className="grow">
                                    <h3 className="text-base">
                                        {titleOf(each, boxes)}{' '}
                                        {each.setup === null && each.name !== gameName(each.kind) && (
                                            <span className="label">{gameName(each.kind).toLowerCase()}</span>
                                        )}
                                    </h3>
                                    <p>
                                        Last <span className="figure text-lg">{each.last}</span> · best{' '}
                                        <span className="figure text-lg">{each.best}</span>
                                        {each.goal && (
                                            <>
                                                {' '}
                                                · goal {each.goal}
                                                {each.goal_reached ? ', reached' : ''}
                                            </>
                                        )}
                                        {each.rate && <span className="text-soft"> · {each.rate}</span>}
                                    </p>
                                </div>
                                <Trend values={each.trend} less={each.less_is_better} />
                            </div>
                            {each.grouping && (
                                <div className="mt-1 grid gap-3 sm:grid-cols-[11rem_1fr]">
                                    <Pad
                                        points={each.grouping.points.map(
                                            (point) => point.split(' ').map(Number) as [number, number],
                                        )}
                                        mean={[each.grouping.across_m, each.grouping.along_m]}
                                        ellipses={each.grouping.ellipses}
                                        halfWidthM={null}
                                    />
                                    <div className="grid content-start gap-2 text-sm">
                                        <p>{each.grouping.sentence}</p>
                                        {each.grouping.hints.length > 0 && <Hint hints={each.grouping.hints} />}
                                    </div>
                                </div>
                            )}
                            <details>
                                <summary className="label">
                                    {each.scores.length === 1 ? 'one score' : `${each.scores.length} scores`}
                                </summary>
                                <ul>
                                    {each.scores.map((score) => (
                                        <li key={score.id} className="flex gap-3 border-t border-line py-0.5">
                                            <span className="label w-24">{dayName(score.day)}</span>
                                            <span className={`w-36 ${score.best ? 'font-bold' : ''}`}>
                                                {score.value}
                                            </span>
                                            <span className="text-soft">{score.detail}</span>
                                            <span className="grow" />
                                            {me.records && <TakeBack athleteId={athleteId} score={score} />}
                                        </li>
                                    ))}
                                </ul>
                            </details>
                        </article>
                    ))}
                </section>
            </div>
        </main>
    );
}

function TakeBack({ athleteId, score }: { athleteId: string; score: Scores['series'][number]['scores'][number] }) {
    return (
        <TakeBackEntry
            what={`${score.value} of ${dayName(score.day)}`}
            reps={score.load_reps}
            takeBack={(body) => api('POST', `/api/athletes/${athleteId}/scores/${score.id}/withdraw`, body)}
        />
    );
}

function Trend({ values, less }: { values: number[]; less: boolean }) {
    if (values.length < 2) return null;
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const y = (value: number): number => {
        const share = high === low ? 0.5 : (value - low) / (high - low);
        return 4 + 28 * (less ? share : 1 - share);
    };
    return (
        <svg
            viewBox="0 0 120 36"
            width="120"
            height="36"
            role="img"
            aria-label={`Trend over ${values.length} scores, up is better`}
        >
            <path
                d={values
                    .map((value, i) => `${i === 0 ? 'M' : 'L'}${(116 * i) / (values.length - 1) + 2} ${y(value)}`)
                    .join('')}
                fill="none"
                stroke="var(--color-ink)"
                strokeWidth="2"
            />
            <circle cx="118" cy={y(values.at(-1) ?? 0)} r="3" fill="var(--color-ink)" />
        </svg>
    );
}

type OutcomeHint = NonNullable<Scores['series'][number]['grouping']>['hints'][number];

/** Between what the width lies, as far as so few throws can tell. */
function boundsOf({ least_m, most_m }: OutcomeHint): string {
    const across = (radiusM: number): string => (2 * radiusM).toFixed(2);
    return most_m === null
        ? `At least ${across(least_m)} m across, 80 % sure; more throws would bound it above.`
        : `Between ${across(least_m)} and ${across(most_m)} m across, 80 % sure.`;
}

/**
 * For a wanted success rate: how much larger the target, or how much closer. Off by an angle, so that half the
 * distance is half as far off.
 */
function Hint({ hints }: { hints: NonNullable<Scores['series'][number]['grouping']>['hints'] }) {
    const [share, setShare] = useState(0.8);
    const [across, setAcross] = useState('1');
    const hint = hints.find((each) => each.share === share);
    const radius = hint?.radius_m ?? 0;
    const metres = Number(across.replace(',', '.'));
    const times = metres > 0 ? (2 * radius) / metres : null;
    return (
        <div className="grid gap-1 border-t border-line pt-2">
            <p className="flex flex-wrap items-center gap-2">
                <label className="flex items-center gap-1">
                    To hit
                    <select
                        className="field w-auto"
                        value={share}
                        onChange={(event) => setShare(Number(event.target.value))}
                    >
                        {hints.map((hint) => (
                            <option key={hint.share} value={hint.share}>
                                {Math.round(10 * hint.share)} of 10
                            </option>
                        ))}
                    </select>
                </label>
                <label className="flex items-center gap-1">
                    a target
                    <input
                        className="field w-16"
                        inputMode="decimal"
                        value={across}
                        onChange={(event) => setAcross(event.target.value)}
                    />
                    m across
                </label>
            </p>
            <p>
                {times === null ? (
                    'Give the target a width.'
                ) : times <= 1 ? (
                    `is large enough: ${(2 * radius).toFixed(2)} m would do.`
                ) : (
                    <>
                        has to be <strong>{(2 * radius).toFixed(2)} m across</strong>, {times.toFixed(1)} times as
                        large; or stand at <strong>{Math.round(100 / times)} % of the distance</strong>.
                    </>
                )}
            </p>
            {hint && <p className="text-soft">{boundsOf(hint)}</p>}
        </div>
    );
}

function Take({
    athleteId,
    name: who,
    ladders,
    skills,
}: {
    athleteId: string;
    name: string;
    ladders: Scores['ladders'];
    skills: Scores['skills'];
}) {
    const [off, setOff] = useState(ladders.length === 0 || ladders.some((each) => each.ignored_on === null));
    const work = useWork(ladders);
    const score = useScore(athleteId, work);
    const { kind, taps, full, problem } = score;
    if (!off)
        return (
            <section aria-label="Take a score">
                <h2 className="border-b-2 border-ink pb-1 text-base">Nothing is scored for {who} yet</h2>
                <p className="py-2">
                    On every ladder {who} climbs, the movement is judged and the result is not. Judge it courtside.
                </p>
                <button type="button" className="btn" onClick={() => setOff(true)}>
                    Score something off the ladders
                </button>
            </section>
        );
    return (
        <section aria-label="Take a score">
            <h2 className="border-b-2 border-ink pb-1 text-base">Take a score</h2>
            <div role="group" aria-label="What is scored" className="mt-2 flex flex-wrap gap-1.5">
                {GAMES.map(([each, label, about]) => (
                    <button
                        key={each}
                        type="button"
                        title={about}
                        aria-pressed={kind === each}
                        className={`btn ${kind === each ? 'btn-main' : ''}`}
                        onClick={() => score.choose(each)}
                    >
                        {label}
                    </button>
                ))}
            </div>
            <Figures score={score} />
            <p role="status" className="figure mt-3 text-xl">
                {full ? 'Done: keep it.' : NOW[kind](score)}
            </p>
            <Count score={score} />
            <div className="mt-2 grid grid-cols-2 gap-2">
                <button type="button" className="btn thumb" disabled={taps.length === 0} onClick={score.undo}>
                    Undo
                </button>
                <button
                    type="button"
                    className="btn thumb"
                    disabled={taps.length === 0 || (ENDS.includes(kind) && !full)}
                    onClick={score.keep}
                >
                    Save
                </button>
            </div>
            <WhatIsThrown work={work} ladders={ladders} skills={skills} />
            <div className="mt-3 grid grid-cols-2 gap-2">
                <LabelledInput
                    label="Name, to compare like with like"
                    tight
                    maxLength={60}
                    value={score.name}
                    onChange={(event) => score.setName(event.target.value)}
                />
                <LabelledInput
                    label={<>Goal{kind === 'serve_game' ? ', %' : kind === 'grouping' ? ', m off' : ''}</>}
                    tight
                    inputMode="decimal"
                    value={score.goal}
                    onChange={(event) => score.setGoal(event.target.value)}
                />
            </div>
            <Notice problem={problem} />
        </section>
    );
}

type Skill = NonNullable<NonNullable<Given<'POST', `/api/athletes/${string}/scores`>[0]>['skill']>;

/** A score is work: of what, and whether it was tapped courtside already. */
function useWork(ladders: Scores['ladders']) {
    const [ladder, setLadder] = useState(ladders.find((each) => each.ignored_on === null)?.id ?? '');
    const [skill, setSkill] = useState<Skill | null>(null);
    const [said, setSaid] = useState<boolean | null>(null);
    const tapped = ladders.find((each) => each.id === ladder)?.tapped_today ?? 0;
    return {
        ladder,
        setLadder,
        skill: ladder === '' ? skill : null,
        setSkill,
        tapped,
        // Who tapped today most likely tapped these as well; asked, because twice is as wrong as not at all.
        counted: said ?? tapped > 0,
        setCounted: setSaid,
    };
}

type WorkNow = ReturnType<typeof useWork>;

const TAPPED = [
    [false, 'Count them here'],
    [true, 'Tapped already'],
] as const;

function WhatIsThrown({
    work,
    ladders,
    skills,
}: {
    work: WorkNow;
    ladders: Scores['ladders'];
    skills: Scores['skills'];
}) {
    return (
        <>
            {ladders.length > 0 && (
                <label className="mt-3 grid gap-0.5">
                    <span className="label">Scored on</span>
                    <select
                        className="field"
                        value={work.ladder}
                        onChange={(event) => work.setLadder(event.target.value)}
                    >
                        {ladders.map((each) => (
                            <option key={each.id} value={each.id} disabled={each.ignored_on !== null}>
                                {each.name}
                                {each.ignored_on === null ? '' : ': not looked at yet'}
                            </option>
                        ))}
                        <option value="">something off the ladders</option>
                    </select>
                </label>
            )}
            {work.ladder === '' && (
                <label className="mt-3 grid gap-0.5">
                    <span className="label">What is thrown</span>
                    <select
                        className="field"
                        value={work.skill ?? ''}
                        onChange={(event) => work.setSkill(event.target.value || null)}
                    >
                        <option value="">choose</option>
                        <Options of={skills} />
                    </select>
                </label>
            )}
            <div className="mt-3">
                <Choice
                    label={
                        <>
                            These throws count as load.{' '}
                            {work.tapped > 0
                                ? `${n(work.tapped)} were tapped courtside today: these too?`
                                : 'Tapped courtside as well?'}
                        </>
                    }
                    of={TAPPED}
                    value={work.counted}
                    onChange={work.setCounted}
                    columns={2}
                />
            </div>
        </>
    );
}

/** The taps as marks, a row for each zone. */
function Marks({ taps, kind, balls }: { taps: Tap[]; kind: Kind; balls: number }) {
    const rows = kind === 'target_round' ? chunk(taps, balls) : [taps.slice(-20)];
    return (
        <div className="mt-1 grid min-h-7 gap-1" aria-hidden="true">
            {rows.map((row, i) => (
                <svg key={i} viewBox="0 0 320 20" height="20" className="block">
                    {row.map((tap, j) =>
                        tap === true ? (
                            <rect key={j} x={j * 16 + 3} y="1" width="6" height="18" fill="var(--color-ink)" />
                        ) : (
                            <path
                                key={j}
                                d={`M${j * 16 + 1} 5l10 10m0-10l-10 10`}
                                stroke="var(--color-stop)"
                                strokeWidth="2.4"
                            />
                        ),
                    )}
                </svg>
            ))}
        </div>
    );
}

/** A score while it is taken. */
function useScore(athleteId: string, { ladder, skill, counted }: WorkNow) {
    const queries = useQueryClient();
    const [kind, setKind] = useState<Kind>('target_round');
    const [figures, setFigures] = useState<Figures>(BEGUN_WITH);
    const [halfWidthM, setHalfWidthM] = useState(2);
    const [tapped, setTapped] = useState<{ tap: Tap; at: number }[]>([]);
    const taps = tapped.map(({ tap }) => tap);
    const [name, setName] = useState('');
    const [goal, setGoal] = useState('');
    const [problem, setProblem] = useState<unknown>(null);
    const id = useRef(newId());
    const full = isFull({ kind, round: figures, taps });
    const tap = (what: Tap): void => {
        if (!full) setTapped([...tapped, { tap: what, at: Date.now() }]);
    };
    const choose = (next: Kind): void => {
        setKind(next);
        setTapped([]);
        setProblem(null);
    };
    const keep = (): void => {
        api('POST', `/api/athletes/${athleteId}/scores`, {
            id: id.current,
            kind,
            name: name.trim() || gameName(kind),
            goal: goal === '' ? null : (Number(goal) || 0) / (kind === 'serve_game' ? 100 : 1),
            ladder: ladder === '' ? null : ladder,
            counted,
            skill,
            seen: SEEN[kind]({ kind, taps, round: figures, at: tapped.map(({ at }) => at) }),
        }).then((answer) => {
            id.current = newId();
            setTapped([]);
            setProblem(null);
            queries.setQueryData(['scores', athleteId], answer);
            void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'scores' });
        }, setProblem);
    };
    return {
        kind,
        round: figures,
        figures,
        setFigures,
        halfWidthM,
        setHalfWidthM,
        taps,
        at: tapped.map(({ at }) => at),
        full,
        name,
        setName,
        goal,
        setGoal,
        problem,
        tap,
        undo: () => setTapped(tapped.slice(0, -1)),
        choose,
        keep,
    };
}

type ScoreNow = ReturnType<typeof useScore>;

function Figures({ score: { kind, figures, setFigures, taps, halfWidthM, setHalfWidthM } }: { score: ScoreNow }) {
    const figure = (label: string, value: number, most: number, onChange: (to: number) => void) => (
        <LabelledInput
            key={label}
            label={label}
            tight
            className="w-20"
            inputMode="numeric"
            disabled={taps.length > 0}
            value={value}
            onChange={(event) => onChange(Math.max(1, Math.min(most, Number(event.target.value) || 1)))}
        />
    );
    return (
        <div className="mt-3 flex flex-wrap gap-2">
            {FIGURES[kind].map(({ name, label, most }) =>
                figure(label, figures[name], most, (to) => setFigures({ ...figures, [name]: to })),
            )}
            {kind === 'grouping' && figure('Pad, m each way', halfWidthM, WIDEST_PAD_M, setHalfWidthM)}
        </div>
    );
}

function Count({ score: { kind, taps, round, full, tap, halfWidthM } }: { score: ScoreNow }) {
    return kind === 'grouping' ? (
        <div className="mt-2">
            <Pad points={taps as [number, number][]} halfWidthM={halfWidthM} onTap={tap} />
        </div>
    ) : (
        <>
            <Marks taps={taps} kind={kind} balls={round.balls} />
            <div className="mt-2 grid grid-cols-2 gap-2">
                <button type="button" className="btn btn-main thumb text-xl" disabled={full} onClick={() => tap(true)}>
                    {kind === 'serve_game' ? 'In' : 'Hit'}
                </button>
                <button type="button" className="btn thumb text-xl" disabled={full} onClick={() => tap(false)}>
                    {kind === 'serve_game' ? 'Out' : 'Miss'}
                </button>
            </div>
        </>
    );
}
