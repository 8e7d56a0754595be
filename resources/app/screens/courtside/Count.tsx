import { Check, Undo2 } from 'lucide-react';
import { GoingOn } from './GoingOn';
import { Playing } from './Playing';
import { planned, sideInWords } from '../../rules/count';
import { takingOf } from '../../rules/round';
import { NOW } from '../../rules/score';
import type { Court, Here } from './useCourtside';
import { clsx } from 'clsx';

/** The thumb’s place: one repetition a touch, or why none is counted now. */
export function Count({ court, here }: { court: Court; here: Here }) {
    const last = here.reps.at(-1);
    return (
        <section aria-label="Count" className="flex min-h-0 flex-col justify-end gap-2 pb-3 md:justify-center">
            <Next court={court} here={here} />
            <div className="grid grid-cols-3 gap-1.5">
                <button type="button" className="btn thumb" onClick={court.undo} disabled={court.reps.length === 0}>
                    <Undo2 size={20} aria-hidden /> Undo
                </button>
                <button
                    type="button"
                    className="btn thumb"
                    aria-pressed={court.onSide === 'other'}
                    disabled={!here.block.one_sided}
                    onClick={court.turn}
                >
                    <span className="inline-block first-letter:uppercase">
                        {sideInWords(court.pack, here.block, court.onSide) ?? 'both sides'}
                    </span>
                </button>
                <button
                    type="button"
                    className="btn thumb"
                    disabled={!last || !here.block.judged || last.kind === 'fall'}
                    onClick={() => last && court.open({ name: 'correct', rep: last })}
                >
                    Correct
                </button>
            </div>
        </section>
    );
}

function Next({ court, here }: { court: Court; here: Here }) {
    if (court.halted !== null) return <Halted court={court} />;
    if (court.look !== null)
        return <GoingOn why={court.look} onFinish={() => court.open({ name: 'finish' })} onReason={court.goOn} />;
    if (here.done) return <BlockDone court={court} here={here} />;
    if (court.round !== null) return <Playing court={court} here={here} round={court.round} />;
    return here.block.judged ? <Judging court={court} here={here} /> : <Counting court={court} here={here} />;
}

/** Work that is judged is still to come: on to it. None is: what is left of the day. */
function Halted({ court }: { court: Court }) {
    const open = court.openNext();
    const [next] = open;
    const goesOn = open.some((block) => block.judged);
    return (
        <div role="alert" className="grid gap-3 border-y-4 border-stop py-4">
            <p className="head text-2xl text-stop">Stop</p>
            <p className="text-lg">{court.halted}</p>
            <div className="grid grid-cols-2 gap-1.5">
                {!goesOn && (
                    <button
                        type="button"
                        className="btn btn-main thumb col-span-2 text-lg"
                        onClick={() => court.open({ name: 'swap' })}
                    >
                        What is left today
                    </button>
                )}
                {next && (
                    <button
                        type="button"
                        className={clsx('btn thumb col-span-2 whitespace-normal', goesOn && 'btn-main text-lg')}
                        onClick={() => court.goTo(court.pack.blocks.indexOf(next))}
                    >
                        Next: {next.title}
                    </button>
                )}
                <button type="button" className="btn thumb" onClick={() => court.count('unobserved')}>
                    One more was done
                </button>
                <button type="button" className="btn thumb" onClick={() => court.open({ name: 'finish' })}>
                    Finish here
                </button>
            </div>
        </div>
    );
}

function BlockDone({ court, here }: { court: Court; here: Here }) {
    return (
        <div className="grid gap-2">
            {court.round !== null && (
                <p role="status" className="text-lg first-letter:uppercase">
                    {NOW[court.round.setup.kind](takingOf(court.round, court.pack.safe_misses))}
                </p>
            )}
            <p className="head text-xl">
                {planned(here.block)} done. {here.next ? 'Next block:' : 'That was the last block.'}
            </p>
            {here.next ? (
                <button
                    type="button"
                    className="btn btn-main text-xl"
                    style={{ minHeight: '6.5rem' }}
                    onClick={court.next}
                >
                    {here.next.kind_name}: {here.next.title}
                </button>
            ) : (
                <button
                    type="button"
                    className="btn btn-main text-xl"
                    style={{ minHeight: '6.5rem' }}
                    onClick={() => court.open({ name: 'finish' })}
                >
                    Finish the session
                </button>
            )}
            <button type="button" className="btn thumb" onClick={() => court.count('unobserved')}>
                One more than planned was done
            </button>
        </div>
    );
}

function Judging({ court: { pack, count, fell, second }, here }: { court: Court; here: Here }) {
    return (
        <>
            <div className="grid grid-cols-2 gap-1.5">
                {pack.faults.map((fault, i) => (
                    <button
                        key={fault.id}
                        type="button"
                        aria-keyshortcuts={String(i + 1)}
                        onClick={() => count('not_good', fault.id)}
                        className={clsx(
                            'btn thumb justify-start gap-2 whitespace-normal px-2 text-left leading-tight',
                            fault.safety && 'border-stop text-stop',
                        )}
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
                {here.block.lands && !second && <Fell fell={fell} beside="thumb justify-start px-2" />}
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
    );
}

/** A fall is a landing: it counts, and nobody judges it. */
function Fell({ fell, beside }: { fell: () => void; beside: string }) {
    return (
        <button
            type="button"
            title="A landing that counts, and is not judged"
            onClick={fell}
            className={`btn border-dashed ${beside}`}
        >
            Fell
        </button>
    );
}

function Counting({ court: { count, countSet, fell }, here: { set, block } }: { court: Court; here: Here }) {
    return (
        <div className={clsx('grid gap-1.5', block.lands ? 'grid-cols-[2fr_1fr_1fr]' : 'grid-cols-[2fr_1fr]')}>
            <button
                type="button"
                className="btn btn-main text-2xl"
                style={{ minHeight: '6.5rem' }}
                onClick={() => count('unobserved')}
            >
                Count one
            </button>
            <button type="button" className="btn text-lg" style={{ minHeight: '6.5rem' }} onClick={countSet}>
                All {set.left}
            </button>
            {block.lands && <Fell fell={fell} beside="text-lg" />}
        </div>
    );
}
