<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;

/** A declared match with the work it is expected to cost. */
final readonly class MatchEvent
{
    /** What so many days before a match may hold is looked at. */
    public const PROTECT_DAYS = 6;

    /** How long one is taken to last when nobody said. */
    public const MINUTES = 120;

    /** @param  list<MatchDose>  $doses */
    public function __construct(public string $id, public Day $day, public string $title, public array $doses) {}

    /**
     * Whom a day fixed from outside concerns: the one it names; who is in its line-up; where nobody has said who plays, everybody of the
     * squad.
     *
     * @param  string|null  $named  id of an athlete
     * @param  list<int>  $squads  of the athlete
     * @param  list<string>|null  $lineUp  ids of athletes; null: nobody has said
     */
    public static function concerns(?string $named, ?int $squad, string $athlete, array $squads, ?array $lineUp = null): bool
    {
        if ($lineUp !== null) {
            return in_array($athlete, $lineUp, true);
        }

        return $named === null ? $squad !== null && in_array($squad, $squads, true) : $named === $athlete;
    }

    /** A match declared before its day, or on it with opponent and hour, is one to the limits; declared afterwards it loosens nothing. */
    public static function isDeclaredInTime(Day $held, Day $declared): bool
    {
        return ! $declared->isAfter($held);
    }

    /** @return string what its expected work is planned under */
    public static function session(string $id): string
    {
        return "match {$id}";
    }

    /**
     * @param  float  $share  of the expected dose, 0 to 1
     * @return list<CostedSet>
     */
    public function sets(SetCost $price, float $share = 1.0): array
    {
        $sets = [];
        foreach ($this->doses as $dose) {
            $reps = (int) floor($dose->reps * $share + 1e-9);
            if ($reps > 0) {
                $sets[] = $price->of(
                    WorkSet::ordinarily($this->day, self::session($this->id), $dose->skill, $reps, $dose->effort, side: $dose->side),
                );
            }
        }

        return $sets;
    }

    public function reps(): int
    {
        return array_sum(array_map(fn (MatchDose $dose): int => $dose->reps, $this->doses));
    }
}
