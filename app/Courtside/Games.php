<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Courtside\Answers\GameView;
use App\Wording\ScoreWording;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Rounds of the past, for the next one to be held against: the athlete's own, and those of squad-mates where both sides show theirs. */
final class Games
{
    /** @return list<GameView> one for each setup played on a ladder, the latest first */
    public static function of(Athlete $athlete, string $ladder): array
    {
        $rows = self::standing()->where('scores.athlete_id', $athlete->id)->where('ladder', $ladder)->orderByDesc('at')->get();
        $games = [];
        foreach ($rows->groupBy('setup') as $setup => $played) {
            $kind = ScoreKind::from($played[0]->kind);
            $best = $kind->best($played->map(fn (object $row): float => (float) $row->value)->all() ?: [0.0]);
            $goal = $played[0]->goal === null ? null : (float) $played[0]->goal;
            $games[] = new GameView(
                setup: (string) $setup,
                last: ScoreWording::value($kind, (float) $played[0]->value),
                best: ScoreWording::value($kind, $best),
                goal: $goal,
                goal_text: $goal === null ? null : ScoreWording::value($kind, $goal),
                mates: self::mates($athlete, (string) $setup, $kind),
            );
        }

        return $games;
    }

    /** @return list<string> */
    private static function mates(Athlete $athlete, string $setup, ScoreKind $kind): array
    {
        if (! $athlete->shows_scores) {
            return [];
        }
        $squads = DB::table('athlete_squad')->where('athlete_id', $athlete->id)->whereNull('left_on')->pluck('squad_id');
        $rows = self::standing()
            ->join('athletes', 'athletes.id', '=', 'scores.athlete_id')
            ->where('athletes.shows_scores', true)
            ->where('scores.athlete_id', '!=', $athlete->id)
            ->where('setup', $setup)
            ->whereExists(fn (Builder $with) => $with->from('athlete_squad')
                ->whereColumn('athlete_squad.athlete_id', 'scores.athlete_id')
                ->whereNull('left_on')
                ->whereIn('squad_id', $squads))
            ->select('scores.athlete_id', 'athletes.given_name', 'value')
            ->orderBy('athletes.given_name')
            ->get();
        $said = [];
        foreach ($rows->groupBy('athlete_id') as $of) {
            $best = $kind->best($of->map(fn (object $row): float => (float) $row->value)->all() ?: [0.0]);
            $said[] = "{$of[0]->given_name} ".ScoreWording::value($kind, $best);
        }

        return $said;
    }

    private static function standing(): Builder
    {
        return DB::table('scores')->whereNotNull('setup')->whereNull('withdrawn_at');
    }
}
