import type { Tape as TapeData } from '../api/client';
import { n } from '../api/words';

/**
 * A limit as a measuring tape: what is done is inked, what is planned is hatched, what is left is bare tape, and the
 * limit is a hard stop.
 * Work beyond the limit runs past the stop.
 */
export function Tape({ tape, large = false }: { tape: TapeData; large?: boolean }) {
    const max = tape.max ?? 0;
    const used = tape.used ?? 0;
    const planned = tape.planned ?? 0;
    const whole = Math.max(max, used + planned, 1e-9);
    const at = (value: number): string => `${Math.min(100, (100 * value) / whole)}%`;
    if (tape.kind === 'rest' || tape.max === null) {
        return (
            <div
                className={`relative w-full ${large ? 'h-7' : 'h-4'} border-y border-ink bg-faint`}
                role="img"
                aria-label={`${tape.label}: ${tape.sentence}`}
            >
                {tape.status === 'over' || tape.kind === 'rest' ? (
                    <div className="hatch absolute inset-0 opacity-40" />
                ) : null}
            </div>
        );
    }
    return (
        <div
            className={`relative w-full ${large ? 'h-7' : 'h-4'}`}
            role="img"
            aria-label={`${tape.label}: ${n(used)} done, ${n(planned)} planned, of ${n(max)} ${tape.unit}`}
        >
            <div
                className="absolute inset-y-0 left-0 bg-tape notches border-y border-ink/60"
                style={{ width: at(max) }}
            />
            <div className="absolute inset-y-0 left-0 bg-[#14201c]" style={{ width: at(used) }} />
            <div
                className="hatch absolute inset-y-0 border-y border-ink/60"
                style={{ left: at(used), width: at(planned) }}
            />
            <div
                className={`absolute -inset-y-1 w-[3px] ${tape.status === 'over' ? 'bg-stop' : 'bg-ink'}`}
                style={{ left: `calc(${at(max)} - 3px)` }}
            />
        </div>
    );
}
