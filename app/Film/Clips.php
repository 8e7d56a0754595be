<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Ladders;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Records\Sent;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What was measured of clips: where the points lay, and single pictures where that was agreed to. The clip stays on its device. */
final class Clips
{
    private const SHOWN = 30;

    public function __construct(private readonly Ladders $ladders, private readonly ClipEvidence $evidence) {}

    /** @return Collection<int, \stdClass> the latest first */
    public static function of(string $athleteId): Collection
    {
        return DB::table('clips')
            ->join('users', 'users.id', '=', 'clips.kept_by')
            ->where('athlete_id', $athleteId)
            ->whereNull('withdrawn_at')
            ->orderByDesc('filmed_on')
            ->orderByDesc('kept_at')
            ->orderByDesc('clips.id')
            ->limit(self::SHOWN)
            ->get(['clips.*', 'users.name as by']);
    }

    /**
     * @param  array<string, mixed>  $given  validated; sent before, it changes nothing
     *
     * @throws Problem without consent, or when the ladder has no such rung, moment or checkpoint
     */
    public function keep(Athlete $athlete, array $given, User $by): void
    {
        FilmConsents::refuseWithout($athlete, $by->workspace->today());
        $ladder = $this->ladders->ladder($by, $given['ladder']);
        $rung = $ladder->rung($given['rung']) ?? throw new Problem(
            ProblemType::NoSuchRung, "{$ladder->name} has no such rung.", ['rung' => ['It is not on this ladder.']],
        );
        $this->refuseUnknown('marks', array_column($given['marks'], 'moment'), array_column($ladder->moments, 'id'), 'moment');
        $this->refuseUnknown('seen', array_column($given['seen'], 'checkpoint'), array_column($rung->checkpoints, 'id'), 'checkpoint');
        Alone::with($athlete->id, function () use ($athlete, $given, $ladder, $rung, $by): void {
            if (Sent::before('clips', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            DB::table('clips')->insert([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version,
                'rung' => $given['rung'], 'filmed_on' => $given['filmed_on'], 'pictures_a_second' => $given['pictures_a_second'],
                'setting' => json_encode($given['setting'], JSON_THROW_ON_ERROR),
                'marks' => json_encode($given['marks'], JSON_THROW_ON_ERROR),
                'seen' => json_encode($given['seen'], JSON_THROW_ON_ERROR),
                'kept_by' => $by->id, 'kept_at' => Carbon::now(),
            ]);
            FilmPictures::keep($athlete, $given['id'], $given['pictures'], $given['marks'], $by->workspace->today());
            $row = DB::table('clips')->where('id', $given['id'])->first() ?? throw new \LogicException('It was just kept.');
            $longest = MeasuredClip::longest(self::of($athlete->id));
            $clip = MeasuredClip::of($row, $athlete->sideFor($ladder->skill), $longest);
            $this->evidence->add($athlete, $clip, $rung, $given['counted'], $by);
        });
    }

    public function withdraw(Athlete $athlete, string $id, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $by): void {
            $taken = DB::table('clips')
                ->where('athlete_id', $athlete->id)
                ->where('id', $id)
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => Carbon::now(), 'withdrawn_by' => $by->id]);
            if ($taken === 0) {
                throw new Problem(ProblemType::NotFound, 'What was measured of this clip is not there any more.');
            }
            FilmPictures::erase($athlete->id, $by->workspace->today(), $id);
            Audit::of($by, $athlete, 'clip withdrawn', ['clip' => $id]);
        });
    }

    /**
     * @param  list<string>  $named
     * @param  list<string>  $known
     */
    private function refuseUnknown(string $field, array $named, array $known, string $what): void
    {
        foreach (array_values($named) as $i => $name) {
            if (! in_array($name, $known, true)) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    "“{$name}” is no {$what} of this rung. The ladder may have changed: load the page again.",
                    ["{$field}.{$i}" => ["No such {$what}."]],
                );
            }
        }
    }
}
