<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Tolerance;

/** The gate to a match: held where the outcome counts, under varied practice, on two days at least a week apart. */
final readonly class MatchReady
{
    public const DAYS_APART = 7;

    /** Of a day of varied practice, as many as a coach of twelve really judges. */
    public const LEAST_REPS = 6;

    public const MAX_AGE_DAYS = 60;

    /**
     * @param  array<string, Verdict>  $criteria  held, varied, apart, safety, readiness, clearance
     * @param  list<int>  $goodDays  days of varied practice that were good enough, as ordinals, oldest first
     * @param  int  $judged  judged repetitions of varied practice
     */
    private function __construct(public array $criteria, public array $goodDays, public int $judged, public int $good, public int $safetyFaults) {}

    /**
     * @param  bool  $held  whether a rung where the outcome counts is behind the athlete, or passes its mechanics now
     * @param  list<array{day: Day, judged: int, good: int, safety: int}>  $days  varied practice where the outcome counts, a row a session
     * @param  float  $targetRate  of the gate of the rung
     * @param  bool|null  $clearanceOk  null when none is needed
     */
    public static function of(bool $held, array $days, float $targetRate, Word $word, ?bool $clearanceOk, Day $on): self
    {
        $days = array_filter($days, fn (array $row): bool => $on->daysSince($row['day']) < self::MAX_AGE_DAYS && ! $row['day']->isAfter($on));
        $byDay = [];
        foreach ($days as $row) {
            $sum = $byDay[$row['day']->ordinal] ?? ['judged' => 0, 'good' => 0];
            $byDay[$row['day']->ordinal] = ['judged' => $sum['judged'] + $row['judged'], 'good' => $sum['good'] + $row['good']];
        }
        ksort($byDay);
        $goodDays = array_keys(array_filter($byDay, fn (array $row): bool => $row['judged'] >= self::LEAST_REPS && Tolerance::atLeast($row['good'] / $row['judged'], $targetRate)));
        $apart = $goodDays !== [] && max($goodDays) - min($goodDays) >= self::DAYS_APART;
        $safety = array_sum(array_column($days, 'safety'));
        $enough = array_filter($byDay, fn (array $row): bool => $row['judged'] >= self::LEAST_REPS) !== [];

        return new self([
            'held' => Verdict::of($held),
            'varied' => match (true) {
                $goodDays !== [] => Verdict::Pass,
                $enough => Verdict::Fail,
                default => Verdict::Short,
            },
            'apart' => $apart ? Verdict::Pass : Verdict::Short,
            'safety' => Verdict::of($safety === 0),
            'readiness' => match ($word) {
                Word::Full => Verdict::Pass,
                Word::Unknown => Verdict::Unknown,
                default => Verdict::Fail,
            },
            'clearance' => Verdict::of($clearanceOk ?? true),
        ], $goodDays, array_sum(array_column($days, 'judged')), array_sum(array_column($days, 'good')), $safety);
    }

    public function isOpen(): bool
    {
        return array_filter($this->criteria, fn (Verdict $verdict): bool => $verdict !== Verdict::Pass) === [];
    }
}
