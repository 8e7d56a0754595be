<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\Roster;
use App\Courtside\RepStrip;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Ladders;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Sessions\RefitPlans;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Gates\Placing;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Finds the rung a newcomer with skill starts at: ten judged repetitions a rung, upwards from the foot. */
final class FindPlace
{
    public function __construct(private readonly Library $library) {}

    public function start(Athlete $athlete, string $ladderId, User $by): Sheet
    {
        return Alone::with($athlete->id, function () use ($athlete, $ladderId, $by): Sheet {
            $ladder = app(Ladders::class)->ladder($by, $ladderId);
            // It may end further up than the foot.
            Roster::refuseWithoutWhatItBuildsOn($athlete, $ladder);
            app(Roster::class)->place($athlete, $ladder->id, $ladder->rungs[0]->id, $by);
            $placement = Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladder->id)->firstOrFail();
            $placement->update(['placing' => true]);

            return $this->sheet($athlete, $placement, $by);
        });
    }

    /** What the looks so far come to; null when nobody is looking. */
    public function placing(Athlete $athlete, string $ladderId): ?Placing
    {
        $placements = $this->placements($athlete, $ladderId);
        if ($placements->last()?->placing !== true) {
            return null;
        }
        $ladder = $this->library->ladder($ladderId);
        $began = substr($placements->where('placing', true)->firstOrFail()->entered_on, 0, 10);
        $strips = DB::table('rep_strips')
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladderId)
            ->where('day', '>=', $began)
            ->orderBy('last_at')
            ->get()
            ->groupBy('rung');

        return Placing::of(count($ladder->rungs), array_map(fn (Rung $rung): array => array_merge([], ...array_map(
            fn (object $strip): array => RepStrip::read($strip->marks, $strip->sheet_id, Instant::of($strip->last_at)),
            $strips->get($rung->id)?->all() ?? [],
        )), $ladder->rungs));
    }

    /** @return EloquentCollection<int, Placement> in the order they were entered */
    private function placements(Athlete $athlete, string $ladderId): EloquentCollection
    {
        return Placement::standing()
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladderId)
            ->orderBy('entered_at')
            ->orderBy('id')
            ->get();
    }

    /** @return int position of the rung the athlete stands on */
    public function standsOn(Athlete $athlete, string $ladderId): int
    {
        return (int) $this->library->ladder($ladderId)->position((string) $this->placements($athlete, $ladderId)->last()?->rung);
    }

    /**
     * Does what the rule says now: the next rung is looked at, or the place is found.
     *
     * @return Sheet|null the sheet of the next look; null when the place is found
     */
    public function go(Athlete $athlete, string $ladderId, User $by): ?Sheet
    {
        return Alone::with($athlete->id, function () use ($athlete, $ladderId, $by): ?Sheet {
            $placing = $this->placing($athlete, $ladderId)
                ?? throw new Problem(
                    ProblemType::NobodyIsBeingPlaced,
                    'This athlete has a place on the ladder, or none at all. Start under Intake.',
                );
            $ladder = $this->library->ladder($ladderId);
            if ($placing->look !== null && $placing->look === $this->standsOn($athlete, $ladderId)) {
                throw new Problem(
                    ProblemType::NotEnoughSeen,
                    Placing::REPS." judged repetitions are asked for on this rung; {$placing->seen[$placing->look]['judged']} are there.",
                );
            }
            $to = $placing->look ?? $placing->place;
            $rung = $ladder->rungs[(int) $to];
            $placement = Placement::query()->create([
                'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version,
                'rung' => $rung->id, 'placing' => $placing->place === null,
                'entered_on' => $by->workspace->today()->iso(), 'entered_at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
            ]);
            AthletesChanged::one($athlete->id);
            if ($placing->place === null) {
                return $this->sheet($athlete, $placement, $by);
            }
            Audit::of($by, $athlete, 'place found on a ladder', ['ladder' => $ladder->name, 'rung' => $rung->id]);
            foreach (
                $athlete
                    ->sheets()
                    ->where('held_on', '>=', $by->workspace->today()->iso())
                    ->where('ladder', $ladder->id)
                    ->where('state', 'planned')
                    ->get() as $sheet
            ) {
                $sheet->update(['rung' => $rung->id]);
                RefitPlans::afterCommit($sheet);
            }

            return null;
        });
    }

    /**
     * Today's sheet for a look at a rung, in the session of the day when there is one. What was planned on this ladder
     * today and not begun gives way to it.
     */
    private function sheet(Athlete $athlete, Placement $placement, User $by): Sheet
    {
        $today = $by->workspace->today();
        $squad = $athlete->squads()->orderBy('squads.id')->first()
            ?? throw new Problem(ProblemType::InNoSquad, 'Add the athlete to a squad first.');
        $of = ['held_on' => $today->iso(), 'ladder' => $placement->ladder, 'state' => 'planned'];
        $athlete->sheets()->where($of)->get()->each->delete();
        $now = Carbon::now($by->workspace->timezone)->format('H:i');
        $sheet = Sheet::planned(TrainingSession::ofDay($squad->id, $today, $placement->ladder, $now, 'Finding the rung'), $placement);
        $sheet->save();
        RefitPlans::afterCommit($sheet);

        return $sheet;
    }
}
