<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Load\Channel;

/**
 * What a report made while working would mean, worked out ahead for every place, kind, score and moment: a device with
 * no connection looks it
 * up and stops at once. The report is put beside those there are, so what was sore yesterday, a trend, the school and a
 * known condition count.
 */
final class StopTable
{
    /** Moments that give a report another word; `before` stands for the ordinary ones. */
    public const MOMENTS = [Moment::Before, Moment::Warmup, Moment::During];

    /**
     * @param  list<array{Site, string|null}>  $places
     * @param  array<string, array<string, array<int, list<array<string, list<Reason>>>>>>  $reasons  by moment, kind
     *         and place: for each score, what it gives each channel
     */
    private function __construct(public array $places, private array $reasons) {}

    /**
     * @param  list<SorenessReport>  $reports  up to now
     * @param  list<SorenessClearance>  $clearances
     * @param  int|null  $age  whole years on the day, null when not known
     */
    public static function of(Day $on, ?int $age, array $reports, array $clearances, ?School $school, DayContext $around): self
    {
        $school ??= School::byDefaultAt($age);
        $reports = SorenessReport::inOrder($reports);
        $places = [];
        foreach (Site::cases() as $site) {
            foreach ($site === Site::None ? [] : ($site->hasSides() ? ['left', 'right', null] : [null]) as $side) {
                $places[] = [$site, $side];
            }
        }
        $byPlace = [];
        foreach ($reports as $report) {
            $byPlace[$report->place()][] = $report;
        }
        // Later than anything reported, and on the day: nothing covers it but a condition that is known.
        $at = Instant::of("{$on->iso()}T23:59:59Z");
        $isCleared = function (SorenessReport $report) use ($clearances, $at): bool {
            foreach ($report->at === $at ? [] : $clearances as $clearance) {
                if ($clearance->covers($report)) {
                    return true;
                }
            }

            return false;
        };
        /** @var array<string, list<array<string, list<Reason>>>> $plain */
        $plain = [];
        /** @var array<string, array<string, array<int, list<array<string, list<Reason>>>>>> $reasons */
        $reasons = [];
        foreach (self::MOMENTS as $moment) {
            foreach (Kind::cases() as $kind) {
                foreach ($places as $i => [$site, $side]) {
                    $before = $byPlace["{$site->value}|{$side}"] ?? [];
                    $known = array_filter(
                        $around->conditions,
                        fn (KnownCondition $each): bool => $each->site === $site && $each->kind === $kind,
                    );
                    // A place that nothing is known of reads as every other such place on the same part.
                    $like = $before === [] && $known === [] ? implode(
                        '|',
                        [$moment->value, $kind->value, $site->refersEverything() ? $site->value : $site->channels()[0]->value, $side],
                    ) : null;
                    $reasons[$moment->value][$kind->value][$i] = ($like === null ? null : $plain[$like] ?? null)
                        ?? array_map(
                            fn (int $score): array => self::given(
                                on: $on,
                                school: $school,
                                report: new SorenessReport(
                                    at: $at,
                                    moment: $moment,
                                    site: $site,
                                    side: $side,
                                    kind: $kind,
                                    score: $score,
                                ),
                                before: $before,
                                isCleared: $isCleared,
                                around: $around,
                            ),
                            range(0, 10),
                        );
                    if ($like !== null) {
                        $plain[$like] = $reasons[$moment->value][$kind->value][$i];
                    }
                }
            }
        }

        return new self($places, $reasons);
    }

    /**
     * @param  list<SorenessReport>  $before  of the place
     * @param  callable(SorenessReport): bool  $isCleared
     * @return array<string, list<Reason>> by channel
     */
    private static function given(
        Day $on, School $school, SorenessReport $report, array $before, callable $isCleared, DayContext $around,
    ): array {
        $today = [...array_values(array_filter($before, fn (SorenessReport $each): bool => ! $on->isAfter($each->at->day))), $report];

        return Readiness::reasonsOfPlace($on, $school, $today, [...$before, $report], $isCleared, $around, counts: true, spreads: true);
    }

    /** Moments by the one they read as. */
    public static function readsAs(Moment $moment): Moment
    {
        return in_array($moment, self::MOMENTS, true) ? $moment : Moment::Before;
    }

    /**
     * For work that loads these channels with one side of the body: the least score of each place from which the word is this or worse.
     *
     * @param  list<Channel>  $loaded
     * @param  string  $side  `left` or `right`
     * @param  Word  $word  None or Refer
     * @return string for each place, in their order, the least score as a digit of base 11; - when no score does
     */
    public function from(Word $word, Moment $moment, Kind $kind, array $loaded, string $side): string
    {
        return implode('', array_map(function (array $byScore) use ($word, $loaded, $side): string {
            foreach ($byScore as $score => $byChannel) {
                foreach ($loaded as $channel) {
                    foreach ($byChannel[$channel->value] ?? [] as $reason) {
                        $counts = ! $channel->hasSides() || $reason->countsOn($side);
                        if ($counts && $reason->word->rank() >= $word->rank()) {
                            return base_convert((string) $score, 10, 36);
                        }
                    }
                }
            }

            return '-';
        }, $this->reasons[self::readsAs($moment)->value][$kind->value]));
    }
}
