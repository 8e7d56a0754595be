import type { ComponentProps, ReactNode } from 'react';

/** Whatever is filled in, with its name above it. */
export function Labelled({
    label,
    tight = false,
    children,
}: {
    label: ReactNode;
    tight?: boolean;
    children: ReactNode;
}) {
    return (
        <label className={`grid ${tight ? 'gap-0.5' : 'gap-1'}`}>
            <span className="label">{label}</span>
            {children}
        </label>
    );
}

/** A line to type into, with its name above it. */
export function LabelledInput({
    label,
    tight = false,
    className = '',
    ...input
}: { label: ReactNode; tight?: boolean } & ComponentProps<'input'>) {
    return (
        <Labelled label={label} tight={tight}>
            <input className={`field ${className}`} {...input} />
        </Labelled>
    );
}

type Named = { id: string | number; name: string } | readonly [value: string, name: string];

/** The choices of a select, by what each is called. */
export function Options({ of }: { of: readonly Named[] }) {
    return of.map((each) => {
        const [value, name] = 'id' in each ? [each.id, each.name] : each;
        return (
            <option key={value} value={value}>
                {name}
            </option>
        );
    });
}
