<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/**
 * The weighted averages of each kind of work (skill, side, implement) as they stood on the evening of a day. They are linear in the
 * work, so those of any choice of kinds are the sums of theirs.
 */
final readonly class CarriedWork
{
    /**
     * @param  int  $throughDay  ordinal of the day
     * @param  list<CostedSet>  $acute  one a kind: its averages over 7 days as cost, by measure
     * @param  list<CostedSet>  $chronic  the same over 28 days
     */
    public function __construct(public int $throughDay, public array $acute, public array $chronic) {}

    /**
     * Carried on from where they stood, or from the first day of the record.
     *
     * @param  list<CostedSet>  $sets  the work after $from, or all of it; to $throughDay, in any order
     * @param  int  $firstDay  ordinal of the first day of the whole record
     */
    public static function through(int $throughDay, array $sets, int $firstDay, ?self $from = null): self
    {
        $kinds = $sums = [];
        foreach ([...$from->acute ?? [], ...$sets] as $set) {
            $kinds[$set->kind()] ??= $set;
        }
        foreach ($sets as $set) {
            foreach ($set->cost as $measure => $amount) {
                if ($amount !== 0.0) {
                    $sums[$set->kind()][$measure][$set->day] = ($sums[$set->kind()][$measure][$set->day] ?? 0.0) + $amount;
                }
            }
        }
        $stood = [];
        foreach ($from->acute ?? [] as $i => $acute) {
            foreach ($acute->cost as $measure => $amount) {
                $stood[$acute->kind()][$measure]
                    = new EarlierSeries($from->throughDay ?? $throughDay, $amount, $from->chronic[$i]->cost[$measure] ?? 0.0);
            }
        }
        $acute = $chronic = [];
        foreach ($kinds as $kind => $set) {
            $averages = [[], []];
            foreach (array_keys($set->cost) as $measure) {
                $series = new DailySeries($sums[$kind][$measure] ?? [], $firstDay, $stood[$kind][$measure] ?? null);
                [$averages[0][$measure], $averages[1][$measure]] = $series->weightedAverages($throughDay) ?? [0.0, 0.0];
            }
            $acute[] = self::kind($set, $throughDay, $averages[0]);
            $chronic[] = self::kind($set, $throughDay, $averages[1]);
        }

        return new self($throughDay, $acute, $chronic);
    }

    /** @param  array<string, float>  $averages  by measure */
    private static function kind(CostedSet $like, int $day, array $averages): CostedSet
    {
        return new CostedSet(
            day: $day,
            session: '',
            skill: $like->skill,
            family: $like->family,
            side: $like->side,
            implement: $like->implement,
            cost: $averages,
            effort: 0.0,
            distanceM: null,
        );
    }
}
