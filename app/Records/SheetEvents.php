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
     * @return list<RepEvent> repetitions that stand, in order of time, each with the verdict and fault it has now, and with what was being tried
     */
    public static function standing(iterable $events, string $kind = 'rep'): array
    {
        $reps = [];
        $later = [];
        // By the instant, not by its text: two devices may write the same moment with different offsets.
        $events = collect($events)->sortBy(fn (RepEvent $event): array => [Instant::of($event->at)->microseconds, $event->seq, $event->id]);
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
        foreach (collect($events)->where('kind', 'landed')->sortBy(fn (RepEvent $event): array => [Instant::of($event->at)->microseconds, $event->seq]) as $event) {
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
            match ($rep->verdict) {
                'good' => true,
                'not_good' => false,
                default => null,
            },
            in_array($rep->fault, $safetyFaults, true),
            $rep->fault,
        ), $standing);
    }

    /**
     * Where two devices say different things, or may have counted the same work twice. Nothing is dropped: the later word stands until somebody
     * changes it.
     *
     * @param  iterable<RepEvent>  $events  of one sheet
     * @param  callable(string): string  $who  the name of a user by id
     * @return list<array{block_id: string, set_no: int, sentence: string}>
     */
    public static function conflicts(iterable $events, callable $who): array
    {
        $events = collect($events)->sortBy(fn (RepEvent $event): array => [Instant::of($event->at)->microseconds, $event->seq, $event->id]);
        $found = [];
        foreach ($events->whereIn('kind', ['withdraw', 'correct'])->groupBy('target_id') as $target => $changes) {
            $rep = $events->firstWhere('id', $target);
            $said = $changes->map(fn (RepEvent $event): string => $event->kind === 'withdraw' ? 'taken back' : self::said($event))->unique();
            if ($rep === null || $said->count() < 2 || $changes->pluck('device')->unique()->count() < 2) {
                continue;
            }
            $each = $changes->map(fn (RepEvent $event): string => $who((string) $event->user_id).', '.substr($event->at, 11, 5).': '.($event->kind === 'withdraw' ? 'taken back' : self::said($event)))->implode('; ');
            $found[] = ['block_id' => $rep->block_id, 'set_no' => (int) $rep->set_no, 'sentence' => "One repetition of set {$rep->set_no}, two words. {$each}. ".($changes->contains('kind', 'withdraw') ? 'It does not count while it is taken back.' : 'The later one stands.')];
        }
        foreach (collect(self::standing($events))->groupBy(fn (RepEvent $rep): string => "{$rep->block_id}|{$rep->set_no}") as $reps) {
            $spans = $reps->groupBy('device');
            foreach ($spans as $device => $ofOne) {
                foreach ($spans as $other => $ofOther) {
                    // Each began before the other was done: side by side, not one after the other.
                    if ($device < $other && self::began($ofOne) <= self::ended($ofOther) && self::began($ofOther) <= self::ended($ofOne)) {
                        $found[] = ['block_id' => $ofOne->first()->block_id, 'set_no' => (int) $ofOne->first()->set_no, 'sentence' => "Two devices counted set {$ofOne->first()->set_no} at the same time: {$ofOne->count()} by {$who((string) $ofOne->first()->user_id)}, {$ofOther->count()} by {$who((string) $ofOther->first()->user_id)}. All of them count. If some were counted twice, undo those."];
                    }
                }
            }
        }

        return $found;
    }

    /** @param  Collection<int, RepEvent>  $reps  in order */
    private static function began(Collection $reps): int
    {
        return Instant::of($reps->firstOrFail()->at)->microseconds;
    }

    /** @param  Collection<int, RepEvent>  $reps  in order */
    private static function ended(Collection $reps): int
    {
        return Instant::of($reps->reverse()->firstOrFail()->at)->microseconds;
    }

    private static function said(RepEvent $event): string
    {
        return match ($event->verdict) {
            'good' => 'good',
            'not_good' => 'not good'.($event->fault === null ? '' : " ({$event->fault})"),
            default => 'not seen',
        };
    }
}
