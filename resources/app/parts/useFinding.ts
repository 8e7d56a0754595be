import { useEffect, useState } from 'react';

const WRITES = 'input, textarea, select, [contenteditable="true"]';

/** Whether somebody looks for something: `/` or Ctrl-K begins it anywhere but where text is written. */
export function useFinding(): [finding: boolean, setFinding: (finding: boolean) => void] {
    const [finding, setFinding] = useState(false);
    useEffect(() => {
        const listen = (event: KeyboardEvent): void => {
            const writes = event.target instanceof Element && event.target.closest(WRITES) !== null;
            const asked =
                (event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey)) ||
                (event.key === '/' && !writes && !event.ctrlKey && !event.metaKey && !event.altKey);
            if (!asked) return;
            event.preventDefault();
            setFinding(true);
        };
        window.addEventListener('keydown', listen);
        return () => window.removeEventListener('keydown', listen);
    }, []);
    return [finding, setFinding];
}
