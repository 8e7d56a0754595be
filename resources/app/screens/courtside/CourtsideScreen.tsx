import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { ArrowLeft, Check, ChevronDown, Undo2 } from 'lucide-react';
import { useCallback, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { api, type Courtside, type CourtsideBlock, type Dose, type RepEvent } from '../../api/client';
import { n, percent } from '../../api/words';
import { type Report, takeAlong } from '../../offline/store';
import { useReports } from '../../offline/useReports';
import { useTaps, type Verdict } from '../../offline/useTaps';
import { CheckIn } from '../../parts/CheckIn';
import { UnsentMark } from '../../parts/KeptHere';
import { Loading, Notice } from '../../parts/Notice';
import { Opens } from '../../parts/Opens';
import { Sheetlet } from '../../parts/Sheetlet';
import { Strip } from '../../parts/Strip';
import { Tape } from '../../parts/Tape';
import { useAwake } from '../../parts/useAwake';
import { useNow } from '../../parts/useNow';
import { DoseForm } from './DoseForm';
import { GoingOn } from './GoingOn';
import { Landed } from './Landed';
import { LookAgain } from './LookAgain';
import { Pacer } from './Pacer';
import { Rotation } from './Rotation';
import { Trying } from './Trying';
import { budget, doseOf } from './doses';
import { stopFrom } from './stops';
import { grown, leadingFault, nudge, runs, stopsForQuality } from './pattern';
import { FinishForm } from './FinishForm';

/** Next rep: how many left, what goes wrong, stop? */
export function CourtsideScreen() {
    const { sheetId } = useParams({ from: '/frame/sheets/$sheetId/courtside' });
    useAwake();
    const pack = useQuery({ queryKey: ['courtside', sheetId], queryFn: () => takeAlong(sheetId) });
    useHeard(sheetId, pack.data?.health, () => void pack.refetch());
    if (pack.error && !pack.data)
        return (
            <main className="p-6">
                <Notice problem={pack.error}>
                    <button type="button" className="btn mt-2" onClick={() => void pack.refetch()}>
                        Try again
                    </button>
                </Notice>
            </main>
        );
    if (!pack.data)
        return (
            <main>
                <Loading what="the session" />
            </main>
        );
    return <Running key={sheetId} pack={pack.data} />;
}

const LISTEN_MS = 10_000;

/** A report made on another device of the session stops here as well: what is known of the athlete is asked for anew when it has changed. */
function useHeard(sheetId: string, known: string | undefined, onNews: () => void): void {
    const heard = useQuery({
        queryKey: ['heard', sheetId],
        queryFn: () => api<{ health: string }>('GET', `/api/sheets/${sheetId}/heard`),
        enabled: known !== undefined,
        refetchInterval: LISTEN_MS,
        refetchIntervalInBackground: true,
        retry: false,
    });
    const news = known !== undefined && heard.data !== undefined && heard.data.health !== known;
    const tell = useEffectEvent(onNews);
    useEffect(() => {
        if (news) tell();
    }, [news, heard.dataUpdatedAt]);
}

const planned = (block: CourtsideBlock): number => block.reps_by_set.reduce((sum, reps) => sum + reps, 0);

/** The set a repetition belongs to, and how many of that set are left, once so many of the block are done. */
function setAt(block: CourtsideBlock, done: number): { setNo: number; left: number } {
    let before = 0;
    for (const [i, reps] of block.reps_by_set.entries()) {
        if (done < before + reps) return { setNo: i + 1, left: before + reps - done };
        before += reps;
    }
    return { setNo: Math.max(1, block.reps_by_set.length), left: 0 };
}

function Running({ pack }: { pack: Courtside }) {
    const navigate = useNavigate();
    const queries = useQueryClient();
    const { reps: counted, seconds, felt, landed, wentOn, trying, refused, held, inking, add } = useTaps(pack);
    const kept = useReports(pack.athlete.id);
    // A second pair of eyes judges the same repetitions; the load is the other person’s to count.
    const [second, setSecond] = useState(false);
    const reps = second ? seconds : counted;
    const firstOpen = pack.blocks.findIndex(
        (block) => reps.filter((rep) => rep.block_id === block.id).length < planned(block),
    );
    const [chosen, setChosen] = useState<number | null>(null);
    const [side, setSide] = useState<string | null>(null);
    const [sore, setSore] = useState(false);
    const [finishing, setFinishing] = useState(false);
    const [naming, setNaming] = useState<RepEvent | null>(null);
    const [help, setHelp] = useState(false);
    const [dosing, setDosing] = useState(false);
    const [landing, setLanding] = useState<RepEvent | null>(null);
    const [moved, setMoved] = useState<Record<string, Dose>>({});
    const [grew, setGrew] = useState<string | null>(null);
    const [restUntil, setRestUntil] = useState<number | null>(null);

    const at = Math.min(
        Math.max(0, chosen ?? (firstOpen === -1 ? pack.blocks.length - 1 : firstOpen)),
        Math.max(0, pack.blocks.length - 1),
    );
    const block = pack.blocks[at];
    const inBlock = useMemo(() => (block ? reps.filter((rep) => rep.block_id === block.id) : []), [reps, block]);
    const onSide = side ?? block?.side ?? 'dominant';
    // As the core has it: repetitions of judged blocks, on the side each asks for.
    const judged = useMemo(
        () =>
            reps.filter((rep) =>
                pack.blocks.some((each) => each.id === rep.block_id && each.judged && each.side === rep.side),
            ),
        [reps, pack.blocks],
    );
    const pattern = useMemo(() => leadingFault(judged, pack.faults, pack.pattern), [judged, pack.faults, pack.pattern]);
    // As it was moved last; after a reload, as it was last done.
    const dose = block && (moved[block.id] ?? doseOf(block, inBlock.at(-1) ?? block));
    const left = dose && !second ? budget(pack, counted, dose, onSide) : null;
    const set = block ? setAt(block, inBlock.length) : { setNo: 1, left: 0 };
    // While resting, the set that has just been done.
    const feltSet = restUntil !== null ? (inBlock.at(-1)?.set_no ?? set.setNo) : set.setNo;
    const blockDone = block !== undefined && set.left === 0;
    // What was reported here stops at once, from the table; the server's next answer takes its place.
    const sorely = block ? stopFrom(pack, kept, block, onSide) : null;
    const stop =
        sorely &&
        (sorely.word === 'refer'
            ? 'Stop here. What was reported goes to a licensed clinician before this athlete goes on.'
            : 'Stop this work for today: what was reported rules out the part that hurts.');
    const halted = second
        ? null
        : (stop ??
          pack.stop ??
          dose?.blocked ??
          (left !== null && left.repsLeft === 0
              ? `${left.tape.label} is used up. This is a hard limit: no more of this today.`
              : null));

    const asks = useMemo(() => nudge(judged, pack.faults, pack.pattern), [judged, pack.faults, pack.pattern]);
    const falling = second ? null : stopsForQuality(judged, asks, wentOn, pack.pattern);
    const falls =
        falling === null
            ? null
            : `Quality is falling: the last ${pack.pattern.window} lie ${Math.round(100 * falling)} points below the best ${pack.pattern.window} of today. Rest, make it easier, or stop here.`;
    const look = halted === null ? (grew ?? falls) : null;

    const count = useCallback(
        (verdict: Verdict, fault: string | null = null) => {
            if (!block || !dose) return;
            add(block, dose, { kind: second ? 'second' : 'rep', set_no: set.setNo, side: onSide, verdict, fault });
            navigator.vibrate?.(verdict === 'good' ? 15 : 40);
            setRestUntil(set.left === 1 && !second ? Date.now() + block.rest_s * 1000 : null);
            if (chosen === null) setChosen(at);
        },
        [add, at, block, chosen, dose, onSide, second, set.left, set.setNo],
    );
    const undo = useCallback(() => {
        const last = reps.at(-1);
        const of = pack.blocks.find((each) => each.id === last?.block_id);
        if (!last || !of) return;
        add(of, doseOf(of, last), { kind: 'withdraw', set_no: last.set_no, side: last.side, target_id: last.id });
        setRestUntil(null);
    }, [add, pack.blocks, reps]);
    const next = useCallback(() => {
        setChosen(Math.min(at + 1, pack.blocks.length - 1));
        setSide(null);
        setRestUntil(null);
    }, [at, pack.blocks.length]);
    const wholeSet = (): void => {
        for (let i = 0; i < set.left; i++) count('unobserved');
        if (block) setRestUntil(Date.now() + block.rest_s * 1000);
    };

    useEffect(() => {
        const listen = (event: KeyboardEvent): void => {
            if (
                event.ctrlKey ||
                event.metaKey ||
                event.altKey ||
                sore ||
                finishing ||
                naming ||
                dosing ||
                landing ||
                (event.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(event.target.tagName))
            )
                return;
            const key = event.key.toLowerCase();
            const fault = /^[1-9]$/.test(key) ? pack.faults[Number(key) - 1] : undefined;
            const open = halted === null && look === null && !blockDone;
            // Capitals are people: the next whose name begins so.
            const people =
                event.shiftKey && /^[a-z]$/.test(key)
                    ? pack.neighbours.filter((each) => each.name.toLowerCase().startsWith(key))
                    : [];
            const person =
                people[(people.findIndex((each) => each.sheet_id === pack.sheet_id) + 1) % Math.max(1, people.length)];
            if (event.shiftKey && /^[a-z]$/.test(key)) {
                if (person) void navigate({ to: '/sheets/$sheetId/courtside', params: { sheetId: person.sheet_id } });
            } else if (key === '?') setHelp((shown) => !shown);
            else if (key === 'u' || key === 'backspace') undo();
            else if (key === 's') setSide(onSide === 'dominant' ? 'other' : 'dominant');
            else if (key === 'enter' && blockDone) next();
            else if (open && key === 'g') count(block?.judged ? 'good' : 'unobserved');
            else if (open && key === 'n' && block?.judged) count('not_good');
            else if (open && key === '.' && block?.judged) count('unobserved');
            else if (open && fault && block?.judged) count('not_good', fault.id);
            else return;
            event.preventDefault();
        };
        window.addEventListener('keydown', listen);
        return () => window.removeEventListener('keydown', listen);
    }, [
        block,
        blockDone,
        count,
        dosing,
        finishing,
        halted,
        landing,
        look,
        naming,
        navigate,
        next,
        onSide,
        pack.faults,
        pack.neighbours,
        pack.sheet_id,
        sore,
        undo,
    ]);

    const afterReport = (reports: Report[]): void => {
        const more = grown(reports, pack.reported);
        if (more)
            setGrew(
                `Soreness grew: ${more.side ? `${more.side} ` : ''}${more.site.replace('_', ' ')}, ${more.kind} ${more.score}. Today so far it was less, or not reported.`,
            );
    };
    const good = judged.filter((rep) => rep.verdict === 'good').length;
    const seen = judged.filter((rep) => rep.verdict === 'good' || rep.verdict === 'not_good').length;
    const safety = new Set(pack.faults.filter((fault) => fault.safety).map((fault) => fault.id));
    const marks = judged
        .map((rep) => {
            const mark = rep.verdict === 'good' ? 'g' : rep.verdict === 'not_good' ? 'b' : 'u';
            return rep.fault && safety.has(rep.fault) ? mark.toUpperCase() : mark;
        })
        .join('');
    const run = runs(judged);
    const hand =
        onSide === 'dominant' ? pack.athlete.throwing_side : pack.athlete.throwing_side === 'right' ? 'left' : 'right';
    const allDone =
        !second && pack.blocks.every((each) => reps.filter((rep) => rep.block_id === each.id).length >= planned(each));

    return (
        <main className="courtside flex h-dvh flex-col overflow-hidden bg-chalk text-ink">
            <header className="flex items-center gap-1 border-b-2 border-ink px-2">
                <Link
                    to="/sheets/$sheetId"
                    params={{ sheetId: pack.sheet_id }}
                    aria-label="Back to the sheet"
                    className="grid h-14 w-11 place-items-center"
                >
                    <ArrowLeft aria-hidden />
                </Link>
                <Opens
                    label="Another athlete"
                    className="flex h-14 min-w-0 items-center gap-1"
                    content={
                        <div className="grid gap-3">
                            <ul className="grid grid-cols-2 gap-1">
                                {pack.neighbours.map((each) => (
                                    <li key={each.sheet_id}>
                                        <Link
                                            to="/sheets/$sheetId/courtside"
                                            params={{ sheetId: each.sheet_id }}
                                            className={`btn w-full justify-between ${each.sheet_id === pack.sheet_id ? 'btn-main' : ''}`}
                                        >
                                            <span>
                                                {each.name}
                                                {each.state === 'finished' ? ', finished' : ''}
                                            </span>
                                            {each.group === null ? null : (
                                                <span className="text-sm font-normal">group {each.group}</span>
                                            )}
                                        </Link>
                                    </li>
                                ))}
                            </ul>
                            <div className="border-t border-line pt-3">
                                <button
                                    type="button"
                                    aria-pressed={second}
                                    className={`btn w-full ${second ? 'btn-main' : ''}`}
                                    onClick={() => {
                                        setSecond(!second);
                                        setChosen(
                                            second
                                                ? null
                                                : Math.max(
                                                      0,
                                                      pack.blocks.findIndex((each) => each.judged),
                                                  ),
                                        );
                                        setSide(null);
                                        setRestUntil(null);
                                    }}
                                >
                                    {second ? 'Count again myself' : 'Judge along, as a second pair of eyes'}
                                </button>
                                <p className="mt-1 text-sm text-soft">
                                    For two who watch the same repetitions: one counts, one judges along. Afterwards
                                    Gates shows whether they see the same.
                                </p>
                            </div>
                        </div>
                    }
                >
                    <h1 className="truncate text-xl">{pack.athlete.given_name}</h1>
                    <ChevronDown size={18} aria-hidden />
                </Opens>
                <nav
                    aria-label="Athletes of this session"
                    className="ml-3 hidden h-14 min-w-0 items-stretch overflow-x-auto border-l border-line pl-2 md:flex"
                >
                    {pack.neighbours
                        .filter((each) => each.sheet_id !== pack.sheet_id)
                        .map((each) => (
                            <Link
                                key={each.sheet_id}
                                to="/sheets/$sheetId/courtside"
                                params={{ sheetId: each.sheet_id }}
                                className={`head flex items-center px-2 hover:underline ${each.state === 'finished' ? 'text-soft line-through decoration-1' : ''}`}
                            >
                                {each.name}
                            </Link>
                        ))}
                </nav>
                <span className="grow text-right text-sm">
                    <UnsentMark />
                </span>
                {pack.emergency && (
                    <Opens
                        label={`Emergency: whom to call for ${pack.athlete.given_name}`}
                        className="btn btn-quiet min-h-12"
                        content={<p className="whitespace-pre-line text-lg">{pack.emergency}</p>}
                    >
                        SOS
                    </Opens>
                )}
                <button type="button" className="btn min-h-12" onClick={() => setSore(true)}>
                    Sore
                </button>
                <button
                    type="button"
                    className={`btn min-h-12 ${allDone ? 'btn-main' : ''}`}
                    onClick={() => setFinishing(true)}
                >
                    Finish
                </button>
            </header>
            {second && (
                <p role="status" className="bg-ink px-3 py-1.5 text-chalk">
                    <strong>Judging along.</strong> Nothing here counts as load or as evidence. Tap every repetition the
                    other one counts, “Not seen” too.
                </p>
            )}
            {pack.conflicts.length > 0 && (
                <Opens
                    label="What two devices say differently"
                    className="border-b border-line bg-faint px-3 py-1.5 text-left"
                    content={
                        <ul className="grid gap-2">
                            {pack.conflicts.map((each) => (
                                <li key={each}>{each}</li>
                            ))}
                        </ul>
                    }
                >
                    <strong>
                        Two devices differ{pack.conflicts.length > 1 ? ` in ${pack.conflicts.length} places` : ''}.
                    </strong>{' '}
                    Nothing is dropped. <span className="underline">Look</span>
                </Opens>
            )}
            {held > 0 && (
                <p role="alert" className="bg-stop px-3 py-2 font-bold text-chalk">
                    {held} {held === 1 ? 'tap is' : 'taps are'} neither stored nor sent, and not counted. Keep this page
                    open until there is a connection, or write the count down.
                </p>
            )}
            {pack.refitting && (
                <p role="status" className="border-b border-line bg-faint px-3 py-1.5">
                    {pack.refitting}
                </p>
            )}
            {pack.after_stop && (
                <p role="status" className="border-b border-line bg-faint px-3 py-1.5">
                    {pack.after_stop}
                </p>
            )}
            {refused.length > 0 && (
                <p role="alert" className="px-3 py-1 text-stop">
                    {refused.length} taps were refused and are kept here: {refused[0]?.why}
                </p>
            )}
            {block === undefined ? (
                <div className="grow p-6">
                    <p className="head text-xl">{pack.stop}</p>
                </div>
            ) : (
                <div className="mx-auto grid min-h-0 w-full max-w-6xl grow grid-rows-[auto_1fr] gap-x-10 px-3 md:grid-cols-[1fr_1.1fr] md:grid-rows-1 md:items-center">
                    <section aria-label="Dose and limits" className="min-w-0 pt-2 md:pt-0">
                        <Opens
                            label="Choose a block"
                            className="flex w-full items-center justify-between gap-2 py-1 text-left"
                            content={
                                <ul className="grid gap-1">
                                    {pack.blocks.map((each, i) => {
                                        const done = reps.filter((rep) => rep.block_id === each.id).length;
                                        return (
                                            <li key={each.id}>
                                                <button
                                                    type="button"
                                                    className={`btn w-full justify-between ${i === at ? 'btn-main' : ''}`}
                                                    onClick={() => {
                                                        setChosen(i);
                                                        setSide(null);
                                                        setRestUntil(null);
                                                    }}
                                                >
                                                    <span>
                                                        {each.kind_name}: {each.title}
                                                    </span>
                                                    <span>
                                                        {done}/{planned(each)}
                                                    </span>
                                                </button>
                                            </li>
                                        );
                                    })}
                                </ul>
                            }
                        >
                            <span className="min-w-0">
                                <span className="head block truncate text-lg">
                                    {block.title} <span className="label">{block.kind_name.toLowerCase()}</span>
                                </span>
                                <span className="block truncate text-soft">
                                    {dose ? percent(dose.effort) : ''}
                                    {dose?.distance_m == null ? '' : `, ${n(dose.distance_m)} m`}, {hand} side
                                    {block.hold_s ? `, hold ${block.hold_s} s` : ''}
                                </span>
                            </span>
                            <ChevronDown aria-hidden />
                        </Opens>
                        <div className="flex items-end gap-4 py-1">
                            <p className="shrink-0">
                                <span
                                    className={`figure block text-[5.5rem] md:text-9xl ${inking.size > 0 ? 'opacity-60' : ''}`}
                                    data-testid="reps-left"
                                    data-stored={inking.size === 0}
                                >
                                    {set.left}
                                </span>
                                <span className="label">
                                    left in set {set.setNo} of {block.reps_by_set.length}
                                    <SetClock
                                        started={inBlock.find((rep) => rep.set_no === set.setNo)?.at ?? null}
                                        stopped={restUntil !== null || blockDone}
                                    />
                                </span>
                            </p>
                            <div className="min-w-0 grow pb-1">
                                {left ? (
                                    <>
                                        <Tape tape={left.tape} large />
                                        <p className="mt-1.5 leading-tight">
                                            <strong>{left.repsLeft} more</strong>{' '}
                                            <span className="text-soft">
                                                until {left.tape.label.toLowerCase()} stops
                                            </span>
                                        </p>
                                    </>
                                ) : (
                                    <p className="text-soft">
                                        {second
                                            ? 'The limits are counted on the other device.'
                                            : 'No limit binds this work.'}
                                    </p>
                                )}
                                <div className="-ml-1.5 flex min-w-0 flex-wrap items-center">
                                    {block.judged ? (
                                        <Trying
                                            now={trying}
                                            cues={pack.faults.map((fault) => fault.cue)}
                                            onTry={(note) => {
                                                if (dose)
                                                    add(block, dose, {
                                                        kind: 'trying',
                                                        set_no: set.setNo,
                                                        side: onSide,
                                                        note,
                                                    });
                                            }}
                                        />
                                    ) : null}
                                    {block.doses.length > 1 && !second && (
                                        <button
                                            type="button"
                                            className="btn btn-quiet shrink-0"
                                            onClick={() => setDosing(true)}
                                        >
                                            Dose
                                        </button>
                                    )}
                                    {block.scored && !second && (
                                        <button
                                            type="button"
                                            className="btn btn-quiet shrink-0"
                                            disabled={inBlock.length === 0}
                                            onClick={() => setLanding(inBlock.at(-1) ?? null)}
                                        >
                                            Landed
                                        </button>
                                    )}
                                    <Pacer holdS={block.hold_s ?? null} />
                                    {pack.rotation && <Rotation rotation={pack.rotation} />}
                                </div>
                            </div>
                        </div>
                        <div className="flex items-center gap-3 border-t border-line py-1.5">
                            <Strip marks={marks} height={26} />
                            <p className="leading-tight text-soft">
                                {seen > 0 ? `${good} of ${seen} good` : 'none judged yet'}
                                {run.longest > 2 && (
                                    <span className="label block">
                                        {run.now} in a row{run.longest > run.now ? `, best ${run.longest}` : ''}
                                    </span>
                                )}
                            </p>
                        </div>
                        <p className="min-h-16 border-t border-line py-1.5 text-lg leading-tight" aria-live="polite">
                            {restUntil !== null ? (
                                <Rest until={restUntil} onOver={() => setRestUntil(null)} />
                            ) : asks && 'back' in asks && block.judged ? (
                                <>
                                    <strong>
                                        Back in {pack.pattern.returns_times} of {pack.pattern.returns_of}:{' '}
                                        {asks.back.name.toLowerCase()}.
                                    </strong>{' '}
                                    “{asks.back.cue}.” One rung back, or in turn: {asks.back.drill}.
                                </>
                            ) : pattern ? (
                                <>
                                    <strong>
                                        {pattern.times} of {pattern.of} faults: {pattern.fault.name.toLowerCase()}.
                                    </strong>{' '}
                                    “{pattern.fault.cue}.” {pattern.fault.drill}.
                                </>
                            ) : (
                                <span className="text-soft">
                                    {pack.outcome_ignored && block.judged ? 'The result is ignored here. ' : ''}
                                    {block.text}
                                </span>
                            )}
                        </p>
                        {!block.judged && halted === null && look === null && (
                            <ul
                                aria-label="Cautions"
                                className="list-disc border-t border-line py-1.5 pl-5 leading-tight text-soft"
                            >
                                {pack.cautions.slice(0, 2).map((caution) => (
                                    <li key={caution}>{caution}</li>
                                ))}
                            </ul>
                        )}
                    </section>
                    <section
                        aria-label="Count"
                        className="flex min-h-0 flex-col justify-end gap-2 pb-3 md:justify-center"
                    >
                        {halted !== null ? (
                            <div role="alert" className="grid gap-3 border-y-4 border-stop py-4">
                                <p className="head text-2xl text-stop">Stop</p>
                                <p className="text-lg">{halted}</p>
                                <div className="flex flex-wrap gap-2">
                                    <button type="button" className="btn thumb" onClick={() => count('unobserved')}>
                                        One more was done: record it
                                    </button>
                                    {at < pack.blocks.length - 1 && (
                                        <button type="button" className="btn thumb" onClick={next}>
                                            Next: {pack.blocks[at + 1]?.title}
                                        </button>
                                    )}
                                    <button
                                        type="button"
                                        className="btn btn-main thumb"
                                        onClick={() => setFinishing(true)}
                                    >
                                        Finish
                                    </button>
                                </div>
                            </div>
                        ) : look !== null ? (
                            <GoingOn
                                why={look}
                                onFinish={() => setFinishing(true)}
                                onReason={(reason) => {
                                    if (dose)
                                        add(block, dose, {
                                            kind: 'going_on',
                                            set_no: set.setNo,
                                            side: onSide,
                                            note: `${grew !== null ? 'soreness grew' : 'quality fell'}: ${reason.toLowerCase()}`,
                                        });
                                    setGrew(null);
                                }}
                            />
                        ) : blockDone ? (
                            <div className="grid gap-2">
                                <p className="head text-xl">
                                    {planned(block)} done.{' '}
                                    {at < pack.blocks.length - 1 ? 'Next block:' : 'That was the last block.'}
                                </p>
                                {at < pack.blocks.length - 1 ? (
                                    <button
                                        type="button"
                                        className="btn btn-main text-xl"
                                        style={{ minHeight: '6.5rem' }}
                                        onClick={next}
                                    >
                                        {pack.blocks[at + 1]?.kind_name}: {pack.blocks[at + 1]?.title}
                                    </button>
                                ) : (
                                    <button
                                        type="button"
                                        className="btn btn-main text-xl"
                                        style={{ minHeight: '6.5rem' }}
                                        onClick={() => setFinishing(true)}
                                    >
                                        Finish the session
                                    </button>
                                )}
                                <button type="button" className="btn thumb" onClick={() => count('unobserved')}>
                                    One more than planned was done
                                </button>
                            </div>
                        ) : block.judged ? (
                            <>
                                <div className="grid grid-cols-2 gap-1.5">
                                    {pack.faults.map((fault, i) => (
                                        <button
                                            key={fault.id}
                                            type="button"
                                            aria-keyshortcuts={String(i + 1)}
                                            onClick={() => count('not_good', fault.id)}
                                            className={`btn thumb justify-start gap-2 whitespace-normal px-2 text-left leading-tight ${fault.safety ? 'border-stop text-stop' : ''}`}
                                        >
                                            <span className="label hidden md:inline" aria-hidden="true">
                                                {i + 1}
                                            </span>
                                            {fault.name}
                                        </button>
                                    ))}
                                    <button
                                        type="button"
                                        onClick={() => count('unobserved')}
                                        className="btn thumb justify-start border-dashed px-2 text-left leading-tight"
                                    >
                                        Not seen
                                    </button>
                                </div>
                                <div className="grid grid-cols-[2fr_1fr] gap-1.5">
                                    <button
                                        type="button"
                                        className="btn btn-main text-2xl"
                                        style={{ minHeight: '6.5rem' }}
                                        onClick={() => count('good')}
                                    >
                                        <Check size={30} aria-hidden /> Good
                                    </button>
                                    <button
                                        type="button"
                                        className="btn text-lg"
                                        style={{ minHeight: '6.5rem' }}
                                        onClick={() => count('not_good')}
                                    >
                                        Not good
                                    </button>
                                </div>
                            </>
                        ) : (
                            <div className="grid grid-cols-[2fr_1fr] gap-1.5">
                                <button
                                    type="button"
                                    className="btn btn-main text-2xl"
                                    style={{ minHeight: '6.5rem' }}
                                    onClick={() => count('unobserved')}
                                >
                                    Count one
                                </button>
                                <button
                                    type="button"
                                    className="btn text-lg"
                                    style={{ minHeight: '6.5rem' }}
                                    onClick={wholeSet}
                                >
                                    All {set.left}
                                </button>
                            </div>
                        )}
                        <div className="grid grid-cols-3 gap-1.5">
                            <button type="button" className="btn thumb" onClick={undo} disabled={reps.length === 0}>
                                <Undo2 size={20} aria-hidden /> Undo
                            </button>
                            <button
                                type="button"
                                className="btn thumb"
                                aria-pressed={onSide === 'other'}
                                onClick={() => setSide(onSide === 'dominant' ? 'other' : 'dominant')}
                            >
                                {hand === 'right' ? 'Right' : 'Left'} side
                            </button>
                            <button
                                type="button"
                                className="btn thumb"
                                disabled={!inBlock.at(-1) || !block.judged}
                                onClick={() => setNaming(inBlock.at(-1) ?? null)}
                            >
                                Correct
                            </button>
                        </div>
                    </section>
                </div>
            )}
            {sore && (
                <CheckIn athlete={pack.athlete} moment="during" onDone={afterReport} onClose={() => setSore(false)} />
            )}
            <Sheetlet open={naming !== null} onClose={() => setNaming(null)} title="What was the last one really?">
                {naming && (
                    <LookAgain
                        key={naming.id}
                        pack={pack}
                        rep={naming}
                        onCorrect={(verdict, fault, seen) => {
                            if (block && dose)
                                add(block, dose, {
                                    kind: 'correct',
                                    set_no: naming.set_no,
                                    side: naming.side,
                                    target_id: naming.id,
                                    verdict,
                                    fault,
                                    seen,
                                });
                            setNaming(null);
                        }}
                    />
                )}
            </Sheetlet>
            <Sheetlet open={landing !== null} onClose={() => setLanding(null)} title="Where did the last one land?">
                {landing && (
                    <Landed
                        points={inBlock.flatMap((rep) => {
                            const place = landed.get(rep.id);
                            return place ? [place] : [];
                        })}
                        onTouch={(place) => {
                            if (block && dose)
                                add(block, dose, {
                                    kind: 'landed',
                                    set_no: landing.set_no,
                                    side: landing.side,
                                    target_id: landing.id,
                                    note: place.join(' '),
                                });
                            setLanding(null);
                        }}
                    />
                )}
            </Sheetlet>
            <Sheetlet open={dosing} onClose={() => setDosing(false)} title="Change the dose">
                {block && dose && (
                    <DoseForm
                        pack={pack}
                        block={block}
                        reps={counted}
                        dose={dose}
                        side={onSide}
                        setNo={feltSet}
                        felt={felt.get(`${block.id}|${feltSet}`) ?? null}
                        onDose={(each) => setMoved({ ...moved, [block.id]: each })}
                        onFelt={(effort) =>
                            add(block, { ...dose, effort }, { kind: 'felt', set_no: feltSet, side: onSide })
                        }
                        onPace={() => {
                            setMoved({});
                            void queries.invalidateQueries({ queryKey: ['courtside'] });
                        }}
                    />
                )}
            </Sheetlet>
            <Sheetlet open={help} onClose={() => setHelp(false)} title="Keys">
                <dl className="grid grid-cols-[9rem_1fr] gap-y-1">
                    {[
                        ['G', 'good, or count one'],
                        ['N', 'not good'],
                        ['1 to 9', 'the fault with that number'],
                        ['.', 'not seen'],
                        ['U', 'undo'],
                        ['S', 'other side'],
                        ['Enter', 'next block, when one is done'],
                        ['Shift and a letter', 'the next athlete whose name begins so'],
                        ['?', 'this list'],
                    ].map(([key, what]) => (
                        <div key={key} className="contents">
                            <dt className="head">{key}</dt>
                            <dd>{what}</dd>
                        </div>
                    ))}
                </dl>
            </Sheetlet>
            <Sheetlet open={finishing} onClose={() => setFinishing(false)} title="Finish the session">
                <FinishForm
                    pack={pack}
                    reps={reps}
                    onFinished={() => {
                        void queries.invalidateQueries();
                        void navigate({ to: '/sheets/$sheetId/after', params: { sheetId: pack.sheet_id } });
                    }}
                />
            </Sheetlet>
        </main>
    );
}

/** How long the present set has lasted, from its first repetition. */
function SetClock({ started, stopped }: { started: string | null; stopped: boolean }) {
    const now = useNow(started === null || stopped ? null : 1000);
    if (started === null || stopped) return null;
    const seconds = Math.max(0, Math.round((now - Date.parse(started)) / 1000));
    return seconds >= 3600 ? null : (
        <>
            {' '}
            · {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
        </>
    );
}

function Rest({ until, onOver }: { until: number; onOver: () => void }) {
    const now = useNow(250);
    const seconds = Math.ceil((until - now) / 1000);
    useEffect(() => {
        if (seconds <= 0) onOver();
    }, [seconds, onOver]);
    return (
        <span className="flex items-center justify-between">
            <span>
                <strong>Rest {Math.max(0, seconds)} s.</strong> Set done.
            </span>
            <button type="button" className="btn btn-quiet" onClick={onOver}>
                Skip the rest
            </button>
        </span>
    );
}
