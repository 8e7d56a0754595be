// Held to core Scoring\RoundPlayed and Outcome by tests/examples/device-rules.json ("round"), which the core writes:
// PHPUnit (DeviceRulesTest) and vitest (tests/Device) replay it.
import type { CourtsideBlock, RepEvent } from '../api/client';
import { inOrder, standing } from './fold';
import { isFull, type Kind, type Tap, type Taking } from './score';

export type Court = NonNullable<NonNullable<CourtsideBlock['game']>['court']>;
export type Box = Court['boxes'][number];

/** What is scored, and how it is set up. */
export type Setup = {
    kind: Kind;
    figures: Record<string, number>;
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
    const begun = ordered.filter((event) => event.kind === 'round');
    const came = new Map(ordered.filter(({ kind }) => kind === 'landed').map((event) => [event.target_id, event.note]));
    const reps = standing(ordered);
    return begun
        .filter(({ note }) => note !== null && note !== NO_ROUND)
        .map((tap) => {
            const setup = readSetup(tap.note ?? '');
            const box = boxIn(setup);
            const outcomes = reps.flatMap((rep) => {
                const note = came.get(rep.id);
                return note == null || begunBefore(rep, begun) !== tap
                    ? []
                    : [readOutcome(note, Date.parse(rep.at), box)];
            });
            return { id: tap.id, block_id: tap.block_id, setup, outcomes: upToItsEnd(setup, outcomes) };
        });
}

const begunBefore = (rep: RepEvent, begun: RepEvent[]): RepEvent | undefined =>
    begun.findLast(
        (tap) => tap.block_id === rep.block_id && (Date.parse(tap.at) - Date.parse(rep.at) || tap.seq - rep.seq) <= 0,
    );

function upToItsEnd(setup: Setup, outcomes: Outcome[]): Outcome[] {
    const { kind, round, taps } = takingOf({ setup, outcomes }, []);
    const end = outcomes.findIndex((_, i) => isFull({ kind, round, taps: taps.slice(0, i + 1) }));
    return end === -1 ? outcomes : outcomes.slice(0, end + 1);
}

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
        round: {
            zones: figures.zones ?? 1,
            balls: figures.balls ?? 1,
            pointsEach: figures.points ?? 1,
            targets: figures.targets ?? 1,
            gaps: figures.gaps ?? 1,
            passes: figures.passes ?? 1,
            halfWidthM: 2,
        },
        taps: told.map(counts),
        at: told.map(({ at }) => at),
    };
}
