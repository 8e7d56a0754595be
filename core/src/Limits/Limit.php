<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;
use Augendo\Core\Tolerance;

/** A bound on load: who says it, for which ages, on which sets. Limits bind plans, never the record. */
abstract readonly class Limit
{
    /** A cap or step is near above this share of its maximum. */
    private const NEAR_SHARE = 0.9;

    public string $id;

    public string $label;

    public string $source;

    public Severity $severity;

    /** @var array{int, int}|null whole years from–to, both included; null for every age */
    public ?array $ages;

    public LimitFilter $filter;

    public function __construct(protected LimitTerms $terms, public ?Measure $measure)
    {
        $this->id = $terms->id;
        $this->label = $terms->label;
        $this->source = $terms->source;
        $this->severity = $terms->severity;
        $this->ages = $terms->ages;
        $this->filter = $terms->filter;
    }

    abstract public function kind(): string;

    abstract public function gauge(LoadRecord $record, Day $on): Gauge;

    /** On how many later days more work today can still tighten this limit; null when there is no end to it. */
    abstract public function reachDays(): ?int;

    /** The limit on the day of a declared match: what paces the days before it advises, the amounts of the day stay as they are. */
    public function onMatchDay(): self
    {
        return $this;
    }

    /** The same limit at a share of its amount; a limit that holds no amount stays as it is. */
    public function scaled(float $share): self
    {
        return $this;
    }

    /** An unknown age fits every range. */
    public function appliesAt(?int $age): bool
    {
        return $this->ages === null || $age === null || ($age >= $this->ages[0] && $age <= $this->ages[1]);
    }

    /** @param  CostedSet  $oneRep a set of one repetition */
    public function touches(CostedSet $oneRep): bool
    {
        return $this->filter->fits($oneRep) && $this->amount([$oneRep]) > 0.0;
    }

    /** The one side it is about; null when it is about both. */
    public function side(): ?Side
    {
        return $this->filter->sides !== null && count($this->filter->sides) === 1 ? $this->filter->sides[0] : null;
    }

    /** The name it has in the rule set, without the age and the side it was written out for. */
    public function baseId(): string
    {
        return explode(':', $this->id)[0];
    }

    /** Whether it holds an amount that can be more or less for one athlete. */
    public function isScalable(): bool
    {
        return $this instanceof CapLimit || $this instanceof StepLimit;
    }

    public function isHard(): bool
    {
        return $this->severity === Severity::Hard;
    }

    /** The same, said and not held. */
    protected function advisory(): LimitTerms
    {
        return $this->terms->with(['severity' => Severity::Advise]);
    }

    /** The measure of a limit that sums one. */
    protected function summedMeasure(): Measure
    {
        return $this->measure ?? throw new \LogicException("Limit {$this->id} sums no measure.");
    }

    protected function series(LoadRecord $record): DailySeries
    {
        return $record->series($this->summedMeasure(), $this->filter->key(), $this->filter->fits(...));
    }

    /** @param  list<CostedSet>  $sets */
    protected function amount(array $sets): float
    {
        return $this->measure === null ? 0.0 : self::sum($this->measure, $sets);
    }

    /** @param  list<CostedSet>  $sets */
    protected static function sum(Measure $measure, array $sets): float
    {
        if ($measure === Measure::Internal) {
            return 0.0;
        }
        $sum = 0.0;
        foreach ($sets as $set) {
            $sum += $set->cost[$measure->value];
        }

        return $sum;
    }

    /** A state whose status follows from a maximum alone. */
    protected function against(float $max, float $used, float $projected, bool $warns): LimitState
    {
        $status = match (true) {
            Tolerance::above($projected, $max) => Status::Over,
            $warns && Tolerance::above($projected, self::NEAR_SHARE * $max) => Status::Near,
            default => Status::Within,
        };

        return new LimitState(
            limit: $this,
            used: $used,
            projected: $projected,
            max: $max,
            remaining: max(0.0, $max - $projected),
            status: $status,
        );
    }
}
