import type { RungRef } from '../api/client';

/** Rungs climbed, as a ladder: those held are inked, the present one is marked. */
export function RungMark({ rung }: { rung: RungRef }) {
    const step = 26 / rung.of;
    return (
        <svg
            viewBox="0 0 20 30"
            width="20"
            height="30"
            role="img"
            aria-label={`Rung ${rung.position} of ${rung.of}`}
            className="shrink-0"
        >
            <path d="M4 1v28M16 1v28" stroke="currentColor" strokeWidth="1.4" opacity="0.5" />
            {Array.from({ length: rung.of }, (_, i) => {
                const y = 28 - (i + 0.5) * step;
                const held = i + 1 < rung.position;
                const now = i + 1 === rung.position;
                return (
                    <path
                        key={i}
                        d={`M${now ? 1 : 4} ${y}h${now ? 18 : 12}`}
                        stroke="currentColor"
                        strokeWidth={now ? 3.4 : held ? 2 : 1}
                        opacity={held || now ? 1 : 0.35}
                    />
                );
            })}
        </svg>
    );
}
