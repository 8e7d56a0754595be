<?php

declare(strict_types=1);

namespace Augendo\Core\Courtside;

use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\JudgedRep;

/**
 * What the taps of one sheet come to, once withdrawals and corrections are read into them. A device folds the same way without a
 * connection: resources/app/rules/fold.ts, bound by tests/examples/device-rules.json.
 */
final class TapFold
{
    /** Where a repetition landed, in metres to the right of the aim and beyond it. */
    public const PLACE = '/^-?\d{1,3}(\.\d+)? -?\d{1,3}(\.\d+)?$/D';

    /** Before the id of a tag: it is taken off again. */
    public const NOT = '-';

    /**
     * A fall is a landing like any other, and load; nobody judges it.
     *
     * @param  list<Tap>  $taps  of one sheet, in any order
     * @param  'rep'|'second'  $kind
     * @return list<Tap> repetitions that stand, falls with them, in order of time, each with the verdict and fault it has now, and with
     *         what was being tried
     */
    public static function standing(array $taps, string $kind = 'rep'): array
    {
        $reps = [];
        $later = [];
        $trying = null;
        foreach (self::inOrder($taps) as $tap) {
            if ($tap->kind === 'trying') {
                $trying = $tap->note;
            } elseif ($tap->kind === $kind || ($kind === 'rep' && $tap->kind === 'fall')) {
                $reps[$tap->id] = $tap->with(['note' => $trying]);
            } elseif ($tap->kind === 'withdraw' || $tap->kind === 'correct') {
                $later[] = $tap;
            }
        }
        // A change may reach the server before the repetition it names, so changes are applied last.
        foreach ($later as $change) {
            $rep = $reps[$change->targetId] ?? null;
            if ($rep === null) {
                continue;
            }
            if ($change->kind === 'withdraw') {
                unset($reps[$change->targetId]);
            } elseif ($rep->kind !== 'fall') {
                $reps[$rep->id] = $rep->with(['verdict' => $change->verdict, 'fault' => $change->fault, 'seen' => $change->seen]);
            }
        }

        return array_values($reps);
    }

    /**
     * The repetitions that are evidence: those of judged blocks, done on the side these ask for. Those entered as a sum, after the fact,
     * have no verdict at all: nobody knows which was which, and they stand in no strip.
     *
     * @param  list<Tap>  $standing
     * @param  array<string, Side|null>  $judged  side asked for, by block: the judged ones; null: the sides in turn
     * @return list<Tap>
     */
    public static function evidence(array $standing, array $judged): array
    {
        return array_values(array_filter(
            $standing,
            fn (Tap $rep): bool => $rep->verdict !== null
                && array_key_exists($rep->blockId, $judged)
                && ($judged[$rep->blockId] === null || $judged[$rep->blockId]->value === $rep->side),
        ));
    }

    /**
     * @param  list<Tap>  $standing
     * @return int how many of them are falls
     */
    public static function falls(array $standing): int
    {
        return count(array_filter($standing, fn (Tap $rep): bool => $rep->kind === 'fall'));
    }

    /**
     * @param  list<Tap>  $reps
     * @param  list<string>  $safetyFaults  ids of the faults that can hurt
     * @return list<JudgedRep>
     */
    public static function judged(array $reps, array $safetyFaults): array
    {
        return array_map(fn (Tap $rep): JudgedRep => new JudgedRep(
            $rep->at, $rep->sheetId, $rep->isGood(), in_array($rep->fault, $safetyFaults, true), $rep->fault,
        ), $reps);
    }

    /**
     * @param  list<Tap>  $taps  of one sheet
     * @return list<array{float, float}> where the repetitions that stand landed, in order, as far as somebody touched the pad
     */
    public static function landed(array $taps): array
    {
        $came = self::cameOut($taps);
        $places = [];
        foreach (self::standing($taps) as $rep) {
            if (preg_match(self::PLACE, $came[$rep->id] ?? '') === 1) {
                [$across, $along] = explode(' ', $came[$rep->id]);
                $places[] = [(float) $across, (float) $along];
            }
        }

        return $places;
    }

    /**
     * @param  list<Tap>  $taps  of one sheet
     * @return array<string, string> how repetitions came out, by their id: the last word that was said of each, see Scoring\Outcome
     */
    public static function cameOut(array $taps): array
    {
        $came = [];
        foreach (self::inOrder($taps) as $tap) {
            if ($tap->kind === 'landed') {
                $came[(string) $tap->targetId] = (string) $tap->note;
            }
        }

        return $came;
    }

    /**
     * @param  list<Tap>  $taps  of one sheet
     * @return array<string, list<string>> ids of the tags of each repetition that stands, by its id: the last word on each tag counts
     */
    public static function tags(array $taps): array
    {
        $said = [];
        foreach (self::inOrder($taps) as $tap) {
            if ($tap->kind === 'tag') {
                $note = (string) $tap->note;
                $said[(string) $tap->targetId][ltrim($note, self::NOT)] = ! str_starts_with($note, self::NOT);
            }
        }
        $tags = [];
        foreach (self::standing($taps) as $rep) {
            $own = array_keys(array_filter($said[$rep->id] ?? []));
            if ($own !== []) {
                $tags[$rep->id] = $own;
            }
        }

        return $tags;
    }

    /**
     * Repetitions that two devices have changed in different ways. Nothing is dropped: the later word stands until somebody changes it.
     *
     * @param  list<Tap>  $taps  of one sheet
     * @return list<array{Tap, non-empty-list<Tap>}> the repetition, and its withdrawals and corrections in order
     */
    public static function changedTwice(array $taps): array
    {
        $byId = [];
        $changes = [];
        foreach (self::inOrder($taps) as $tap) {
            $byId[$tap->id] = $tap;
            if ($tap->kind === 'withdraw' || $tap->kind === 'correct') {
                $changes[(string) $tap->targetId][] = $tap;
            }
        }
        $found = [];
        foreach ($changes as $target => $of) {
            $words = array_unique(array_map(fn (Tap $tap): string => "{$tap->kind} {$tap->verdict} {$tap->fault}", $of));
            $devices = array_unique(array_map(fn (Tap $tap): string => $tap->device, $of));
            if (isset($byId[$target]) && count($words) > 1 && count($devices) > 1) {
                $found[] = [$byId[$target], $of];
            }
        }

        return $found;
    }

    /**
     * Sets that two devices counted side by side: each began before the other was done. All of it counts until somebody takes some back.
     *
     * @param  list<Tap>  $taps  of one sheet
     * @return list<array{non-empty-list<Tap>, non-empty-list<Tap>}> what each of the two counted
     */
    public static function countedTwice(array $taps): array
    {
        $sets = [];
        foreach (self::standing($taps) as $rep) {
            $sets[$rep->set()][$rep->device][] = $rep;
        }
        $found = [];
        foreach ($sets as $devices) {
            $devices = array_values($devices);
            foreach ($devices as $i => $one) {
                foreach (array_slice($devices, $i + 1) as $other) {
                    if (self::began($one) <= self::ended($other) && self::began($other) <= self::ended($one)) {
                        $found[] = [$one, $other];
                    }
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<Tap>  $taps
     * @return list<Tap> by the instant, not by its text: two devices may write the same moment with different offsets
     */
    public static function inOrder(array $taps): array
    {
        usort($taps, fn (Tap $a, Tap $b): int => [$a->at->microseconds, $a->seq, $a->id] <=> [$b->at->microseconds, $b->seq, $b->id]);

        return $taps;
    }

    /** @param  non-empty-list<Tap>  $reps  in order */
    private static function began(array $reps): int
    {
        return $reps[0]->at->microseconds;
    }

    /** @param  non-empty-list<Tap>  $reps  in order */
    private static function ended(array $reps): int
    {
        return $reps[count($reps) - 1]->at->microseconds;
    }
}
