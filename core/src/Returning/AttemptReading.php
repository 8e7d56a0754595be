<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Day;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;

/** Reads an attempt at a stage out of a session: what was done, and what was reported of the returning channel that day. */
final class AttemptReading
{
    /** Up to this score something sore in the warm-up counts as eased. */
    /** A missed morning report may be entered by hand for so many hours of the day after. */
    public const MORNING_ENTRY_HOURS = 48;

    private const EASED_MOST = 2;

    private const SORE_LEAST = 3;

    /**
     * @param  Site  $returning  the place on the way back; what shares a channel with it counts
     * @param  list<SorenessReport>  $reports  of the day, in any order
     * @param  int  $done  repetitions of the stage's own block
     * @param  float|null  $goodRate  good over judged repetitions; null when none was judged
     */
    public static function of(
        Day $day, int $stage, ProgrammeStage $asked, Site $returning, array $reports, School $school, int $done,
        ?float $goodRate,
    ): Attempt {
        $near = SorenessReport::inOrder(
            array_values(array_filter($reports, fn (SorenessReport $report): bool => $report->site->sharesChannelWith($returning))),
        );
        $at = fn (Moment ...$moments): array => array_values(
            array_filter($near, fn (SorenessReport $report): bool => in_array($report->moment, $moments, true)),
        );
        $warmup = $at(Moment::Warmup);
        $work = $at(Moment::During, Moment::After);
        $felt = [...$warmup, ...$work];
        $any = fn (array $of, callable $is): bool => array_filter($of, $is) !== [];

        return new Attempt(
            $day, $stage,
            completed: $done >= $asked->sets * $asked->reps
                && ($asked->targetRate === null || ($goodRate ?? 0.0) >= $asked->targetRate - 1e-9),
            during: self::worst($felt),
            eased: count($warmup) > 1
                && self::worst($warmup) >= self::SORE_LEAST
                && $warmup[count($warmup) - 1]->score <= self::EASED_MOST
                && self::worst($work) <= self::EASED_MOST,
            nextMorning: null,
            redFlag: $any(
                $near,
                fn (SorenessReport $report): bool => $report->moment !== Moment::Morning
                    && $school->wordOf($report->kind, $report->score) === Word::Refer,
            ),
            jointSore: $school === School::Strict && $any(
                $felt,
                fn (SorenessReport $report): bool => $report->kind === Kind::Joint && $report->score >= 1,
            ),
        );
    }

    /** @param  list<SorenessReport>  $reports */
    private static function worst(array $reports): int
    {
        return max([0, ...array_map(fn (SorenessReport $report): int => $report->score, $reports)]);
    }
}
