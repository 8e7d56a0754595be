import type { Word } from './client';
import type { Body } from './typed';

/** A report of soreness, as it is sent. */
type Said = Body<'POST', `/api/athletes/${string}/reports`>['reports'][number];

/** The words of the day as they stand on screen. */
export const WORDS: Record<Word, string> = {
    full: 'Full',
    unknown: 'Not checked in',
    reduced: 'Reduced',
    none: 'None',
    refer: 'Refer',
};

export const KINDS: ReadonlyArray<readonly [kind: Said['kind'], label: string]> = [
    ['muscle', 'Muscle ache'],
    ['joint', 'Joint pain'],
    ['sharp', 'Sharp pain'],
    ['numb', 'Numb, tingling'],
    ['swelling', 'Swelling'],
    ['locking', 'Locks, gives way'],
    ['skin', 'Skin, blister'],
    ['head', 'Head knock'],
];

export const MOMENTS: ReadonlyArray<readonly [moment: Said['moment'], label: string]> = [
    ['morning', 'Morning'],
    ['before', 'Before'],
    ['warmup', 'Warm-up'],
    ['during', 'Working'],
    ['after', 'After'],
];

/** What a day fixed beside the sessions is. */
export const FIXTURES = { match: 'match', elsewhere: 'elsewhere', beside: 'beside' } as const;

/** How hard work was, where nobody measured it. */
export const FELT: ReadonlyArray<
    readonly [felt: Body<'POST', `/api/athletes/${string}/logged-work`>['felt'], label: string]
> = [
    ['easy', 'Easy'],
    ['middling', 'Middling'],
    ['hard', 'Hard'],
];

const NUMBER = new Intl.NumberFormat('en', { maximumFractionDigits: 1 });

export const n = (value: number): string => NUMBER.format(value);
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** What is done in each set, and what. */
export const inALine = (dose: { sets: number[]; what: string }): string =>
    dose.sets.length === 0 ? dose.what : `${dose.sets.join(' + ')} ${dose.what}`;

/** Sets and repetitions, how far, how long held, how hard; nothing where nothing is counted. */
export function doseInWords(dose: {
    sets: number[];
    effort: number | null;
    distance_m: number | null;
    hold_s: number | null;
}): string {
    const [first] = dose.sets;
    if (first === undefined) return '';
    const even = dose.sets.every((reps) => reps === first);
    const sets = even ? `${dose.sets.length} × ${first}` : dose.sets.join(' + ');
    const far = dose.distance_m === null ? '' : `, ${n(dose.distance_m)} m`;
    const held = dose.hold_s === null ? '' : `, hold ${dose.hold_s} s`;
    return `${sets}${far}${held}, ${percent(dose.effort ?? 0)}`;
}

export function dayName(iso: string, long = false): string {
    return new Intl.DateTimeFormat('en-GB', {
        weekday: long ? 'long' : 'short',
        day: 'numeric',
        month: long ? 'long' : 'short',
        timeZone: 'UTC',
    }).format(new Date(`${iso}T00:00:00Z`));
}

/** Now, with the offset of this device, as the server keeps times. */
export function nowWithOffset(): string {
    const now = new Date();
    const minutes = -now.getTimezoneOffset();
    const pad = (value: number, size = 2): string => String(Math.floor(Math.abs(value))).padStart(size, '0');
    const day = [now.getFullYear(), pad(now.getMonth() + 1), pad(now.getDate())].join('-');
    const time = [now.getHours(), now.getMinutes(), now.getSeconds()].map((part) => pad(part)).join(':');
    const offset = `${minutes < 0 ? '-' : '+'}${pad(minutes / 60)}:${pad(minutes % 60)}`;
    return `${day}T${time}.${pad(now.getMilliseconds(), 3)}${offset}`;
}
