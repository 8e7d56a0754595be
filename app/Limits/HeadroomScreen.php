<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Courtside\DailyTotals;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\Answers\HeadroomCellView;
use App\Limits\Answers\HeadroomGridView;
use App\Limits\Answers\HeadroomRowView;
use App\Sessions\Answers\LoggedWorkView;
use App\Sessions\WorkLog;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\FirstFit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Facades\DB;

/** How many are left at each effort and distance, which limit binds, and when a wanted dose fits again. */
final class HeadroomScreen
{
    private const EFFORTS = [0.3, 0.5, 0.6, 0.75, 0.85, 1.0];

    private const DISTANCE_SHARES = [0.25, 0.4, 0.55, 0.7, 0.85, 1.0];

    private const RECENT_DAYS = 21;

    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on, string $skillId, int $reps): HeadroomGridView
    {
        $skill = $this->library->skills()[$skillId] ?? throw new Problem(ProblemType::NotFound, 'There is no such skill.');
        $day = new AthleteDay($athlete, $on);
        $longest = $day->load->profile->longestThrowM[$skillId] ?? null;
        $distances = $skill->family === Family::Throw && $longest !== null
            ? array_map(fn (float $share): float => round($share * $longest), self::DISTANCE_SHARES)
            : [null];
        $board = $day->limits->board($on, $day->load->record);
        $plan = $day->load->plansOn($on);
        $rows = array_map(fn (float $effort): HeadroomRowView => new HeadroomRowView($effort, array_map(function (?float $distanceM) use (
            $day, $on, $skill, $effort, $board, $plan, $reps,
        ): HeadroomCellView {
            $set = fn (Day $then, int $n): CostedSet => $day->load->price->of(self::set($then, $skill, $n, $effort, $distanceM));
            $left = $board->headroom($set($on, 1), $plan);
            $fits = $left->reps === null || $left->reps >= $reps ? $on : FirstFit::day(
                from: $on->plus(1),
                dose: fn (Day $then): CostedSet => $set($then, $reps),
                oneRep: fn (Day $then): CostedSet => $set($then, 1),
                record: $day->load->record,
                plans: $day->load->plans,
                limits: $day->limits,
            );

            return new HeadroomCellView(
                $distanceM,
                $left->reps,
                $left->isPlenty(),
                array_values(array_unique(array_map(fn (Limit $limit): string => $limit->label, $left->binding))),
                $fits?->iso(),
            );
        }, $distances)), self::EFFORTS);
        $names = $this->library->skillNames();

        return new HeadroomGridView(
            skill: $skillId,
            skill_name: $names[$skillId],
            wanted: $reps,
            rows: $rows,
            skills: array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), array_keys($names)),
            logged: $this->logged($athlete, $on, $names),
        );
    }

    /**
     * @param  array<string, string>  $names
     * @return list<LoggedWorkView> newest first
     */
    private function logged(Athlete $athlete, Day $on, array $names): array
    {
        $entered = DB::table('work_sets')->whereNotNull('client_id')->whereNull('import_id')->whereIn('source', WorkLog::SOURCES);

        return $entered->where('athlete_id', $athlete->id)->where(
            'day',
            '>',
            $on->plus(-self::RECENT_DAYS)->iso(),
        )->orderByDesc('day')->get()->map(fn (object $row): LoggedWorkView => new LoggedWorkView(
            $row->client_id, substr($row->day, 0, 10), (int) $row->reps,
            Wording::entered($row->source, (int) $row->reps, $names[$row->skill] ?? $row->skill)
            .', '
            .($row->effort === null ? 'effort not known, counted as full' : Wording::percent((float) $row->effort))
            .($row->estimated ? '; an estimate, nobody said what it took' : ''),
            DailyTotals::toCost($row)['arm'], DailyTotals::toCost($row)['landings'],
        ))->all();
    }

    private static function set(Day $day, Skill $skill, int $reps, float $effort, ?float $distanceM): WorkSet
    {
        return WorkSet::ordinarily($day, 'what if', $skill, $reps, $effort, $distanceM);
    }
}
