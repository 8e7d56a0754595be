import { clsx } from 'clsx';
/** Stages passed, as notches along a short tape: passed inked, the present one hatched, the rest bare. */
export function StageMark({ stage, of }: { stage: number; of: number }) {
    return (
        <span className="mb-1 flex w-44 border-y border-ink/60" role="img" aria-label={`Stage ${stage} of ${of}`}>
            {Array.from({ length: of }, (_, i) => (
                <span
                    key={i}
                    className={clsx(
                        'h-3.5 grow border-r border-ink/60 last:border-r-[3px] last:border-ink',
                        fillOf(i + 1, stage),
                    )}
                />
            ))}
        </span>
    );
}

/** Passed is inked, the present one hatched, what is ahead bare tape. */
function fillOf(nth: number, stage: number): string {
    if (nth < stage) return 'bg-[#14201c]';
    return nth === stage ? 'hatch bg-tape' : 'bg-tape';
}
