import type { LibraryFile } from '../../api/client';
import type { LoadedPart } from '../../parts/dose';

/** A ladder as its file has it, by library/schema/ladder.schema.json. */
export type MomentDef = { id: string; name: string; text: string; find?: string };
export type MeasureDef = { moment: string; figure: string; low?: number; high?: number };
export type CheckpointDef = {
    id: string;
    name: string;
    good: string;
    variants?: string[];
    measure?: MeasureDef;
    school?: string;
};
export type TagDef = { id: string; name: string; means: string };
export type DrillDoseDef = {
    skill: string;
    object: string;
    reps: number;
    effort: number;
    distance_m?: number;
    hold_s?: number;
    legs?: number;
    [other: string]: unknown;
};
export type FaultDef = {
    id: string;
    name: string;
    checkpoint: string;
    cue: string;
    drill: string;
    dose?: DrillDoseDef;
    safety?: boolean;
    how?: string;
    stop?: string;
    with?: string;
    picture?: string;
    pair?: string[];
};
export type BlockDef = {
    block: string;
    title: string;
    text: string;
    skill: string;
    object: string;
    sets: number;
    reps: number;
    effort: number;
    side?: string;
    surface?: string;
    distance_m?: number;
    distance_share?: number;
    hold_s?: number;
    legs?: number;
    rest_s?: number;
    judged?: boolean;
    loads?: LoadedPart[];
    feed?: string;
    varied?: boolean;
    tempo?: string;
    counts?: string[];
    play?: string;
    eyes_shut?: boolean;
    alternates?: boolean;
    target_m?: number;
    spread_m?: number;
    reps_min?: number;
    effort_min?: number;
    distance_min_m?: number;
    drop_cm?: number;
    [other: string]: unknown;
};
/** As core `Gate`; shares are 0 to 1. */
export type GateDef = {
    window_sessions?: number;
    min_reps?: number;
    min_sessions?: number;
    target_rate?: number;
    confidence?: number;
    lower_bound?: number;
    streak?: number;
    safety_window_reps?: number;
    max_safety_faults?: number;
    max_fade?: number;
    soreness_days?: number;
    soreness_max?: number;
    needs_morning_after?: boolean;
    step_back_rate?: number;
    max_age_days?: number;
    confirm_after_fail?: boolean;
};
export type TeachingDef = Record<
    | 'purpose'
    | 'set_up'
    | 'look_first'
    | 'good'
    | 'easier'
    | 'harder'
    | 'alone'
    | 'group'
    | 'coach_mistake'
    | 'go_back',
    string
>;
/** How it is done from a chair. */
export type SeatedDef = {
    set_up: string;
    warm_up: string;
    rehearsal: string;
    other_side: string;
    cool_down: string;
    without: string[];
    drills: Record<string, { drill: string; how: string } | null>;
};
export type RungDef = {
    id: string;
    name: string;
    goal: string;
    outcome: 'ignored' | 'scored';
    safe_misses?: string[];
    tags?: string[];
    teaching?: TeachingDef;
    seated?: string;
    checkpoints: string[];
    faults: string[];
    gate?: GateDef;
    blocks: BlockDef[];
    indoor?: BlockDef;
};
export type LadderDef = {
    id: string;
    version: number;
    name: string;
    skill: string;
    summary: string;
    cautions: string[];
    seated?: SeatedDef;
    moments?: MomentDef[];
    tags?: TagDef[];
    checkpoints: CheckpointDef[];
    faults: FaultDef[];
    rungs: RungDef[];
    [other: string]: unknown;
};

export const definitionOf = (file: LibraryFile): LadderDef => file.definition as unknown as LadderDef;

/** The same without what is not said any more. */
export const leftOut = <T extends object>(of: T, key: string): T =>
    Object.fromEntries(Object.entries(of).filter(([each]) => each !== key)) as T;

/** A checkpoint taken away, and out of all that names it; its faults stay, and are asked about when it is saved. */
export const withoutCheckpoint = (ladder: LadderDef, gone: string): LadderDef => {
    const rest = (ids: string[]): string[] => ids.filter((id) => id !== gone);
    return {
        ...ladder,
        ...(ladder.seated && { seated: { ...ladder.seated, without: rest(ladder.seated.without) } }),
        checkpoints: ladder.checkpoints.filter(({ id }) => id !== gone),
        rungs: ladder.rungs.map((rung) => ({ ...rung, checkpoints: rest(rung.checkpoints) })),
    };
};

/** A fault taken away, and out of all that names it. */
export const withoutFault = (ladder: LadderDef, gone: string): LadderDef => ({
    ...ladder,
    ...(ladder.seated && { seated: { ...ladder.seated, drills: leftOut(ladder.seated.drills, gone) } }),
    faults: ladder.faults.filter(({ id }) => id !== gone),
    rungs: ladder.rungs.map((rung) => ({ ...rung, faults: rung.faults.filter((id) => id !== gone) })),
});

/** The list with one of it replaced, or taken out. */
export const replaced = <T>(list: T[], i: number, next: T | null): T[] =>
    next === null ? list.filter((_, j) => j !== i) : list.map((each, j) => (i === j ? next : each));

export type MannerKey = 'feed' | 'tempo' | 'play';

/** A block done another way; empty: nobody says. Only a feed is varied and only a count has beats: they go with it. */
export function doneAs(block: BlockDef, key: MannerKey, value: string): BlockDef {
    const next: BlockDef = value === '' ? leftOut(block, key) : { ...block, [key]: value };
    if (key === 'feed' && (value === '' || value === 'none')) return leftOut(next, 'varied');
    if (key !== 'tempo') return next;
    return value === 'counted' ? { ...next, counts: ['one', 'two', 'three'] } : leftOut(next, 'counts');
}

/** An id nothing in the list has, from a name. */
export function freshId(name: string, taken: { id: string }[]): string {
    const base =
        name
            .toLowerCase()
            .normalize('NFKD')
            .replace(/[^a-z0-9]+/g, '-')
            .replace(/^-|-$/g, '') || 'new';
    const ids = new Set(taken.map((each) => each.id));
    let id = base;
    for (let i = 2; ids.has(id); i++) id = `${base}-${i}`;
    return id;
}

const keyInWords = (key: string | undefined): string => (key ? `, ${key.replaceAll('_', ' ')}` : '');

function placeFromTheChair(ladder: LadderDef, key?: string, of?: string, part?: string): string {
    const fault = key === 'drills' ? ladder.faults.find(({ id }) => id === of)?.name : undefined;
    return `From a chair${fault ? `, “${fault}”${keyInWords(part)}` : keyInWords(key)}`;
}

/** A place in the file, as a person finds it in the form. */
export function placeInWords(path: string, ladder: LadderDef): string {
    const [, room, at, inner, which, field] = path.split('/');
    const lists: Record<string, [one: string, list: { name: string }[]]> = {
        rungs: ['rung', ladder.rungs],
        faults: ['fault', ladder.faults],
        checkpoints: ['checkpoint', ladder.checkpoints],
        moments: ['moment', ladder.moments ?? []],
        tags: ['tag', ladder.tags ?? []],
    };
    if (room === 'seated') return placeFromTheChair(ladder, at, inner, which);
    const known = lists[room ?? ''];
    if (known === undefined || at === undefined) return room ?? 'the file';
    const [one, list] = known;
    const name = list[Number(at)]?.name;
    const what = `${one} ${Number(at) + 1}${name ? `, “${name}”` : ''}`;
    if (inner === 'blocks' && which !== undefined) return `${what}, block ${Number(which) + 1}${keyInWords(field)}`;
    const isDeep = inner === 'gate' || inner === 'measure' || inner === 'teaching';
    return `${what}${keyInWords(inner)}${isDeep ? keyInWords(which) : ''}`;
}
