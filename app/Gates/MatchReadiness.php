<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Gates\Answers\CriterionView;
use App\Gates\Answers\MatchReadyView;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Readiness\Word;

/** The gate to a match as pages show it, and since when it is open. */
final class MatchReadiness
{
    /**
     * A step back or a pause takes the word back.
     *
     * @param  list<string>  $athleteIds
     * @return array<string, string> since when somebody is match ready and who said so, by "athlete ladder"
     */
    public static function since(array $athleteIds): array
    {
        $since = [];
        foreach (
            Decision::query()
                ->with('decider')
                ->whereIn('athlete_id', $athleteIds)
                ->whereIn('action', ['match_ready', 'step_back', 'pause'])
                ->orderBy('decided_at')
                ->orderBy('id')
                ->get() as $decision
        ) {
            $key = "{$decision->athlete_id} {$decision->ladder}";
            unset($since[$key]);
            if ($decision->action === 'match_ready') {
                $since[$key] = Wording::day(Day::of(substr($decision->day, 0, 10))).', '.$decision->decider->name;
            }
        }

        return $since;
    }

    public static function answer(?MatchReady $of, Athlete $athlete, string $ladderId, Word $word): ?MatchReadyView
    {
        if ($of === null) {
            return null;
        }

        return new MatchReadyView(
            $of->isOpen(), self::since([$athlete->id])["{$athlete->id} {$ladderId}"] ?? null,
            array_map(
                fn (string $name, array $words): CriterionView => new CriterionView(
                    $name, $words[0], $of->criteria[$name]->value, $words[1], false,
                ),
                array_keys($of->criteria),
                JudgingWording::matchReady($of, $word),
            ),
        );
    }
}
