import { useSyncExternalStore } from 'react';

/** From this width on a table stands beside itself; the same as `md` in the styles. */
const WIDE = '(min-width: 48rem)';

const media = window.matchMedia(WIDE);

const watch = (changed: () => void): (() => void) => {
    media.addEventListener('change', changed);
    return () => media.removeEventListener('change', changed);
};

/** Whether the screen is wide: what a phone shows in one line is not in the page twice. */
export const useWide = (): boolean => useSyncExternalStore(watch, () => media.matches);
