<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\RepEvent;
use Augendo\Core\Instant;
use Augendo\Core\Mechanics\JudgedRep;

/** The repetitions a sheet's events come to, once withdrawals and corrections are read into them. */
final class SheetEvents
{
    /**
     * @param  iterable<RepEvent>  $events  of one sheet, in any order
     * @return list<RepEvent> repetitions that stand, in order of time, each with the verdict and fault it has now, and with what was being tried
     */
    public static function standing(iterable $events): array
    {
        $reps = [];
        $later = [];
        // By the instant, not by its text: two devices may write the same moment with different offsets.
        $events = collect($events)->sortBy(fn (RepEvent $event): array => [Instant::of($event->at)->microseconds, $event->seq, $event->id]);
        foreach ($events as $event) {
            if ($event->kind === 'rep') {
                $reps[$event->id] = clone $event;
            } else {
                $later[] = $event;
            }
        }
        $trying = null;
        foreach ($events as $event) {
            if ($event->kind === 'trying') {
                $trying = $event->note;
            } elseif ($event->kind === 'rep') {
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
            }
        }

        return array_values($reps);
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
            match ($rep->verdict) {
                'good' => true,
                'not_good' => false,
                default => null,
            },
            in_array($rep->fault, $safetyFaults, true),
            $rep->fault,
        ), $standing);
    }
}
