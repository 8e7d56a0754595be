import { readFileSync } from 'node:fs';
import type { Courtside, CourtsideBlock, RepEvent } from '../../resources/app/api/client';

type Written = {
    pattern: {
        taps: [good: boolean | null, fault: string | null][];
        leading: { fault: string; times: number; of: number } | null;
        falls: number | null;
        back: string | null;
    }[];
    round: {
        events: RepEvent[];
        box: { near_m: number; far_m: number; right_m: number; left_m: number } | null;
        safe: string[];
        played: { id: string; words: (string | null)[]; seen: Record<string, unknown> | null }[];
    }[];
    fold: {
        events: RepEvent[];
        standing: [id: string, verdict: string | null, fault: string | null][];
        tags: Record<string, string[]>;
    }[];
};

/** What the rules say on the server, written by tests/Feature/DeviceRulesTest.php. */
export const examples = JSON.parse(
    readFileSync(new URL('../examples/device-rules.json', import.meta.url), 'utf8'),
) as Written;

let seq = 0;

export function rep(of: Partial<RepEvent> = {}): RepEvent {
    seq++;
    return {
        id: `rep-${seq}`,
        block_id: 'whole',
        set_no: 1,
        kind: 'rep',
        verdict: 'good',
        fault: null,
        target_id: null,
        note: null,
        side: 'dominant',
        effort: 0.5,
        distance_m: null,
        seen: null,
        at: new Date(Date.UTC(2026, 10, 26, 17, 0, seq)).toISOString(),
        seq,
        device: 'phone',
        ...of,
    };
}

export const fault = (id: string, safety = false, pair: string[] = []): Courtside['faults'][number] => ({
    id,
    name: id,
    checkpoint: 'arm',
    cue: 'reach up',
    drill: 'against a wall',
    safety,
    how: null,
    stop: null,
    picture: null,
    pair,
});

/** The bounds of the core, as they come with a session. */
export const BOUNDS: Courtside['pattern'] = {
    last: 10,
    least_faults: 4,
    least_share: 0.5,
    least_each: 2,
    window: 10,
    fall: 0.2,
    returns_times: 3,
    returns_of: 5,
};

export const block = (of: Partial<CourtsideBlock> = {}): CourtsideBlock =>
    ({
        id: 'whole',
        title: 'Whole serve',
        kind_name: 'Whole',
        judged: true,
        side: 'dominant',
        load: 'arm',
        rest_s: 60,
        reps_by_set: [6, 6],
        effort: 0.5,
        distance_m: 9,
        doses: [
            {
                effort: 0.5,
                distance_m: 9,
                blocked: null,
                costs: [{ side: 'dominant', limit_id: 'arm-day', per_rep: 0.5 }],
            },
            {
                effort: 0.8,
                distance_m: 9,
                blocked: null,
                costs: [{ side: 'dominant', limit_id: 'arm-day', per_rep: 0.8 }],
            },
        ],
        ...of,
    }) as CourtsideBlock;

export const pack = (of: Partial<Courtside> = {}): Courtside =>
    ({
        held_on: '2026-11-26',
        blocks: [block()],
        faults: [fault('late'), fault('elbow', true)],
        pattern: BOUNDS,
        stop: null,
        bounds: [
            {
                limit_id: 'arm-day',
                label: 'Arm day',
                full: 'arm day is full',
                unit: 'units',
                used: 10,
                max: 20,
                remaining: 10,
            },
        ],
        athlete: { throwing_side: 'left' },
        reports_known: [],
        reported: [],
        stops: {
            places: ['shoulder|left', 'shoulder|right', 'knee|'],
            moments: { before: 'before', during: 'during', warmup: 'warmup', morning: 'before', after: 'before' },
            rows: [{ load: 'arm|dominant', moment: 'during', kind: 'sharp', none: '3--', refer: '6--' }],
        },
        ...of,
    }) as unknown as Courtside;
