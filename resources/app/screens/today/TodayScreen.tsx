import { Link } from '@tanstack/react-router';
import { useEffect, useState, type ReactNode } from 'react';
import { type AthleteCard, type Today, type TodayRow, type Word } from '../../api/client';
import { dayName, WORDS } from '../../api/words';
import { takeAlong } from '../../offline/store';
import { AthleteName } from '../../parts/AthleteName';
import { later } from '../../parts/later';
import { useMe } from '../../parts/Frame';
import { GateHeadline, GateTable } from '../../parts/GateTable';
import { Opens } from '../../parts/Opens';
import { WhyRows, WordReasons } from '../../parts/Reasons';
import { RungMark } from '../../parts/RungMark';
import { SecondLooks } from '../../parts/SecondLooks';
import { SquadChoice } from '../../parts/SquadChoice';
import { Strip } from '../../parts/Strip';
import { Tape } from '../../parts/Tape';
import { useWide } from '../../parts/useWide';
import { WordMark, WordShape } from '../../parts/WordMark';
import { LibraryProblems } from '../../parts/LibraryProblems';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { inPlaces, useToday } from './useToday';
import { clsx } from 'clsx';

const CheckIn = later(async () => (await import('../../parts/CheckIn')).CheckIn);
const PlanSession = later(async () => (await import('../../parts/PlanSession')).PlanSession);

const ORDER: Word[] = ['refer', 'none', 'reduced', 'unknown', 'full'];

/** Whose session is offered first: nobody’s who has not checked in, or must not work today. */
const MAY_TRAIN = ['full', 'reduced'];

/** Who may do what today, who is missing? */
export function TodayScreen() {
    const [squad, setSquad] = useState<number | null>(null);
    const [asking, setAsking] = useState<AthleteCard | null>(null);
    const [planning, setPlanning] = useState(false);
    const [only, setOnly] = useState<Only>(null);
    const me = useMe();
    const { today, rest } = useToday(squad);
    useTakenAlong(me.records ? today.data : undefined);
    if (!today.data) return <Waiting query={today} what="the squad" />;
    const { rows } = today.data;
    const counts = ORDER.map((word) => [word, rows.filter((row) => row.word === word).length] as const).filter(
        ([, count]) => count > 0,
    );
    const needing = rows.filter((row) => row.needs_coach).length;
    const shown = rows.filter((row) => only === null || (only === 'needs' ? row.needs_coach : row.word === only));
    const next =
        rows.find(
            (row) =>
                row.sheet?.state !== 'finished' && row.sheet?.nothing_left === false && MAY_TRAIN.includes(row.word),
        ) ?? rows.find((row) => row.sheet && row.sheet.state !== 'finished');

    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-6 gap-y-2 py-3">
                <div>
                    <h1 className="text-2xl">
                        <SquadChoice squad={today.data.squad} squads={today.data.squads} onChange={setSquad} />,{' '}
                        {dayName(today.data.date)}
                    </h1>
                    <Only counts={counts} needing={needing} only={only} onChange={setOnly} />
                </div>
                <span className="hidden grow sm:block" />
                <span className="hidden sm:inline">
                    <SaveList
                        name={`today ${today.data.date}`}
                        titles={['Name', 'Word', 'Why', 'How many are left', 'Ladder', 'Rung', 'Gate', 'Away']}
                        rows={() =>
                            shown.map((row) => [
                                row.athlete.name,
                                row.word,
                                row.why,
                                row.headroom,
                                row.rung?.ladder_name,
                                row.rung?.rung_name,
                                row.gate?.headline,
                                row.away,
                            ])
                        }
                    />
                </span>
                {me.decides && (
                    <button type="button" className="btn" onClick={() => setPlanning(true)}>
                        Plan a session
                    </button>
                )}
                {next?.sheet && (
                    <Link to="/sheets/$sheetId" params={{ sheetId: next.sheet.id }} className="btn btn-main">
                        Open the next session: {next.athlete.given_name}, {next.sheet.starts_at}
                    </Link>
                )}
            </header>
            {today.data.refitting > 0 && (
                <p role="status" className="mb-2 border-l-4 border-tape bg-page px-3 py-2">
                    {today.data.refitting} {today.data.refitting === 1 ? 'sheet is' : 'sheets are'} being fitted to a
                    change for the squad. Until then each shows never more than was planned and never more than is left.
                </p>
            )}
            <SecondLooks of={today.data.second_looks} />
            <CorrectedLately of={today.data.corrected} />
            <Uncounted of={today.data.uncounted} />
            <LibraryProblems problems={today.data.problems} />
            <RestOfRows
                waiting={today.data.waiting.length}
                failed={rest === 'failed'}
                onAgain={() => void today.refetch()}
            />
            {rows.length + today.data.waiting.length === 0 ? (
                <Nobody maySayWho={me.decides} />
            ) : (
                <div role="table" aria-label="Athletes in running order">
                    <div
                        role="row"
                        className={clsx(
                            'label hidden border-b-2 border-ink pb-1 md:grid',
                            'md:grid-cols-[9.5rem_1.05fr_1.65fr_1.5fr_9.2rem] md:gap-x-5',
                        )}
                    >
                        <span role="columnheader">Athlete</span>
                        <span role="columnheader">Word today</span>
                        <span role="columnheader">How many are left</span>
                        <span role="columnheader">Rung and gate</span>
                        <span role="columnheader" className="text-right">
                            Session today
                        </span>
                    </div>
                    {inPlaces({ ...today.data, rows: shown, waiting: only === null ? today.data.waiting : [] }).map(
                        (each) =>
                            'athlete_id' in each ? (
                                <WaitingRow key={each.athlete_id} of={each} />
                            ) : (
                                <Row key={each.athlete.id} row={each} onAsk={() => setAsking(each.athlete)} />
                            ),
                    )}
                </div>
            )}
            <p className="mt-4 text-sm text-soft">
                <span className="head">{today.data.rule_set}.</span> {today.data.rule_notice}
            </p>
            {planning && <PlanSession squad={today.data.squad} open onClose={() => setPlanning(false)} />}
            {asking && <CheckIn athlete={asking} onClose={() => setAsking(null)} />}
        </main>
    );
}

/** Only those with one word, or only those the coach has to ask, to decide about or to look at. */
type Only = Word | 'needs' | null;

function Only({
    counts,
    needing,
    only,
    onChange,
}: {
    counts: (readonly [Word, number])[];
    needing: number;
    only: Only;
    onChange: (only: Only) => void;
}) {
    const toggle = (which: Only, name: ReactNode) => (
        <button
            key={which}
            type="button"
            aria-pressed={only === which}
            className={clsx(
                'inline-flex min-h-8 items-center gap-1.5 border-b-2 hover:underline',
                only === which ? 'border-ink font-bold' : 'border-transparent',
            )}
            onClick={() => onChange(only === which ? null : which)}
        >
            {name}
        </button>
    );
    return (
        <div role="group" aria-label="Show only" className="mt-1 flex flex-wrap gap-x-4">
            {counts.map(([word, count]) =>
                toggle(
                    word,
                    <>
                        <WordShape word={word} size={14} />
                        {count} {WORDS[word].toLowerCase()}
                    </>,
                ),
            )}
            {needing > 0 && toggle('needs', `${needing} ${needing === 1 ? 'needs' : 'need'} you`)}
            {only !== null && (
                <button type="button" className="opens min-h-8" onClick={() => onChange(null)}>
                    Show all
                </button>
            )}
        </div>
    );
}

/** Counts that were lowered: whoever looks at what is left should know why there is more of it. */
function CorrectedLately({ of }: { of: Today['corrected'] }) {
    if (of.length === 0) return null;
    return (
        <section aria-label="Counts lowered this week" className="mb-2 border-l-4 border-reduced bg-page px-3 py-1.5">
            <h2 className="text-base">Counts lowered this week</h2>
            <ul>
                {of.map((each) => (
                    <li key={each.at + each.sentence}>
                        {each.sheet_id === null ? (
                            <Link
                                to="/athletes/$athleteId"
                                params={{ athleteId: each.athlete_id }}
                                className="underline"
                            >
                                {each.sentence}
                            </Link>
                        ) : (
                            <Link to="/sheets/$sheetId/after" params={{ sheetId: each.sheet_id }} className="underline">
                                {each.sentence}
                            </Link>
                        )}{' '}
                        {each.reason ? `“${each.reason}”` : ''} <span className="text-soft">{each.by}</span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Matches nobody has counted stand as expected: what they took is asked for where it is seen every day. */
function Uncounted({ of }: { of: Today['uncounted'] }) {
    return of.map((match) => (
        <p key={match.id} className="mb-2 border-l-4 border-reduced bg-page px-3 py-1.5">
            <Link to="/matches/$fixtureId" params={{ fixtureId: match.id }} className="opens head">
                {match.title}, {dayName(match.day)}
            </Link>
            : not counted for {match.players}. It stands as expected until somebody says what it took.
        </p>
    ));
}

function Nobody({ maySayWho }: { maySayWho: boolean }) {
    return (
        <div className="border-t-2 border-ink py-8">
            <p className="text-lg">Nobody is in this squad yet.</p>
            {maySayWho && (
                <p className="mt-3 flex flex-wrap gap-2">
                    <Link to="/people" className="btn btn-main">
                        Add an athlete
                    </Link>
                    <Link to="/spreadsheets" className="btn">
                        Bring in a spreadsheet
                    </Link>
                </p>
            )}
        </div>
    );
}

function RestOfRows({ waiting, failed, onAgain }: { waiting: number; failed: boolean; onAgain: () => void }) {
    if (waiting === 0) return null;
    return (
        <p role="status" className="mb-2 border-l-4 border-tape bg-page px-3 py-2">
            {failed ? (
                <>
                    {waiting} not worked out yet: no answer came.{' '}
                    <button type="button" className="opens" onClick={onAgain}>
                        Try again
                    </button>
                </>
            ) : (
                <>{waiting} are being worked out, whoever may do least today first.</>
            )}
        </p>
    );
}

function WaitingRow({ of }: { of: Today['waiting'][number] }) {
    return (
        <div role="row" className="flex min-h-12 items-baseline gap-x-4 border-b border-line py-2">
            <span role="cell" className="head">
                {of.name}
            </span>
            <span role="cell" className="text-sm text-soft">
                Being worked out
            </span>
        </div>
    );
}

function Row({ row, onAsk }: { row: TodayRow; onAsk: () => void }) {
    const { athlete } = row;
    return (
        <div
            role="row"
            className={clsx(
                'grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1.5 border-b border-line py-2',
                'md:grid-cols-[9.5rem_1.05fr_1.65fr_1.5fr_9.2rem] md:gap-x-5 md:py-[0.3rem]',
            )}
        >
            <div role="cell" className="min-w-0">
                <AthleteName athlete={athlete} below="hidden md:inline" />
            </div>
            <WordCell row={row} onAsk={onAsk} />
            <RoomCell row={row} />
            <StandingCell row={row} />
            <SessionCell row={row} />
        </div>
    );
}

const TAKE_ALONG_AFTER_MS = 1500;

/** Takes today's sessions along, one after the other, so that courtside opens where there is no connection. */
function useTakenAlong(today: Today | undefined): void {
    const sheets =
        today?.rows.flatMap((row) => (row.sheet && row.sheet.state !== 'finished' ? [row.sheet.id] : [])).join(' ') ??
        '';
    useEffect(() => {
        if (sheets === '') return;
        let stopped = false;
        const takeAll = async (): Promise<void> => {
            for (const sheetId of sheets.split(' ')) {
                if (stopped || !navigator.onLine) return;
                await takeAlong(sheetId).catch(() => undefined);
            }
        };
        const timer = window.setTimeout(() => void takeAll(), TAKE_ALONG_AFTER_MS);
        return () => {
            stopped = true;
            window.clearTimeout(timer);
        };
    }, [sheets]);
}

function WordCell({ row, onAsk }: { row: TodayRow; onAsk: () => void }) {
    const { athlete } = row;
    const wide = useWide();
    const why = row.away ?? row.why;
    return (
        <div
            role="cell"
            className="order-3 col-span-2 flex min-w-0 items-center justify-between gap-2 md:order-none md:col-span-1"
        >
            <div className="flex min-w-0 items-center gap-2 md:block">
                <Opens
                    label={`${athlete.given_name}: ${WORDS[row.word]}. Why?`}
                    className="inline-block"
                    content={
                        <>
                            <WordReasons channels={row.channels} />
                            <button type="button" className="btn mt-3" onClick={onAsk}>
                                Report for {athlete.given_name}
                            </button>
                        </>
                    }
                >
                    <WordMark word={row.word} />
                </Opens>
                {row.incidents > 0 && (
                    <Link
                        to="/athletes/$athleteId"
                        params={{ athleteId: athlete.id }}
                        className="opens shrink-0 text-sm text-refer md:ml-3"
                    >
                        Incident open
                    </Link>
                )}
                {wide ? (
                    <span className="block truncate text-sm text-soft" title={why}>
                        {why}
                    </span>
                ) : (
                    <span className={clsx('truncate text-sm', row.needs_coach ? 'font-bold' : 'text-soft')}>
                        {inShort(row)}
                    </span>
                )}
            </div>
            {row.word === 'unknown' && row.away === null && (
                <button type="button" className="btn shrink-0" onClick={onAsk}>
                    Check in
                </button>
            )}
        </div>
    );
}

/** On a phone there is one line beside the word: what has to be known first. */
function inShort(row: TodayRow): string {
    if (row.away !== null) return row.away;
    if (row.word !== 'full') return row.why;
    const decided = row.gate !== null && row.gate.decision in HOW_DECISIONS_READ;
    return decided && row.gate !== null ? row.gate.headline : row.headroom;
}

function RoomCell({ row }: { row: TodayRow }) {
    const { athlete, tape } = row;
    return (
        <div role="cell" className="hidden min-w-0 md:block">
            {tape && (
                <Opens
                    label={`${tape.label}: ${tape.sentence} Why?`}
                    className="block w-full py-1"
                    content={<WhyRows athleteId={athlete.id} limitId={tape.limit_id} />}
                >
                    <Tape tape={tape} />
                </Opens>
            )}
            <span
                className={`block truncate text-sm ${row.near ? 'font-bold text-reduced' : 'text-soft'}`}
                title={row.headroom}
            >
                {row.headroom}
            </span>
        </div>
    );
}

function StandingCell({ row }: { row: TodayRow }) {
    return (
        <div role="cell" className="hidden min-w-0 items-center gap-2.5 md:flex">
            {row.return ? <WayBack of={row.return} /> : <OnLadder row={row} />}
        </div>
    );
}

function WayBack({ of }: { of: NonNullable<TodayRow['return']> }) {
    return (
        <div className="min-w-0 grow">
            <Link to="/returns/$returnId" params={{ returnId: of.id }} className="block truncate hover:underline">
                <span className="head">On the way back</span>
                <span className="text-sm text-soft">
                    {' '}
                    · stage {of.stage} of {of.of}, {of.stage_name}
                </span>
            </Link>
            <span className="block truncate text-sm text-soft" title={of.sentence}>
                {of.sentence}
            </span>
        </div>
    );
}

const HOW_DECISIONS_READ: Record<string, string> = { advance: 'font-bold text-full', step_back: 'font-bold text-stop' };

function OnLadder({ row }: { row: TodayRow }) {
    const { gate, rung } = row;
    return (
        <>
            {rung && <RungMark rung={rung} />}
            <div className="min-w-0 grow">
                <span className="block truncate">
                    <span className="head">{rung ? rung.rung_name : 'No ladder yet'}</span>
                    {rung && <span className="text-sm text-soft"> · {rung.ladder_name}</span>}
                </span>
                {gate && (
                    <Opens
                        label={`${gate.headline}. What is missing?`}
                        className="opens block max-w-full truncate text-sm"
                        content={
                            <>
                                <GateHeadline gate={gate} className="mb-2" />
                                <GateTable criteria={gate.criteria} />
                            </>
                        }
                    >
                        <span className={HOW_DECISIONS_READ[gate.decision] ?? 'text-soft'}>
                            {gate.headline}
                            {gate.decision === 'collect' && gate.missing[0] ? `: ${gate.missing[0]}` : ''}
                        </span>
                    </Opens>
                )}
            </div>
            {gate && <Strip marks={gate.strip} height={15} />}
        </>
    );
}

function SessionCell({ row }: { row: TodayRow }) {
    return (
        <div
            role="cell"
            className="col-start-2 row-start-1 flex items-center justify-end gap-2 md:col-start-auto md:row-start-auto"
        >
            {row.sheet ? (
                <SheetActs sheet={row.sheet} name={row.athlete.given_name} />
            ) : (
                <span className="text-sm text-soft">No session</span>
            )}
        </div>
    );
}

function SheetActs({ sheet, name }: { sheet: NonNullable<TodayRow['sheet']>; name: string }) {
    const me = useMe();
    return (
        <>
            <Link to="/sheets/$sheetId" params={{ sheetId: sheet.id }} className="opens text-right text-sm">
                {sheet.state === 'finished'
                    ? `${sheet.done_reps} done`
                    : `${sheet.state === 'running' ? `${sheet.done_reps} of ` : ''}${sheet.planned_reps} reps`}
                {sheet.trims > 0 && <span className="hidden text-soft md:block">trimmed</span>}
            </Link>
            {sheet.state === 'finished' ? (
                <Link to="/sheets/$sheetId/after" params={{ sheetId: sheet.id }} className="btn">
                    Review
                </Link>
            ) : sheet.nothing_left ? (
                <Link to="/sheets/$sheetId" params={{ sheetId: sheet.id }} className="btn">
                    Why
                </Link>
            ) : (
                me.records && (
                    <Link
                        to="/sheets/$sheetId/courtside"
                        params={{ sheetId: sheet.id }}
                        className="btn"
                        aria-label={`${sheet.state === 'running' ? 'Go on' : 'Start'} with ${name}`}
                    >
                        {sheet.state === 'running' ? 'Go on' : 'Start'}
                    </Link>
                )
            )}
        </>
    );
}
