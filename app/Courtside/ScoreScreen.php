<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Courtside\Answers\GroupingView;
use App\Courtside\Answers\OutcomeHintView;
use App\Courtside\Answers\ScoreLadderView;
use App\Courtside\Answers\ScoreSeriesView;
use App\Courtside\Answers\ScoresView;
use App\Courtside\Answers\ScoreView;
use App\Wording\ScoreWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Scoring\Grouping;
use Augendo\Core\Scoring\Score;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Support\Facades\DB;

/** Scores against the athlete's own past. None of them advances anybody. */
final class ScoreScreen
{
    private const SHOWN = 20;

    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on): ScoresView
    {
        $day = new AthleteDay($athlete, $on);
        $taps = DB::table('work_sets')
            ->join('sheets', DB::raw('cast(sheets.id as text)'), '=', 'work_sets.session')
            ->where('work_sets.athlete_id', $athlete->id)
            ->where('work_sets.day', $on->iso())
            ->where('source', 'courtside')
            ->groupBy('sheets.ladder')
            ->selectRaw('sheets.ladder, sum(reps) as reps')
            ->pluck('reps', 'ladder');
        $standing = [];
        foreach ($day->ladders->placementsOf($athlete) as $placement) {
            $rung = $day->ladders->rung($placement);
            $standing[] = new ScoreLadderView(
                $placement->ladder,
                $day->ladders->ladder($placement)->name,
                $rung->outcomeIgnored ? $rung->name : null,
                (int) ($taps[$placement->ladder] ?? 0),
            );
        }
        $load = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('source', Scores::SOURCE)->pluck('reps', 'client_id');
        $series = [];
        $ignored = array_column(array_filter($standing, fn (ScoreLadderView $each): bool => $each->ignored_on !== null), 'id');
        [$hidden, $shown] = DB::table('scores')
            ->where('athlete_id', $athlete->id)
            ->whereNull('withdrawn_at')
            ->orderBy('at')
            ->get()
            ->partition(fn (object $row): bool => in_array($row->ladder, $ignored, true));
        foreach ($shown->groupBy(fn (object $row): string => "{$row->kind}|{$row->name}|{$row->setup}|{$row->ladder}") as $rows) {
            $kind = ScoreKind::from($rows[0]->kind);
            $values = $rows->map(fn (object $row): float => (float) $row->value)->values()->all();
            $last = $rows->last();
            $goal = $last->goal === null ? null : (float) $last->goal;
            $best = $values === [] ? 0.0 : $kind->best($values);
            $recent = $rows->take(-self::SHOWN)->values()->all();
            $told = array_map(fn (object $row): Score => Scores::read($kind, json_decode($row->seen, true)), $recent);
            $share = Score::together($told);
            $series[] = new ScoreSeriesView(
                kind: $kind->value,
                name: $rows[0]->name,
                setup: $rows[0]->setup,
                best: ScoreWording::value($kind, $best),
                last: ScoreWording::value($kind, (float) $last->value),
                goal: $goal === null ? null : ScoreWording::value($kind, $goal),
                rate: $share === null ? null : ScoreWording::share($share),
                goal_reached: $goal !== null && ($kind->lessIsBetter()
                    ? (float) $last->value <= $goal + 1e-9
                    : (float) $last->value >= $goal - 1e-9),
                less_is_better: $kind->lessIsBetter(),
                trend: array_slice($values, -self::SHOWN),
                scores: array_reverse(array_map(fn (object $row, Score $score): ScoreView => new ScoreView(
                    $row->id, substr($row->day, 0, 10), ScoreWording::value($kind, (float) $row->value), $score->detail,
                    abs((float) $row->value - $best) < 1e-9,
                    (int) ($load[$row->id] ?? 0),
                ), $recent, $told)),
                grouping: $kind === ScoreKind::Grouping ? self::grouping(Scores::points(json_decode($last->seen, true))) : null,
            );
        }

        $names = $this->library->skillNames();

        return new ScoresView(
            Cards::athlete($athlete, $on), $on->iso(), $standing, $hidden->count(), $series, $this->boxes(),
            array_map(fn (string $id, string $name): NamedView => new NamedView($id, $name), array_keys($names), $names),
        );
    }

    /** @return list<NamedView> */
    private function boxes(): array
    {
        $named = [];
        foreach ($this->library->courts() as $court) {
            foreach ($court->boxes as $box) {
                $named[] = new NamedView("{$court->id}:{$box->id}", $box->name);
            }
        }

        return $named;
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    public static function grouping(array $points): GroupingView
    {
        $of = Grouping::of($points);
        $length = Wording::length(...);
        $thirds = $of->thirds;

        return new GroupingView(
            points: array_map(fn (array $point): string => implode(' ', $point), $points),
            across_m: $of->acrossM,
            along_m: $of->alongM,
            mean_radial_error_m: $of->meanRadialErrorM,
            half_circle_m: $of->halfCircleM,
            ellipses: $of->ellipse === null
                ? []
                : [...$of->ellipseHolding(0.5) ?? [], ...$of->ellipseHolding(0.9) ?? [], rad2deg($of->ellipse[2])],
            sentence: self::onAverage($of).($of->tendency === [] ? ' No side leads.' : ' Tends '.implode(' and ', $of->tendency).'.').(
                $thirds === null
                    ? ''
                    : " First third {$length($thirds[0]->meanRadialErrorM)} from the aim, last third "
                        .$length($thirds[1]->meanRadialErrorM).'.'
            ),
            hints: array_map(fn (array $target): OutcomeHintView => new OutcomeHintView(...$target), Grouping::targets($points)),
        );
    }

    /** Where they land on average, and how close together. */
    private static function onAverage(Grouping $of): string
    {
        $off = array_filter([
            abs($of->acrossM) < 0.005 ? null : Wording::length(abs($of->acrossM)).($of->acrossM < 0 ? ' left' : ' right'),
            abs($of->alongM) < 0.005 ? null : Wording::length(abs($of->alongM)).($of->alongM < 0 ? ' short' : ' long'),
        ]);

        return Wording::count($of->n, 'point').'. On average '.($off === [] ? 'on the aim' : implode(' and ', $off))
            .', '.Wording::length($of->meanRadialErrorM).' from the aim. Half land inside a circle of '
            .Wording::length($of->halfCircleM).'.';
    }
}
