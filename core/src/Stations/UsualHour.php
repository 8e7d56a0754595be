<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\Surface;

/** What a squad's session is set up with before anybody changes it. Our own round numbers. */
final class UsualHour
{
    public const MINUTES = 75;

    public const ADULTS = 2;

    public const BALLS = 30;

    public const CHANGE_OVER_MIN = 1;

    public const LEAST_ROUND_MIN = 4;

    /** More than so many side by side nobody sees at once. */
    private const MOST_LANES = 8;

    private const LANE_M = 2.5;

    /** A space is no shorter, and reaches this much beyond the longest throw or serve in it. */
    private const LEAST_LENGTH_M = 10.0;

    private const BEYOND_M = 5.0;

    /**
     * A space for each skill that is somebody's main work, in the order they come up: as long as the longest dose of those asks for, as
     * wide as
     * they are many, and neither beyond the room. What flies far gets a sector where no length of a room is known; a hall has none.
     *
     * @param  list<Attendee>  $attendees
     * @param  Surface|null  $floor  null: not known
     * @param  float|null  $roomLengthM  null: not known
     * @param  float|null  $roomWidthM  null: not known
     * @return list<Space> the id is that of the skill
     */
    public static function spaces(array $attendees, ?Surface $floor, ?float $roomLengthM, ?float $roomWidthM): array
    {
        $of = [];
        foreach ($attendees as $attendee) {
            if ($attendee->work !== []) {
                $of[self::mainSkill($attendee)][] = $attendee;
            }
        }
        $wide = $roomWidthM === null ? self::MOST_LANES : intdiv((int) floor($roomWidthM / self::LANE_M), max(1, count($of)));
        $spaces = [];
        foreach ($of as $skill => $those) {
            $pieces = array_merge(...array_map(fn (Attendee $attendee): array => $attendee->work, $those));
            $furthestM = max(0.0, ...array_map(fn (Piece $piece): float => (float) $piece->distanceM, $pieces));
            $far = array_filter($pieces, fn (Piece $piece): bool => $piece->far) !== [];
            $spaces[] = new Space(
                id: (string) $skill,
                lengthM: min($roomLengthM ?? INF, max(self::LEAST_LENGTH_M, ceil($furthestM) + self::BEYOND_M)),
                lanes: max(1, min(self::MOST_LANES, $wide, count($those))),
                surface: $floor,
                sector: $far && $roomLengthM === null,
            );
        }

        return $spaces;
    }

    /** The skill of the longest work, what is only rehearsed counting last. */
    private static function mainSkill(Attendee $attendee): string
    {
        $seconds = [];
        foreach ($attendee->work as $piece) {
            $counted = $piece->kind === BlockKind::Rehearsal || $piece->kind === BlockKind::OtherSide ? 0 : $piece->seconds;
            $seconds[$piece->skill] = ($seconds[$piece->skill] ?? 0) + $counted;
        }
        arsort($seconds);

        return (string) array_key_first($seconds);
    }
}
