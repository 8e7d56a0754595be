import { clsx } from 'clsx';
import type { ReactNode } from 'react';

/** One of a few, each a button: what is chosen is inked. */
export function Choice<Value extends string | boolean | null>({
    label,
    of,
    value,
    onChange,
    columns,
    thumb = false,
}: {
    label: ReactNode;
    of: ReadonlyArray<readonly [value: Value, name: string]>;
    value: Value;
    onChange: (value: Value) => void;
    columns: 2 | 3;
    thumb?: boolean;
}) {
    return (
        <fieldset>
            <legend className="label mb-1">{label}</legend>
            <div className={clsx('grid gap-1.5', columns === 2 ? 'grid-cols-2' : 'grid-cols-3')}>
                {of.map(([each, name]) => (
                    <button
                        key={name}
                        type="button"
                        aria-pressed={value === each}
                        className={clsx('btn px-1', thumb && 'thumb', value === each && 'btn-main')}
                        onClick={() => onChange(each)}
                    >
                        {name}
                    </button>
                ))}
            </div>
        </fieldset>
    );
}
