import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api, type After } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { DecisionForm } from '../../parts/DecisionForm';
import { useMe } from '../../parts/Frame';
import { GateHeadline, GateTable } from '../../parts/GateTable';
import { Pad } from '../../parts/Pad';
import { PlacingNote } from '../../parts/PlacingNote';
import { Progress } from '../../parts/Progress';
import { TapeRow } from '../../parts/Reasons';
import { RungMark } from '../../parts/RungMark';
import { StageMark } from '../../parts/StageMark';
import { Strip } from '../../parts/Strip';
import { Waiting } from '../../parts/Waiting';

/** What happened, what next, what do I tell them? */
export function AfterScreen() {
    const { sheetId } = useParams({ from: '/frame/sheets/$sheetId/after' });
    const me = useMe();
    const after = useQuery({
        queryKey: ['after', sheetId],
        queryFn: () => api<After>('GET', `/api/sheets/${sheetId}/after`),
    });
    if (!after.data) return <Waiting query={after} what="the session" />;
    const { sheet, athlete, gate, rung } = after.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b border-line py-3">
                <p className="label">
                    {dayName(sheet.held_on)}, {sheet.title}
                </p>
                <h1 className="text-2xl">
                    {athlete.name}: {sheet.state === 'finished' ? 'what happened' : 'so far'}
                </h1>
            </header>
            <div className="grid gap-x-10 gap-y-6 pt-4 lg:grid-cols-[1fr_1.15fr]">
                <section aria-label="What happened" className="grid content-start gap-4">
                    <div className="flex gap-10">
                        <p>
                            <span className="figure block text-5xl">{sheet.done_reps}</span>
                            <span className="label">done of {sheet.planned_reps} planned</span>
                        </p>
                        <p>
                            <span className="figure block text-5xl">
                                {after.data.observed === 0 ? '–' : percent(after.data.good / after.data.observed)}
                            </span>
                            <span className="label">
                                {after.data.good} of {after.data.observed} judged good
                            </span>
                        </p>
                    </div>
                    <div>
                        <Strip
                            marks={after.data.strip}
                            length={Math.max(10, Math.min(30, after.data.strip.length))}
                            height={26}
                        />
                        <p className="label mt-1">
                            judged repetitions in order
                            {after.data.unobserved > 0
                                ? `; ${after.data.unobserved} not seen count as load, not as evidence`
                                : ''}
                        </p>
                    </div>
                    <div>
                        <h2 className="text-base">Pattern</h2>
                        {after.data.pattern ? (
                            <>
                                <p>{after.data.pattern}</p>
                                <p className="mt-1 border-l-4 border-tape pl-2">
                                    Tell them: “{after.data.cue}.” Drill: {after.data.drill}.
                                </p>
                            </>
                        ) : (
                            <p className="text-soft">No fault leads the last ten.</p>
                        )}
                        {after.data.helped && (
                            <p className="mt-1 border-l-4 border-full pl-2">What helped: {after.data.helped}</p>
                        )}
                        {after.data.nudge && <p className="mt-1 border-l-4 border-reduced pl-2">{after.data.nudge}</p>}
                        {Object.keys(after.data.faults).length > 0 && (
                            <ul className="mt-1 text-sm text-soft">
                                {Object.entries(after.data.faults).map(([name, times]) => (
                                    <li key={name}>
                                        {times} × {name.toLowerCase()}
                                    </li>
                                ))}
                            </ul>
                        )}
                    </div>
                    {after.data.conflicts.length > 0 && (
                        <div role="status" className="border-l-4 border-reduced pl-2">
                            <h2 className="text-base">Two devices differ</h2>
                            {after.data.conflicts.map((each) => (
                                <p key={each}>{each}</p>
                            ))}
                        </div>
                    )}
                    {after.data.grew.length > 0 && (
                        <div className="border-l-4 border-stop pl-2">
                            <h2 className="text-base">Soreness grew</h2>
                            {after.data.grew.map((each) => (
                                <p key={each}>{each}. More than was said before that day.</p>
                            ))}
                        </div>
                    )}
                    {after.data.after_stop && <p className="border-l-4 border-reduced pl-2">{after.data.after_stop}</p>}
                    {after.data.went_on.length > 0 && (
                        <div className="border-l-4 border-reduced pl-2">
                            <h2 className="text-base">Went on after a stop</h2>
                            {after.data.went_on.map((each) => (
                                <p key={each}>{each}</p>
                            ))}
                        </div>
                    )}
                    {(after.data.felt.length > 0 || after.data.set_length) && (
                        <div>
                            <h2 className="text-base">Effort and length</h2>
                            {after.data.felt.map((each) => (
                                <p key={each}>{each}</p>
                            ))}
                            {after.data.set_length && <p>{after.data.set_length}</p>}
                        </div>
                    )}
                    {after.data.grouping && (
                        <div>
                            <h2 className="text-base">Where they landed</h2>
                            <div className="mt-1 grid gap-3 sm:grid-cols-[11rem_1fr]">
                                <Pad
                                    points={after.data.grouping.points.map(
                                        (point) => point.split(' ').map(Number) as [number, number],
                                    )}
                                    mean={[after.data.grouping.across_m, after.data.grouping.along_m]}
                                    ellipses={after.data.grouping.ellipses}
                                    halfWidthM={null}
                                />
                                <p className="text-sm">{after.data.grouping.sentence}</p>
                            </div>
                        </div>
                    )}
                    <div>
                        <h2 className="text-base">For next time</h2>
                        {after.data.focus.length === 0 ? (
                            <p className="text-soft">
                                No fault was seen often enough to work on. Keep the rung’s own cues.
                            </p>
                        ) : (
                            <ol className="list-decimal pl-5">
                                {after.data.focus.map((fault) => (
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
                        {after.data.tapes.slice(0, 4).map((tape) => (
                            <TapeRow key={tape.limit_id} tape={tape} athleteId={athlete.id} />
                        ))}
                    </div>
                    {after.data.progress.rows.length > 0 && (
                        <div>
                            <h2 className="text-base">Checkpoints, first against latest</h2>
                            <Progress of={after.data.progress} />
                        </div>
                    )}
                </section>
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
                    {after.data.return ? (
                        <div className="grid gap-2 border-t-2 border-ink pt-2">
                            <StageMark stage={after.data.return.stage} of={after.data.return.of} />
                            <p className="head text-lg">{after.data.return.sentence}</p>
                            <p className="text-soft">
                                Awaited: {after.data.return.awaited}
                                {after.data.return.awaited_from === 'nobody'
                                    ? ''
                                    : `, from the ${after.data.return.awaited_from}`}
                                .
                            </p>
                            <Link
                                to="/returns/$returnId"
                                params={{ returnId: after.data.return.id }}
                                className="btn btn-main justify-self-start"
                            >
                                The whole way back
                            </Link>
                        </div>
                    ) : (
                        <>
                            <GateHeadline gate={gate} className="text-lg" />
                            <GateTable criteria={gate.criteria} />
                            {after.data.agreement && <p>{after.data.agreement}</p>}
                        </>
                    )}
                    {after.data.placing && (
                        <PlacingNote placing={after.data.placing} athleteId={athlete.id} decides={me.decides} />
                    )}
                    {me.decides && !after.data.return && !after.data.placing && (
                        <DecisionForm
                            athleteId={athlete.id}
                            ladder={rung.ladder}
                            rung={rung.rung}
                            gate={gate}
                            hasNext={after.data.next_rung !== null}
                            hasPrevious={after.data.previous_rung !== null}
                        />
                    )}
                    <p className="border-t border-line pt-2">{after.data.tomorrow}</p>
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
            </div>
        </main>
    );
}
