<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Film\Answers\FilmReviewLookView;
use App\Film\Answers\FilmReviewPointView;
use App\Film\Answers\FilmReviewView;
use App\People\User;
use App\Wording\FilmWording;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Illuminate\Support\Facades\DB;

/** What did the coach see, and what is to be done about it? For whoever the link was handed to. */
final class FilmReviewScreen
{
    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, \stdClass $review): FilmReviewView
    {
        $ladder = $this->library->ladder($review->ladder, (int) $review->ladder_version);
        $rung = $ladder->rung($review->rung);
        // Taken back, nothing of anybody is drawn any more; the words stay.
        $drawn = FilmConsents::missing($athlete, $athlete->workspace()->firstOrFail()->today()) === [];

        $agreement = OwnLooks::agreement($review, $athlete);

        return new FilmReviewView(
            given_name: $athlete->given_name,
            made_on: substr($review->made_on, 0, 10),
            by: User::query()->whereKey($review->made_by)->value('name') ?? '',
            ladder_name: $ladder->name,
            rung_name: $rung->name ?? $review->rung,
            side: $athlete->sideFor($ladder->skill)->value,
            points: $rung === null ? [] : array_values(array_filter(array_map(
                fn (array $point): ?FilmReviewPointView => self::point($point, $ladder, $rung, $athlete, $drawn),
                json_decode($review->points, true),
            ))),
            next_time: $review->next_time,
            looks: $rung === null || ! $drawn ? [] : self::looks($review, $ladder, $rung, $athlete),
            agreement: $agreement === null ? null : FilmWording::agreement($agreement['agreed'], $agreement['of']),
        );
    }

    /** @return list<FilmReviewLookView> */
    private static function looks(\stdClass $review, Ladder $ladder, Rung $rung, Athlete $athlete): array
    {
        $own = [];
        foreach (OwnLooks::of($review) as $look) {
            $own[OwnLooks::key($look)] = $look['verdict'];
        }
        $views = [];
        foreach (OwnLooks::ofCoach($review, $athlete) as $look) {
            $view = self::look($look, $own[OwnLooks::key($look)] ?? null, $ladder, $rung, $athlete);
            $views = $view === null ? $views : [...$views, $view];
        }

        return $views;
    }

    /**
     * @param  array{clip_id: string, rep: int, checkpoint: string, verdict: 'right'|'wrong'}  $look  the coach's
     * @param  'right'|'wrong'|null  $own
     */
    private static function look(array $look, ?string $own, Ladder $ladder, Rung $rung, Athlete $athlete): ?FilmReviewLookView
    {
        $checkpoint = array_column($rung->checkpoints, null, 'id')[$look['checkpoint']] ?? null;
        if (! $checkpoint instanceof Checkpoint || $checkpoint->measure === null) {
            return null;
        }
        $side = $athlete->sideFor($ladder->skill);
        $moment = $checkpoint->measure->moment;
        $row = DB::table('clips')->where('id', $look['clip_id'])->where('athlete_id', $athlete->id)->first();
        $clip = $row === null ? null : MeasuredClip::of($row, $side);
        $mark = $clip?->mark($look['rep'], $moment);
        if ($clip === null || $mark === null) {
            return null;
        }

        return new FilmReviewLookView(
            clip_id: $look['clip_id'],
            rep: $look['rep'],
            checkpoint: $checkpoint->id,
            name: $checkpoint->name,
            good: ucfirst($side->mirror($checkpoint->good)),
            moment: $side->mirror(array_column($ladder->moments, null, 'id')[$moment]->name ?? $moment),
            points: (object) array_map(fn (array $at): array => [(float) $at[0], (float) $at[1]], $mark['points']),
            jpeg: FilmPictures::base64($athlete, $look['clip_id'], $look['rep'], $moment),
            target: $clip->target()->value,
            own: $own,
            coach: $own === null ? null : $look['verdict'],
        );
    }

    /** @param  array{clip_id: string, rep: int, moment: string, fault: string}  $point */
    private static function point(array $point, Ladder $ladder, Rung $rung, Athlete $athlete, bool $drawn): ?FilmReviewPointView
    {
        $fault = $rung->fault($point['fault']);
        $checkpoints = array_column($rung->checkpoints, null, 'id');
        $checkpoint = $fault === null ? null : ($checkpoints[$fault->checkpoint] ?? null);
        if ($fault === null || ! $checkpoint instanceof Checkpoint) {
            return null;
        }
        $side = $athlete->sideFor($ladder->skill);
        $moments = array_column($ladder->moments, null, 'id');
        $row = DB::table('clips')->where('id', $point['clip_id'])->where('athlete_id', $athlete->id)->whereNull('withdrawn_at')->first();
        $clip = $row === null || ! $drawn ? null : MeasuredClip::of($row, $side);
        $mark = $clip?->mark($point['rep'], $point['moment']);

        return new FilmReviewPointView(
            checkpoint: $checkpoint->name,
            good: ucfirst($side->mirror($checkpoint->good)),
            seen: $fault->name,
            cue: $side->mirror($fault->cue),
            drill: ucfirst($side->mirror($fault->drill)),
            dose: $fault->dose === null ? null : FilmWording::drillDose($fault->dose),
            moment: $side->mirror($moments[$point['moment']]->name ?? $point['moment']),
            points: (object) array_map(fn (array $at): array => [(float) $at[0], (float) $at[1]], $mark['points'] ?? []),
            jpeg: $mark === null ? null : FilmPictures::base64($athlete, $point['clip_id'], $point['rep'], $point['moment']),
            target: ($clip?->target() ?? Handedness::Right)->value,
        );
    }
}
