import type { DrillCard } from '../api/client';

/** A part of the body that pays for work. */
export type LoadedPart = DrillCard['loads'][number];

export const LOADED_PARTS: readonly (readonly [part: LoadedPart, name: string])[] = [
    ['arm', 'arm'],
    ['hand', 'hand'],
    ['trunk', 'trunk'],
    ['landing', 'legs, by landing'],
];

/** Whom a drill takes. */
export const DRILL_WITH: readonly (readonly [who: DrillCard['with'], name: string])[] = [
    ['alone', 'alone'],
    ['partner', 'with a partner'],
    ['group', 'in a group'],
];

export const SURFACES = ['soft', 'sprung', 'firm', 'hard'] as const;
