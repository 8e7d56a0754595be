import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useEffect, useMemo, useState } from 'react';
import { api, type Block, Problem, type Sheet } from '../../api/client';
import { dayName, n, percent, WORDS } from '../../api/words';
import { CheckIn } from '../../parts/CheckIn';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { TapeRow } from '../../parts/Reasons';
import { RungMark } from '../../parts/RungMark';
import { Stepper } from '../../parts/Stepper';
import { WhatIsLeft } from '../../parts/WhatIsLeft';
import { WordMark } from '../../parts/WordMark';
import { Waiting } from '../../parts/Waiting';
import { clsx } from 'clsx';

type Dose = { id: string; sets: number; reps: number; effort: number; distance_m: number | null };
const PREVIEW_AFTER_MS = 120;

const doseOf = (block: Block): Dose => ({
    id: block.id,
    sets: block.sets,
    reps: block.reps,
    effort: block.effort,
    distance_m: block.distance_m,
});

/** What, in what order, how much for each, and why not more? */
export function SheetScreen() {
    const { sheetId } = useParams({ from: '/frame/sheets/$sheetId' });
    const sheet = useQuery({
        queryKey: ['sheet', sheetId],
        queryFn: () => api('GET', `/api/sheets/${sheetId}`),
        refetchOnWindowFocus: false,
    });
    if (!sheet.data) return <Waiting query={sheet} what="the session sheet" />;
    // Another version on the server does not throw away what is being edited here.
    return <Editor key={sheetId} kept={sheet.data} />;
}

function Editor({ kept }: { kept: Sheet }) {
    const me = useMe();
    const sheet = useEdits(kept);
    const { edits, shown, problem, previewProblem } = sheet;
    const [asking, setAsking] = useState(false);
    const editable = me.decides && kept.state !== 'finished';

    return (
        <main className="px-4 pb-10 sm:px-6">
            <Header sheet={sheet} kept={kept} onAsk={() => setAsking(true)} />
            <Notice problem={previewProblem} />
            <Notice problem={problem}>
                {problem instanceof Problem && problem.status === 409 && (
                    <button type="button" className="btn mt-2" onClick={sheet.fetchAgain}>
                        Fetch the saved sheet, keep my doses on top
                    </button>
                )}
            </Notice>
            <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_23rem]">
                <section aria-label="Blocks" className="pt-3">
                    <BeforeBlocks kept={kept} shown={shown} />
                    {shown.blocks.map((block) => (
                        <BlockRow
                            key={block.id}
                            block={block}
                            dose={edits[block.id] ?? doseOf(block)}
                            editable={editable}
                            onEdit={sheet.edit}
                        />
                    ))}
                </section>
                <Aside kept={kept} shown={shown} onFit={editable && kept.state === 'planned' ? sheet.fit : null} />
            </div>
            {asking && <CheckIn athlete={kept.athlete} onClose={() => setAsking(false)} />}
        </main>
    );
}

function BlockRow({
    block,
    dose,
    editable,
    onEdit,
}: {
    block: Block;
    dose: Dose;
    editable: boolean;
    onEdit: (dose: Dose) => void;
}) {
    const dropped = block.counted && dose.reps === 0;
    const blocked = block.word === 'none' || block.word === 'refer';
    return (
        <article
            id={block.id}
            className={clsx(
                'grid scroll-mt-4 gap-x-6 gap-y-1 border-t border-line py-2.5 first:border-0 target:bg-page',
                'md:grid-cols-[6.5rem_1fr_auto]',
            )}
        >
            <p className="head text-soft">{block.kind_name}</p>
            <div className={dropped ? 'text-soft' : ''}>
                <h2 className={`text-base ${dropped ? 'line-through decoration-1' : ''}`}>
                    {block.title}
                    {block.judged && <span className="label"> · judged</span>}
                </h2>
                <p className="max-w-prose text-sm text-soft">{block.text}</p>
                <p className="text-sm">
                    {block.counted && !dropped && <How block={block} />}
                    {block.trims.length > 0 && <span className="text-reduced">{block.trims.join(' ')}</span>}
                </p>
            </div>
            {block.counted && (
                <div className="justify-self-start md:justify-self-end">
                    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                        {editable ? (
                            <Steppers block={block} dose={dose} blocked={blocked} dropped={dropped} onEdit={onEdit} />
                        ) : (
                            <span className="figure text-lg">
                                {dose.reps} reps, {percent(dose.effort)}
                                {dose.distance_m === null ? '' : `, ${n(dose.distance_m)} m`}
                            </span>
                        )}
                    </div>
                    <p className="label mt-1 md:text-right">
                        {dropped ? (
                            blocked ? (
                                `Not today: ${WORDS[block.word]}`
                            ) : (
                                'Left out'
                            )
                        ) : (
                            <Placed block={block} reps={dose.reps} />
                        )}
                    </p>
                </div>
            )}
        </article>
    );
}

/** The doses as they are moved here, looked at by the core a moment later, and saved when somebody says so. */
function useEdits(kept: Sheet) {
    const queries = useQueryClient();
    const [edits, setEdits] = useState<Record<string, Dose>>({});
    const [preview, setPreview] = useState<Sheet | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    // Kept apart, so that a preview that works does not wipe away why saving did not.
    const [previewProblem, setPreviewProblem] = useState<unknown>(null);
    // Saved before the other's sheet is here, it would be refused once more.
    const [fetching, setFetching] = useState(false);
    const edited = Object.keys(edits).length > 0;
    const doses = useMemo(() => kept.blocks.map((block) => edits[block.id] ?? doseOf(block)), [kept, edits]);

    useEffect(() => {
        if (!edited) return;
        const cut = new AbortController();
        const timer = window.setTimeout(() => {
            api('POST', `/api/sheets/${kept.id}/preview`, { version: kept.version, blocks: doses }).then(
                (answer) => {
                    if (!cut.signal.aborted) {
                        setPreview(answer);
                        setPreviewProblem(null);
                    }
                },
                (error: unknown) => {
                    if (!cut.signal.aborted) setPreviewProblem(error);
                },
            );
        }, PREVIEW_AFTER_MS);
        return () => {
            cut.abort();
            window.clearTimeout(timer);
        };
    }, [doses, edited, kept.id, kept.version]);

    const asKept = (): void => {
        setEdits({});
        setPreview(null);
        setPreviewProblem(null);
    };
    const shown = preview ?? kept;
    const save = (): void => {
        api('PUT', `/api/sheets/${kept.id}`, { version: kept.version, blocks: doses }).then((answer) => {
            queries.setQueryData(['sheet', kept.id], answer);
            asKept();
            setProblem(null);
            void queries.invalidateQueries({ queryKey: ['today'] });
        }, setProblem);
    };
    const fit = (): void => {
        api('POST', `/api/sheets/${kept.id}/fit`, { version: kept.version }).then((answer) => {
            queries.setQueryData(['sheet', kept.id], answer);
            asKept();
            setProblem(null);
        }, setProblem);
    };
    return {
        edits,
        edited,
        shown,
        problem,
        previewProblem,
        edit: (dose: Dose) => setEdits({ ...edits, [dose.id]: dose }),
        undo: () => {
            asKept();
            setProblem(null);
        },
        save,
        fit,
        fetching,
        fetchAgain: () => {
            setFetching(true);
            void queries
                .invalidateQueries({ queryKey: ['sheet', kept.id] })
                .then(() => setProblem(null))
                .finally(() => setFetching(false));
        },
    };
}

type Edits = ReturnType<typeof useEdits>;

function Header({ sheet, kept, onAsk }: { sheet: Edits; kept: Sheet; onAsk: () => void }) {
    return (
        <header className="flex flex-wrap items-start gap-x-8 gap-y-3 border-b border-line py-3">
            <div>
                <p className="label">
                    <Link to="/sessions/$sessionId" params={{ sessionId: kept.session_id }} className="hover:underline">
                        {dayName(kept.held_on)}, {kept.starts_at}, {kept.title}
                    </Link>
                    , about {sheet.shown.minutes} minutes
                </p>
                <h1 className="text-2xl">
                    <Link to="/athletes/$athleteId" params={{ athleteId: kept.athlete.id }} className="hover:underline">
                        {kept.athlete.name}
                    </Link>
                </h1>
                <p className="mt-0.5 flex items-center gap-2">
                    <WordMark word={kept.word} /> <span className="text-soft">{kept.why}</span>
                </p>
            </div>
            <div className="flex max-w-sm items-center gap-3">
                <RungMark rung={kept.rung} />
                <div>
                    <p>
                        <span className="head">{kept.rung.rung_name}</span>{' '}
                        <span className="text-soft">
                            · rung {kept.rung.position} of {kept.rung.of}, {kept.rung.ladder_name}
                        </span>
                    </p>
                    <p className="text-sm text-soft">
                        {kept.rung_goal}
                        {kept.outcome_ignored ? '. The result is ignored here.' : '.'}
                    </p>
                </div>
            </div>
            {kept.return && (
                <Link to="/returns/$returnId" params={{ returnId: kept.return.id }} className="opens self-center">
                    The whole way back
                </Link>
            )}
            <span className="grow" />
            <Acts sheet={sheet} kept={kept} onAsk={onAsk} />
        </header>
    );
}

function Acts({ sheet, kept, onAsk }: { sheet: Edits; kept: Sheet; onAsk: () => void }) {
    const me = useMe();
    return (
        <div className="no-print flex flex-wrap gap-2">
            {me.records && kept.state !== 'finished' && (
                <button type="button" className="btn" onClick={onAsk}>
                    {kept.word === 'unknown' ? 'Check in' : 'Report soreness'}
                </button>
            )}
            {sheet.edited ? (
                <>
                    <button type="button" className="btn" onClick={sheet.undo}>
                        Undo edits
                    </button>
                    <button
                        type="button"
                        className="btn btn-main"
                        disabled={sheet.fetching || sheet.shown.broken.length > 0}
                        onClick={sheet.save}
                    >
                        Save doses
                    </button>
                </>
            ) : kept.state === 'finished' ? (
                <Link to="/sheets/$sheetId/after" params={{ sheetId: kept.id }} className="btn btn-main">
                    Review
                </Link>
            ) : (
                me.records &&
                kept.held_on <= me.today && (
                    <Link to="/sheets/$sheetId/courtside" params={{ sheetId: kept.id }} className="btn btn-main">
                        {kept.state === 'running' ? 'Go on courtside' : 'Start courtside'}
                    </Link>
                )
            )}
        </div>
    );
}

/** What cannot be done, what was taken off and why, and what to work on. */
function BeforeBlocks({ kept, shown }: { kept: Sheet; shown: Sheet }) {
    const asked = kept.blocks.reduce((sum, block) => sum + block.asked_reps, 0);
    const trimmed = kept.blocks.some((block) => block.trims.length > 0)
        ? asked - kept.blocks.reduce((sum, block) => sum + block.reps, 0)
        : 0;
    return (
        <>
            {shown.broken.length > 0 && (
                <div role="alert" className="mb-3 border-l-4 border-stop bg-page px-3 py-2">
                    <p className="head text-stop">These doses cannot be done</p>
                    <ul>
                        {shown.broken.map((each) => (
                            <li key={each}>{each}</li>
                        ))}
                    </ul>
                </div>
            )}
            {(trimmed > 0 || kept.trims.length > 0 || kept.swap !== null) && (
                <div className="mb-2 border-l-4 border-tape pl-3">
                    {trimmed > 0 && (
                        <p>
                            <span className="head">
                                Trimmed from {asked} to {asked - trimmed} reps.
                            </span>{' '}
                            The reason stands beside each block.
                        </p>
                    )}
                    {kept.trims.map((each) => (
                        <p key={each}>{each}</p>
                    ))}
                    {kept.swap !== null && <Swapped kept={kept} swap={kept.swap} />}
                </div>
            )}
            {kept.focus.length > 0 && (
                <section aria-label="To work on" className="mb-2 border-l-4 border-ink pl-3">
                    <h2 className="text-base">To work on, from the last two sessions</h2>
                    <ol className="list-decimal pl-5">
                        {kept.focus.map((each) => (
                            <li key={each.name}>
                                <span className="head">
                                    {each.name}
                                    {each.safety ? ', can hurt' : ''}.
                                </span>{' '}
                                “{each.cue}” <span className="text-soft">{each.drill}.</span>
                            </li>
                        ))}
                    </ol>
                </section>
            )}
        </>
    );
}

/** The work is gone, or was swapped: what is left is one touch away, and so is the way back. */
function Swapped({ kept, swap }: { kept: Sheet; swap: NonNullable<Sheet['swap']> }) {
    const me = useMe();
    const navigate = useNavigate();
    const queries = useQueryClient();
    const [looking, setLooking] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const takeBack = (change: string): void => {
        api('POST', `/api/session-changes/${change}/take-back`)
            .then(() => queries.invalidateQueries())
            .then(() => navigate({ to: '/sessions/$sessionId', params: { sessionId: kept.session_id } }), setProblem);
    };
    if (!me.records) return null;
    return (
        <div className="no-print my-1">
            <Notice problem={problem} />
            {swap.state === 'due' ? (
                <button type="button" className="btn btn-main" onClick={() => setLooking(true)}>
                    What {kept.athlete.given_name} can do today
                </button>
            ) : (
                kept.state === 'planned' &&
                swap.change_id !== null && (
                    <button type="button" className="btn" onClick={() => takeBack(swap.change_id ?? '')}>
                        Undo: back to the planned work
                    </button>
                )
            )}
            {looking && (
                <WhatIsLeft
                    sheetId={kept.id}
                    athlete={kept.athlete}
                    onClose={() => setLooking(false)}
                    onTaken={(sheet) => {
                        setLooking(false);
                        void navigate({ to: '/sheets/$sheetId', params: { sheetId: sheet.id } });
                    }}
                />
            )}
        </div>
    );
}

function Aside({ kept, shown, onFit }: { kept: Sheet; shown: Sheet; onFit: (() => void) | null }) {
    return (
        <aside className="grid content-start gap-5 pt-3">
            <section aria-label="Load on each limit">
                <h2 className="text-base">
                    {kept.state === 'finished' ? 'Load on each limit' : 'Load on each limit, with this session'}
                </h2>
                <p className="label">inked: done · hatched: planned · bare: left</p>
                {shown.tapes.slice(0, 8).map((tape) => (
                    <TapeRow key={tape.limit_id} tape={tape} athleteId={kept.athlete.id} />
                ))}
                {shown.tapes.length > 8 && (
                    <details>
                        <summary className="label py-1">{shown.tapes.length - 8} more limits, all with room</summary>
                        {shown.tapes.slice(8).map((tape) => (
                            <TapeRow key={tape.limit_id} tape={tape} athleteId={kept.athlete.id} />
                        ))}
                    </details>
                )}
            </section>
            <section aria-label="Cautions" className="text-sm">
                <h2 className="text-base">Before anyone starts</h2>
                <ul className="mt-1 list-disc pl-5">
                    {kept.cautions.map((caution) => (
                        <li key={caution}>{caution}</li>
                    ))}
                </ul>
                <p className="mt-2 text-soft">{kept.rule_notice}</p>
                {onFit && (
                    <button type="button" className="btn btn-quiet no-print mt-1" onClick={onFit}>
                        Fit the rung’s own doses again
                    </button>
                )}
            </section>
        </aside>
    );
}

function Steppers({
    block,
    dose,
    blocked,
    dropped,
    onEdit,
}: {
    block: Block;
    dose: Dose;
    blocked: boolean;
    dropped: boolean;
    onEdit: (dose: Dose) => void;
}) {
    return (
        <>
            <Stepper
                label={`repetitions of ${block.title}`}
                value={dose.reps}
                shown={`${dose.reps} reps`}
                step={1}
                least={0}
                most={500}
                disabled={blocked}
                onChange={(reps) => onEdit({ ...dose, reps })}
            />
            <Stepper
                label={`effort of ${block.title}`}
                value={dose.effort}
                shown={percent(dose.effort)}
                step={0.05}
                least={0.05}
                most={1}
                disabled={blocked || dropped}
                onChange={(effort) => onEdit({ ...dose, effort })}
            />
            {dose.distance_m !== null && (
                <Stepper
                    label={`metres of ${block.title}`}
                    value={dose.distance_m}
                    shown={`${n(dose.distance_m)} m`}
                    step={1}
                    least={1}
                    most={120}
                    disabled={blocked || dropped}
                    onChange={(distance_m) => onEdit({ ...dose, distance_m })}
                />
            )}
        </>
    );
}

/** How the repetitions fall into sets, and how many more fit. */
function Placed({ block, reps }: { block: Block; reps: number }) {
    return (
        <>
            {block.reps_by_set.join(' · ')}
            {block.asked_reps !== reps ? ` of ${block.asked_reps} asked` : ''} ·{' '}
            {block.headroom === null ? (
                'no limit is set for this'
            ) : (
                <span title={block.binding.join(', ')}>
                    {block.plenty ? 'plenty of room' : `${block.headroom} more fit`}
                </span>
            )}
        </>
    );
}

function How({ block }: { block: Block }) {
    return (
        <>
            {block.object}
            {block.side === 'other' ? ', other side' : ''}
            {block.hold_s ? `, hold ${block.hold_s} s` : ''}, rest {block.rest_s} s
            {block.done_reps > 0 ? `, ${block.done_reps} done` : ''}.{' '}
        </>
    );
}
