<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Tolerance;

/**
 * After idle days the next session starts lower; what was missed is never made up. Idle is counted for each part and side that the rung's
 * own dose of that side loads, and ended only by a day with at least a quarter of that dose on it: a single pass, or
 * shadow repetitions, end nothing.
 */
final readonly class Layoff
{
    /** From so many idle days on a rung is begun again one lower. */
    public const BEGIN_AGAIN_DAYS = 29;

    /** From so many idle days on the next session starts lower. */
    public const LOWER_DAYS = 8;

    private const LOWER_AND_EASIER_DAYS = 15;

    private const ENDS_IDLE_SHARE = 0.25;

    private const EFFORT_STEP = 0.25;

    private const LEAST_EFFORT = 0.25;

    /** Parts a layoff is counted on, where the dose loads them; else on all it loads. */
    private const COUNTED_ON = [Channel::Arm, Channel::Landing];

    /** @param  array<string, int|null>  $idleDays  by side; null when some part that is loaded has no work on record */
    private function __construct(private array $idleDays) {}

    public static function of(LoadRecord $record, Day $on, Rung $rung, SetCost $price): self
    {
        $idle = [];
        foreach (Side::cases() as $side) {
            $own = $rung->leadingDose($side);
            $idle[$side->value] = $own === null ? 0 : self::idle($record, $on, $own, $price);
        }

        return new self($idle);
    }

    /** The same on both sides: for what is not fitted to a record. */
    public static function days(?int $days): self
    {
        return new self(array_fill_keys(array_column(Side::cases(), 'value'), $days));
    }

    /**
     * @return int|null full days without since the last such day, the longest of the parts that are loaded; null when
     *         one was never worked
     */
    public function idleDays(Side $side): ?int
    {
        return $this->idleDays[$side->value];
    }

    public function beginsAgain(Side $side): bool
    {
        return ($this->idleDays($side) ?? 0) >= self::BEGIN_AGAIN_DAYS;
    }

    /** @return bool whether less than the dose is due: then nothing is raised either */
    public function isDue(Side $side): bool
    {
        return $this->share($side) < 1.0;
    }

    /** @return float share of the dose; with no record it is that of a long layoff, because nobody knows better */
    public function share(Side $side): float
    {
        $days = $this->idleDays($side);

        return match (true) {
            $days !== null && $days < self::LOWER_DAYS => 1.0,
            $days !== null && $days < self::LOWER_AND_EASIER_DAYS => 0.8,
            default => 0.6,
        };
    }

    /** @return float the effort that is due, from the one asked */
    public function effort(Side $side, float $asked): float
    {
        $days = $this->idleDays($side);

        return $days !== null && $days < self::LOWER_AND_EASIER_DAYS
            ? $asked
            : min($asked, max(self::LEAST_EFFORT, $asked - self::EFFORT_STEP));
    }

    private static function idle(LoadRecord $record, Day $on, BlockDose $own, SetCost $price): ?int
    {
        $dose = BlockPlan::asAsked($own)->cost($on, '', $price);
        $loaded = array_filter(Channel::cases(), fn (Channel $channel): bool => $dose->cost[$channel->measure()->value] > 0.0);
        $counted = array_filter($loaded, fn (Channel $channel): bool => in_array($channel, self::COUNTED_ON, true)) ?: $loaded;
        $idle = [];
        foreach ($counted as $channel) {
            $idle[] = $record->idleDays(
                $on, $channel, $channel->hasSides() ? $own->side : null,
                self::ENDS_IDLE_SHARE * $dose->cost[$channel->measure()->value] - Tolerance::BOUND,
                $own->object->implement === Implement::Shadow,
            );
        }
        $longest = max([0, ...array_map(fn (?int $days): int => $days ?? 0, $idle)]);

        // A part that never worked is a long break; one that rested longer than that says more.
        return in_array(null, $idle, true) && $longest < self::BEGIN_AGAIN_DAYS ? null : $longest;
    }
}
