<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/**
 * How heavy each day of a season is, by the calendar: heavy days lie apart whatever week they fall in, every fourth week at the latest is
 * lighter, a match is met fresh by what it costs, and the last days before the goal are for the goal.
 */
final class Rhythm
{
    /** A heavy day, two days for the arm and the landings to recover, a heavy day. */
    public const HEAVY_APART_DAYS = 3;

    /** Where matches leave no room for that, a day between is enough once so many days have gone without a heavy one. */
    private const WITHOUT_HEAVY_DAYS = 14;

    private const LEAST_APART_DAYS = 2;

    private const LOADING_WEEKS = 3;

    public const TAPER_DAYS = 10;

    /** A short season does not taper away: this share of its days at most. */
    private const TAPER_SHARE = 0.25;

    /** Of a heavy session: a match that costs as much is prepared for three days, one that costs less for one. */
    private const LARGE_MATCH = 0.75;

    private const MEDIUM_MATCH = 0.35;

    private const PROTECT_DAYS = 3;

    private const LAST_WEEK_DAYS = 7;

    /** @var list<int> numbers of the lighter weeks, from 0 */
    public readonly array $lightWeeks;

    /** Ordinal of the last heavy session; until there is one, of the first session at all. */
    private ?int $lastSession = null;

    /** Ordinal of the first day of the taper; null when the season has no goal. */
    public readonly ?int $taperFrom;

    /**
     * @param  array<int, float>  $matches  what each match costs as a share of a heavy session, by ordinal
     * @param  int|null  $lastHeavy  ordinal of the last day that cost as much as a heavy session; null: none lately
     */
    public function __construct(private readonly SeasonAsk $ask, private readonly array $matches, private ?int $lastHeavy = null)
    {
        $from = ($ask->start ?? $ask->from)->ordinal;
        $days = $ask->goalDay->ordinal - $from + 1;
        $taper = (int) min(self::TAPER_DAYS, floor(self::TAPER_SHARE * $days));
        $this->taperFrom = $ask->goalRung === null || $taper < 1 ? null : $ask->goalDay->ordinal - $taper + 1;
        $mondays = $ask->together->lightMondays;
        $this->lightWeeks = $mondays === null ? $this->spread() : array_values(array_filter(
            array_map($ask->week(...), $mondays),
            fn (int $week): bool => $week >= 0,
        ));
    }

    /** @return list<int> as many as it takes, as evenly as they go, so that nobody works more than three weeks on end */
    private function spread(): array
    {
        $last = $this->taperFrom ?? $this->ask->goalDay->ordinal + 1;
        $weeks = $this->ask->week($last) + (SeasonAsk::weekday($last) > (self::LAST_WEEK_DAYS + 1) / 2 ? 1 : 0);
        $light = (int) max(0, ceil(($weeks - self::LOADING_WEEKS) / (self::LOADING_WEEKS + 1)));
        $loading = $weeks - $light;
        $at = [];
        $week = -1;
        for ($i = 0; $i < $light; $i++) {
            $week += intdiv($loading, $light + 1) + ($i < $loading % ($light + 1) ? 1 : 0) + 1;
            $at[] = $week;
        }

        return $at;
    }

    public function of(int $day): Emphasis
    {
        return match (true) {
            isset($this->matches[$day + 1]) => Emphasis::BeforeMatch,
            $this->taperFrom !== null && $day >= $this->taperFrom && $day <= $this->ask->goalDay->ordinal => Emphasis::Taper,
            $this->isLightWeek($this->ask->week($day)) => Emphasis::LightWeek,
            $this->protects($day) !== null && ! $this->isDueDespite($day) => Emphasis::AroundMatch,
            $this->mayBeHeavy($day, self::HEAVY_APART_DAYS) || $this->isDueDespite($day) => Emphasis::Heavy,
            default => Emphasis::Light,
        };
    }

    /** Whether the day leads the skill, and no heavy day of this or of another skill on the same part lies nearer than that. */
    private function mayBeHeavy(int $day, int $apartDays): bool
    {
        foreach ($this->ask->together->heavy as $heavy) {
            if (abs($day - $heavy) < self::HEAVY_APART_DAYS) {
                return false;
            }
        }

        return $this->ask->mayLead($day) && ($this->lastHeavy === null || $day - $this->lastHeavy >= $apartDays);
    }

    /** Beyond the goal every fourth is, for as long as it is looked for. */
    private function isLightWeek(int $week): bool
    {
        $beyond = $week - $this->ask->week($this->ask->goalDay->ordinal);

        return in_array($week, $this->lightWeeks, true) || $beyond > 0 && $beyond % (self::LOADING_WEEKS + 1) === 0;
    }

    public function followsLightWeek(int $day): bool
    {
        return in_array($this->ask->week($day) - 1, $this->lightWeeks, true);
    }

    /** @return int|null ordinal of the match a day keeps fresh for, or rests after; null: none */
    public function protects(int $day): ?int
    {
        foreach ($this->matches as $match => $cost) {
            [$before, $after] = match (true) {
                $cost >= self::LARGE_MATCH => [self::PROTECT_DAYS, 1],
                $cost >= self::MEDIUM_MATCH => [1, 1],
                default => [1, 0],
            };
            if ($day >= $match - $before && $day <= $match + $after && $day !== $match) {
                return $match;
            }
        }

        return null;
    }

    /** Whether matches have left no heavy day for so long that one with a day of rest on either side of it has to do. */
    private function isDueDespite(int $day): bool
    {
        if ($this->lastSession === null || $day - $this->lastSession < self::WITHOUT_HEAVY_DAYS) {
            return false;
        }
        $near = array_filter(
            array_keys($this->matches),
            fn (int $match): bool => abs($match - $day) < self::LEAST_APART_DAYS,
        );

        return $near === [] && $this->mayBeHeavy($day, self::LEAST_APART_DAYS);
    }

    /** @return int|null ordinal of the last day that cost as much as a heavy session, a match with it; null: none lately */
    public function lastHeavy(): ?int
    {
        return $this->lastHeavy;
    }

    /** A session of such emphasis was planned. */
    public function planned(int $day, Emphasis $emphasis): void
    {
        $this->lastSession ??= $day;
        if ($emphasis === Emphasis::Heavy) {
            $this->lastHeavy = $this->lastSession = $day;
        }
    }

    public function match(int $day): void
    {
        if (($this->matches[$day] ?? 0.0) >= self::LARGE_MATCH) {
            $this->lastHeavy = $day;
        }
    }
}
