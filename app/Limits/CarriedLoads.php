<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Records\Alone;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\CarriedWork;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\EarlierRecord;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\Side;
use Illuminate\Support\Facades\DB;

/**
 * The daily totals of many athletes: the last weeks day by day, what is older carried. What is kept of it may be missing at any time:
 * then all days are read, and the answer is the same.
 */
final class CarriedLoads
{
    /** Beyond this many days an exponentially weighted average of 28 days has forgotten a day to within 1e-12. */
    public const LOOK_BACK_DAYS = 400;

    /** The days no limit of a week or a month looks beyond: they are read one by one. */
    private const READ_DAYS = 42;

    /** Carried on when this much more has come together, so that most days carry nothing. */
    private const CARRY_EVERY_DAYS = 14;

    /** @var array<string, int> */
    private array $ordinals = [];

    public function __construct(private readonly Library $library) {}

    /**
     * @param  list<string>  $ids
     * @return array<string, array{list<CostedSet>, int|null, EarlierRecord|null}> by athlete id: totals of the days before $on that are not
     *                                                                             carried, ordinal of the first day of the record, the rest
     */
    public function before(array $ids, Day $on): array
    {
        $carried = DB::table('carried_work')
            ->whereIn('athlete_id', $ids)
            ->where('through', '<=', $on->plus(-self::READ_DAYS)->iso())
            ->get()
            ->keyBy('athlete_id');
        $loads = array_fill_keys($ids, [[], null, null]);
        $unknown = array_values(array_diff($ids, $carried->keys()->all()));
        $firstDays = $unknown === [] ? [] : DB::table('daily_totals')
            ->whereIn('athlete_id', $unknown)
            ->groupBy('athlete_id')
            ->selectRaw('athlete_id, min(day) as day')
            ->pluck('day', 'athlete_id')
            ->all();
        foreach ($firstDays as $id => $day) {
            $loads[$id][1] = $this->ordinal($day);
        }
        foreach ($carried as $id => $row) {
            $through = $this->ordinal($row->through);
            $loads[$id][1] = $this->ordinal($row->first_day);
            $loads[$id][2] = new EarlierRecord(
                $this->kinds($row->kinds, $through),
                fn (): array => $this->totals((string) $id, $on->plus(-self::LOOK_BACK_DAYS), Day::fromOrdinal($through + 1)),
            );
        }
        foreach ($this->since($carried->pluck('through', 'athlete_id')->all(), $unknown, $on) as $row) {
            $loads[$row->athlete_id][0][] = $this->set($row);
        }

        return $loads;
    }

    /** Carries on what has become old enough by this day. Twice, or late, it does the same. */
    public function carry(Athlete $athlete, Day $on): void
    {
        $through = $on->plus(-self::READ_DAYS);
        Alone::with($athlete->id, function () use ($athlete, $on, $through): void {
            $kept = DB::table('carried_work')->where('athlete_id', $athlete->id)->first();
            if ($kept !== null && $kept->through > $through->plus(-self::CARRY_EVERY_DAYS)->iso()) {
                return;
            }
            $first = $kept->first_day ?? DB::table('daily_totals')->where('athlete_id', $athlete->id)->min('day');
            if ($first === null || $first > $through->iso()) {
                return;
            }
            $stood = $kept === null ? null : $this->kinds($kept->kinds, $this->ordinal($kept->through));
            $from = $stood === null ? $on->plus(-self::LOOK_BACK_DAYS) : Day::fromOrdinal($stood->throughDay);
            $work = CarriedWork::through(
                $through->ordinal,
                $this->totals($athlete->id, $from, $through->plus(1)),
                $this->ordinal($first),
                $stood,
            );
            DB::table('carried_work')->upsert([
                'athlete_id' => $athlete->id, 'through' => $through->iso(), 'first_day' => $first, 'kinds' => self::json($work),
            ], ['athlete_id']);
        });
    }

    /** What is carried no longer holds: work of that day was counted, corrected or taken back. */
    public static function forget(string $athleteId, string $day): void
    {
        DB::table('carried_work')->where('athlete_id', $athleteId)->where('through', '>=', $day)->delete();
    }

    public static function forgetAll(): void
    {
        DB::table('carried_work')->delete();
    }

    /**
     * @param  array<string, string>  $carriedThrough  by athlete id
     * @param  list<string>  $whole  those of whom nothing is carried
     * @return iterable<object> rows of daily totals
     */
    private function since(array $carriedThrough, array $whole, Day $on): iterable
    {
        if ($carriedThrough !== []) {
            yield from DB::table('carried_work')
                ->join('daily_totals', 'daily_totals.athlete_id', '=', 'carried_work.athlete_id')
                ->whereIn('carried_work.athlete_id', array_keys($carriedThrough))
                ->whereColumn('daily_totals.day', '>', 'carried_work.through')
                ->where('daily_totals.day', '<', $on->iso())
                ->get('daily_totals.*');
        }
        if ($whole !== []) {
            yield from DB::table('daily_totals')
                ->whereIn('athlete_id', $whole)
                ->where('day', '<', $on->iso())
                ->where('day', '>', $on->plus(-self::LOOK_BACK_DAYS)->iso())
                ->get();
        }
    }

    /** @return list<CostedSet> the totals after one day and before another */
    private function totals(string $athleteId, Day $after, Day $before): array
    {
        return DB::table('daily_totals')
            ->where('athlete_id', $athleteId)
            ->where('day', '>', $after->iso())
            ->where('day', '<', $before->iso())
            ->get()
            ->map($this->set(...))
            ->values()
            ->all();
    }

    private function set(object $row): CostedSet
    {
        return new CostedSet(
            day: $this->ordinal($row->day),
            session: '',
            skill: $row->skill,
            family: $this->library->skills()[$row->skill]->family,
            side: Side::from($row->side),
            implement: Implement::from($row->implement),
            cost: DailyTotals::toCost($row),
            effort: 0.0,
            distanceM: null,
        );
    }

    private function ordinal(string $day): int
    {
        return $this->ordinals[$day] ??= Day::of(substr($day, 0, 10))->ordinal;
    }

    private static function json(CarriedWork $work): string
    {
        $kinds = [];
        foreach ($work->acute as $i => $kind) {
            $kinds[] = [$kind->skill, $kind->side->value, $kind->implement->value, $kind->cost, $work->chronic[$i]->cost];
        }

        return json_encode($kinds, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    private function kinds(string $json, int $through): CarriedWork
    {
        $acute = $chronic = [];
        foreach (json_decode($json, true, 512, JSON_THROW_ON_ERROR) as [$skill, $side, $implement, $ofWeek, $ofMonth]) {
            $kind = fn (array $cost): CostedSet => new CostedSet(
                day: $through,
                session: '',
                skill: $skill,
                family: $this->library->skills()[$skill]->family,
                side: Side::from($side),
                implement: Implement::from($implement),
                cost: $cost,
                effort: 0.0,
                distanceM: null,
            );
            $acute[] = $kind($ofWeek);
            $chronic[] = $kind($ofMonth);
        }

        return new CarriedWork($through, $acute, $chronic);
    }
}
