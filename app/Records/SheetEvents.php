<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\RepEvent;
use Augendo\Core\Instant;
use Augendo\Core\Mechanics\JudgedRep;
use Illuminate\Support\Collection;

/** The repetitions a sheet's events come to, once withdrawals and corrections are read into them. */
final class SheetEvents
{
    /** Where a repetition landed, in metres to the right of the aim and beyond it. */
    public const PLACE = '/^-?\d{1,3}(\.\d+)? -?\d{1,3}(\.\d+)?$/';

    /**
     * @param  iterable<RepEvent>  $events  of one sheet, in any order
     * @param  string  $kind  rep, or second for what a second person saw
     * @return list<RepEvent> repetitions that stand, in order of time, each with the verdict and fault it has now, and
     *         with what was being tried
     */
    public static function standing(iterable $events, string $kind = 'rep'): array
    {
        $reps = [];
        $later = [];
        $events = self::inOrder($events);
        foreach ($events as $event) {
            if ($event->kind === $kind) {
                $reps[$event->id] = clone $event;
            } elseif (in_array($event->kind, ['withdraw', 'correct'], true)) {
                $later[] = $event;
            }
        }
        $trying = null;
        foreach ($events as $event) {
            if ($event->kind === 'trying') {
                $trying = $event->note;
            } elseif ($event->kind === $kind) {
                $reps[$event->id]->note = $trying;
            }
        }
        // A change may reach the server before the repetition it names, so changes are applied last.
        foreach ($later as $event) {
            if (! isset($reps[$event->target_id])) {
                continue;
            }
            if ($event->kind === 'withdraw') {
                unset($reps[$event->target_id]);
            } else {
                $reps[$event->target_id]->verdict = $event->verdict;
                $reps[$event->target_id]->fault = $event->fault;
                $reps[$event->target_id]->seen = $event->seen;
            }
        }

        return array_values($reps);
    }

    /**
     * @param  iterable<RepEvent>  $events  of one sheet
     * @return list<array{float, float}> where the repetitions that stand landed, in order, as far as somebody touched the pad
     */
    public static function landed(iterable $events): array
    {
        $places = [];
        foreach (self::inOrder($events)->where('kind', 'landed') as $event) {
            [$across, $along] = explode(' ', (string) $event->note);
            $places[$event->target_id] = [(float) $across, (float) $along];
        }

        return array_values(array_filter(array_map(fn (RepEvent $rep): ?array => $places[$rep->id] ?? null, self::standing($events))));
    }

    /**
     * @param  list<RepEvent>  $standing
     * @param  list<string>  $safetyFaults  ids of the faults that can hurt
     * @return list<JudgedRep>
     */
    public static function judged(array $standing, array $safetyFaults): array
    {
        return array_map(fn (RepEvent $rep): JudgedRep => new JudgedRep(
            Instant::of($rep->at), $rep->sheet_id,
            self::isGood($rep),
            in_array($rep->fault, $safetyFaults, true),
            $rep->fault,
        ), $standing);
    }

    /**
     * Repetitions that two devices have changed in different ways. Nothing is dropped: the later word stands until somebody changes it.
     *
     * @param  iterable<RepEvent>  $events  of one sheet
     * @return list<array{RepEvent, list<RepEvent>}> the repetition, and its withdrawals and corrections in order
     */
    public static function changedTwice(iterable $events): array
    {
        $events = self::inOrder($events);
        $found = [];
        foreach ($events->whereIn('kind', ['withdraw', 'correct'])->groupBy('target_id') as $target => $changes) {
            $rep = $events->firstWhere('id', $target);
            $words = $changes->map(fn (RepEvent $event): string => "{$event->kind} {$event->verdict} {$event->fault}")->unique();
            if ($rep !== null && $words->count() > 1 && $changes->pluck('device')->unique()->count() > 1) {
                $found[] = [$rep, $changes->values()->all()];
            }
        }

        return $found;
    }

    /**
     * Sets that two devices counted side by side: each began before the other was done. All of it counts until somebody takes some back.
     *
     * @param  iterable<RepEvent>  $events  of one sheet
     * @return list<array{non-empty-list<RepEvent>, non-empty-list<RepEvent>}> what each of the two counted
     */
    public static function countedTwice(iterable $events): array
    {
        $found = [];
        foreach (collect(self::standing($events))->groupBy(fn (RepEvent $rep): string => "{$rep->block_id}|{$rep->set_no}") as $set) {
            $byDevice = array_values($set->groupBy('device')->map(fn (Collection $reps): array => $reps->values()->all())->all());
            foreach ($byDevice as $i => $one) {
                foreach (array_slice($byDevice, $i + 1) as $other) {
                    if (self::began($one) <= self::ended($other) && self::began($other) <= self::ended($one)) {
                        $found[] = [$one, $other];
                    }
                }
            }
        }

        return $found;
    }

    /**
     * @param  iterable<RepEvent>  $events
     * @return Collection<int, RepEvent> by the instant, not by its text: two devices may write the same moment with different offsets
     */
    private static function inOrder(iterable $events): Collection
    {
        return collect($events)->sortBy(
            fn (RepEvent $event): array => [Instant::of($event->at)->microseconds, $event->seq, $event->id],
        )->values();
    }

    /** @return bool|null null when nobody saw it */
    public static function isGood(RepEvent $rep): ?bool
    {
        return ['good' => true, 'not_good' => false][$rep->verdict] ?? null;
    }

    /** @param  non-empty-list<RepEvent>  $reps  in order */
    private static function began(array $reps): int
    {
        return Instant::of($reps[0]->at)->microseconds;
    }

    /** @param  non-empty-list<RepEvent>  $reps  in order */
    private static function ended(array $reps): int
    {
        return Instant::of($reps[count($reps) - 1]->at)->microseconds;
    }
}
