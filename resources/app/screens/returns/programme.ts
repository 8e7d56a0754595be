/** A return programme as its file has it, by library/schema/return.schema.json. */
export type Stage = {
    name: string;
    text: string;
    sets: number;
    reps: number;
    effort: number;
    distance_share?: number;
    passes?: number;
    min_gap_days?: number;
    object?: string;
    surface?: string;
    legs?: number;
    rest_s?: number;
    target_rate?: number;
    criteria?: Criterion[];
    needs_clearance?: boolean;
    match_play?: boolean;
    [other: string]: unknown;
};
/** What a clinician measures before a stage, as a share of the other side. */
export type Criterion = { id: string; label: string; unit: string; at_least: number };
export type Definition = {
    id: string;
    name: string;
    summary: string;
    families: string[];
    channel: string;
    cautions: string[];
    stages: Stage[];
    [other: string]: unknown;
};

const isStage = (each: unknown): each is Stage =>
    typeof each === 'object' && each !== null && 'name' in each && typeof each.name === 'string';

/** From a file; null: it is no programme at all. What else is wrong with it is told with its place when it is saved. */
export function readDefinition(text: string): Definition | null {
    try {
        const read = JSON.parse(text) as Partial<Definition> | null;
        if (
            read === null ||
            typeof read.name !== 'string' ||
            !Array.isArray(read.stages) ||
            !read.stages.every(isStage)
        )
            return null;
        const { id = '', name, stages, summary = '', cautions = [], families = [], channel = 'arm', ...rest } = read;
        return { ...rest, id, name, stages, summary, cautions, families, channel };
    } catch {
        return null;
    }
}
