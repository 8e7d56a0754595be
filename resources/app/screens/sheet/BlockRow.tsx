import { ArrowDown, ArrowUp, SlidersHorizontal, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Block } from '../../api/client';
import { n, percent, WORDS } from '../../api/words';
import { Stepper } from '../../parts/Stepper';
import { HowDone } from './HowDone';
import { ThrowCheck } from './ThrowCheck';
import type { Dose } from './draft';
import { clsx } from 'clsx';

/** One block: what, why not more, and, for a coach, how much, where in the order, and how it is done. */
export function BlockRow({
    athleteId,
    block,
    dose,
    editable,
    onEdit,
    onMove,
    onRemove,
}: {
    athleteId: string;
    block: Block;
    dose: Dose;
    editable: boolean;
    onEdit: (dose: Dose) => void;
    onMove: (by: 1 | -1) => void;
    onRemove: () => void;
}) {
    const dropped = block.counted && dose.reps === 0;
    const [open, setOpen] = useState(false);
    return (
        <article
            id={block.id}
            aria-label={block.title}
            className={clsx(
                'grid scroll-mt-4 gap-x-6 gap-y-1 border-t border-line py-2.5 first:border-0 target:bg-page',
                'md:grid-cols-[6.5rem_1fr_auto]',
            )}
        >
            <div className="flex items-start justify-between md:flex-col md:justify-start">
                <p className="head text-soft">{block.kind_name}</p>
                {editable && (
                    <Order
                        block={block}
                        open={open}
                        onOpen={() => setOpen(!open)}
                        onMove={onMove}
                        onRemove={onRemove}
                    />
                )}
            </div>
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
                <Amount athleteId={athleteId} block={block} dose={dose} editable={editable} onEdit={onEdit} />
            )}
            {open && <HowDone block={block} dose={dose} onEdit={onEdit} />}
        </article>
    );
}

function Amount({
    athleteId,
    block,
    dose,
    editable,
    onEdit,
}: {
    athleteId: string;
    block: Block;
    dose: Dose;
    editable: boolean;
    onEdit: (dose: Dose) => void;
}) {
    const dropped = dose.reps === 0;
    const blocked = block.word === 'none' || block.word === 'refer';
    const leftOut = blocked ? `Not today: ${WORDS[block.word]}` : 'Left out';
    return (
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
            <p className="label mt-1 md:text-right">{dropped ? leftOut : <Placed block={block} reps={dose.reps} />}</p>
            <p className="label md:text-right">
                <ThrowCheck athleteId={athleteId} block={block} dose={dose} />
            </p>
        </div>
    );
}

/** Earlier, later, away with it; what was counted stays. */
function Order({
    block,
    open,
    onOpen,
    onMove,
    onRemove,
}: {
    block: Block;
    open: boolean;
    onOpen: () => void;
    onMove: (by: 1 | -1) => void;
    onRemove: () => void;
}) {
    const look = 'grid h-8 w-7 place-items-center text-soft hover:text-ink disabled:text-line';
    return (
        <span className="no-print -ml-1.5 inline-flex">
            <button type="button" className={look} aria-label={`${block.title}: earlier`} onClick={() => onMove(-1)}>
                <ArrowUp size={15} aria-hidden />
            </button>
            <button type="button" className={look} aria-label={`${block.title}: later`} onClick={() => onMove(1)}>
                <ArrowDown size={15} aria-hidden />
            </button>
            {block.counted && (
                <button
                    type="button"
                    className={look}
                    aria-label={`${block.title}: how it is done`}
                    aria-expanded={open}
                    onClick={onOpen}
                >
                    <SlidersHorizontal size={15} aria-hidden />
                </button>
            )}
            <button
                type="button"
                className={look}
                aria-label={`${block.title}: take it away`}
                disabled={block.done_reps > 0}
                title={block.done_reps > 0 ? 'It was counted, so it stays.' : undefined}
                onClick={onRemove}
            >
                <Trash2 size={15} aria-hidden />
            </button>
        </span>
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
            {block.hold_s ? `, hold ${block.hold_s} s` : ''}
            {block.how ? `; ${block.how}` : ''}, rest {block.rest_s} s
            {block.done_reps > 0 ? `, ${block.done_reps} done` : ''}.{' '}
        </>
    );
}
