<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;

/** Rules 6 and 7: the word of one site with its side. */
final class SitePlace
{
    /**
     * @param  Day  $on  the last day the place was reported on
     * @param  non-empty-list<SorenessReport>  $today  the reports of this place on it, in order of time
     * @param  list<SorenessReport>  $all  every report up to now
     * @param  callable(SorenessReport): bool  $isCleared  whether a later clearance covers a report
     * @param  callable(SorenessReport): bool  $isKnown  whether a condition a clinician set covers a report
     * @return list<Reason> every rule that gave a word; the worst counts
     */
    public static function judge(Day $on, School $school, array $today, array $all, callable $isCleared, callable $isKnown): array
    {
        // A clearance lowers a referral and nothing else: what may not be trained stays so, and what is fine stays fine.
        $lifted = fn (SorenessReport $report): bool => $isCleared($report)
            && $school->wordOf($report->kind, $report->score) === Word::Refer;
        $word = fn (SorenessReport $report): Word => $lifted($report) || $isKnown($report)
            ? Word::Reduced
            : $school->wordOf($report->kind, $report->score);
        $latest = $today[array_key_last($today)];
        $reasons = [new Reason($lifted($latest) ? 'cleared_today' : ($isKnown($latest) ? 'known' : 'report'), $word($latest), $latest)];

        if ($latest->moment === Moment::Warmup && self::isSoreMuscle($latest) && ! $isKnown($latest)) {
            $reasons[] = new Reason('warmup_worse', $word($latest)->oneWorse($latest->kind), $latest);
        }
        foreach ($today as $report) {
            if ($report->moment === Moment::During) {
                $reasons[] = self::isSoreMuscle($report) && ! $isKnown($report)
                    ? new Reason('during_worse', $word($report)->oneWorse($report->kind), $report)
                    : new Reason('during', $word($report), $report);
            }
            if ($report !== $latest && $word($latest) === Word::Full && $word($report) !== Word::Full) {
                $reasons[] = new Reason('eased', Word::Reduced, $report);
            }
        }
        if (! $isKnown($latest) && self::isTrend($on, $latest->place(), $all)) {
            $worst = array_reduce($reasons, fn (Word $word, Reason $reason): Word => $word->worst($reason->word), Word::Full);
            $worse = $worst->oneWorse($latest->kind);
            if ($worse !== $worst && ! ($worse === Word::Refer && $isCleared($latest))) {
                $reasons[] = new Reason('trend', $worse, $latest);
            }
        }

        return $reasons;
    }

    private static function isSoreMuscle(SorenessReport $report): bool
    {
        return $report->kind === Kind::Muscle && $report->score >= 3;
    }

    /**
     * Three days at 3 or more, or a strict rise over three days to 3 or more; a day without a report breaks it.
     *
     * @param  list<SorenessReport>  $all
     */
    private static function isTrend(Day $on, string $place, array $all): bool
    {
        $highest = [null, null, null];
        foreach ($all as $report) {
            // What is dated after the day, by somebody whose clock is ahead, is of the day.
            $ago = max(0, $on->daysSince($report->at->day));
            if ($ago <= 2 && $report->place() === $place) {
                $highest[$ago] = max($highest[$ago] ?? 0, $report->score);
            }
        }
        [$today, $yesterday, $before] = $highest;
        if ($today === null || $yesterday === null || $before === null) {
            return false;
        }
        $rose = $before < $yesterday && $yesterday < $today && $today >= 3;

        return $rose || min($today, $yesterday, $before) >= 3;
    }
}
