const NAMES: Record<string, string> = { g: 'good', b: 'not good', u: 'not seen' };

/**
 * The last repetitions, one mark each: an upright stroke is good, a low cross is not, a dot was not seen; a safety
 * fault is ringed.
 */
export function Strip({ marks, length = 10, height = 18 }: { marks: string; length?: number; height?: number }) {
    const shown = marks.slice(-length).split('');
    const empty = Math.max(0, length - shown.length);
    const good = shown.filter((mark) => mark.toLowerCase() === 'g').length;
    const seen = shown.filter((mark) => mark.toLowerCase() !== 'u').length;
    return (
        <svg
            viewBox={`0 0 ${length * 11} 20`}
            height={height}
            role="img"
            aria-label={
                seen === 0
                    ? 'No judged repetition yet'
                    : `Last ${shown.length}: ${good} of ${seen} good, latest ` +
                      `${NAMES[shown.at(-1)?.toLowerCase() ?? 'u']}`
            }
            className="block shrink-0"
        >
            {Array.from({ length: empty }, (_, i) => (
                <path
                    key={`e${i}`}
                    d={`M${i * 11 + 5.5} 17v1.5`}
                    stroke="currentColor"
                    strokeWidth="1.5"
                    opacity="0.35"
                />
            ))}
            {shown.map((mark, i) => {
                const x = (empty + i) * 11 + 5.5;
                const kind = mark.toLowerCase();
                return (
                    <g key={i}>
                        {kind === 'g' && <path d={`M${x} 2v16`} stroke="currentColor" strokeWidth="4.4" />}
                        {kind === 'b' && (
                            <path
                                d={`M${x - 3.6} 10.5l7.2 7.2m0-7.2l-7.2 7.2`}
                                stroke="var(--color-stop)"
                                strokeWidth="2.4"
                                fill="none"
                            />
                        )}
                        {kind === 'u' && <circle cx={x} cy="14.5" r="2" fill="currentColor" opacity="0.55" />}
                        {mark !== kind && (
                            <circle cx={x} cy="14" r="5.2" fill="none" stroke="var(--color-stop)" strokeWidth="1.6" />
                        )}
                    </g>
                );
            })}
        </svg>
    );
}
