<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Courtside\Answers\FaultView;
use App\Film\Answers\ClipMarkView;
use App\Film\Answers\ClipRepView;
use App\Film\Answers\ClipView;
use App\Film\Answers\FilmCheckpointView;
use App\Film\Answers\FilmConsentView;
use App\Film\Answers\FilmFigureView;
use App\Film\Answers\FilmLadderView;
use App\Film\Answers\FilmMeasureView;
use App\Film\Answers\FilmMomentView;
use App\Film\Answers\FilmReviewSentView;
use App\Film\Answers\FilmView;
use App\People\Link;
use App\People\User;
use App\Wording\FilmWording;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Frames\Foreshortening;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\MeasureBand;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Moment;
use Augendo\Core\Library\Rung;
use Illuminate\Support\Collection;

/** What does a picture say of the checkpoints, and what did earlier ones? */
final class FilmScreen
{
    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, User $by): FilmView
    {
        $today = $by->workspace->today();
        $day = new AthleteDay($athlete, $today);
        $ladders = [];
        foreach ($day->ladders->placementsOf($athlete) as $placement) {
            $ladder = $day->ladders->ladder($placement);
            $rung = $ladder->rung($placement->rung);
            if ($rung !== null && $ladder->moments !== []) {
                $ladders[$ladder->id] = [$ladder, $rung];
            }
        }
        $missing = FilmConsents::missing($athlete, $today);
        $pictures = FilmPictures::of($athlete->id);
        $clips = Clips::of($athlete->id);
        $longest = MeasuredClip::longest($clips);

        return new FilmView(
            athlete: Cards::athlete($athlete, $today),
            date: $today->iso(),
            may_film: $missing === [],
            missing: array_map(FilmWording::missing(...), $missing),
            asked: FilmConsent::asked($athlete->ageOn($today)),
            consents: FilmConsents::of($athlete->id)->map(self::consent(...))->values()->all(),
            ladders: array_map(
                fn (array $of): FilmLadderView => $this->ladder($of[0], $of[1], $athlete, $today), array_values($ladders),
            ),
            clips: $clips
                ->filter(fn (\stdClass $row): bool => isset($ladders[$row->ladder]))
                ->map(fn (\stdClass $row): ClipView => self::clip($row, $ladders[$row->ladder][0], $athlete, $pictures, $longest))
                ->values()
                ->all(),
            reviews: FilmReviews::of($athlete->id)
                ->map(fn (\stdClass $row): FilmReviewSentView => $this->review($row, $athlete))
                ->values()
                ->all(),
            may_keep_pictures: $missing === [] && FilmConsents::mayKeepPictures($athlete, $today),
            asked_clip: AskedClips::view($athlete, $today),
            longest_limbs: (object) $longest,
            turned_from_deg: Foreshortening::TOLD_FROM_DEG,
            landmarks: Landmarks::names(),
            hand_spread_share: FrameFigure::HAND_SPREAD_SHARE,
            model_spread_share: FrameFigure::MODEL_SPREAD_SHARE,
        );
    }

    private static function consent(\stdClass $row): FilmConsentView
    {
        return new FilmConsentView(
            id: $row->id,
            sentence: FilmWording::consent(
                role: $row->role,
                by: $row->given_by,
                ownPage: (bool) $row->own_page,
                secondPerson: $row->second_person,
                kind: $row->kind,
                pictures: (bool) $row->pictures,
                on: Day::of(substr($row->given_on, 0, 10)),
                withdrawn: $row->withdrawn_on === null ? null : Day::of(substr($row->withdrawn_on, 0, 10)),
            ),
            holds: FilmConsents::holds($row),
            withdrawn: $row->withdrawn_on !== null,
        );
    }

    private function review(\stdClass $row, Athlete $athlete): FilmReviewSentView
    {
        $rung = $this->library->ladder($row->ladder, (int) $row->ladder_version)->rung($row->rung);
        $faults = array_column(json_decode($row->points, true), 'fault');
        $link = $row->link_id === null ? null : Link::query()->find($row->link_id);

        return new FilmReviewSentView($row->id, FilmWording::reviewSent(
            names: array_map(fn (string $id): string => $rung?->fault($id)->name ?? $id, $faults),
            on: Day::of(substr($row->made_on, 0, 10)),
            whom: $link->label ?? '',
            until: $link === null ? null : Day::of($link->expires_at->toDateString()),
            opened: (int) $row->opened,
            agreement: OwnLooks::agreement($row, $athlete),
        ));
    }

    private function ladder(Ladder $ladder, Rung $rung, Athlete $athlete, Day $today): FilmLadderView
    {
        $side = $athlete->sideFor($ladder->skill);
        $safety = array_map(
            fn (Fault $fault): string => $fault->checkpoint,
            array_filter($rung->faults, fn (Fault $fault): bool => $fault->safety),
        );

        return new FilmLadderView(
            id: $ladder->id,
            name: $ladder->name,
            rung: $rung->id,
            rung_name: $rung->name,
            side: $side->value,
            moments: array_map(
                fn (Moment $moment): FilmMomentView => new FilmMomentView(
                    $moment->id, $side->mirror($moment->name), ucfirst($side->mirror($moment->text)), $moment->find?->value,
                ),
                $ladder->moments,
            ),
            checkpoints: array_map(
                fn (Checkpoint $checkpoint): FilmCheckpointView => new FilmCheckpointView(
                    id: $checkpoint->id,
                    name: $checkpoint->name,
                    good: ucfirst($side->mirror($checkpoint->good)),
                    safety: in_array($checkpoint->id, $safety, true),
                    measure: $checkpoint->measure === null ? null : self::measure($checkpoint->measure, $side),
                ),
                $rung->checkpoints,
            ),
            faults: array_map(
                fn (Fault $fault): FaultView => FaultView::of($fault, $side, $this->library->figures()),
                $rung->faults,
            ),
            counted: ClipEvidence::counted($athlete, $ladder->id, $rung->id, $today),
        );
    }

    private static function measure(MeasureBand $band, Handedness $side): FilmMeasureView
    {
        return new FilmMeasureView(
            moment: $band->moment,
            figure: $band->figure->value,
            name: FilmWording::figure($band->figure),
            unit: $band->figure->unit(),
            low: $band->low,
            high: $band->high,
            needs: $band->figure->needs($side),
            needs_runway: $band->figure->needsRunway(),
        );
    }

    /**
     * @param  Collection<string, \stdClass>  $pictures  see FilmPictures
     * @param  array<string, float>  $longest  of the athlete's limbs
     */
    private static function clip(\stdClass $row, Ladder $ladder, Athlete $athlete, Collection $pictures, array $longest): ClipView
    {
        $clip = MeasuredClip::of($row, $athlete->sideFor($ladder->skill), $longest);
        $rung = $ladder->rung($row->rung);

        return new ClipView(
            id: $row->id,
            filmed_on: substr($row->filmed_on, 0, 10),
            ladder: $row->ladder,
            rung: $row->rung,
            rung_name: $rung->name ?? $row->rung,
            kept_by: $row->by,
            target: $clip->target()->value,
            reps: array_map(fn (int $rep): ClipRepView => self::rep($clip, $rep, $ladder, $rung, $pictures), $clip->reps()),
        );
    }

    /** @param  Collection<string, \stdClass>  $pictures  see FilmPictures */
    private static function rep(MeasuredClip $clip, int $rep, Ladder $ladder, ?Rung $rung, Collection $pictures): ClipRepView
    {
        $marks = $times = [];
        $before = null;
        foreach ($ladder->moments as $moment) {
            $mark = $clip->mark($rep, $moment->id);
            if ($mark === null) {
                continue;
            }
            $points = array_map(fn (array $at): array => [(float) $at[0], (float) $at[1]], $mark['points']);
            $picture = $pictures->get(FilmPictures::key($clip->row->id, $rep, $moment->id));
            $marks[] = new ClipMarkView(
                moment: $moment->id,
                time_s: (float) $mark['time_s'],
                points: (object) $points,
                picture: $picture === null || $picture->gone_on !== null ? null : $picture->id,
                picture_gone: $picture?->gone_on === null
                    ? null
                    : FilmWording::pictureGone(Day::of(substr($picture->gone_on, 0, 10))),
            );
            if ($before !== null && $clip->row->pictures_a_second !== null) {
                $times[] = FilmWording::between($before[0], $moment->name, (float) $mark['time_s'] - $before[1]);
            }
            $before = [$moment->name, (float) $mark['time_s']];
        }
        $figures = array_map(
            fn (Checkpoint $checkpoint): ?FilmFigureView => self::figure($clip, $rep, $checkpoint), $rung->checkpoints ?? [],
        );

        return new ClipRepView($rep, $marks, array_values(array_filter($figures)), $times);
    }

    private static function figure(MeasuredClip $clip, int $rep, Checkpoint $checkpoint): ?FilmFigureView
    {
        $judged = $clip->look($rep, $checkpoint);
        if ($judged === null || $checkpoint->measure === null) {
            return null;
        }

        return new FilmFigureView(
            checkpoint: $checkpoint->id,
            name: $checkpoint->name,
            text: FilmWording::value($checkpoint->measure->figure, $judged->value, $judged->spread),
            value: $judged->value,
            spread: $judged->spread,
            look: $judged->look->value,
            turned: $judged->turnedDeg === null ? null : FilmWording::turned($judged->turnedDeg),
            said: $clip->saidOf($rep, $checkpoint->id),
        );
    }
}
