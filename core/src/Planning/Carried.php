<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;

/**
 * What the last four weeks carried of the part a ladder loads most, and what a session of the season may begin with and grow to because
 * of it. Room under a limit adds nothing.
 */
final readonly class Carried
{
    public const DAYS = 28;

    private const WEEKS = 4;

    /** Parts it is looked at on, the one that says most first. */
    private const LOOKED_AT = [Channel::Arm, Channel::Landing, Channel::Trunk, Channel::Hand];

    /**
     * @param  float  $unitsAWeek  of the last four weeks
     * @param  float  $besideAWeek  units of what is planned beside the season, matches with it
     * @param  float|null  $effort  see Beginning
     * @param  float|null  $distanceM  see Beginning
     * @param  float  $sessionsAWeek  of the season
     */
    private function __construct(
        public Channel $channel,
        public float $unitsAWeek,
        public float $besideAWeek,
        private ?float $effort,
        private ?float $distanceM,
        private float $sessionsAWeek,
        private DoseShares $shares,
    ) {}

    /**
     * @param  Rung  $rung  any of the ladder
     * @param  list<CostedSet>  $beside  planned in the four weeks from $from on
     * @param  float  $sessionsAWeek  of the season
     * @param  list<string>  $apart  ids of skills that go on from their own work
     */
    public static function of(
        LoadRecord $record, Day $from, Rung $rung, SetCost $price, array $beside, float $sessionsAWeek, DoseShares $shares,
        array $apart = [],
    ): self {
        $channel = self::channel($rung, $price, $from);
        $side = $rung->ownDose()->side;

        return new self(
            channel: $channel,
            unitsAWeek: self::series($record, $channel, $side, $apart)->sum($from->ordinal - self::DAYS, $from->ordinal - 1) / self::WEEKS,
            besideAWeek: self::units($beside, $channel, $side) / self::WEEKS,
            effort: self::effort($record, $from, $rung->ownDose(), $channel),
            distanceM: self::distanceM($record, $from, $rung->ownDose()),
            sessionsAWeek: $sessionsAWeek,
            shares: $shares,
        );
    }

    /** @return list<CostedSet> counted repetitions of the skill in the last four weeks */
    private static function ofSkill(LoadRecord $record, Day $from, BlockDose $own): array
    {
        $sets = [];
        for ($day = $from->ordinal - self::DAYS; $day < $from->ordinal; $day++) {
            $sets = [...$sets, ...$record->setsOn($day)];
        }

        return array_values(array_filter(
            $sets,
            fn (CostedSet $set): bool => $set->skill === $own->skill->id && $set->side === $own->side && $set->cost['reps'] > 0.0,
        ));
    }

    /** What the repetitions cost says how hard they were, distance and speed with it: more than what was said of them. */
    private static function effort(LoadRecord $record, Day $from, BlockDose $own, Channel $channel): ?float
    {
        $perRep = match ($channel) {
            Channel::Arm => $own->skill->arm,
            Channel::Hand => $own->skill->hand,
            Channel::Trunk => $own->skill->trunk,
            Channel::Landing => 0.0,
        };
        $sets = self::ofSkill($record, $from, $own);
        $atFullEffort = fn (CostedSet $set): float => $set->cost['reps'] * $perRep * $set->implement->factor(null, null);
        $full = array_sum(array_map($atFullEffort, $sets));

        return $full > 0.0 ? EffortCurve::Perceived->effortOf(min(1.0, self::units($sets, $channel) / $full)) : null;
    }

    private static function distanceM(LoadRecord $record, Day $from, BlockDose $own): ?float
    {
        $thrown = array_filter(self::ofSkill($record, $from, $own), fn (CostedSet $set): bool => $set->cost['metres'] > 0.0);
        $reps = array_sum(array_map(fn (CostedSet $set): float => $set->cost['reps'], $thrown));

        $metres = array_sum(array_map(fn (CostedSet $set): float => $set->cost['metres'], $thrown));

        // Metres somebody can pace: halves.
        return $reps > 0.0 ? floor(2 * $metres / $reps) / 2 : null;
    }

    /**
     * @param  list<CostedSet>  $sets
     * @param  Side|null  $side  null: both
     */
    public static function units(array $sets, Channel $channel, ?Side $side = null): float
    {
        $measure = $channel->measure()->value;
        $counted = array_filter($sets, fn (CostedSet $set): bool => $side === null || ! $channel->hasSides() || $set->side === $side);

        return array_sum(array_map(fn (CostedSet $set): float => $set->cost[$measure], $counted));
    }

    /** The part a rung's own dose loads that says most of how much somebody does. */
    public static function channel(Rung $rung, SetCost $price, Day $on): Channel
    {
        $cost = BlockPlan::asAsked($rung->ownDose())->cost($on, '', $price)->cost;
        foreach (self::LOOKED_AT as $channel) {
            if ($cost[$channel->measure()->value] > 0.0) {
                return $channel;
            }
        }

        return Channel::Trunk;
    }

    /**
     * What was worked of a part, on one side where it has sides.
     *
     * @param  list<string>  $apart  ids of skills whose work is left out
     */
    public static function series(LoadRecord $record, Channel $channel, Side $side, array $apart = []): DailySeries
    {
        if (! $channel->hasSides() && $apart === []) {
            return $record->wholeSeries($channel->measure());
        }
        $side = $channel->hasSides() ? $side : null;
        $key = "side {$side?->value}".($apart === [] ? '' : ' without '.implode(' ', $apart));

        return $record->series(
            $channel->measure(),
            $key,
            fn (CostedSet $set): bool => ($side === null || $set->side === $side) && ! in_array($set->skill, $apart, true),
        );
    }

    /** @param  float  $session  units of a whole session of the rung as it is asked */
    public function begins(float $session): Beginning
    {
        $carried = min($this->most(), $this->share($session));

        return new Beginning(
            share: max($this->shares->begun / $this->shares->asked, $carried),
            carried: $carried,
            effort: $this->effort,
            distanceM: $this->distanceM,
        );
    }

    /** @return float share of the rung's repetitions it grows to: as asked, and more only where as much was carried */
    public function growsTo(float $session): float
    {
        return max(1.0, min($this->most(), $this->share($session)));
    }

    private function most(): float
    {
        return $this->shares->most / $this->shares->asked;
    }

    private function share(float $session): float
    {
        return max(0.0, $this->unitsAWeek - $this->besideAWeek) / max(1e-9, $this->sessionsAWeek * $session);
    }
}
