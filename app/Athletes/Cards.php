<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\SquadView;
use App\People\User;
use Augendo\Core\Day;
use Augendo\Core\Readiness\Faces;
use Illuminate\Support\Facades\DB;

/** Athletes and squads as every page shows them. */
final class Cards
{
    public static function athlete(Athlete $athlete, Day $on): AthleteCardView
    {
        return new AthleteCardView(
            id: $athlete->id,
            name: $athlete->name(),
            given_name: $athlete->given_name,
            age: $athlete->ageOn($on),
            throwing_side: $athlete->throwing_side->value,
            young: self::isYoung($athlete, $on),
        );
    }

    public static function squad(Squad $squad): SquadView
    {
        return new SquadView($squad->id, $squad->name, $squad->school?->value, $squad->floor);
    }

    /** @return list<SquadView> those somebody works with */
    public static function squads(User $user): array
    {
        return $user->visibleSquads()->get()->map(self::squad(...))->values()->all();
    }

    public static function isYoung(Athlete $athlete, Day $on): bool
    {
        return Faces::standForScores($athlete->ageOn($on));
    }

    /** Whom to call, and what is to be done; null when nobody wrote it down. */
    public static function emergency(string $athleteId): ?string
    {
        $intake = DB::table('intakes')->where('athlete_id', $athleteId)->first(['emergency_contact', 'emergency_plan']);

        return trim(implode("\n", array_filter([$intake?->emergency_contact, $intake?->emergency_plan]))) ?: null;
    }
}
