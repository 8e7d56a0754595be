import { Link } from '@tanstack/react-router';
import { ArrowLeftRight, Repeat, SkipForward } from 'lucide-react';
import { n, percent } from '../../../api/words';
import { Strip } from '../../../parts/Strip';
import { Tape } from '../../../parts/Tape';
import { useWide } from '../../../parts/useWide';
import { sideInWords, tally } from '../../../rules/count';
import { Count } from '../Count';
import { DoseAndLimits } from '../DoseAndLimits';
import { Notices } from '../Notices';
import type { Court, Here } from '../useCourtside';
import type { Line } from './useLine';
import type { useMember } from './useMember';

type InTheLine = ReturnType<typeof useMember>;

/** Whose turn it is: what is left, what goes wrong, and the verdict under the thumb. */
export function Up({ member, line }: { member: InTheLine; line: Line }) {
    const { court } = member;
    const { here } = court;
    const wide = useWide();
    return (
        <div className="flex min-h-0 grow flex-col px-3">
            <div className="flex items-center gap-1 border-b border-line">
                <h2 className="min-w-0 grow truncate text-2xl lg:text-5xl">{court.pack.athlete.given_name}</h2>
                {here?.block.game && !wide && (
                    <button
                        type="button"
                        className="btn btn-quiet min-h-12"
                        onClick={() => court.open({ name: 'round' })}
                    >
                        Score
                    </button>
                )}
                <button type="button" className="btn btn-quiet min-h-12" onClick={() => court.open({ name: 'sore' })}>
                    Sore
                </button>
                <Link
                    to="/sheets/$sheetId/courtside"
                    params={{ sheetId: court.pack.sheet_id }}
                    className="btn btn-quiet min-h-12"
                >
                    Alone
                </Link>
            </div>
            <Notices court={court} />
            {here === null ? (
                <div className="grow py-6">
                    <p className="head text-xl">{court.pack.stop}</p>
                    <button type="button" className="btn thumb mt-3" onClick={() => court.open({ name: 'swap' })}>
                        What {court.pack.athlete.given_name} can do today
                    </button>
                </div>
            ) : member.elsewhere ? (
                <Elsewhere member={member} />
            ) : (
                <div className="flex min-h-0 grow flex-col lg:grid lg:grid-cols-2 lg:items-center lg:gap-6">
                    {wide ? <DoseAndLimits court={court} here={here} /> : <InBrief court={court} here={here} />}
                    <div className="flex min-h-0 grow flex-col justify-end">
                        <Count court={court} here={here} />
                    </div>
                </div>
            )}
            <Turns line={line} />
        </div>
    );
}

/** Two phones that count one athlete would count every repetition twice. */
export function Elsewhere({ member: { court, countHere } }: { member: InTheLine }) {
    return (
        <div role="alert" className="grid min-w-0 grow grid-cols-1 content-center gap-3 py-4">
            <p className="text-lg">
                <strong>Another phone counts {court.pack.athlete.given_name}.</strong> Counted on both, every repetition
                would be load twice.
            </p>
            <button type="button" className="btn btn-main thumb whitespace-normal" onClick={court.judgeAlong}>
                Judge along, as a second pair of eyes
            </button>
            <button type="button" className="btn thumb whitespace-normal" onClick={countHere}>
                The other one has stopped: count the line here
            </button>
        </div>
    );
}

/** On a phone: the dose in a line, what is left, the limit that stops first, the last ten. */
function InBrief({ court, here }: { court: Court; here: Here }) {
    const { pack, left, pattern } = court;
    const { good, seen, marks } = tally(pack, court.judged);
    const side = sideInWords(pack, here.block, court.onSide);
    return (
        <section aria-label="Dose and limits" className="min-w-0">
            <div className="flex items-end gap-3 py-1">
                <p className="figure text-6xl" data-testid="reps-left" data-stored={court.taps.inking.size === 0}>
                    {here.set.left}
                </p>
                <div className="min-w-0 grow">
                    <p className="head truncate">{here.block.title}</p>
                    <p className="truncate text-sm text-soft">
                        {percent(here.dose.effort)}
                        {here.dose.distance_m == null ? '' : `, ${n(here.dose.distance_m)} m`},{' '}
                        {side === null ? '' : `${side}, `}set {here.set.setNo} of {here.block.reps_by_set.length}
                    </p>
                    {left && (
                        <>
                            <Tape tape={left.tape} />
                            <p className="truncate text-sm">
                                <strong>{left.repsLeft} left.</strong> Then {left.full}.
                            </p>
                        </>
                    )}
                </div>
            </div>
            <p className="flex min-h-8 items-center gap-2 border-t border-line text-sm leading-tight">
                <Strip marks={marks} height={20} />
                <span className="min-w-0 truncate">
                    {pattern
                        ? `${pattern.times} of ${pattern.of}: “${pattern.fault.cue}”`
                        : seen > 0
                          ? `${good} of ${seen} good`
                          : 'none judged yet'}
                </span>
            </p>
        </section>
    );
}

/** Whose turn comes next, changed by one touch. */
function Turns({ line }: { line: Line }) {
    if (line.way !== 'turns') return null;
    return (
        <div className="grid grid-cols-3 gap-1.5 pb-3">
            <button type="button" className="btn min-h-12" onClick={line.skip}>
                <SkipForward size={18} aria-hidden /> Skip
            </button>
            <button type="button" className="btn min-h-12" aria-pressed={line.again} onClick={line.stay}>
                <Repeat size={18} aria-hidden /> Again
            </button>
            <button type="button" className="btn min-h-12" onClick={line.swap}>
                <ArrowLeftRight size={18} aria-hidden /> Swap
            </button>
        </div>
    );
}
