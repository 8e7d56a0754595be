import type { Body } from '../../api/typed';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type ReturnDetail } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { newId } from '../../offline/store';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { StageMark } from '../../parts/StageMark';
import { WordMark } from '../../parts/WordMark';
import { Waiting } from '../../parts/Waiting';
import { typed } from '../../parts/forms';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import { ClinicianDocument, documentOf } from '../../parts/ClinicianDocument';
import { clsx } from 'clsx';

const ACTS: Record<string, string> = {
    advance: 'Move on',
    step_back: 'Step back',
    restart: 'Start again at the first stage',
    done: 'Finish the return',
};

type Ask = 'clearance' | 'measure' | 'close';

/**
 * One way back: where it stands, what is awaited, and everything that was tried. Prints as the athlete’s own
 * programme.
 */
export function ReturnScreen() {
    const { returnId } = useParams({ from: '/frame/returns/$returnId' });
    const me = useMe();
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [problem, setProblem] = useState<unknown>(null);
    const [asking, setAsking] = useState<Ask | null>(null);
    const id = useRef(newId());
    const query = useQuery({
        queryKey: ['return', returnId],
        queryFn: () => api('GET', `/api/returns/${returnId}`),
    });
    if (!query.data) return <Waiting query={query} what="the return" />;
    const { ref } = query.data;
    const path = `/api/returns/${returnId}` as const;
    const put = (sent: Promise<ReturnDetail>): void => {
        sent.then((answer) => {
            id.current = newId();
            setProblem(null);
            setAsking(null);
            queries.setQueryData(['return', returnId], answer);
            void queries.invalidateQueries();
        }, setProblem);
    };
    const plan = (day: string): void => {
        api('POST', `/api/returns/${returnId}/sheets`, { day }).then(
            (sheet) => navigate({ to: '/sheets/$sheetId', params: { sheetId: sheet.id } }),
            setProblem,
        );
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <Header of={query.data} onAsk={setAsking} />
            <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-[1.25fr_1fr]">
                <Stages of={query.data} />
                <div className="order-first grid content-start gap-5 lg:order-none">
                    <Next
                        of={query.data}
                        problem={asking === null ? problem : null}
                        onAccept={() =>
                            put(
                                api('POST', `${path}/accept`, {
                                    id: id.current,
                                    action: ref.action,
                                    stage: query.data.action_stage,
                                }),
                            )
                        }
                        onPlan={() => plan(ref.not_before ?? me.today)}
                        onClose={() => setAsking('close')}
                    />
                    <Tried
                        of={query.data}
                        onMorning={(attempt, score) =>
                            put(api('POST', `${path}/attempts/${attempt}/morning`, { score }))
                        }
                    />
                    <OnFile of={query.data} />
                    <section aria-label="Cautions" className="text-sm">
                        <h2 className="text-base">Mind</h2>
                        <ul className="list-disc pl-5">
                            {query.data.cautions.map((each) => (
                                <li key={each}>{each}</li>
                            ))}
                        </ul>
                    </section>
                </div>
            </div>
            {asking === 'clearance' && (
                <RecordClearance
                    of={query.data}
                    problem={problem}
                    onClose={() => setAsking(null)}
                    onSend={(body) => put(api('POST', `${path}/clearances`, { id: id.current, ...body }))}
                />
            )}
            {asking === 'measure' && (
                <EnterMeasure
                    of={query.data}
                    problem={problem}
                    onClose={() => setAsking(null)}
                    onSend={(body) => put(api('POST', `${path}/measures`, { id: id.current, ...body }))}
                />
            )}
            {asking === 'close' && (
                <CloseReturn
                    problem={problem}
                    onClose={() => setAsking(null)}
                    onSend={(reason) => put(api('POST', `${path}/close`, { reason }))}
                />
            )}
        </main>
    );
}

function MorningEntry({ onKeep }: { onKeep: (score: number) => void }) {
    const [open, setOpen] = useState(false);
    return open ? (
        <div
            role="group"
            aria-label="Soreness the morning after, 0 to 10"
            className="no-print mt-1 grid grid-cols-11 gap-0.5"
        >
            {Array.from({ length: 11 }, (_, value) => (
                <button
                    key={value}
                    type="button"
                    onClick={() => onKeep(value)}
                    className="head min-h-11 border-y-2 border-ink hover:bg-tape"
                >
                    {value}
                </button>
            ))}
        </div>
    ) : (
        <button type="button" className="btn btn-quiet no-print" onClick={() => setOpen(true)}>
            Enter the missed morning
        </button>
    );
}

function Header({ of, onAsk }: { of: ReturnDetail; onAsk: (what: Ask) => void }) {
    const me = useMe();
    const { ref } = of;
    const open = ref.state === 'open';
    return (
        <header className="flex flex-wrap items-end gap-x-8 gap-y-2 border-b border-line py-3">
            <div>
                <p className="label">
                    {ref.programme} · {ref.site} · {of.ladder_name} · since {dayName(of.opened_on)}
                </p>
                <h1 className="text-2xl">
                    <Link to="/athletes/$athleteId" params={{ athleteId: ref.athlete.id }} className="hover:underline">
                        {ref.athlete.name}
                    </Link>
                    : the way back
                </h1>
                <p className="mt-0.5 flex items-center gap-2">
                    <WordMark word={of.word} />
                    <span className="text-soft">the {ref.site} today</span>
                </p>
            </div>
            <span className="grow" />
            <div className="no-print flex flex-wrap gap-2">
                {open && me.clears && (
                    <button type="button" className="btn" onClick={() => onAsk('clearance')}>
                        Record a clearance
                    </button>
                )}
                {open && me.clears && of.unmet.length > 0 && (
                    <button type="button" className="btn" onClick={() => onAsk('measure')}>
                        Enter a measurement
                    </button>
                )}
                <button type="button" className="btn" onClick={() => window.print()}>
                    Print
                </button>
            </div>
        </header>
    );
}

function Stages({ of: { ref, stages } }: { of: ReturnDetail }) {
    return (
        <section aria-label="Stages">
            <StageMark stage={ref.state === 'done' ? ref.of + 1 : ref.stage} of={ref.of} />
            <ol className="border-t-2 border-ink">
                {stages.map((stage, i) => (
                    <StageRow key={i} nth={i + 1} stage={stage} />
                ))}
            </ol>
        </section>
    );
}

const STATES: Record<string, string> = {
    current: '-mx-2 border-y-[3px] border-ink bg-page px-2',
    ahead: 'text-soft',
};

function StageRow({ nth, stage }: { nth: number; stage: ReturnDetail['stages'][number] }) {
    return (
        <li
            aria-current={stage.state === 'current' ? 'step' : undefined}
            className={`grid grid-cols-[1.6rem_1fr] gap-x-2 border-b border-line py-1.5 ${STATES[stage.state] ?? ''}`}
        >
            <span className="figure pt-0.5 text-lg">{nth}</span>
            <div>
                <p className="flex flex-wrap items-baseline justify-between gap-x-3">
                    <span className="head">{stage.name}</span>
                    <span className="label">
                        {stage.state === 'passed'
                            ? 'passed'
                            : stage.state === 'current'
                              ? `${stage.clean} of ${stage.passes} clean`
                              : ''}
                        {stage.needs_clearance && stage.state !== 'passed' ? ' clearance first' : ''}
                    </span>
                </p>
                <p>{stage.dose}</p>
                {stage.state === 'current' && <p className="text-sm text-soft">{stage.text}</p>}
                <p className="text-sm text-soft">{stage.asks}.</p>
            </div>
        </li>
    );
}

function Next({
    of,
    problem,
    onAccept,
    onPlan,
    onClose,
}: {
    of: ReturnDetail;
    problem: unknown;
    onAccept: () => void;
    onPlan: () => void;
    onClose: () => void;
}) {
    const me = useMe();
    const { ref } = of;
    const open = ref.state === 'open';
    return (
        <section aria-label="Next" className="border-t-2 border-ink pt-2">
            <h2 className="text-base">What comes next</h2>
            <p
                className={clsx(
                    'mt-1 text-xl leading-tight',
                    ref.action === 'stop' || ref.action === 'clear' ? 'head text-stop' : 'head',
                )}
            >
                {ref.sentence}
            </p>
            {open && (
                <p className="mt-1 text-soft">
                    Awaited: {ref.awaited}
                    {ref.awaited_from === 'nobody' ? '' : `, from the ${ref.awaited_from}`}.
                </p>
            )}
            {of.after && <p className="mt-1">{of.after}</p>}
            {of.hindrance && <p className="mt-2 border-l-4 border-tape pl-2">{of.hindrance}</p>}
            <Notice problem={problem} />
            {open && me.decides && <Acts of={of} onAccept={onAccept} onPlan={onPlan} onClose={onClose} />}
        </section>
    );
}

function Acts({
    of,
    onAccept,
    onPlan,
    onClose,
}: {
    of: ReturnDetail;
    onAccept: () => void;
    onPlan: () => void;
    onClose: () => void;
}) {
    const me = useMe();
    const { ref, stages } = of;
    return (
        <div className="no-print mt-3 flex flex-wrap gap-2">
            {ACTS[ref.action] && (
                <button type="button" className="btn btn-main" disabled={!of.acceptable} onClick={onAccept}>
                    {ACTS[ref.action]}: {stages[of.action_stage]?.name}
                </button>
            )}
            {['start', 'repeat', 'step_back', 'restart'].includes(ref.action) && (
                <button type="button" className={`btn ${ACTS[ref.action] ? '' : 'btn-main'}`} onClick={onPlan}>
                    Plan the session
                    {ref.not_before && ref.not_before > me.today ? `, ${dayName(ref.not_before)}` : ' today'}
                </button>
            )}
            <button type="button" className="btn btn-quiet" onClick={onClose}>
                Close this return
            </button>
        </div>
    );
}

function Tried({ of, onMorning }: { of: ReturnDetail; onMorning: (attempt: string, score: number) => void }) {
    const me = useMe();
    return (
        <section aria-label="Attempts">
            <h2 className="text-base">What was tried</h2>
            {of.attempts.length === 0 ? (
                <p className="text-soft">
                    Nothing yet. A session on a stage is taken from courtside when it is finished.
                </p>
            ) : (
                <ul>
                    {of.attempts.map((each) => (
                        <li key={each.id} className="border-t border-line py-1">
                            {each.sentence}
                            {each.may_enter_morning && me.records && (
                                <MorningEntry onKeep={(score) => onMorning(each.id, score)} />
                            )}
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

function OnFile({ of }: { of: ReturnDetail }) {
    return (
        <>
            <section aria-label="On file">
                <h2 className="text-base">Clearances and measurements</h2>
                {of.clearances.length + of.measures.length === 0 ? (
                    <p className="text-soft">None on file. The first stage needs a clearance.</p>
                ) : (
                    <ul>
                        {[...of.clearances, ...of.measures].map((each) => (
                            <li key={each} className="border-t border-line py-1">
                                {each}
                            </li>
                        ))}
                    </ul>
                )}
            </section>
            {of.steps.length > 0 && (
                <section aria-label="Decisions">
                    <h2 className="text-base">Decisions</h2>
                    <ul>
                        {of.steps.map((step, i) => (
                            <li key={i} className="border-t border-line py-1">
                                <span className="label mr-3">{dayName(step.day)}</span>
                                {step.sentence} <span className="text-soft">{step.by}</span>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </>
    );
}

function RecordClearance({
    of: { ref, stages },
    problem,
    onClose,
    onSend,
}: {
    of: ReturnDetail;
    problem: unknown;
    onClose: () => void;
    onSend: (body: Omit<Body<'POST', `/api/returns/${string}/clearances`>, 'id'>) => void;
}) {
    return (
        <Sheetlet open onClose={onClose} title="Record a clearance">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    const through = typed(form, 'through');
                    onSend({
                        through_stage: through === 'all' ? null : Number(through),
                        ...documentOf(form),
                    });
                }}
            >
                <ClinicianDocument>
                    <Labelled label="How far it goes">
                        <select className="field" name="through" defaultValue={String(ref.stage - 1)}>
                            {stages.map((stage, i) => (
                                <option key={i} value={i}>
                                    through {i + 1}, {stage.name}
                                </option>
                            ))}
                            <option value="all">all stages</option>
                        </select>
                    </Labelled>
                </ClinicianDocument>
                <Notice problem={problem} />
                <button className="btn btn-main">Save the clearance</button>
            </form>
        </Sheetlet>
    );
}

function EnterMeasure({
    of,
    problem,
    onClose,
    onSend,
}: {
    of: ReturnDetail;
    problem: unknown;
    onClose: () => void;
    onSend: (body: Omit<Body<'POST', `/api/returns/${string}/measures`>, 'id'>) => void;
}) {
    const me = useMe();
    return (
        <Sheetlet open onClose={onClose} title="Enter a measurement">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    onSend({
                        criterion: typed(form, 'criterion'),
                        injured: Number(typed(form, 'injured')),
                        sound: Number(typed(form, 'sound')),
                        measured_by: typed(form, 'measured_by'),
                        measured_on: typed(form, 'measured_on'),
                    });
                }}
            >
                <Labelled label="What was measured">
                    <select className="field" name="criterion">
                        {of.unmet.map((each) => (
                            <option key={each.id} value={each.id}>
                                {each.label}, at least {percent(each.at_least)} ({each.unit})
                            </option>
                        ))}
                    </select>
                </Labelled>
                <div className="grid grid-cols-2 gap-3">
                    <LabelledInput label="Injured side" name="injured" inputMode="decimal" required />
                    <LabelledInput label="Sound side" name="sound" inputMode="decimal" required />
                </div>
                <LabelledInput label="Measured by" name="measured_by" required defaultValue={me.name} />
                <LabelledInput
                    label="On"
                    name="measured_on"
                    type="date"
                    required
                    max={me.today}
                    defaultValue={me.today}
                />
                <Notice problem={problem} />
                <button className="btn btn-main">Save the measurement</button>
            </form>
        </Sheetlet>
    );
}

function CloseReturn({
    problem,
    onClose,
    onSend,
}: {
    problem: unknown;
    onClose: () => void;
    onSend: (reason: string) => void;
}) {
    return (
        <Sheetlet open onClose={onClose} title="Close this return">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    onSend(typed(new FormData(event.currentTarget), 'reason'));
                }}
            >
                <Labelled label="Why it ends here, in a sentence. The record stays.">
                    <textarea className="field" name="reason" rows={3} required />
                </Labelled>
                <Notice problem={problem} />
                <button className="btn btn-main">Close the return</button>
            </form>
        </Sheetlet>
    );
}
