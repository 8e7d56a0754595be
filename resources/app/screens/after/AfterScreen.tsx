import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api, type After } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { DecisionForm } from '../../parts/DecisionForm';
import { useMe } from '../../parts/Frame';
import { GateHeadline, GateTable } from '../../parts/GateTable';
import { setupInWords } from '../../parts/games';
import { Pad } from '../../parts/Pad';
import { readSetup } from '../../rules/round';
import { PlacingNote } from '../../parts/PlacingNote';
import { Progress } from '../../parts/Progress';
import { TapeRow } from '../../parts/Reasons';
import { RungMark } from '../../parts/RungMark';
import { StageMark } from '../../parts/StageMark';
import { Strip } from '../../parts/Strip';
import { Waiting } from '../../parts/Waiting';
import { Corrections, Counts } from './Counts';

/** What happened, what next, what do I tell them? */
export function AfterScreen() {
    const { sheetId } = useParams({ from: '/frame/sheets/$sheetId/after' });
    const after = useQuery({
        queryKey: ['after', sheetId],
        queryFn: () => api('GET', `/api/sheets/${sheetId}/after`),
    });
    if (!after.data) return <Waiting query={after} what="the session" />;
    const { sheet, athlete } = after.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-3 border-b border-line py-3">
                <div>
                    <p className="label">
                        {dayName(sheet.held_on)}, {sheet.title}
                        {after.data.entered_late && ' · entered late'}
                    </p>
                    <h1 className="text-2xl">
                        {athlete.name}: {sheet.state === 'finished' ? 'what happened' : 'so far'}
                    </h1>
                </div>
                <span className="grow" />
                <Counts after={after.data} />
            </header>
            {after.data.was_test && (
                <p className="mt-3 border-l-4 border-tape bg-page px-3 py-2">
                    A test day.{' '}
                    <Link to="/athletes/$athleteId/tests" params={{ athleteId: athlete.id }} className="opens head">
                        Write down what was measured
                    </Link>
                </p>
            )}
            <div className="grid gap-x-10 gap-y-6 pt-4 lg:grid-cols-[1fr_1.15fr]">
                <Happened after={after.data} />
                <Next after={after.data} />
            </div>
        </main>
    );
}

function Happened({ after }: { after: After }) {
    const falls = after.counts.reduce((sum, block) => sum + block.falls, 0);
    return (
        <section aria-label="What happened" className="grid content-start gap-4">
            <div className="flex gap-10">
                <p>
                    <span className="figure block text-5xl">{after.sheet.done_reps}</span>
                    <span className="label">done of {after.sheet.planned_reps} planned</span>
                </p>
                <p>
                    <span className="figure block text-5xl">
                        {after.observed === 0 ? '–' : percent(after.good / after.observed)}
                    </span>
                    <span className="label">
                        {after.good} of {after.observed} judged good
                    </span>
                </p>
            </div>
            <div>
                <Strip marks={after.strip} length={Math.max(10, Math.min(30, after.strip.length))} height={26} />
                <p className="label mt-1">
                    judged repetitions in order
                    {after.unobserved > 0 ? `; ${after.unobserved} not seen count as load, not as evidence` : ''}
                    {falls > 0
                        ? `; ${falls === 1 ? '1 fall counts as a landing' : `${falls} falls count as landings`}`
                        : ''}
                </p>
            </div>
            <Pattern after={after} />
            <Stops after={after} />
            {(after.felt.length > 0 || after.set_length) && (
                <div>
                    <h2 className="text-base">Effort and length</h2>
                    {after.felt.map((each) => (
                        <p key={each}>{each}</p>
                    ))}
                    {after.set_length && <p>{after.set_length}</p>}
                </div>
            )}
            <Corrections of={after.corrections} />
            {after.rounds.length > 0 && <Rounds rounds={after.rounds} />}
            {after.grouping && <WhereLanded grouping={after.grouping} />}
            <div>
                <h2 className="text-base">For next time</h2>
                {after.focus.length === 0 ? (
                    <p className="text-soft">No fault was seen often enough to work on. Keep the rung’s own cues.</p>
                ) : (
                    <ol className="list-decimal pl-5">
                        {after.focus.map((fault) => (
                            <li key={fault.id}>
                                <span className="head">{fault.name}</span>
                                {fault.safety && <span className="text-stop"> can hurt</span>}: “{fault.cue}.”{' '}
                                {fault.drill}.
                            </li>
                        ))}
                    </ol>
                )}
            </div>
            <div>
                <h2 className="text-base">What it cost</h2>
                {after.tapes.slice(0, 4).map((tape) => (
                    <TapeRow key={tape.limit_id} tape={tape} athleteId={after.athlete.id} />
                ))}
            </div>
            {after.progress.rows.length > 0 && (
                <div>
                    <h2 className="text-base">Checkpoints, first against latest</h2>
                    <Progress of={after.progress} />
                </div>
            )}
        </section>
    );
}

function Pattern({ after }: { after: After }) {
    return (
        <div>
            <h2 className="text-base">Pattern</h2>
            {after.pattern ? (
                <>
                    <p>{after.pattern}</p>
                    <p className="mt-1 border-l-4 border-tape pl-2">
                        Tell them: “{after.cue}.” Drill: {after.drill}.
                    </p>
                </>
            ) : (
                <p className="text-soft">No fault leads the last ten.</p>
            )}
            {after.helped && <p className="mt-1 border-l-4 border-full pl-2">What helped: {after.helped}</p>}
            {after.nudge && <p className="mt-1 border-l-4 border-reduced pl-2">{after.nudge}</p>}
            {Object.keys(after.faults).length > 0 && (
                <ul className="mt-1 text-sm text-soft">
                    {Object.entries(after.faults).map(([name, times]) => (
                        <li key={name}>
                            {times} × {name.toLowerCase()}
                        </li>
                    ))}
                </ul>
            )}
            {after.tags.map((said) => (
                <p key={said} className="mt-1">
                    {said}
                </p>
            ))}
        </div>
    );
}

/** Where two devices differ, and what was done after a stop. */
function Stops({ after }: { after: After }) {
    return (
        <>
            {after.conflicts.length > 0 && (
                <div role="status" className="border-l-4 border-reduced pl-2">
                    <h2 className="text-base">Two devices differ</h2>
                    {after.conflicts.map((each) => (
                        <p key={each}>{each}</p>
                    ))}
                </div>
            )}
            {after.grew.length > 0 && (
                <div className="border-l-4 border-stop pl-2">
                    <h2 className="text-base">Soreness grew</h2>
                    {after.grew.map((each) => (
                        <p key={each}>{each}. More than was said before that day.</p>
                    ))}
                </div>
            )}
            {after.after_stop && <p className="border-l-4 border-reduced pl-2">{after.after_stop}</p>}
            {after.went_on.length > 0 && (
                <div className="border-l-4 border-reduced pl-2">
                    <h2 className="text-base">Went on after a stop</h2>
                    {after.went_on.map((each) => (
                        <p key={each}>{each}</p>
                    ))}
                </div>
            )}
        </>
    );
}

/** What was played on the blocks, against the best of its kind. */
function Rounds({ rounds }: { rounds: After['rounds'] }) {
    return (
        <div>
            <h2 className="text-base">Scored</h2>
            {rounds.map(({ id, setup, box, value, detail, best, goal }) => (
                <p key={id}>
                    {setupInWords(readSetup(setup), box)}: <span className="figure">{value}</span>
                    {best === value ? ', the best so far' : `, best ${best}`}
                    {goal !== null && `, goal ${goal}`}. <span className="text-soft">{detail}.</span>
                </p>
            ))}
        </div>
    );
}

function WhereLanded({ grouping }: { grouping: NonNullable<After['grouping']> }) {
    return (
        <div>
            <h2 className="text-base">Where they landed</h2>
            <div className="mt-1 grid gap-3 sm:grid-cols-[11rem_1fr]">
                <Pad
                    points={grouping.points.map((point) => point.split(' ').map(Number) as [number, number])}
                    mean={[grouping.across_m, grouping.along_m]}
                    ellipses={grouping.ellipses}
                    halfWidthM={null}
                />
                <p className="text-sm">{grouping.sentence}</p>
            </div>
        </div>
    );
}

/** The gate or the return, the decision, and where to go from here. */
function Next({ after }: { after: After }) {
    const me = useMe();
    const { athlete, gate, rung } = after;
    return (
        <section aria-label="Decision" className="grid content-start gap-3">
            <div className="flex items-center gap-3">
                <RungMark rung={rung} />
                <p>
                    <span className="head text-lg">{rung.rung_name}</span>{' '}
                    <span className="text-soft">
                        · rung {rung.position} of {rung.of}, {rung.ladder_name}
                    </span>
                </p>
            </div>
            {after.return ? (
                <WayBack of={after.return} />
            ) : (
                <>
                    <GateHeadline gate={gate} className="text-lg" />
                    <GateTable criteria={gate.criteria} />
                    {after.agreement && <p>{after.agreement}</p>}
                </>
            )}
            {after.placing && <PlacingNote placing={after.placing} athleteId={athlete.id} decides={me.decides} />}
            {me.decides && !after.return && !after.placing && (
                <DecisionForm
                    athleteId={athlete.id}
                    ladder={rung.ladder}
                    rung={rung.rung}
                    gate={gate}
                    hasNext={after.next_rung !== null}
                    hasPrevious={after.previous_rung !== null}
                />
            )}
            <p className="border-t border-line pt-2">{after.tomorrow}</p>
            <div className="flex flex-wrap gap-2">
                <Link to="/athletes/$athleteId/homework" params={{ athleteId: athlete.id }} className="btn">
                    Hand out homework
                </Link>
                <Link to="/" className="btn">
                    Back to Today
                </Link>
                <Link to="/athletes/$athleteId" params={{ athleteId: athlete.id }} className="btn">
                    {athlete.given_name}’s page
                </Link>
            </div>
        </section>
    );
}

function WayBack({ of }: { of: NonNullable<After['return']> }) {
    return (
        <div className="grid gap-2 border-t-2 border-ink pt-2">
            <StageMark stage={of.stage} of={of.of} />
            <p className="head text-lg">{of.sentence}</p>
            <p className="text-soft">
                Awaited: {of.awaited}
                {of.awaited_from === 'nobody' ? '' : `, from the ${of.awaited_from}`}.
            </p>
            <Link to="/returns/$returnId" params={{ returnId: of.id }} className="btn btn-main justify-self-start">
                The whole way back
            </Link>
        </div>
    );
}
