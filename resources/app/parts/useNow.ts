import { useEffect, useState } from 'react';

/** Milliseconds of the clock, looked at again so often; null: the clock stands. */
export function useNow(everyMs: number | null): number {
    const [now, setNow] = useState(Date.now);
    useEffect(() => {
        if (everyMs === null) return;
        const look = (): void => setNow(Date.now());
        const timer = window.setInterval(look, everyMs);
        // What stood until now is old: looked at as soon as it runs again.
        const first = window.setTimeout(look);
        return () => {
            window.clearInterval(timer);
            window.clearTimeout(first);
        };
    }, [everyMs]);
    return now;
}
