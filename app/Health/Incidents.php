<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Wording\AwayWording;
use Augendo\Core\Readiness\Closing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** Keeps what happened, what was done about it and who was told, until it is closed. */
final class Incidents
{
    public function __construct(private readonly HealthLog $health) {}

    /** @param  array<string, mixed>  $given validated */
    public function open(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('incidents', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            Incident::query()->create([
                ...$given, 'athlete_id' => $athlete->id, 'opened_by' => $by->id, 'opened_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'incident opened');
            if ($given['kind'] === IncidentKind::Head->value) {
                $this->refer($athlete, $given, $by);
            }
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /**
     * A head knock is a referral, whichever way it is written down: as the least report of one that there is.
     *
     * @param  array<string, mixed>  $given
     */
    private function refer(Athlete $athlete, array $given, User $by): void
    {
        $this->health->report($athlete, [[
            'id' => Uuid::uuid7()->toString(), 'at' => $given['at'], 'moment' => Moment::During->value, 'site' => Site::Head->value,
            'side' => null, 'kind' => Kind::Head->value, 'score' => 1, 'note' => null,
        ]], $by);
    }

    /**
     * A report of a head knock opens one by itself, whoever reported it. Inside the transaction that keeps the reports.
     *
     * @param  list<array<string, mixed>>  $reports  new ones
     */
    public static function openFor(Athlete $athlete, array $reports, ?int $by): void
    {
        foreach ($reports as $report) {
            if ($report['kind'] !== Kind::Head->value || (int) $report['score'] === 0) {
                continue;
            }
            $open = Incident::query()->where('athlete_id', $athlete->id)->where('kind', IncidentKind::Head)->whereNull('closed_at');
            if ($open->doesntExist()) {
                Incident::query()->create([
                    'id' => Uuid::uuid7()->toString(),
                    'athlete_id' => $athlete->id,
                    'kind' => IncidentKind::Head,
                    'at' => $report['at'],
                    'what' => $report['note'] ?? '',
                    'report_id' => $report['id'],
                    'opened_by' => $by,
                    'opened_at' => Carbon::now(),
                ]);
            }
        }
    }

    /** @param  array<string, mixed>  $given validated */
    public function add(Incident $incident, array $given, User $by): void
    {
        Alone::with($incident->athlete_id, function () use ($incident, $given, $by): void {
            if (Sent::before('incident_entries', $given['id'], ['incident_id' => $incident->id])) {
                return;
            }
            $this->stillOpen($incident);
            $incident->entries()->create([...$given, 'made_by' => $by->id, 'made_at' => Carbon::now()]);
            AthletesChanged::one($incident->athlete_id);
        });
    }

    /** Closes it: the guardian of a child was told, and after a head knock a clinician has cleared the referral. */
    public function close(Incident $incident, User $by): void
    {
        Alone::with($incident->athlete_id, function () use ($incident, $by): void {
            if ($incident->refresh()->closed_at !== null) {
                return;
            }
            $athlete = $incident->athlete()->firstOrFail();
            $today = $by->workspace->today();
            $missing = self::missing($incident, $athlete->ageOn($today), (new DayReadiness([$athlete], $today))->readiness($athlete, null));
            if ($missing !== []) {
                throw new Problem(ProblemType::ItStays, 'It stays open. '.implode(' ', array_map(AwayWording::missing(...), $missing)));
            }
            DB::table('incidents')->where('id', $incident->id)->update(['closed_at' => Carbon::now(), 'closed_by' => $by->id]);
            Audit::of($by, $athlete, 'incident closed');
            AthletesChanged::one($athlete, $today);
        });
    }

    /**
     * @param  Readiness  $today  of the athlete
     * @return list<Closing> what has to happen before it can be closed
     */
    public static function missing(Incident $incident, ?int $age, Readiness $today): array
    {
        $heads = array_filter($today->openReferrals, fn (SorenessReport $report): bool => $report->kind === Kind::Head);

        return Closing::missing(
            isHead: $incident->kind === IncidentKind::Head,
            headIsOpen: $heads !== [],
            age: $age,
            told: $incident->entries->contains('kind', 'told'),
        );
    }

    private function stillOpen(Incident $incident): void
    {
        if ($incident->refresh()->closed_at !== null) {
            throw new Problem(ProblemType::ItStays, 'This incident is closed. Open a new one.');
        }
    }
}
