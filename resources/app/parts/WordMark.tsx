import type { Word } from '../api/client';
import { WORDS } from '../api/words';

const COLOUR: Record<Word, string> = {
    full: 'text-full',
    unknown: 'text-unknown',
    reduced: 'text-reduced',
    none: 'text-stop',
    refer: 'text-refer',
};

/**
 * The state as a shape: a filled disc, half of it, an empty barred one, a flag, a dotted ring. Told apart in grey,
 * too.
 */
export function WordShape({ word, size = 18 }: { word: Word; size?: number }) {
    return (
        <svg viewBox="0 0 20 20" width={size} height={size} aria-hidden="true" className={`shrink-0 ${COLOUR[word]}`}>
            {word === 'full' && <circle cx="10" cy="10" r="8" fill="currentColor" />}
            {word === 'reduced' && (
                <>
                    <circle cx="10" cy="10" r="7.4" fill="none" stroke="currentColor" strokeWidth="1.8" />
                    <path d="M2.6 10a7.4 7.4 0 0 0 14.8 0z" fill="currentColor" />
                </>
            )}
            {word === 'none' && (
                <>
                    <circle cx="10" cy="10" r="7.4" fill="none" stroke="currentColor" strokeWidth="2.2" />
                    <path d="M4.5 10h11" stroke="currentColor" strokeWidth="2.6" />
                </>
            )}
            {word === 'refer' && (
                <>
                    <path d="M4 1.5v17" stroke="currentColor" strokeWidth="2.2" />
                    <path d="M4 2.5h13l-3.6 4.6L17 11.8H4z" fill="currentColor" />
                </>
            )}
            {word === 'unknown' && (
                <>
                    <circle
                        cx="10"
                        cy="10"
                        r="7.4"
                        fill="none"
                        stroke="currentColor"
                        strokeWidth="1.8"
                        strokeDasharray="2.4 2.6"
                    />
                    <circle cx="10" cy="10" r="1.6" fill="currentColor" />
                </>
            )}
        </svg>
    );
}

export function WordMark({ word, size }: { word: Word; size?: number }) {
    return (
        <span className={`head inline-flex items-center gap-1.5 whitespace-nowrap ${COLOUR[word]}`}>
            <WordShape word={word} size={size} />
            {WORDS[word]}
        </span>
    );
}
