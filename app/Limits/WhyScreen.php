<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Courtside\DailyTotals;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\Answers\WhyRowView;
use App\Limits\Answers\WhyView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\RatioLimit;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\Side;
use Illuminate\Support\Facades\DB;

/** Why a number is what it is: the sets behind it. */
final class WhyScreen
{
    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on, string $limitId): WhyView
    {
        $day = new AthleteDay($athlete, $on);
        foreach ($day->limits->board($on, $day->load->record)->states($day->load->plansOn($on)) as $state) {
            if ($state->limit->id === $limitId) {
                $rows = $this->rows($athlete, $state->limit, $on);

                return new WhyView(
                    Tapes::of($state, $on),
                    $this->explains($state->limit),
                    $rows,
                    array_sum(array_map(fn (WhyRowView $row): float => $row->amount, $rows)),
                );
            }
        }
        throw new Problem(ProblemType::NotFound, 'This limit does not hold for this athlete.');
    }

    private function daysBack(Limit $limit): int
    {
        return match (true) {
            $limit instanceof CapLimit => ($limit->windowDays ?? 1) - 1,
            $limit instanceof StepLimit => 6,
            $limit instanceof RatioLimit => 27,
            default => 30,
        };
    }

    private function explains(Limit $limit): string
    {
        $unit = Wording::unit($limit);

        return match (true) {
            $limit instanceof StepLimit => 'The last 7 days may be at most '
                .Wording::percent(1 + $limit->maxIncrease)
                .' of the mean of the four weeks before them, or of '
                .Wording::number($limit->floor)
                ." {$unit} where that is more.",
            $limit instanceof CapLimit => 'Everything in the last '
                .Wording::count($limit->windowDays ?? 1, 'day')
                .' counts together, whatever the sport.',
            $limit instanceof RatioLimit => 'Weighted averages over 7 and 28 days.'
                .' Shown beside the caps, not instead of them: it needs a long and complete record.',
            default => 'What was done on the days before.',
        }.' A stress unit is one full-effort repetition with the standard object; easier ones cost less,'
            .' but less than one would think: half effort costs 0.7.';
    }

    /** @return list<WhyRowView> newest first */
    private function rows(Athlete $athlete, Limit $limit, Day $on): array
    {
        $column = $limit->measure === null ? null : DailyTotals::columns()[$limit->measure->value] ?? null;
        if ($column === null) {
            return [];
        }
        $skills = $this->library->skills();
        $names = $this->library->skillNames();
        $rows = [];
        $sets = DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('day', '<=', $on->iso())
            ->where('day', '>=', $on->plus(-$this->daysBack($limit))->iso())
            ->orderByDesc('day')->orderBy('id')->get();
        foreach ($sets as $set) {
            $costed = new CostedSet(
                day: Day::of($set->day)->ordinal,
                session: $set->session,
                skill: $set->skill,
                family: $skills[$set->skill]->family,
                side: Side::from($set->side),
                implement: Implement::from($set->implement),
                cost: DailyTotals::toCost($set),
                effort: 1.0,
                distanceM: null,
            );
            if ($limit->filter->fits($costed) && $set->{$column} > 0) {
                $object = $this->library->objects()[$set->object] ?? null;
                $rows[] = new WhyRowView(
                    date: substr($set->day, 0, 10),
                    what: $set->source === 'declared'
                        ? 'Declared usual week, at eight tenths'
                        : $names[$set->skill].($object === null ? '' : ', '.lcfirst(Wording::object($object))),
                    reps: (int) $set->reps,
                    effort: $set->effort === null ? null : (float) $set->effort,
                    distance_m: $set->distance_m === null ? null : (float) $set->distance_m,
                    side: $set->side,
                    amount: (float) $set->{$column},
                );
            }
        }

        return $rows;
    }
}
