// Held to core Scoring\RoundPlayed and Outcome by tests/examples/device-rules.json ("round"), which the core writes:
// PHPUnit (DeviceRulesTest) and vitest (tests/Device) replay it.
import type { CourtsideBlock, RepEvent } from '../api/client';
import { inOrder, standing } from './fold';
import { type Figures, isFull, type Kind, type Tap, type Taking } from './score';

export type Court = NonNullable<NonNullable<CourtsideBlock['game']>['court']>;
export type Box = Court['boxes'][number];

/** What is scored, and how it is set up. */
export type Setup = {
    kind: Kind;
    figures: Partial<Figures>;
    /** Ids of a court and of its box. */
    on: [court: string, box: string] | null;
    goal: number | null;
};

/** A tap that says so ends a round and begins none. */
export const NO_ROUND = 'none';

export function readSetup(code: string): Setup {
    const [kind = '', ...words] = code.split(' ');
    const said = new Map(words.map((word) => word.split('=') as [string, string]));
    const on = said.get('on')?.split(':') as Setup['on'] | undefined;
    const goal = said.get('goal');
    said.delete('on');
    said.delete('goal');
    return {
        kind: kind as Kind,
        figures: Object.fromEntries([...said].map(([name, figure]) => [name, Number(figure)])),
        on: on ?? null,
        goal: goal === undefined ? null : Number(goal),
    };
}

/** The code without its goal: scores of one setup are compared with each other. */
export function setupOf({ kind, figures, on }: Setup): string {
    const words = Object.entries(figures).map(([name, figure]) => `${name}=${figure}`);
    return [kind, ...words, ...(on === null ? [] : [`on=${on.join(':')}`])].join(' ');
}

export const codeOf = (setup: Setup): string =>
    setup.goal === null ? setupOf(setup) : `${setupOf(setup)} goal=${setup.goal}`;

export const boxOf = (court: Court | null, { on }: Setup): Box | null =>
    on === null ? null : (court?.boxes.find((box) => box.id === on[1]) ?? null);

export type Outcome = { word: string | null; place: [number, number] | null; at: number };

/** What a tap says of how a repetition came out: a word, or a place, which in or beside a box is a word as well. */
export function readOutcome(note: string, at: number, box: Box | null): Outcome {
    if (/^[a-z]+$/.test(note)) return { word: note, place: null, at };
    const [across = 0, along = 0] = note.split(' ').map(Number);
    return { word: box === null ? null : inOrOut(across, along, box), place: [across, along], at };
}

const CLOSE = 1e-9;

/** Too long or too short is said before too far across: it is what the arm did. */
function inOrOut(across: number, along: number, box: Box): string {
    const deep = (box.far_m - box.near_m) / 2;
    const wide = (box.left_m - box.right_m) / 2;
    if (along > deep + CLOSE) return 'long';
    if (along < -deep - CLOSE) return box.near_m > 0 ? 'short' : 'net';
    if (across > wide + CLOSE) return 'right';
    return across < -wide - CLOSE ? 'left' : 'hit';
}

export type Played = { id: string; block_id: string; setup: Setup; outcomes: Outcome[] };

/**
 * The rounds of a sheet in the order they were begun: each holds the repetitions of its block that came after, until it
 * is full or the next one begins.
 */
export function roundsOf(events: RepEvent[], boxIn: (setup: Setup) => Box | null): Played[] {
    const ordered = inOrder(events);
    const begun: RepEvent[] = [];
    const current = new Map<string, string>();
    // A repetition is of the round that was begun last on its block.
    const of = new Map<string, string | undefined>();
    const came = new Map<string | null, string | null>();
    for (const event of ordered) {
        if (event.kind === 'landed') came.set(event.target_id, event.note);
        if (event.kind !== 'round') of.set(event.id, current.get(event.block_id));
        else {
            current.set(event.block_id, event.id);
            if (event.note !== null && event.note !== NO_ROUND) begun.push(event);
        }
    }
    const reps = standing(ordered);
    return begun.map(({ id, block_id, note }) => {
        const setup = readSetup(note ?? '');
        const box = boxIn(setup);
        const outcomes = reps.flatMap((rep) => {
            const word = of.get(rep.id) === id ? came.get(rep.id) : null;
            return word == null ? [] : [readOutcome(word, Date.parse(rep.at), box)];
        });
        return { id, block_id, setup, outcomes: upToItsEnd(setup, outcomes) };
    });
}

function upToItsEnd(setup: Setup, outcomes: Outcome[]): Outcome[] {
    const { kind, round, taps } = takingOf({ setup, outcomes }, []);
    const end = outcomes.findIndex((_, i) => isFull({ kind, round, taps: taps.slice(0, i + 1) }));
    return end === -1 ? outcomes : outcomes.slice(0, end + 1);
}

/** Figures a kind is not set up with say nothing. */
const ONE_OF_EACH: Figures = { zones: 1, balls: 1, points: 1, targets: 1, gaps: 1, passes: 1 };

/** A round as a score is told while it is taken. */
export function takingOf({ setup, outcomes }: Pick<Played, 'setup' | 'outcomes'>, safe: string[]): Taking {
    const { kind, figures } = setup;
    const counts = ({ word, place }: Outcome): Tap => {
        if (kind === 'grouping' && place !== null) return place;
        return word === 'hit' || (kind === 'in_a_row' && word !== null && safe.includes(word));
    };
    const told = kind === 'grouping' ? outcomes.filter(({ place }) => place !== null) : outcomes;
    return {
        kind,
        round: { ...ONE_OF_EACH, ...figures },
        taps: told.map(counts),
        at: told.map(({ at }) => at),
    };
}
