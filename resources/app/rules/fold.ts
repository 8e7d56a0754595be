// Held to core Courtside\TapFold by tests/examples/device-rules.json ("fold"), which the core writes: PHPUnit
// (DeviceRulesTest) and vitest (tests/Device) replay it.
import type { RepEvent } from '../api/client';

export type Verdict = 'good' | 'not_good' | 'unobserved';

/** By the instant, and within one by the order of the taps on their device. */
export const inOrder = (events: RepEvent[]): RepEvent[] =>
    [...events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || a.seq - b.seq);

/**
 * Repetitions that stand once withdrawals and corrections are read into them, falls with them: landings nobody judges.
 * Or what a second person saw of them.
 */
export function standing(events: RepEvent[], kind: 'rep' | 'second' = 'rep'): RepEvent[] {
    const reps = new Map<string, RepEvent>();
    for (const event of events)
        if (event.kind === kind || (kind === 'rep' && event.kind === 'fall')) reps.set(event.id, { ...event });
    for (const event of events) {
        const target = event.target_id === null ? undefined : reps.get(event.target_id);
        if (!target) continue;
        if (event.kind === 'withdraw') reps.delete(target.id);
        if (event.kind === 'correct' && target.kind !== 'fall') {
            target.verdict = event.verdict;
            target.fault = event.fault;
            target.seen = event.seen;
        }
    }
    return [...reps.values()];
}

/** Before the id of a tag: it is taken off again. */
export const NOT = '-';

/** The tags of one repetition, in the order they were said: the last word on each counts. */
export function tagsOf(events: RepEvent[], repId: string): string[] {
    const tags = new Set<string>();
    for (const { kind, target_id: target, note } of events) {
        if (kind !== 'tag' || target !== repId || note === null) continue;
        if (note.startsWith(NOT)) tags.delete(note.slice(NOT.length));
        else tags.add(note);
    }
    return [...tags];
}
