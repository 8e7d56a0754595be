<?php

declare(strict_types=1);

namespace App\Film\Answers;

use App\Athletes\Answers\AthleteCardView;

/** What an athlete’s film page needs to know. */
final readonly class FilmView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @format date */
        public string $date,
        /** whether the camera may open */
        public bool $may_film,
        /** @var list<string> whose consent is missing, in words */
        public array $missing,
        /** @var list<string> the roles whose consent is asked: guardian, athlete */
        public array $asked,
        /** @var list<FilmConsentView> */
        public array $consents,
        /** @var list<FilmLadderView> */
        public array $ladders,
        /** @var list<ClipView> the latest first */
        public array $clips,
        /** @var list<FilmReviewSentView> the latest first */
        public array $reviews,
        /** whether single pictures may be saved */
        public bool $may_keep_pictures,
        public ?AskedClipView $asked_clip,
        /** @var array<string, float>|\stdClass the longest each limb looked, in lengths of the trunk */
        public array|\stdClass $longest_limbs,
        /** from how many degrees on it is told that a limb is turned out of the picture */
        public float $turned_from_deg,
        /** @var list<string> every point that can be put on a picture */
        public array $landmarks,
        /** standard deviation of a point put by hand, as a share of the picture’s longer side */
        public float $hand_spread_share,
        /** the same of a point that the model on the device proposed */
        public float $model_spread_share,
    ) {}
}
