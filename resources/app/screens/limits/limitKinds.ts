export type TableRow = { at_least: number; rest_days: number };

/** What of a limit may differ by age. */
export type Values = {
    max?: number;
    max_increase?: number;
    floor?: number;
    table?: TableRow[];
    max_days?: number;
    at_least?: number;
    low?: number;
    high?: number;
    stop?: number;
    min_days?: number;
    min_chronic?: number;
};

/** Which work a limit looks at; what is left out is all of it. */
export type Filter = {
    skills?: string[];
    families?: string[];
    side?: string | string[];
    objects?: string[];
};

export type Kind = 'cap' | 'level' | 'rest' | 'streak' | 'step' | 'ratio';

export type LimitDef = Values & {
    id: string;
    label: string;
    kind: Kind;
    severity: 'hard' | 'advise';
    measure: string;
    source?: string;
    per_side?: boolean;
    ages?: [number, number];
    window?: { days?: number; session?: true };
    by_age?: (Values & { ages: [number, number]; window?: LimitDef['window'] })[];
    filter?: Filter;
    owed_by?: Filter;
    waits?: string;
    method?: string;
    [other: string]: unknown;
};

export const KINDS: Record<Kind, string> = {
    cap: 'at most so much in a session or some days',
    level: 'no single set above',
    rest: 'rest days owed after work',
    streak: 'days in a row',
    step: 'rise of a week over the weeks before',
    ratio: 'last week against the weeks before',
};

const AMOUNTS: Record<string, string> = {
    reps: 'reps',
    high_reps: 'high-effort reps',
    metres: 'metres',
    arm: 'arm units',
    hand: 'hand units',
    trunk: 'trunk units',
    landings: 'landing units',
    shadow: 'shadow reps',
    internal: 'minutes × exertion',
};
const LEVELS: Record<string, string> = { effort: 'effort', distance: 'metres a set' };

export const measuresOf = (kind: Kind): Record<string, string> => (kind === 'level' ? LEVELS : AMOUNTS);

/** What a kind of limit starts with. */
const STARTS: Record<Kind, Partial<LimitDef>> = {
    cap: { window: { days: 1 }, max: 100 },
    level: { measure: 'effort', max: 0.75 },
    rest: {
        table: [
            { at_least: 30, rest_days: 1 },
            { at_least: 50, rest_days: 2 },
        ],
    },
    streak: { max_days: 2, at_least: 10 },
    step: { max_increase: 0.15, floor: 100 },
    ratio: { method: 'ewma', low: 0.75, high: 1.25, stop: 1.5, min_days: 28 },
};

export const newLimit = (id: string): LimitDef => ({
    id,
    label: 'New limit',
    kind: 'cap',
    severity: 'hard',
    measure: 'reps',
    ...STARTS.cap,
});

/** The same limit as another kind: what both have stays, the rest begins anew. */
export function asKind(limit: LimitDef, kind: Kind): LimitDef {
    const { id, label, severity, source, per_side, filter, ages } = limit;
    const kept = { source, per_side, filter, ages };
    const known = Object.fromEntries(Object.entries(kept).filter(([, value]) => value !== undefined));
    const measure = limit.measure in measuresOf(kind) ? limit.measure : 'reps';
    return { id, label, severity, kind, measure, ...known, ...STARTS[kind] };
}

const VALUES = [
    'max',
    'max_increase',
    'floor',
    'table',
    'max_days',
    'at_least',
    'low',
    'high',
    'stop',
    'min_days',
    'min_chronic',
] as const;

/** Values of a limit or an age band, without whatever else it says. */
export const valuesOf = (of: Values): Values =>
    Object.fromEntries(VALUES.filter((key) => of[key] !== undefined).map((key) => [key, of[key]]));

const without = (limit: LimitDef, keys: readonly string[]): LimitDef =>
    Object.fromEntries(Object.entries(limit).filter(([key]) => !keys.includes(key))) as LimitDef;

const OLDEST = 120;

/** One more age band: it starts with what held for those ages before. */
export function withBand(limit: LimitDef): LimitDef {
    const bands = limit.by_age ?? [];
    const last = bands.at(-1);
    if (last === undefined) {
        const all = { ages: [limit.ages?.[0] ?? 0, OLDEST] as [number, number], ...valuesOf(limit) };
        return { ...without(limit, [...VALUES, 'ages']), by_age: [all] };
    }
    // Where the last one holds for everybody older, it is cut in two.
    const from = last.ages[1] < OLDEST ? last.ages[1] + 1 : last.ages[0] + 2;
    const cut = { ...last, ages: [last.ages[0], from - 1] as [number, number] };
    return { ...limit, by_age: [...bands.slice(0, -1), cut, { ...last, ages: [from, Math.max(from, OLDEST)] }] };
}

/** A band less; without the last one its values hold at every age. */
export function withoutBand(limit: LimitDef, at: number): LimitDef {
    const bands = limit.by_age ?? [];
    const left = bands.filter((_, i) => i !== at);
    const gone = bands[at];
    if (left.length > 0 || gone === undefined) return { ...limit, by_age: left };
    return { ...without(limit, ['by_age']), ...valuesOf(gone) };
}

/** A part of a filter said, or left open: nothing said is all of it. */
export function withFilter(limit: LimitDef, key: 'filter' | 'owed_by', filter: Filter): LimitDef {
    const said = Object.fromEntries(
        Object.entries(filter).filter(([, value]) => value !== '' && (!Array.isArray(value) || value.length > 0)),
    );
    return Object.keys(said).length === 0 ? without(limit, [key]) : { ...limit, [key]: said };
}

/** With another word for something that may be left out. */
export const withOptional = (limit: LimitDef, key: 'waits' | 'source', value: string): LimitDef =>
    value === '' ? without(limit, [key]) : { ...limit, [key]: value };

export const agesInWords = ([from, to]: [number, number]): string => (to >= 100 ? `${from}+` : `${from}–${to}`);

/** What a limit bounds, in words. */
export function inWords(limit: LimitDef): string {
    const measure = measuresOf(limit.kind)[limit.measure] ?? limit.measure;
    const days = limit.window?.days ?? 1;
    const words: Record<Kind, string> = {
        cap: `${measure} ${limit.window?.session ? 'in one session' : `in ${days} ${days === 1 ? 'day' : 'days'}`}`,
        step: `${measure} of a week over the weeks before`,
        rest: `days without, after ${measure}`,
        streak: `days in a row with ${measure}`,
        level: `no single set above, ${measure}`,
        ratio: `${measure} of last week against the weeks before`,
    };
    return words[limit.kind];
}
