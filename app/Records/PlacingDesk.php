<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Models\Athlete;
use App\Models\Placement;
use App\Models\Sheet;
use App\Models\TrainingSession;
use App\Models\User;
use Augendo\Core\Gates\Placing;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Finds the rung a newcomer with skill starts at: ten judged repetitions a rung, upwards from the foot. */
final class PlacingDesk
{
    public function __construct(private readonly Library $library) {}

    public function start(Athlete $athlete, string $ladderId, User $by): Sheet
    {
        return DB::transaction(function () use ($athlete, $ladderId, $by): Sheet {
            $ladder = app(LadderShelf::class)->ladder($by, $ladderId);
            app(RosterDesk::class)->place($athlete, $ladder->id, $ladder->rungs[0]->id, $by);
            Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladder->id)->update(['placing' => true]);

            return $this->sheet($athlete, $ladder, $ladder->rungs[0]->id, $by);
        });
    }

    /**
     * What the looks so far come to.
     *
     * @return array{placing: Placing, judged: int, good: int, safety: int}|null the rule's answer and what was seen on the present rung; null when nobody is looking
     */
    public function state(Athlete $athlete, string $ladderId): ?array
    {
        $placements = Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->orderBy('entered_at')->orderBy('id')->get();
        $last = $placements->last();
        if ($last === null || ! $last->placing) {
            return null;
        }
        $ladder = $this->library->ladder($ladderId);
        $began = $placements->where('placing', true)->firstOrFail();
        $seen = [];
        foreach ($ladder->rungs as $position => $rung) {
            $marks = DB::table('rep_strips')->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->where('rung', $rung->id)->where('day', '>=', substr($began->entered_on, 0, 10))->orderBy('last_at')->pluck('marks')->implode('');
            $seen[$position] = self::firstTen($marks);
        }

        return ['placing' => Placing::of(count($ladder->rungs), $seen), ...$seen[(int) $ladder->position($last->rung)]];
    }

    /**
     * Does what the rule says now: the next rung is looked at, or the place is found.
     *
     * @return Sheet|null the sheet of the next look; null when the place is found
     */
    public function go(Athlete $athlete, string $ladderId, User $by): ?Sheet
    {
        return DB::transaction(function () use ($athlete, $ladderId, $by): ?Sheet {
            $state = $this->state($athlete, $ladderId) ?? throw new Problem(422, 'Nobody is being placed', 'This athlete has a place on the ladder, or none at all. Start under Intake.');
            $ladder = $this->library->ladder($ladderId);
            $last = Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->orderByDesc('entered_at')->orderByDesc('id')->firstOrFail();
            $to = $state['placing']->look ?? $state['placing']->place;
            if ($state['placing']->place === null && $to === $ladder->position($last->rung)) {
                throw new Problem(422, 'Not enough seen', Placing::REPS." judged repetitions are asked for on this rung; {$state['judged']} are there.");
            }
            $rung = $ladder->rungs[(int) $to];
            Placement::query()->create([
                'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version, 'rung' => $rung->id, 'placing' => $state['placing']->place === null,
                'entered_on' => $by->workspace->today()->iso(), 'entered_at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
            ]);
            Athlete::raiseRevision($athlete->id);
            if ($state['placing']->place === null) {
                return $this->sheet($athlete, $ladder, $rung->id, $by);
            }
            Audit::of($by, $athlete, 'place found on a ladder', ['ladder' => $ladder->name, 'rung' => $rung->id]);
            foreach ($athlete->sheets()->where('held_on', '>=', $by->workspace->today()->iso())->where('ladder', $ladder->id)->where('state', 'planned')->get() as $sheet) {
                $sheet->update(['rung' => $rung->id]);
                SheetDesk::open($sheet)->fit();
            }

            return null;
        });
    }

    /** Today's sheet for a look at a rung, in the session of the day when there is one. What was planned on this ladder today and not begun gives way to it. */
    private function sheet(Athlete $athlete, Ladder $ladder, string $rung, User $by): Sheet
    {
        $today = $by->workspace->today()->iso();
        $squad = $athlete->squads()->orderBy('squads.id')->first() ?? throw new Problem(422, 'In no squad', 'Add the athlete to a squad first.');
        $athlete->sheets()->where('held_on', $today)->where('ladder', $ladder->id)->where('state', 'planned')->get()->each->delete();
        $session = TrainingSession::query()->where('squad_id', $squad->id)->where('held_on', $today)->orderBy('starts_at')->first()
            ?? TrainingSession::query()->create(['squad_id' => $squad->id, 'held_on' => $today, 'starts_at' => Carbon::now($by->workspace->timezone)->format('H:i'), 'title' => 'Finding the rung']);
        $sheet = Sheet::query()->create([
            'training_session_id' => $session->id, 'athlete_id' => $athlete->id, 'held_on' => $today, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version, 'rung' => $rung,
            'trims' => [], 'state' => 'planned', 'version' => 0,
        ]);
        SheetDesk::open($sheet)->fit();

        return $sheet->refresh();
    }

    /** @return array{judged: int, good: int, safety: int} */
    private static function firstTen(string $marks): array
    {
        $seen = ['judged' => 0, 'good' => 0, 'safety' => 0];
        foreach ($marks === '' ? [] : str_split($marks) as $mark) {
            if ($seen['judged'] >= Placing::REPS) {
                break;
            }
            $seen['judged'] += strtolower($mark) === 'u' ? 0 : 1;
            $seen['good'] += strtolower($mark) === 'g' ? 1 : 0;
            $seen['safety'] += $mark === strtoupper($mark) ? 1 : 0;
        }

        return $seen;
    }
}
