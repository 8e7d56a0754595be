import { useState } from 'react';

/** A number that may be half typed: what is no number yet is kept on the screen, and changes nothing. */
export function NumberField({
    label,
    value,
    step,
    onChange,
}: {
    label: string;
    value: number;
    step: number;
    onChange: (value: number) => void;
}) {
    const [typed, setTyped] = useState<string | null>(null);
    return (
        <input
            className="field w-24"
            type="number"
            inputMode="decimal"
            aria-label={label}
            step={step}
            value={typed ?? String(value)}
            onChange={(event) => {
                setTyped(event.target.value);
                if (event.target.value !== '') onChange(event.target.valueAsNumber);
            }}
            onBlur={() => setTyped(null)}
        />
    );
}
