<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Courtside\Answers\GameView;
use App\Wording\ScoreWording;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Rounds of the past, for the next one to be held against: the athlete's own, and those of squad-mates where both sides show theirs. */
final class Games
{
    /** @return list<GameView> one for each setup played on a ladder, the latest first */
    public static function of(Athlete $athlete, string $ladder): array
    {
        $rows = self::standing()->where('scores.athlete_id', $athlete->id)->where('ladder', $ladder)->orderByDesc('at')->get();
        $mates = self::mates($athlete, $rows->pluck('setup')->unique()->values()->all());
        $games = [];
        foreach ($rows->groupBy('setup') as $setup => $played) {
            $kind = ScoreKind::from($played[0]->kind);
            $games[] = new GameView(
                setup: (string) $setup,
                last: ScoreWording::value($kind, (float) $played[0]->value),
                best: ScoreWording::value($kind, self::best($kind, $played)),
                goal: $played[0]->goal === null ? null : (float) $played[0]->goal,
                mates: $mates[$setup] ?? [],
            );
        }

        return $games;
    }

    /**
     * @param  list<string>  $setups
     * @return array<string, list<string>> by setup
     */
    private static function mates(Athlete $athlete, array $setups): array
    {
        if (! $athlete->shows_scores || $setups === []) {
            return [];
        }
        $squads = DB::table('athlete_squad')->where('athlete_id', $athlete->id)->whereNull('left_on')->pluck('squad_id');
        $rows = self::standing()
            ->join('athletes', 'athletes.id', '=', 'scores.athlete_id')
            ->where('athletes.shows_scores', true)
            ->where('scores.athlete_id', '!=', $athlete->id)
            ->whereIn('setup', $setups)
            ->whereExists(fn (Builder $with) => $with->from('athlete_squad')
                ->whereColumn('athlete_squad.athlete_id', 'scores.athlete_id')
                ->whereNull('left_on')
                ->whereIn('squad_id', $squads))
            ->select('scores.athlete_id', 'athletes.given_name', 'setup', 'kind', 'value')
            ->orderBy('athletes.given_name')
            ->get();
        $said = [];
        foreach ($rows->groupBy(fn (object $row): string => "{$row->setup}|{$row->athlete_id}") as $of) {
            $kind = ScoreKind::from($of[0]->kind);
            $said[$of[0]->setup][] = "{$of[0]->given_name} ".ScoreWording::value($kind, self::best($kind, $of));
        }

        return $said;
    }

    /** @param  Collection<int, \stdClass>  $played  at least one */
    private static function best(ScoreKind $kind, Collection $played): float
    {
        return $kind->best($played->map(fn (object $row): float => (float) $row->value)->values()->all() ?: [0.0]);
    }

    private static function standing(): Builder
    {
        return DB::table('scores')->whereNotNull('setup')->whereNull('withdrawn_at');
    }
}
