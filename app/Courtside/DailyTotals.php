<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Limits\CarriedLoads;
use App\Records\Alone;
use App\Records\AthletesChanged;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Measure;
use Illuminate\Support\Facades\DB;

/** Daily totals are sums of work sets by athlete, day, skill, side and implement: what windows are read from. */
final class DailyTotals
{
    private const KEY = ['athlete_id', 'day', 'skill', 'side', 'implement'];

    /** Days a statement names: fewer than either database takes variables. */
    private const DAYS_AT_ONCE = 500;

    /** @var array<string, string>|null */
    private static ?array $columns = null;

    /** @return array<string, string> column by measure; a set's own `reps` column holds what was tapped, shadow or not */
    public static function columns(): array
    {
        // Read for every row of many years: put together once.
        return self::$columns ??= ['reps' => 'count_reps'] + array_combine(Measure::ofSets(), Measure::ofSets());
    }

    /** @return array<string, float> a priced set as columns */
    public static function toColumns(CostedSet $set): array
    {
        $row = [];
        foreach (self::columns() as $measure => $column) {
            $row[$column] = $set->cost[$measure];
        }

        return $row;
    }

    /** @return array<string, float> columns as a cost by measure */
    public static function toCost(object $row): array
    {
        $cost = [];
        foreach (self::columns() as $measure => $column) {
            $cost[$measure] = (float) $row->{$column};
        }

        return $cost;
    }

    /** Sums the day anew. Call it in the transaction that changed the work sets. */
    public static function refresh(string $athleteId, string $day): void
    {
        self::refreshDays([(object) ['athlete_id' => $athleteId, 'day' => $day]]);
    }

    /**
     * Sums many days anew. Call it in the transaction that changed the work sets.
     *
     * @param  iterable<object{athlete_id: string, day: string}>  $days
     */
    public static function refreshDays(iterable $days): void
    {
        $byAthlete = [];
        foreach ($days as $row) {
            $byAthlete[$row->athlete_id][] = substr($row->day, 0, 10);
        }
        foreach ($byAthlete as $athleteId => $of) {
            foreach (array_chunk($of, self::DAYS_AT_ONCE) as $some) {
                DB::table('daily_totals')->where('athlete_id', $athleteId)->whereIn('day', $some)->delete();
                DB::table('daily_totals')->insertUsing(
                    [...self::KEY, ...array_values(self::columns())],
                    self::summed()->where('athlete_id', $athleteId)->whereIn('day', $some),
                );
            }
            CarriedLoads::forget($athleteId, min($of));
        }
        AthletesChanged::many(array_keys($byAthlete));
    }

    /** Writes all of them anew and says how many rows differed from the work sets. */
    public static function rebuild(): int
    {
        return Alone::with(array_values(Athlete::query()->pluck('id')->all()), function (): int {
            $read = fn ($query): array => $query
                ->orderBy('athlete_id')
                ->orderBy('day')
                ->orderBy('skill')
                ->orderBy('side')
                ->orderBy('implement')
                ->get()->map(
                    fn (object $row): string => json_encode(array_map(fn ($v) => is_numeric($v) ? round((float) $v, 6) : $v, (array) $row)),
                )->all();
            $stored = $read(DB::table('daily_totals')->select([...self::KEY, ...array_values(self::columns())]));
            $true = $read(self::summed());
            DB::table('daily_totals')->delete();
            CarriedLoads::forgetAll();
            DB::table('daily_totals')->insertUsing([...self::KEY, ...array_values(self::columns())], self::summed());
            AthletesChanged::many(Athlete::query()->pluck('id'));

            return count(array_diff($stored, $true)) + count(array_diff($true, $stored));
        });
    }

    private static function summed(): \Illuminate\Database\Query\Builder
    {
        return DB::table('work_sets')->groupBy(self::KEY)->select(self::KEY)
            ->addSelect(array_map(fn (string $column) => DB::raw("sum({$column}) as {$column}"), array_values(self::columns())));
    }
}
