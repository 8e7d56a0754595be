<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;

/** What a ladder builds on: rungs of other ladders that must be behind the athlete. */
final class Prerequisites
{
    /**
     * @param  list<array{string, string}>  $places  pairs of ladder and rung where the athlete stands, or stood when leaving it
     * @return bool|null null when there is no place on a ladder it builds on, nor on a copy of it: unknown
     */
    public static function held(Ladder $ladder, array $places, Library $library): ?bool
    {
        $held = true;
        foreach ($ladder->needs as [$needed, $rung]) {
            $climbed = array_filter($places, fn (array $place): bool => $library->isOrCopies($place[0], $needed));
            if ($climbed === []) {
                return null;
            }
            $held = $held && array_filter($climbed, function (array $place) use ($library, $rung): bool {
                $other = $library->ladder($place[0]);

                return $other->position($rung) !== null && $other->position($place[1]) > $other->position($rung);
            }) !== [];
        }

        return $held;
    }
}
