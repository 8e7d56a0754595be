<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Load\Channel;

/** The day's decision, channel by channel, with the rule behind each word. */
final readonly class Readiness
{
    /** Reports of so many days, and open referrals of any age, are all that the word of a day can depend on. */
    public const LOOK_BACK_DAYS = 14;

    /**
     * @param  array<string, Word>  $channels  by channel name
     * @param  array<string, list<Reason>>  $reasons  by channel name, worst first
     * @param  list<SorenessReport>  $openReferrals  oldest first; a clearance made later closes one, and one that came
     *         of three sore days a later report of the place too
     */
    private function __construct(
        public School $school,
        public Word $word,
        public array $channels,
        public array $reasons,
        public array $openReferrals,
        public bool $checkedIn,
        public bool $countsMissing,
        public bool $easingBack,
    ) {}

    /**
     * Since when work on these channels and this side has to stop, by what was reported up to the day; null when it does not have to. A
     * session may go over midnight: what was reported before it holds after it.
     *
     * @param  int|null  $age  whole years on the day, null when not known
     * @param  list<SorenessReport>  $reports
     * @param  list<SorenessClearance>  $clearances
     * @param  list<Channel>  $loaded
     * @param  string  $side  `left` or `right`
     */
    public static function stoppedSince(
        Day $on, ?int $age, array $reports, array $clearances, ?School $school, DayContext $around, array $loaded, string $side,
    ): ?Instant {
        $reports = SorenessReport::inOrder($reports);
        foreach ($reports as $i => $report) {
            // What lies further back than the day before is looked at as a whole.
            $next = $reports[$i + 1] ?? null;
            if ($next !== null && $on->plus(-1)->isAfter($next->at->day)) {
                continue;
            }
            $then = self::on(
                on: $on,
                age: $age,
                reports: array_slice($reports, 0, $i + 1),
                clearances: $clearances,
                school: $school,
                around: $around,
            );
            if (! $then->forWork($loaded, $side)->allowsWork()) {
                return $report->at;
            }
        }

        return null;
    }

    /**
     * No report today, repetitions that nobody here knows of yet, or the first days after a fever: the
     * dose and the effort are those of the unknown, whatever else is known.
     */
    public function trainsAsUnknown(): bool
    {
        return ! $this->checkedIn || $this->countsMissing || $this->easingBack;
    }

    /** Whether a fever, or the day after one, leaves nothing to do: no matter of soreness. */
    public function isIll(): bool
    {
        foreach ($this->reasons as $reasons) {
            foreach ($reasons as $reason) {
                if ($reason->word === Word::None && ($reason->rule === 'fever' || $reason->rule === 'after_fever')) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  int|null  $age  whole years on the day, null when not known
     * @param  list<SorenessReport>  $reports  up to now; of equal times the later in the list is the later. One dated
     *         after $on, by somebody
     *                                         whose clock is ahead, is one of today
     * @param  list<SorenessClearance>  $clearances
     */
    public static function on(
        Day $on, ?int $age, array $reports, array $clearances, ?School $school = null, ?DayContext $around = null,
    ): self {
        $around ??= new DayContext;
        $school ??= School::byDefaultAt($age);
        $reports = SorenessReport::inOrder($reports);
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
            $byChannel = self::reasonsOfPlace($day, $school, $last, $reports, $isCleared, $around, counts: $day->equals($on));
            foreach ($byChannel as $channel => $given) {
                $reasons[$channel] = [...$reasons[$channel], ...$given];
                foreach ($given as $reason) {
                    // It holds until the place is reported on again, or cleared.
                    if (
                        $reason->rule === 'trend'
                        && $reason->word === Word::Refer
                        && $reason->report !== null
                        && ! in_array($reason->report, $open, true)
                    ) {
                        $open[] = $reason->report;
                    }
                }
            }
        }

        foreach (
            $around->holdsOvernight
            && $school === School::Strict ? self::holding($on, $school, $reports, $isCleared, $around) : [] as $report
        ) {
            foreach ($report->site->channels() as $channel) {
                $reasons[$channel->value][] = new Reason('holds_overnight', Word::None, $report);
            }
        }
        $easingBack = false;
        foreach ($around->illnesses as $illness) {
            $because = $illness->reasonOn($on);
            if ($because === null) {
                continue;
            }
            $easingBack = $easingBack || $because->word === Word::Unknown;
            foreach (Channel::cases() as $channel) {
                $reasons[$channel->value][] = $because;
            }
        }

        foreach ($around->countsMissing ? Channel::cases() : [] as $channel) {
            $reasons[$channel->value][] = new Reason('counts_missing', Word::Unknown);
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

        return new self(
            school: $school,
            word: self::worst(array_values($channels)),
            channels: $channels,
            reasons: $reasons,
            openReferrals: $open,
            checkedIn: $checkedIn,
            countsMissing: $around->countsMissing,
            easingBack: $easingBack,
        );
    }

    /** Whether somebody may feed, catch or measure for the others: both hands and arms are well enough, and no referral is open. */
    public function mayCatch(): bool
    {
        return $this->openReferrals === []
            && $this->forWork([Channel::Arm, Channel::Hand], 'left')->allowsWork()
            && $this->forWork([Channel::Arm, Channel::Hand], 'right')->allowsWork();
    }

    /**
     * The places that rule work out for the day without referring it: how they are now is asked before other work is taken up.
     *
     * @return list<SorenessReport> what was last said of each
     */
    public function ruledOutBy(): array
    {
        $last = [];
        foreach (array_merge(...array_values($this->reasons)) as $reason) {
            if ($reason->word === Word::None && $reason->report !== null) {
                $known = $last[$reason->report->place()] ?? null;
                $last[$reason->report->place()] = $known !== null && $known->at->isAfter($reason->report->at) ? $known : $reason->report;
            }
        }

        return array_values($last);
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
            if (! $channel->hasSides()) {
                return $this->channels[$channel->value];
            }
            $counting = array_filter($this->reasons[$channel->value], fn (Reason $reason): bool => $reason->countsOn($side));

            return self::worst([
                $this->trainsAsUnknown() ? Word::Unknown : Word::Full,
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
        return array_values(array_filter($reports, function (SorenessReport $report) use (
            $on, $school, $reports, $isCleared, $around,
        ): bool {
            if (! $on->isAfter($report->at->day) || $isCleared($report) || $around->knows($report)
                || ! in_array(
                    $report->kind,
                    [Kind::Joint, Kind::Sharp],
                    true,
                ) || $school->wordOf($report->kind, $report->score) !== Word::None) {
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

    /**
     * Rules 6 to 8 for one place: what the reports of its last day give each channel.
     *
     * @param  Day  $day  the last day it was reported on
     * @param  non-empty-list<SorenessReport>  $last  of that day, in order of time
     * @param  list<SorenessReport>  $all
     * @param  callable(SorenessReport): bool  $isCleared
     * @param  bool  $counts  whether that day is the one that is judged; of an earlier one only a referral is left
     * @param  bool  $spreads  whether a report that refers by itself is spread over the channels here, because nobody
     *         has looked for open referrals
     * @return array<string, list<Reason>> by channel
     */
    public static function reasonsOfPlace(
        Day $day, School $school, array $last, array $all, callable $isCleared, DayContext $around, bool $counts,
        bool $spreads = false,
    ): array {
        $reasons = array_fill_keys(array_column(Channel::cases(), 'value'), []);
        $latest = $last[array_key_last($last)];
        foreach (SitePlace::judge(
            on: $day,
            school: $school,
            today: $last,
            all: $all,
            isCleared: $isCleared,
            isKnown: $around->knows(...),
        ) as $reason) {
            $refers = $reason->word === Word::Refer && ($reason->rule === 'trend' || ($spreads && $reason->report === $latest));
            if ($refers) {
                self::refer($reasons, $spreads ? new Reason('referral', Word::Refer, $latest) : $reason, $latest->site, $latest->kind);
            } elseif ($counts) {
                foreach ($latest->site->channels() as $channel) {
                    $reasons[$channel->value][] = $reason;
                }
            }
        }

        return $reasons;
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
     * @return list<array{Day, non-empty-list<SorenessReport>}> of each site with its side, the last day it was reported
     *         on and the reports of that day in order of time
     */
    private static function byPlace(array $reports, Day $on): array
    {
        $byDay = [];
        foreach ($reports as $report) {
            if ($report->site !== Site::None) {
                $byDay[$report->place()][min($report->at->day->ordinal, $on->ordinal)][] = $report;
            }
        }

        return array_values(
            array_map(fn (array $days): array => [Day::fromOrdinal(max(array_keys($days))), $days[max(array_keys($days))]], $byDay),
        );
    }
}
