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
     * @param  list<SorenessReport>  $openReferrals  oldest first; only a clearance made later closes one
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
     * @param  list<SorenessReport>  $reports  none after $on; of equal times the later in the list is the later
     * @param  list<SorenessClearance>  $clearances
     */
    public static function on(Day $on, ?int $age, array $reports, array $clearances, ?School $school = null): self
    {
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
        $checkedIn = array_filter($reports, fn (SorenessReport $report): bool => $report->at->day->equals($on)) !== [];
        $open = array_values(array_filter($reports, fn (SorenessReport $report): bool => ! $isCleared($report)
            && $school->wordOf($report->kind, $report->score) === Word::Refer));

        /** @var array<string, list<Reason>> $reasons */
        $reasons = array_fill_keys(array_column(Channel::cases(), 'value'), []);
        foreach ($open as $report) {
            self::refer($reasons, new Reason('referral', Word::Refer, $report), $report->site, $report->kind);
        }
        foreach (self::byPlace($reports, $on) as $today) {
            $judged = SitePlace::judge($on, $school, $today, $reports, $isCleared);
            $latest = $today[array_key_last($today)];
            foreach ($judged as $reason) {
                if ($reason->rule === 'trend' && $reason->word === Word::Refer) {
                    self::refer($reasons, $reason, $latest->site, $latest->kind);
                } else {
                    foreach ($latest->site->channels() as $channel) {
                        $reasons[$channel->value][] = $reason;
                    }
                }
            }
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
     * The worst word of the channels a piece of work loads; full when it loads none.
     *
     * @param  list<Channel>  $loaded
     */
    public function forChannels(array $loaded): Word
    {
        return self::worst(array_map(fn (Channel $channel): Word => $this->channels[$channel->value], $loaded));
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
     * @param  list<SorenessReport>  $reports
     * @return array<string, non-empty-list<SorenessReport>> today's reports by site and side, in order of time
     */
    private static function byPlace(array $reports, Day $on): array
    {
        $places = [];
        foreach ($reports as $report) {
            if ($report->site !== Site::None && $report->at->day->equals($on)) {
                $places[$report->place()][] = $report;
            }
        }

        return $places;
    }
}
