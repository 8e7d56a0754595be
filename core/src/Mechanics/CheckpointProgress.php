<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/** One checkpoint over the months: how it looked when it was first looked for, against how it looks now. */
final readonly class CheckpointProgress
{
    /** The first and the latest stretch are at least so many looks each. */
    private const LOOKS = 10;

    private const CONFIDENCE = 0.9;

    /**
     * @param  array{int, int}|null  $latest  right and seen; null while one stretch is all there is
     * @param  array{int, int}  $first  right and seen
     * @param  float|null  $difference  the latest share less the first
     * @param  float|null  $low  of its 90 % interval, Newcombe's
     * @param  'better'|'worse'|'too few to tell'  $says
     */
    private function __construct(
        public int $fromDay,
        public int $toDay,
        public array $first,
        public ?array $latest,
        public ?float $difference,
        public ?float $low,
        public ?float $high,
        public string $says,
    ) {}

    /**
     * @param  list<array{int, int, int}>  $sessions  day, right and seen of one checkpoint, oldest first
     * @return self|null null when it was never seen
     */
    public static function of(array $sessions): ?self
    {
        $sessions = array_values(array_filter($sessions, fn (array $session): bool => $session[2] > 0));
        if ($sessions === []) {
            return null;
        }
        [$first, $used] = self::stretch($sessions);
        [$latest, $usedLast] = self::stretch(array_reverse($sessions));
        [$from, $to] = [$sessions[0][0], $sessions[count($sessions) - 1][0]];
        if ($used + $usedLast > count($sessions) || $from === $to) {
            return new self(
                fromDay: $from,
                toDay: $to,
                first: $first,
                latest: null,
                difference: null,
                low: null,
                high: null,
                says: 'too few to tell',
            );
        }
        [$difference, $low, $high] = Statistics::newcombe($latest[0], $latest[1], $first[0], $first[1], self::CONFIDENCE);

        return new self(
            fromDay: $from,
            toDay: $to,
            first: $first,
            latest: $latest,
            difference: $difference,
            low: $low,
            high: $high,
            says: Statistics::says($low, $high),
        );
    }

    /**
     * @param  list<array{int, int, int}>  $sessions
     * @return array{array{int, int}, int} right and seen of whole sessions until there are enough looks, and how many sessions that took
     */
    private static function stretch(array $sessions): array
    {
        $right = $seen = $used = 0;
        foreach ($sessions as [, $good, $of]) {
            if ($seen >= self::LOOKS) {
                break;
            }
            $right += $good;
            $seen += $of;
            $used++;
        }

        return [[$right, $seen], $used];
    }
}
