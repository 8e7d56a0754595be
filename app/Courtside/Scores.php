<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Sent;
use Augendo\Core\InvalidValue;
use Augendo\Core\Scoring\Score;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Scores of an athlete: what was seen, and the number it comes to. */
final class Scores
{
    /** @param  array<string, mixed>  $given  validated; sent before, it changes nothing */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        $this->refuseIgnored($athlete, $given['ladder'], $by);
        $kind = ScoreKind::from($given['kind']);
        try {
            $score = self::read($kind, $given['seen']);
        } catch (InvalidValue $error) {
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $error->getMessage(), ['seen' => [$error->getMessage()]]);
        }
        $now = Carbon::now($by->workspace->timezone);
        Alone::with($athlete->id, fn () => Sent::before(
            'scores',
            $given['id'],
            ['athlete_id' => $athlete->id],
        ) || DB::table('scores')->insert([
            'id' => $given['id'], 'athlete_id' => $athlete->id, 'kind' => $kind->value, 'ladder' => $given['ladder'],
            'name' => $given['name'], 'day' => $by->workspace->today()->iso(), 'at' => $now->toIso8601String(),
            'seen' => json_encode($given['seen'], JSON_THROW_ON_ERROR), 'value' => $score->value,
            'goal' => $given['goal'], 'taken_by' => $by->id,
        ]));
    }

    /** Where the outcome must be ignored, a target brings the old habit back: it is not scored. */
    private function refuseIgnored(Athlete $athlete, ?string $ladderId, User $by): void
    {
        if ($ladderId === null) {
            return;
        }
        $ladders = (new AthleteDay($athlete, $by->workspace->today()))->ladders;
        $placement = $ladders->placementsOf($athlete)[$ladderId] ?? throw new Problem(
            ProblemType::NotOnThisLadder,
            'The athlete has no place on this ladder.',
            ['ladder' => ['The athlete has no place on this ladder.']],
        );
        if ($ladders->rung($placement)->outcomeIgnored) {
            $why = "On “{$ladders->rung($placement)->name}” where it lands is not looked at yet.";
            throw new Problem(ProblemType::NotScoredYet, "{$why} Judge the movement; keep the score for later.", ['ladder' => [$why]]);
        }
    }

    /** @param  array<string, mixed>  $seen */
    public static function read(ScoreKind $kind, array $seen): Score
    {
        return match ($kind) {
            ScoreKind::TargetRound => Score::targetRound(
                array_map(fn (array $zone): array => array_map(boolval(...), array_values($zone)), array_values($seen['zones'])),
                (int) $seen['points_each'],
            ),
            ScoreKind::ClearTargets => Score::clearTargets((int) $seen['throws'], (int) $seen['targets']),
            ScoreKind::InARow => Score::inARow(array_map(boolval(...), array_values($seen['attempts']))),
            ScoreKind::ServeGame => Score::serveGame(
                array_map(
                    fn (array $point): array => [(bool) $point[0], $point[1] === null ? null : (bool) $point[1]],
                    array_values($seen['points']),
                ),
            ),
            ScoreKind::Grouping => Score::grouping(self::points($seen)),
        };
    }

    /**
     * @param  array<string, mixed>  $seen
     * @return list<array{float, float}>
     */
    public static function points(array $seen): array
    {
        return array_map(fn (array $point): array => [(float) $point[0], (float) $point[1]], array_values($seen['points']));
    }
}
