<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\AthleteDay;
use App\Wording\Wording;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Readiness\Word;

/** What the rung, the age and the word of the day let be changed of a serve: they come before any advice. */
final class ServeAllowed
{
    private const SPIN_FROM_AGE = 13;

    /** @return string|null why nothing is advised; null: something may be */
    public static function refusal(AthleteDay $day, string $skill): ?string
    {
        foreach ($day->ladders->placementsOf($day->athlete) as $placement) {
            $rung = $day->ladders->rung($placement);
            $isOfIt = in_array($skill, array_map(fn ($dose): string => $dose->skill->id, $rung->blocks), true);
            if ($isOfIt && $rung->outcomeIgnored) {
                return "On “{$rung->name}” the result does not count yet: the motion comes first, so nothing is advised here.";
            }
        }
        $word = $day->readiness->word;

        return $word->allowsWork() ? null : 'Today’s word is '.Wording::word($word).': nothing is advised until it is better.';
    }

    /** More spin asks more of the trunk and the elbow: only of who is known to be thirteen or older, on a day with the word Full. */
    public static function spin(AthleteDay $day): bool
    {
        return ($day->load->age ?? 0) >= self::SPIN_FROM_AGE && $day->readiness->word === Word::Full;
    }

    /** A higher contact is a higher jump or a longer reach. */
    public static function reach(AthleteDay $day): bool
    {
        return $day->readiness->word === Word::Full;
    }

    /** @return string|null why a change may not be tried; null: it may */
    public static function refusesChange(AthleteDay $day, string $skill, ServeChange $change): ?string
    {
        return self::refusal($day, $skill) ?? match (true) {
            $change->topspinRpm > 0.0 && ! self::spin($day) => 'More spin is for thirteen and older, on a day with the word Full.',
            $change->higherM > 0.0 && ! self::reach($day) => 'A higher contact is for a day with the word Full.',
            default => null,
        };
    }
}
