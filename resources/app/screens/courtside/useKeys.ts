import { useNavigate } from '@tanstack/react-router';
import { useEffect, useEffectEvent } from 'react';
import type { Court, Here } from './useCourtside';

/** What each key does, as it is told on the screen. */
export const KEYS: [key: string, does: string][] = [
    ['G', 'good, or count one'],
    ['N', 'not good'],
    ['G, N', 'in a round: hit, missed'],
    ['1 to 9', 'the fault with that number'],
    ['.', 'not seen'],
    ['F', 'fell, where jumps land'],
    ['U', 'undo'],
    ['S', 'other side'],
    ['Enter', 'next block, when one is done'],
    ['Shift and a letter', 'the next athlete whose name begins so'],
    ['?', 'this list'],
];

/** Capitals are people: the next whose name begins so, opened on a screen of its own. */
export function useToAthlete({ pack }: Court): (letter: string) => void {
    const navigate = useNavigate();
    return (letter) => {
        const named = pack.neighbours.filter((each) => each.name.toLowerCase().startsWith(letter));
        const here = named.findIndex((each) => each.sheet_id === pack.sheet_id);
        const to = named[(here + 1) % Math.max(1, named.length)];
        if (to) void navigate({ to: '/sheets/$sheetId/courtside', params: { sheetId: to.sheet_id } });
    };
}

/**
 * Counting from a keyboard. Silent while something is typed, while a form lies over the count, or while somebody else
 * is up.
 */
export function useKeys(court: Court, toAthlete: (letter: string) => void, isUp = true): void {
    const onKey = useEffectEvent((event: KeyboardEvent) => {
        if (!isUp || event.ctrlKey || event.metaKey || event.altKey || isTyped(event)) return;
        if (court.dialog !== null && court.dialog.name !== 'keys') return;
        const key = event.key.toLowerCase();
        const act = event.shiftKey && /^[a-z]$/.test(key) ? () => toAthlete(key) : actOf(key, court);
        if (act === null) return;
        act();
        event.preventDefault();
    });
    useEffect(() => {
        const listen = (event: KeyboardEvent): void => onKey(event);
        window.addEventListener('keydown', listen);
        return () => window.removeEventListener('keydown', listen);
    }, []);
}

const isTyped = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(event.target.tagName);

function actOf(key: string, court: Court): (() => void) | null {
    const { here } = court;
    if (key === '?') return () => (court.dialog === null ? court.open({ name: 'keys' }) : court.close());
    if (key === 'u' || key === 'backspace') return court.undo;
    if (key === 's') return here?.block.one_sided ? court.turn : null;
    if (key === 'enter' && here?.done) return court.next;
    if (!here || here.done || court.halted !== null || court.look !== null) return null;
    return countOf(key, court, here.block);
}

function countOf(key: string, court: Court, block: Here['block']): (() => void) | null {
    if (key === 'f' && block.lands && !court.second) return court.fell;
    if (court.round !== null) return outcomeOf(key, court);
    if (!block.judged) return key === 'g' ? () => court.count('unobserved') : null;
    return verdictOf(key, court);
}

/** In a round the same keys say how it came out; a grouping is touched. */
function outcomeOf(key: string, court: Court): (() => void) | null {
    const word = { g: 'hit', n: 'miss' }[key];
    return word === undefined || court.round?.setup.kind === 'grouping'
        ? null
        : () => court.count('unobserved', null, word);
}

function verdictOf(key: string, court: Court): (() => void) | null {
    if (key === 'g') return () => court.count('good');
    if (key === 'n') return () => court.count('not_good');
    if (key === '.') return () => court.count('unobserved');
    const fault = /^[1-9]$/.test(key) ? court.pack.faults[Number(key) - 1] : undefined;
    return fault ? () => court.count('not_good', fault.id) : null;
}
