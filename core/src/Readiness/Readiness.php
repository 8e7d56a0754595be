<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;
use Augendo\Core\Load\Channel;

/** The day's decision, channel by channel, with the rule behind each word. */
final readonly class Readiness
{
    /**
     * @param  array<string, Word>  $channels  by channel name
     * @param  array<string, list<Reason>>  $reasons  by channel name, worst first
     * @param  list<SorenessReport>  $openReferrals  oldest first; a clearance made later closes one, and one that came of three sore days a later report of the place too
     */
    private function __construct(
        public School $school,
        public Word $word,
        public array $channels,
        public array $reasons,
        public array $openReferrals,
        public bool $checkedIn,
    ) {}

    /**
     * @param  int|null  $age  whole years on the day, null when not known
     * @param  list<SorenessReport>  $reports  up to now; of equal times the later in the list is the later. One dated after $on, by somebody
     *                                         whose clock is ahead, is one of today
     * @param  list<SorenessClearance>  $clearances
     */
    public static function on(Day $on, ?int $age, array $reports, array $clearances, ?School $school = null, ?DayContext $around = null): self
    {
        $around ??= new DayContext;
        $school ??= School::byDefaultAt($age);
        usort($reports, fn (SorenessReport $a, SorenessReport $b): int => $a->at->microseconds <=> $b->at->microseconds);
        $isCleared = function (SorenessReport $report) use ($clearances): bool {
            foreach ($clearances as $clearance) {
                if ($clearance->covers($report)) {
                    return true;
                }
            }

            return false;
        };
        $checkedIn = array_filter($reports, fn (SorenessReport $report): bool => ! $on->isAfter($report->at->day)) !== [];
        $open = array_values(array_filter($reports, fn (SorenessReport $report): bool => ! $isCleared($report) && ! $around->knows($report)
            && $school->wordOf($report->kind, $report->score) === Word::Refer));

        /** @var array<string, list<Reason>> $reasons */
        $reasons = array_fill_keys(array_column(Channel::cases(), 'value'), []);
        foreach ($open as $report) {
            self::refer($reasons, new Reason('referral', Word::Refer, $report), $report->site, $report->kind);
        }
        foreach (self::byPlace($reports, $on) as [$day, $last]) {
            $judged = SitePlace::judge($day, $school, $last, $reports, $isCleared, $around->knows(...));
            $latest = $last[array_key_last($last)];
            foreach ($judged as $reason) {
                if ($reason->rule === 'trend' && $reason->word === Word::Refer) {
                    // It holds until the place is reported on again, or cleared.
                    $open[] = $latest;
                    self::refer($reasons, $reason, $latest->site, $latest->kind);
                } elseif ($day->equals($on)) {
                    foreach ($latest->site->channels() as $channel) {
                        $reasons[$channel->value][] = $reason;
                    }
                }
            }
        }

        foreach ($around->holdsOvernight && $school === School::Strict ? self::holding($on, $school, $reports, $isCleared, $around) : [] as $report) {
            foreach ($report->site->channels() as $channel) {
                $reasons[$channel->value][] = new Reason('holds_overnight', Word::None, $report);
            }
        }
        foreach ($around->fever ? Channel::cases() : [] as $channel) {
            $reasons[$channel->value][] = new Reason('fever', Word::None);
        }

        $channels = [];
        foreach ($reasons as $channel => $because) {
            $because[] = $checkedIn ? new Reason('nothing_sore', Word::Full) : new Reason('no_report', Word::Unknown);
            usort($because, fn (Reason $a, Reason $b): int => $b->word->rank() <=> $a->word->rank());
            $channels[$channel] = $because[0]->word;
            // “Nothing sore” is a reason only while no place on the body is.
            $reasons[$channel] = count($because) === 1
                ? $because
                : array_values(array_filter($because, fn (Reason $reason): bool => $reason->rule !== 'nothing_sore'));
        }

        return new self($school, self::worst(array_values($channels)), $channels, $reasons, $open, $checkedIn);
    }

    /**
     * The word for work on these channels done with one side of the body. What is sore on the other arm or hand does not count; an open
     * referral, and what is sore in the trunk or the legs, counts on both sides.
     *
     * @param  list<Channel>  $loaded
     * @param  string  $side  `left` or `right`
     */
    public function forWork(array $loaded, string $side): Word
    {
        return self::worst(array_map(function (Channel $channel) use ($side): Word {
            if ($channel !== Channel::Arm && $channel !== Channel::Hand) {
                return $this->channels[$channel->value];
            }
            $counting = array_filter($this->reasons[$channel->value], fn (Reason $reason): bool => $reason->countsOn($side));

            return self::worst([
                $this->checkedIn ? Word::Full : Word::Unknown,
                ...array_map(fn (Reason $reason): Word => $reason->word, array_values($counting)),
            ]);
        }, $loaded));
    }

    /**
     * Joint or sharp pain of an earlier day that the strict school answered with none, and no morning report since.
     *
     * @param  list<SorenessReport>  $reports  in order of time
     * @param  callable(SorenessReport): bool  $isCleared
     * @return list<SorenessReport>
     */
    private static function holding(Day $on, School $school, array $reports, callable $isCleared, DayContext $around): array
    {
        return array_values(array_filter($reports, function (SorenessReport $report) use ($on, $school, $reports, $isCleared, $around): bool {
            if (! $on->isAfter($report->at->day) || $isCleared($report) || $around->knows($report)
                || ! in_array($report->kind, [Kind::Joint, Kind::Sharp], true) || $school->wordOf($report->kind, $report->score) !== Word::None) {
                return false;
            }
            foreach ($reports as $later) {
                if ($later->moment === Moment::Morning && $later->at->day->isAfter($report->at->day)) {
                    return false;
                }
            }

            return true;
        }));
    }

    /** @param  list<Word>  $words */
    private static function worst(array $words): Word
    {
        return array_reduce($words, fn (Word $worst, Word $word): Word => $worst->worst($word), Word::Full);
    }

    /**
     * Rule 8: a referral takes its own channel, or all of them; what it leaves is at best reduced.
     *
     * @param  array<string, list<Reason>>  $reasons
     */
    private static function refer(array &$reasons, Reason $reason, Site $site, Kind $kind): void
    {
        $own = $kind->refersEverything() || $site->refersEverything() ? Channel::cases() : $site->channels();
        foreach (Channel::cases() as $channel) {
            $reasons[$channel->value][] = in_array($channel, $own, true)
                ? $reason
                : new Reason('referral_elsewhere', Word::Reduced, $reason->report);
        }
    }

    /**
     * @param  list<SorenessReport>  $reports  in order of time
     * @return list<array{Day, non-empty-list<SorenessReport>}> of each site with its side, the last day it was reported on and the reports of that day in order of time
     */
    private static function byPlace(array $reports, Day $on): array
    {
        $byDay = [];
        foreach ($reports as $report) {
            if ($report->site !== Site::None) {
                $byDay[$report->place()][min($report->at->day->ordinal, $on->ordinal)][] = $report;
            }
        }

        return array_values(array_map(fn (array $days): array => [Day::fromOrdinal(max(array_keys($days))), $days[max(array_keys($days))]], $byDay));
    }
}
