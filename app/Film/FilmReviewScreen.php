<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
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
        );
    }

    /**
     * @param  array{clip_id: string, rep: int, moment: string, fault: string}  $point
     * @return string|null the saved picture as base64
     */
    private static function jpeg(Athlete $athlete, array $point): ?string
    {
        $row = FilmPictures::of($athlete->id)->get(FilmPictures::key($point['clip_id'], $point['rep'], $point['moment']));
        $bytes = $row === null || $row->gone_on !== null ? null : FilmFiles::picture($row->id);

        return $bytes === null ? null : base64_encode($bytes);
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
            jpeg: $mark === null ? null : self::jpeg($athlete, $point),
            target: ($clip?->target() ?? Handedness::Right)->value,
        );
    }
}
