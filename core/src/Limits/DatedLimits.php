<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Measure;
use Augendo\Core\Readiness\Illness;

/** Hard limits that hold on some days only, whatever the rule set: somebody is away, ill, or a clinician said so. */
final readonly class DatedLimits
{
    /** Ids that no rule set has. */
    private const ID = 'dated:';

    /** @param  list<Limit>  $limits */
    private function __construct(public Day $from, public Day $until, public array $limits) {}

    /**
     * No repetition, not even one without anything in the hand.
     *
     * @param  string  $id  of what is behind it
     * @param  string  $label  as people call it, for every place that names a limit
     * @param  list<string>|null  $skills  null: all work
     *
     * @throws InvalidValue when it ends before it begins
     */
    public static function nothing(string $id, string $label, string $source, Day $from, Day $until, ?array $skills = null): self
    {
        $terms = self::terms($id, $label, $source, $skills);

        return self::during($from, $until, [
            new CapLimit($terms('reps'), Measure::Reps, 1, 0.0),
            new CapLimit($terms('shadow'), Measure::Shadow, 1, 0.0),
        ]);
    }

    /**
     * Easier and fewer.
     *
     * @param  float|null  $effortMax  0 to 1; null: any
     * @param  int|null  $repsADay  null: as many as the rule set allows
     * @param  list<string>|null  $skills  null: all work
     *
     * @throws InvalidValue when it ends before it begins, or eases nothing
     */
    public static function easier(
        string $id, string $label, string $source, Day $from, Day $until, ?float $effortMax, ?int $repsADay, ?array $skills = null,
    ): self {
        if ($effortMax === null && $repsADay === null) {
            throw new InvalidValue('Say the most effort, the most repetitions a day, or both.');
        }
        $terms = self::terms($id, $label, $source, $skills);

        return self::during($from, $until, [
            ...$effortMax === null ? [] : [new LevelLimit($terms('effort'), 'effort', $effortMax)],
            ...$repsADay === null ? [] : [new CapLimit($terms('reps'), Measure::Reps, 1, (float) $repsADay)],
        ]);
    }

    /**
     * What is planned ahead while somebody is ill and on the way back. The day itself goes by its word as well.
     *
     * @return list<self>
     */
    public static function ofIllness(Illness $illness, Day $today, string $id, string $label, string $source): array
    {
        $last = $illness->lastDay($today);
        if ($illness->from->isAfter($last)) {
            return [];
        }
        if (! $illness->fever) {
            return [self::easier($id, $label, $source, $illness->from, $last, Illness::LIGHT_EFFORT, null)];
        }
        $step = $illness->stepDays($today);
        $rest = $last->plus(1);

        return [
            self::nothing($id, $label, $source, $illness->from, $rest),
            self::easier("{$id}:1", $label, $source, $rest->plus(1), $rest->plus($step), Illness::FIRST_EFFORT, null),
            self::easier("{$id}:2", $label, $source, $rest->plus($step + 1), $rest->plus(2 * $step), Illness::LIGHT_EFFORT, null),
        ];
    }

    /** Whether nothing at all may be done on these days. */
    public function isAll(): bool
    {
        foreach ($this->limits as $limit) {
            if (! $limit instanceof CapLimit || $limit->max > 0.0 || $limit->filter->skills !== null) {
                return false;
            }
        }

        return true;
    }

    public static function isOne(Limit $limit): bool
    {
        return str_starts_with($limit->id, self::ID);
    }

    public function holdOn(Day $day): bool
    {
        return $day->ordinal >= $this->from->ordinal && $day->ordinal <= $this->until->ordinal;
    }

    /**
     * @param  list<string>|null  $skills
     * @return callable(string): LimitTerms
     */
    private static function terms(string $id, string $label, string $source, ?array $skills): callable
    {
        return fn (string $what): LimitTerms => new LimitTerms(
            id: self::ID."{$id}:{$what}",
            label: $label,
            source: $source,
            severity: Severity::Hard,
            filter: new LimitFilter(skills: $skills),
        );
    }

    /** @param  list<Limit>  $limits */
    private static function during(Day $from, Day $until, array $limits): self
    {
        if ($from->isAfter($until)) {
            throw new InvalidValue("It ends on {$until->iso()}, before it begins on {$from->iso()}.");
        }

        return new self($from, $until, $limits);
    }
}
