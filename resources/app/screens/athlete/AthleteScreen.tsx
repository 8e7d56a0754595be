import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Athlete, type Ladder } from '../../api/client';
import { dayName } from '../../api/words';
import { CheckIn } from '../../parts/CheckIn';
import { DecisionForm } from '../../parts/DecisionForm';
import { useMe } from '../../parts/Frame';
import { GateHeadline, GateTable } from '../../parts/GateTable';
import { MatchReady } from '../../parts/MatchReady';
import { Opens } from '../../parts/Opens';
import { PlacingNote } from '../../parts/PlacingNote';
import { Progress } from '../../parts/Progress';
import { TapeRow, WordReasons } from '../../parts/Reasons';
import { Strip } from '../../parts/Strip';
import { WordMark } from '../../parts/WordMark';
import { JudgedSessions } from './JudgedSessions';
import { SevenDays } from './SevenDays';
import { SecondLooks } from '../../parts/SecondLooks';
import { Waiting } from '../../parts/Waiting';
import { AwayAndHurt } from './away/AwayAndHurt';
import { ClearanceForm } from './ClearanceForm';
import { Collectors } from './Collectors';
import { Elsewhere } from './Elsewhere';
import { HowMany } from './HowMany';
import { MissingCounts } from './MissingCounts';
import { SorenessTrends } from './SorenessTrends';
import { TimeAxis } from './TimeAxis';
import { WaysBack } from './WaysBack';

/** Where does she stand, how did she get here? */
export function AthleteScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId' });
    const me = useMe();
    const [asking, setAsking] = useState(false);
    const query = useQuery({
        queryKey: ['athlete', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}`),
    });
    if (!query.data) return <Waiting query={query} what="the athlete" />;
    const { athlete, ladders, referrals } = query.data;
    const waysBack = <WaysBack athleteId={athlete.id} returns={query.data.returns} mayOpen={me.clears} />;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <Header of={query.data} onAsk={() => setAsking(true)} />
            {query.data.missing_counts > 0 && (
                <MissingCounts
                    athleteId={athlete.id}
                    name={athlete.given_name}
                    count={query.data.missing_counts}
                    decides={me.decides}
                />
            )}
            {referrals.length > 0 && <Referral of={query.data} />}
            <div className="grid gap-x-12 gap-y-8 pt-4 lg:grid-cols-[25rem_1fr]">
                <div className="grid content-start gap-8">
                    {query.data.returns.length > 0 && waysBack}
                    {ladders.length === 0 ? (
                        <OnNoLadder athlete={athlete} decides={me.decides} />
                    ) : (
                        ladders.map((ladder) => (
                            <LadderColumn
                                key={ladder.id}
                                ladder={ladder}
                                athleteId={athlete.id}
                                decides={me.decides}
                                waits={query.data.returns.some((each) => each.state === 'open')}
                            />
                        ))
                    )}
                    {query.data.returns.length === 0 && waysBack}
                    <AwayAndHurt athleteId={athlete.id} />
                    <Collectors athleteId={athlete.id} name={athlete.given_name} />
                </div>
                <div className="grid min-w-0 content-start gap-6">
                    <LoadByDay of={query.data} />
                    <LeftToday tapes={query.data.tapes} athleteId={athlete.id} />
                    {ladders[0] && <HowMany athleteId={athlete.id} skill={ladders[0].skill} today={query.data.date} />}
                    <Elsewhere of={query.data} />
                    {ladders
                        .filter((ladder) => ladder.progress.rows.length > 0)
                        .map((ladder) => (
                            <section key={ladder.id} aria-label={`Checkpoints of ${ladder.name}`}>
                                <h2 className="text-base">
                                    Checkpoints, first against latest <span className="label">{ladder.name}</span>
                                </h2>
                                <Progress of={ladder.progress} />
                                {ladder.set_length && (
                                    <p className="mt-2 border-l-4 border-tape pl-2">{ladder.set_length}</p>
                                )}
                            </section>
                        ))}
                    <section aria-label="Soreness">
                        <h2 className="text-base">Soreness lately</h2>
                        <SorenessTrends reports={query.data.soreness} today={query.data.date} />
                        <SorenessList reports={query.data.soreness} />
                    </section>
                    <SecondLooks of={query.data.second_looks} />
                    {query.data.decisions.length > 0 && <Decisions all={query.data.decisions} />}
                    {query.data.clearances.length > 0 && (
                        <section aria-label="Clearances">
                            <h2 className="text-base">Clearances on file</h2>
                            <ul>
                                {query.data.clearances.map((each) => (
                                    <li key={each.at} className="border-t border-line py-1">
                                        {each.sentence}
                                    </li>
                                ))}
                            </ul>
                        </section>
                    )}
                </div>
            </div>
            {asking && <CheckIn athlete={athlete} onClose={() => setAsking(false)} />}
        </main>
    );
}

function SorenessList({ reports }: { reports: Athlete['soreness'] }) {
    const sore = reports
        .filter((report) => report.site !== 'none')
        .slice(-6)
        .reverse();
    const last = reports.at(-1);
    if (!last)
        return <p className="text-soft">Nobody has reported anything in ten weeks. Not known is not safe: ask.</p>;
    return (
        <>
            <p className="text-soft">
                {reports.length} reports in ten weeks, the last {dayName(last.day)}.
            </p>
            <ul>
                {sore.map((report, i) => (
                    <li key={i} className="flex gap-3 border-t border-line py-1">
                        <span className="label w-20 shrink-0">{dayName(report.day)}</span>
                        <span className="grow">
                            {report.side ? `${report.side} ` : ''}
                            {report.site_name}, {report.kind} {report.score}, {report.moment}
                        </span>
                        <WordMark word={report.word} size={13} />
                    </li>
                ))}
            </ul>
        </>
    );
}

function LadderColumn({
    ladder,
    athleteId,
    decides,
    waits,
}: {
    ladder: Ladder;
    athleteId: string;
    decides: boolean;
    waits: boolean;
}) {
    return (
        <section aria-label={ladder.name}>
            <h2 className="text-lg">{ladder.name}</h2>
            <ol className="mt-2 flex flex-col-reverse border-x-2 border-ink">
                {ladder.rungs.map((rung) => (
                    <li
                        key={rung.id}
                        aria-current={rung.state === 'current' ? 'step' : undefined}
                        className={
                            rung.state === 'current'
                                ? '-mx-2 border-y-[3px] border-ink bg-page px-4 py-2'
                                : `border-t px-3 py-1 ${rung.state === 'held' ? 'border-ink' : 'border-line text-soft'}`
                        }
                    >
                        <p className="flex items-baseline justify-between gap-3">
                            <span className={rung.state === 'ahead' ? '' : 'head'}>{rung.name}</span>
                            <span className="label whitespace-nowrap">
                                {rung.state === 'held' ? 'held' : ''}
                                {rung.observed > 0 ? ` ${rung.good} of ${rung.observed} good` : ''}
                            </span>
                        </p>
                        {rung.state === 'current' && (
                            <div className="mt-1 grid gap-2">
                                <p className="text-sm text-soft">
                                    {rung.goal}
                                    {rung.entered_on ? `; here since ${dayName(rung.entered_on)}` : ''}.
                                </p>
                                <div className="flex items-center gap-3">
                                    <Strip marks={ladder.gate.strip} height={20} />
                                    <span className="label">last ten judged</span>
                                </div>
                                {ladder.placing && (
                                    <PlacingNote placing={ladder.placing} athleteId={athleteId} decides={decides} />
                                )}
                                {ladder.placing ? null : waits ? (
                                    <p className="border-l-4 border-tape pl-2">
                                        Waits while the way back is under way; nothing moves here until then.
                                    </p>
                                ) : (
                                    <>
                                        <GateHeadline gate={ladder.gate} />
                                        {ladder.agreement && <p className="text-sm">{ladder.agreement}</p>}
                                        <details>
                                            <summary className="opens">Evidence, criterion by criterion</summary>
                                            <div className="mt-1 text-sm">
                                                <p className="text-soft">The gate asks: {ladder.gate_asks}</p>
                                                <GateTable criteria={ladder.gate.criteria} />
                                                <JudgedSessions of={ladder.sessions} />
                                            </div>
                                        </details>
                                        {decides && (
                                            <DecisionForm
                                                athleteId={athleteId}
                                                ladder={ladder.id}
                                                rung={ladder.current}
                                                gate={ladder.gate}
                                                hasNext={ladder.next !== null}
                                                hasPrevious={ladder.previous !== null}
                                            />
                                        )}
                                    </>
                                )}
                            </div>
                        )}
                    </li>
                ))}
            </ol>
            {ladder.match_ready && !waits && (
                <MatchReady of={ladder.match_ready} athleteId={athleteId} ladder={ladder} decides={decides} />
            )}
        </section>
    );
}

/** What a coach can hand on, in plain words and without a diagnosis. */
function HandOn({ athlete, referrals }: { athlete: Athlete['athlete']; referrals: Athlete['referrals'] }) {
    const words = [
        `${athlete.name}, ${athlete.age ?? 'age not known'}, ${athlete.throwing_side}-handed.`,
        'Reported in training:',
        ...referrals.map(({ report_at, side, site, kind, score }) => {
            const day = dayName(report_at.slice(0, 10));
            return `– ${day}: ${side ?? ''} ${site.replace('_', ' ')}, ${kind}, ${score} of 10.`;
        }),
        [
            'The work it concerns has stopped. Please say whether and from when throwing, serving and ' +
                'landing may begin',
            'again, for which part of the body, and how far; with your name, role and the date. The coach ' +
                'records it as',
            'you write it.',
        ].join(' '),
    ].join('\n');
    return (
        <div className="grid gap-2">
            <p className="whitespace-pre-line">{words}</p>
            <button type="button" className="btn" onClick={() => void navigator.clipboard?.writeText(words)}>
                Copy
            </button>
        </div>
    );
}

function Header({ of, onAsk }: { of: Athlete; onAsk: () => void }) {
    const { athlete } = of;
    const next = of.sheets.find((sheet) => sheet.state !== 'finished' && sheet.held_on >= of.date);
    return (
        <header className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line py-3">
            <div>
                <p className="label">
                    {of.squad} · {athlete.age ?? 'age not known'} · {athlete.throwing_side}-handed ·{' '}
                    {of.school === 'strict' ? 'strict school: any joint pain stops that part' : 'graded school'}
                </p>
                <h1 className="text-2xl">{athlete.name}</h1>
                <p className="mt-0.5 flex flex-wrap items-center gap-x-2">
                    <Opens label="Why this word?" className="" content={<WordReasons channels={of.channels} />}>
                        <WordMark word={of.word} />
                    </Opens>
                    <span className="text-soft">{of.why}</span>
                </p>
            </div>
            <span className="grow" />
            <More of={of} />
            <button type="button" className="btn" onClick={onAsk}>
                Check in
            </button>
            {next && (
                <Link to="/sheets/$sheetId" params={{ sheetId: next.id }} className="btn btn-main">
                    Session {dayName(next.held_on)}
                </Link>
            )}
        </header>
    );
}

function More({ of }: { of: Athlete }) {
    const me = useMe();
    const { athlete, ladders } = of;
    return (
        <nav
            aria-label={`More of ${athlete.given_name}`}
            className="no-print flex flex-wrap items-center gap-x-4 gap-y-1"
        >
            <Link to="/athletes/$athleteId/load" params={{ athleteId: athlete.id }} className="opens head">
                Load
            </Link>
            {me.decides && ladders.length > 0 && (
                <Link to="/athletes/$athleteId/season" params={{ athleteId: athlete.id }} className="opens head">
                    Plan a season
                </Link>
            )}
            {ladders.length > 1 && (
                <Link to="/athletes/$athleteId/skills" params={{ athleteId: athlete.id }} className="opens head">
                    All skills in one plan
                </Link>
            )}
            {ladders.length > 0 && (
                <Link to="/athletes/$athleteId/tests" params={{ athleteId: athlete.id }} className="opens head">
                    Tests
                </Link>
            )}
            {ladders.length > 0 && (
                // A document of its own: its policy lets the model run that looks for joints.
                <a href={`/athletes/${athlete.id}/film`} className="opens head">
                    Film
                </a>
            )}
            {of.serves && (
                <Link to="/athletes/$athleteId/serve" params={{ athleteId: athlete.id }} className="opens head">
                    Serve window
                </Link>
            )}
            <Link to="/athletes/$athleteId/scores" params={{ athleteId: athlete.id }} className="opens head">
                Scores
            </Link>
            <Link to="/athletes/$athleteId/grips" params={{ athleteId: athlete.id }} className="opens head">
                Grips
            </Link>
            <Link to="/athletes/$athleteId/what-helped" params={{ athleteId: athlete.id }} className="opens head">
                What helped
            </Link>
            {ladders.length > 0 && me.decides && (
                <Link to="/athletes/$athleteId/schools" params={{ athleteId: athlete.id }} className="opens head">
                    Schools
                </Link>
            )}
            {ladders.length > 0 && (
                <Link to="/athletes/$athleteId/homework" params={{ athleteId: athlete.id }} className="opens head">
                    Homework
                </Link>
            )}
            <Link to="/athletes/$athleteId/intake" params={{ athleteId: athlete.id }} className="opens head">
                Intake{of.growing_fast ? ', growing fast' : ''}
            </Link>
        </nav>
    );
}

function Referral({ of }: { of: Athlete }) {
    const me = useMe();
    const { athlete, referrals } = of;
    return (
        <section
            aria-label="Open referral"
            className="mt-3 grid gap-3 border-l-4 border-refer bg-page px-4 py-3 md:grid-cols-[1fr_auto]"
        >
            <div>
                <h2 className="text-base text-refer">Open referral</h2>
                {referrals.map((referral) => (
                    <p key={referral.report_at}>
                        {dayName(referral.report_at.slice(0, 10))}: {referral.sentence}
                    </p>
                ))}
                <Opens
                    label="The words to hand on to a clinician"
                    className="btn mt-2 no-print"
                    content={<HandOn athlete={athlete} referrals={referrals} />}
                >
                    Text for the clinician
                </Opens>
            </div>
            {me.clears && (
                <ClearanceForm
                    athleteId={athlete.id}
                    sites={[...new Set(referrals.map((referral) => referral.site))]}
                />
            )}
        </section>
    );
}

function LoadByDay({ of }: { of: Athlete }) {
    return (
        <section aria-label="Load by day">
            <div className="flex items-baseline justify-between">
                <h2 className="text-base">Ten weeks behind, one ahead</h2>
                <Link to="/athletes/$athleteId/load" params={{ athleteId: of.athlete.id }} className="opens">
                    All lanes, what if, and the next match
                </Link>
            </div>
            <TimeAxis days={of.days} soreness={of.soreness} today={of.date} tapes={of.tapes} />
            <SevenDays of={of} />
        </section>
    );
}

function Decisions({ all }: { all: Athlete['decisions'] }) {
    return (
        <section aria-label="Decisions">
            <h2 className="text-base">Decisions</h2>
            <ul>
                {all.map((decision) => (
                    <li key={decision.id} className="border-t border-line py-1">
                        <span className="label mr-3">{dayName(decision.day)}</span>
                        <Opens
                            label={`${decision.sentence}: the evidence`}
                            content={
                                <>
                                    <p className="head">{decision.sentence}</p>
                                    {decision.reason && <p className="my-1">“{decision.reason}”</p>}
                                    <ul className="list-disc pl-5 text-sm">
                                        {decision.evidence.map((each) => (
                                            <li key={each}>{each}</li>
                                        ))}
                                    </ul>
                                </>
                            }
                        >
                            {decision.sentence}
                        </Opens>{' '}
                        <span className="text-soft">
                            {decision.by}, {decision.ladder_name}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

function OnNoLadder({ athlete, decides }: { athlete: Athlete['athlete']; decides: boolean }) {
    return (
        <p className="text-soft">
            On no ladder yet.{' '}
            {decides && (
                <Link to="/athletes/$athleteId/intake" params={{ athleteId: athlete.id }} className="underline">
                    Place {athlete.given_name}, under Intake.
                </Link>
            )}
        </p>
    );
}

/** The limits that stop first. */
function LeftToday({ tapes, athleteId }: { tapes: Athlete['tapes']; athleteId: string }) {
    if (tapes.length === 0) return null;
    return (
        <section aria-label="Limits today">
            <h2 className="text-base">Left on each limit today</h2>
            <div className="gap-x-8 md:columns-2">
                {tapes.slice(0, 8).map((tape) => (
                    <div key={tape.limit_id} className="break-inside-avoid">
                        <TapeRow tape={tape} athleteId={athleteId} />
                    </div>
                ))}
            </div>
        </section>
    );
}
