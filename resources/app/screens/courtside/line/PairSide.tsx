import { Check } from 'lucide-react';
import { Strip } from '../../../parts/Strip';
import { tally } from '../../../rules/count';
import { GoingOn } from '../GoingOn';
import { Playing } from '../Playing';
import type { Court, Here } from '../useCourtside';
import { Elsewhere } from './Up';
import type { useMember } from './useMember';
import { clsx } from 'clsx';

type InTheLine = ReturnType<typeof useMember>;

/** One of two who are up at once: their half of the screen, their thumb. */
export function PairSide({ member }: { member: InTheLine }) {
    const { court } = member;
    const { here, pack, left, pattern } = court;
    const { marks } = tally(pack, court.judged);
    return (
        <div className="flex min-h-0 grow flex-col px-2 pb-3">
            <h2 className="truncate text-xl">{pack.athlete.given_name}</h2>
            {here !== null && (
                <>
                    <p className="truncate text-sm text-soft">{here.block.title}</p>
                    <p className="figure text-6xl" data-stored={court.taps.inking.size === 0}>
                        {here.set.left}
                    </p>
                    {left && (
                        <p className="text-sm leading-tight">
                            <strong>{left.repsLeft} left.</strong> Then {left.full}.
                        </p>
                    )}
                    <Strip marks={marks} height={20} />
                    <p className="min-h-10 text-sm leading-tight">{pattern ? `“${pattern.fault.cue}”` : ''}</p>
                </>
            )}
            <div className="flex min-h-0 grow flex-col justify-end gap-1.5">
                {member.elsewhere ? <Elsewhere member={member} /> : <Verdicts court={court} here={here} />}
            </div>
        </div>
    );
}

function Verdicts({ court, here }: { court: Court; here: Here | null }) {
    if (here === null || court.halted !== null)
        return (
            <p role="alert" className="border-y-4 border-stop py-3 text-lg">
                {court.halted ?? court.pack.stop}
            </p>
        );
    if (court.look !== null)
        return <GoingOn why={court.look} onFinish={() => court.open({ name: 'finish' })} onReason={court.goOn} />;
    if (court.round !== null) return <Playing court={court} here={here} round={court.round} />;
    if (!here.block.judged)
        return (
            <>
                <button type="button" className="btn thumb" onClick={court.countSet}>
                    All {here.set.left}
                </button>
                <Big onClick={() => court.count('unobserved')}>Count</Big>
            </>
        );
    return (
        <>
            {court.pack.faults.map((fault) => (
                <button
                    key={fault.id}
                    type="button"
                    className={clsx(
                        'btn min-h-14 whitespace-normal px-2 leading-tight',
                        fault.safety && 'border-stop text-stop',
                    )}
                    onClick={() => court.count('not_good', fault.id)}
                >
                    {fault.name}
                </button>
            ))}
            <button type="button" className="btn thumb" onClick={() => court.count('not_good')}>
                Not good
            </button>
            <Big onClick={() => court.count('good')}>
                <Check size={26} aria-hidden /> Good
            </Big>
        </>
    );
}

function Big({ onClick, children }: { onClick: () => void; children: React.ReactNode }) {
    return (
        <button type="button" className="btn btn-main text-2xl" style={{ minHeight: '6.5rem' }} onClick={onClick}>
            {children}
        </button>
    );
}
