import { useSyncExternalStore } from 'react';

/** From this width on a table stands beside itself; the same as `md` in the styles. */
const WIDE = '(min-width: 48rem)';

const watch = (changed: () => void): (() => void) => {
    const media = window.matchMedia(WIDE);
    media.addEventListener('change', changed);
    return () => media.removeEventListener('change', changed);
};

/** Whether the screen is wide: what a phone shows in one line is not in the page twice. */
export const useWide = (): boolean => useSyncExternalStore(watch, () => window.matchMedia(WIDE).matches);
