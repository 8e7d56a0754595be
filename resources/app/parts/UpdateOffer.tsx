import { useSyncExternalStore } from 'react';
import { takeUpdate, updateIsOffered, updates } from '../offline/updates';

const listen = (told: () => void): (() => void) => {
    updates.addEventListener('offered', told);
    return () => updates.removeEventListener('offered', told);
};

/** A new version is ready: taken when it suits, or with the next start. */
export function UpdateOffer() {
    if (!useSyncExternalStore(listen, updateIsOffered)) return null;
    return (
        <p
            role="status"
            className="flex flex-wrap items-center gap-x-3 border-b border-line bg-faint px-4 py-1.5 sm:px-6"
        >
            <span>
                <strong>A new version of Augendo is ready.</strong> What you entered stays.
            </span>
            <button type="button" className="btn" onClick={takeUpdate}>
                Use it now
            </button>
        </p>
    );
}
