<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Health\Answers\AbsenceView;
use App\Health\Answers\AwayAndHurtView;
use App\Health\Answers\IncidentView;
use App\Health\Answers\RestrictionView;
use App\People\User;
use App\Wording\AwayWording;
use Augendo\Core\Day;
use Augendo\Core\Readiness\Readiness;

/** Days away, what a clinician restricts, and what happened to one athlete. */
final class AwayScreen
{
    /** What is over is shown for so long. */
    private const RECENT_DAYS = 90;

    public function view(User $user, Athlete $athlete): AwayAndHurtView
    {
        $today = $user->workspace->today();
        $since = $today->plus(-self::RECENT_DAYS)->iso();
        $absences = $athlete->absences()
            ->whereNull('withdrawn_at')
            ->where(fn ($query) => $query->where('until_day', '>=', $since)->orWhereNull('ended_on'))
            ->orderByDesc('from_day')
            ->orderByDesc('id')
            ->get();
        $restrictions = $athlete->restrictions()->where('until_day', '>=', $since)->orderByDesc('from_day')->orderByDesc('id')->get();
        $incidents = $athlete->incidents()->with('entries')->orderByDesc('opened_at')->orderByDesc('id')->get();
        $readiness = (new DayReadiness([$athlete], $today))->readiness($athlete, null);

        return new AwayAndHurtView(
            absences: $absences->map(fn (Absence $each): AbsenceView => self::absence($each, $today, $user))->all(),
            restrictions: $restrictions->map(fn (Restriction $each): RestrictionView => self::restriction($each, $today, $user))->all(),
            incidents: $incidents->map(fn (Incident $each): IncidentView => self::incident($each, $athlete, $today, $readiness))->all(),
        );
    }

    private static function absence(Absence $absence, Day $today, User $user): AbsenceView
    {
        $until = $absence->until($today);

        return new AbsenceView(
            id: $absence->id,
            kind: $absence->kind->value,
            sentence: AwayWording::absence($absence, $today),
            from_day: $absence->from()->iso(),
            until_day: $until->iso(),
            note: $absence->note,
            open: $absence->ended_on === null && ! $today->isAfter($until),
            may_take_back: AwayAndHurt::mayTakeBack($absence),
        );
    }

    private static function restriction(Restriction $restriction, Day $today, User $user): RestrictionView
    {
        $open = $restriction->lifted_at === null && ! $today->isAfter($restriction->until());

        return new RestrictionView(
            id: $restriction->id,
            sentence: AwayWording::restriction($restriction).($restriction->lifted_at === null ? '' : ' Lifted.'),
            clinician_name: $restriction->clinician_name,
            note: $restriction->note,
            open: $open,
            may_lift: $open && AwayAndHurt::mayLift($restriction, $user),
        );
    }

    private static function incident(Incident $incident, Athlete $athlete, Day $today, Readiness $readiness): IncidentView
    {
        $age = $athlete->ageOn($today);

        return new IncidentView(
            id: $incident->id,
            title: AwayWording::incident($incident),
            at: $incident->at,
            what: $incident->what,
            entries: $incident->entries->map(AwayWording::entry(...))->all(),
            closed_at: $incident->closed_at,
            missing: array_map(AwayWording::missing(...), Incidents::missing($incident, $age, $readiness)),
            text: AwayWording::handOn($incident, $athlete, $age),
        );
    }
}
