/** How hits are told from everything else; learnt from five of them. */
export type Ear = {
    /** The level of one's own hits, dB; null: not learnt yet. */
    levelDb: number | null;
    /** After a hit nothing counts for so long: the bounce after the wall is no hit. */
    deadS: number;
};

export type Hit = { atS: number; levelDb: number };

export const UNTAUGHT: Ear = { levelDb: null, deadS: 0.5 };
/** So many hits teach it. */
export const LESSON = 5;

/** Frames are short enough to see a hit rise, and long enough to hold some of it. */
const FRAME_S = 0.005;
/** Where a ball on a wall is loud and a voice is not, Hz. */
const BAND = { from: 1500, to: 7000 };
/** Above the quiet of the place, dB. */
const ABOVE_QUIET_DB = 14;
/** A hit rises by so much within RISE_FRAMES; a voice takes longer. */
const RISE_DB = 10;
const RISE_FRAMES = 3;
/** A deep voice is silent between its pulses: what was before and after is the loudest of so many. */
const PITCH_FRAMES = 4;
/** Grown by so much after it rose, it was no hit. */
const SWELL_DB = 2;
/** It has fallen by so much after FALL_FRAMES; a voice or a chair that is pulled goes on. */
const FALL_DB = 6;
const FALL_FRAMES = 18;
/** So much quieter than one's own is somebody else's. */
const NEIGHBOUR_DB = 8;
/** The quiet is found fast, and left slowly. */
const QUIET_DOWN = 0.2;
const QUIET_UP = 0.002;

/** One second-order filter (R. Bristow-Johnson, Audio EQ cookbook), Butterworth. */
class Filter {
    private x1 = 0;
    private x2 = 0;
    private y1 = 0;
    private y2 = 0;
    private readonly b: [number, number, number];
    private readonly a: [number, number];

    constructor(kind: 'high' | 'low', hz: number, rate: number) {
        const turn = (2 * Math.PI * Math.min(hz, 0.45 * rate)) / rate;
        const cos = Math.cos(turn);
        const alpha = Math.sin(turn) / Math.SQRT2;
        const side = kind === 'low' ? (1 - cos) / 2 : (1 + cos) / 2;
        const middle = kind === 'low' ? 1 - cos : -(1 + cos);
        const by = 1 + alpha;
        this.b = [side / by, middle / by, side / by];
        this.a = [(-2 * cos) / by, (1 - alpha) / by];
    }

    next(x: number): number {
        const y = this.b[0] * x + this.b[1] * this.x1 + this.b[2] * this.x2 - this.a[0] * this.y1 - this.a[1] * this.y2;
        this.x2 = this.x1;
        this.x1 = x;
        this.y2 = this.y1;
        this.y1 = y;
        return y;
    }
}

/**
 * Hears hits in a stream of samples: the energy of a band, over an adaptive quiet, that rises at once and falls at
 * once, as loud as one's own. Keeps a few frames of energy, and no sound.
 */
export class HitEar {
    private readonly high: Filter;
    private readonly low: Filter;
    private readonly frameLength: number;
    private sum = 0;
    private inFrame = 0;
    private frame = 0;
    private quietDb: number | null = null;
    /** The last levels, the newest last. */
    private levels: number[] = [];
    private candidate: { frame: number; levelDb: number } | null = null;
    private lastS = -Infinity;

    constructor(
        rate: number,
        private ear: Ear = UNTAUGHT,
    ) {
        this.high = new Filter('high', BAND.from, rate);
        this.low = new Filter('low', BAND.to, rate);
        this.frameLength = Math.round(FRAME_S * rate);
    }

    learn(ear: Ear): void {
        this.ear = ear;
    }

    push(samples: ArrayLike<number>): Hit[] {
        const hits: Hit[] = [];
        for (let i = 0; i < samples.length; i++) {
            const heard = this.low.next(this.high.next(samples[i] ?? 0));
            this.sum += heard * heard;
            if (++this.inFrame < this.frameLength) continue;
            const hit = this.take(10 * Math.log10(this.sum / this.frameLength + 1e-12));
            if (hit !== null) hits.push(hit);
            this.sum = 0;
            this.inFrame = 0;
        }
        return hits;
    }

    private take(levelDb: number): Hit | null {
        const quiet = this.quietDb ?? levelDb;
        this.quietDb = quiet + (levelDb < quiet ? QUIET_DOWN : QUIET_UP) * (levelDb - quiet);
        this.levels.push(levelDb);
        if (this.levels.length > RISE_FRAMES + PITCH_FRAMES) this.levels.shift();
        const before = Math.max(...this.levels.slice(0, -RISE_FRAMES), quiet);
        const at = this.frame++;
        const rises = levelDb - before >= RISE_DB && levelDb >= quiet + ABOVE_QUIET_DB;
        const since = this.candidate === null ? 0 : at - this.candidate.frame;
        if (this.candidate === null) {
            if (rises) this.candidate = { frame: at, levelDb };
        } else if (since <= RISE_FRAMES) {
            this.candidate.levelDb = Math.max(this.candidate.levelDb, levelDb);
        } else if (levelDb > this.candidate.levelDb + SWELL_DB) {
            // What goes on growing is a voice; what jumps up once more is a hit in the midst of something else.
            this.candidate = rises ? { frame: at, levelDb } : null;
        } else if (since >= FALL_FRAMES) {
            const { frame, levelDb: peakDb } = this.candidate;
            this.candidate = null;
            return this.accept(frame * FRAME_S, peakDb, Math.max(...this.levels.slice(-PITCH_FRAMES)));
        }
        return null;
    }

    private accept(atS: number, peakDb: number, nowDb: number): Hit | null {
        const goesOn = peakDb - nowDb < FALL_DB;
        const isFar = this.ear.levelDb !== null && peakDb < this.ear.levelDb - NEIGHBOUR_DB;
        if (goesOn || isFar || atS - this.lastS < this.ear.deadS) return null;
        this.lastS = atS;
        return { atS, levelDb: peakDb };
    }
}

const DEAD_SHARE = 0.45;
const DEAD_S = { least: 0.3, most: 1.2 };

/** One's own among the first that were heard: those that are not much quieter than the loudest of them. */
export function own(heard: Hit[]): Hit[] {
    const loudest = Math.max(...heard.map(({ levelDb }) => levelDb));
    return heard.filter(({ levelDb }) => levelDb >= loudest - NEIGHBOUR_DB);
}

/** What they teach: how loud they are, and how soon the next can come. */
export function taught(hits: Hit[]): Ear {
    const levels = hits.map(({ levelDb }) => levelDb).sort((a, b) => a - b);
    const between = hits.slice(1).map((hit, i) => hit.atS - (hits[i]?.atS ?? 0));
    return {
        levelDb: levels[Math.floor(levels.length / 2)] ?? null,
        deadS: Math.min(DEAD_S.most, Math.max(DEAD_S.least, DEAD_SHARE * Math.min(...between))),
    };
}
