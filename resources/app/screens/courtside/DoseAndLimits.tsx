import { ChevronDown } from 'lucide-react';
import { useEffect } from 'react';
import { n, percent } from '../../api/words';
import { Opens } from '../../parts/Opens';
import { Strip } from '../../parts/Strip';
import { Tape } from '../../parts/Tape';
import { useNow } from '../../parts/useNow';
import { Teach } from './Teach';
import { Pacer } from './Pacer';
import { Rotation } from './Rotation';
import { Trying } from './Trying';
import { doneIn, planned, sideInWords, tally } from '../../rules/count';
import { runs } from '../../rules/pattern';
import type { Court, Here } from './useCourtside';
import { clsx } from 'clsx';

/** How many are left of the set and of the limit that stops first, and what is going wrong. */
export function DoseAndLimits({ court, here }: { court: Court; here: Here }) {
    const { block } = here;
    return (
        <section aria-label="Dose and limits" className="min-w-0 pt-2 md:pt-0">
            <ChooseBlock court={court} here={here} />
            <Left court={court} here={here} />
            <Judged court={court} />
            <ToDo court={court} here={here} />
            {!block.judged && court.halted === null && court.look === null && (
                <ul
                    aria-label="Cautions"
                    className="list-disc border-t border-line py-1.5 pl-5 leading-tight text-soft"
                >
                    {court.pack.cautions.slice(0, 2).map((caution) => (
                        <li key={caution}>{caution}</li>
                    ))}
                </ul>
            )}
        </section>
    );
}

function ChooseBlock({ court, here: { block, dose } }: { court: Court; here: Here }) {
    const { pack, reps, at } = court;
    const side = sideInWords(pack, block, court.onSide);
    return (
        <Opens
            label="Choose a block"
            className="flex w-full items-center justify-between gap-2 py-1 text-left"
            content={
                <ul className="grid gap-1">
                    {pack.blocks.map((each, i) => {
                        const done = doneIn(each, reps).length;
                        return (
                            <li key={each.id}>
                                <button
                                    type="button"
                                    className={`btn w-full justify-between ${i === at ? 'btn-main' : ''}`}
                                    onClick={() => court.goTo(i)}
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
                    {percent(dose.effort)}
                    {dose.distance_m == null ? '' : `, ${n(dose.distance_m)} m`}
                    {side === null ? '' : `, ${side}`}
                    {block.hold_s ? `, hold ${block.hold_s} s` : ''}
                </span>
            </span>
            <ChevronDown aria-hidden />
        </Opens>
    );
}

function Left({ court, here }: { court: Court; here: Here }) {
    const { left, second } = court;
    const { block, set } = here;
    return (
        <div className="flex items-end gap-4 py-1">
            <p className="shrink-0">
                <span
                    className={clsx(
                        'figure block text-[5.5rem] md:text-9xl',
                        court.taps.inking.size > 0 && 'opacity-60',
                    )}
                    data-testid="reps-left"
                    data-stored={court.taps.inking.size === 0}
                >
                    {set.left}
                </span>
                <span className="label">
                    left in set {set.setNo} of {block.reps_by_set.length}
                    <SetClock
                        started={here.reps.find((rep) => rep.set_no === set.setNo)?.at ?? null}
                        stopped={court.restUntil !== null || here.done}
                    />
                </span>
            </p>
            <div className="min-w-0 grow pb-1">
                {left ? (
                    <>
                        <Tape tape={left.tape} large />
                        <p className="mt-1.5 leading-tight">
                            <strong>{left.repsLeft} left.</strong> <span className="text-soft">Then {left.full}.</span>
                        </p>
                    </>
                ) : (
                    <p className="text-soft">
                        {second ? 'The limits are counted on the other device.' : 'No limit counts this work.'}
                    </p>
                )}
                <Tools court={court} here={here} />
            </div>
        </div>
    );
}

function Tools({ court, here }: { court: Court; here: Here }) {
    const { pack, second } = court;
    const { block } = here;
    const last = here.reps.at(-1);
    return (
        <div className="-ml-1.5 flex min-w-0 flex-wrap items-center">
            {block.judged ? (
                <Trying
                    now={court.taps.trying}
                    cues={pack.faults.map((fault) => fault.cue)}
                    grips={pack.grips}
                    onTry={court.tryOut}
                />
            ) : null}
            {block.doses.length > 1 && !second && (
                <button type="button" className="btn btn-quiet shrink-0" onClick={() => court.open({ name: 'dose' })}>
                    Dose
                </button>
            )}
            {block.scored && !second && (
                <button
                    type="button"
                    className="btn btn-quiet shrink-0"
                    disabled={last === undefined}
                    onClick={() => last && court.open({ name: 'landed', rep: last })}
                >
                    Landed
                </button>
            )}
            {block.game && !second && (
                <button
                    type="button"
                    className="btn btn-quiet shrink-0"
                    aria-pressed={court.round !== null}
                    onClick={() => court.open({ name: 'round' })}
                >
                    Score
                </button>
            )}
            {!second &&
                pack.tags.map((tag) => (
                    <button
                        key={tag.id}
                        type="button"
                        className={clsx(
                            'btn btn-quiet shrink-0',
                            court.tagged.includes(tag.id) && 'bg-ink text-chalk no-underline',
                        )}
                        title={tag.means}
                        aria-pressed={court.tagged.includes(tag.id)}
                        disabled={last === undefined}
                        onClick={() => court.tag(tag.id)}
                    >
                        {tag.name}
                    </button>
                ))}
            <Pacer holdS={block.hold_s ?? null} counts={block.counts} />
            {pack.teaching.length > 0 && <Teach pack={pack} fault={court.pattern?.fault ?? null} how={block.how} />}
            {pack.rotation && <Rotation rotation={pack.rotation} />}
        </div>
    );
}

function Judged({ court: { pack, judged } }: { court: Court }) {
    const { good, seen, marks } = tally(pack, judged);
    const run = runs(judged);
    return (
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
    );
}

/** The rest that runs, else the fault that leads with its cue and drill, else what is to be done. */
function ToDo({ court, here: { block } }: { court: Court; here: Here }) {
    const { pack, asks, pattern, restUntil } = court;
    return (
        <p className="min-h-16 border-t border-line py-1.5 text-lg leading-tight" aria-live="polite">
            {restUntil !== null ? (
                <Rest until={restUntil} onOver={court.restOver} />
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
