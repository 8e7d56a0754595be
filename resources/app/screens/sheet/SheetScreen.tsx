import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, Problem, type Sheet } from '../../api/client';
import { dayName } from '../../api/words';
import { CheckIn } from '../../parts/CheckIn';
import { useMe } from '../../parts/Frame';
import { NotesBefore } from '../../parts/NoteFor';
import { Notice } from '../../parts/Notice';
import { TapeRow } from '../../parts/Reasons';
import { RungMark } from '../../parts/RungMark';
import { Waiting } from '../../parts/Waiting';
import { WhatIsLeft } from '../../parts/WhatIsLeft';
import { WordMark } from '../../parts/WordMark';
import { AddWork } from './AddWork';
import { BlockRow } from './BlockRow';
import { type Edits, useEdits } from './useEdits';
import { Whole } from './Whole';

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
    const { shown, problem, previewProblem } = sheet;
    const [asking, setAsking] = useState(false);
    const [adding, setAdding] = useState(false);
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
                    <NotesBefore notes={kept.notes} />
                    <BeforeBlocks kept={kept} shown={shown} />
                    {sheet.rows.map(({ block, dose }, place) => (
                        <BlockRow
                            key={block.id}
                            athleteId={shown.athlete.id}
                            block={block}
                            dose={dose}
                            editable={editable}
                            onEdit={sheet.edit}
                            onMove={(by) => sheet.move(place, by)}
                            onRemove={() => sheet.remove(block.id)}
                        />
                    ))}
                    {editable && <Whole sheet={sheet} kept={kept} onAdd={() => setAdding(true)} />}
                </section>
                <Aside kept={kept} shown={shown} onFit={editable && kept.state === 'planned' ? sheet.fit : null} />
            </div>
            {adding && <AddWork sheet={sheet} kept={kept} onClose={() => setAdding(false)} />}
            {asking && <CheckIn athlete={kept.athlete} onClose={() => setAsking(false)} />}
        </main>
    );
}

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
                        {kept.taught_by.length > 0 && ` Taught: ${kept.taught_by.join('; ').toLowerCase()}.`}
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
                kept.state !== 'finished' &&
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
