import { useState } from 'react';

/** What is typed stays as typed until it is a number; empty means nothing is set. */
export function Figure({
    label,
    about = '',
    value,
    onChange,
}: {
    label: string;
    about?: string;
    value: number | undefined;
    onChange: (value: number | undefined) => void;
}) {
    const [text, setText] = useState(value === undefined ? '' : String(value));
    return (
        <label className="flex items-center gap-1 text-sm">
            <input
                aria-label={`${label}${about && ` of ${about}`}`}
                className="field figure w-14 px-1 text-center"
                inputMode="decimal"
                value={text}
                onChange={(event) => {
                    setText(event.target.value);
                    const number = Number(event.target.value);
                    if (event.target.value === '') onChange(undefined);
                    else if (!Number.isNaN(number)) onChange(number);
                }}
            />
            <span className="text-soft">{label}</span>
        </label>
    );
}
