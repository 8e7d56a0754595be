// Of a season that is being edited; core Planning\SeasonAsk reads the moves. tests/Device/score.test.ts.
/** From the day a session was planned for to the day it is held on. */
export type Move = { from: string; to: string };

/** A session moved twice is one move; moved home again, none. */
export function moved(moves: Move[], from: string, to: string): Move[] {
    const origin = moves.find((move) => move.to === from)?.from ?? from;
    const others = moves.filter((move) => move.from !== origin);
    return origin === to ? others : [...others, { from: origin, to }];
}
