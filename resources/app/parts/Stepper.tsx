import { Minus, Plus } from 'lucide-react';

/** A figure that goes up and down by one step. */
export function Stepper({
    label,
    value,
    shown,
    step,
    least,
    most,
    disabled = false,
    onChange,
}: {
    label: string;
    value: number;
    shown: string;
    step: number;
    least: number;
    most: number;
    disabled?: boolean;
    onChange: (value: number) => void;
}) {
    const to = (next: number): void => onChange(Math.min(most, Math.max(least, Math.round(next * 1000) / 1000)));
    return (
        <div role="group" aria-label={label} className="inline-flex items-center">
            <button
                type="button"
                aria-label={`Less ${label}`}
                disabled={disabled || value <= least}
                onClick={() => to(value - step)}
                className="grid h-9 w-8 place-items-center border border-line disabled:text-line"
            >
                <Minus size={15} aria-hidden />
            </button>
            <output className="figure min-w-[3.6rem] px-1 text-center text-lg">{shown}</output>
            <button
                type="button"
                aria-label={`More ${label}`}
                disabled={disabled || value >= most}
                onClick={() => to(value + step)}
                className="grid h-9 w-8 place-items-center border border-line disabled:text-line"
            >
                <Plus size={15} aria-hidden />
            </button>
        </div>
    );
}
