import type { ReactNode } from 'react';

export function Toggle({
    on,
    onChange,
    children,
}: {
    on: boolean;
    onChange: (on: boolean) => void;
    children: ReactNode;
}) {
    return (
        <button type="button" aria-pressed={on} className={`btn ${on ? 'btn-main' : ''}`} onClick={() => onChange(!on)}>
            {children}
        </button>
    );
}
