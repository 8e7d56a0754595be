<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

use App\Gates\Answers\DecisionView;
use App\Gates\Answers\SecondLookView;
use App\Health\Answers\ChannelView;
use App\Health\Answers\ClearanceView;
use App\Health\Answers\ReferralView;
use App\Health\Answers\SorenessView;
use App\Library\Answers\LadderView;
use App\Limits\Answers\LoadDayView;
use App\Limits\Answers\TapeView;
use App\Returns\Answers\ReturnRefView;
use App\Seasons\Answers\WeekElsewhereView;
use App\Seasons\Answers\WorkBesideView;
use App\Sessions\Answers\SheetRefView;

/** Where an athlete stands and how she got here. */
final readonly class AthleteView
{
    public function __construct(
        public AthleteCardView $athlete,
        public string $date,
        public string $squad,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $why,
        public string $school,
        /** @var list<ChannelView> */
        public array $channels,
        /** @var list<ReferralView> */
        public array $referrals,
        /** @var list<ClearanceView> */
        public array $clearances,
        /** @var list<LadderView> */
        public array $ladders,
        /** whether a serve that a court of the library knows is on a rung of theirs */
        public bool $serves,
        /** @var list<LoadDayView> */
        public array $days,
        /** @var list<TapeView> */
        public array $tapes,
        /** @var list<SorenessView> */
        public array $soreness,
        /** @var list<DecisionView> */
        public array $decisions,
        /** @var list<SecondLookView> decisions that would not pass any more */
        public array $second_looks,
        /** @var list<SheetRefView> */
        public array $sheets,
        /** @var array<string, float|null> of the arm series */
        public array $statistics,
        /** @var list<ReturnRefView> open and finished ones */
        public array $returns,
        /** growing fast, so limits are tighter and knee, heel and elbow are asked about */
        public bool $growing_fast,
        /** taps that lie on a device and are not sent, because who made them is not signed in on it */
        public int $missing_counts,
        public WeekElsewhereView $elsewhere,
        /** @var list<WorkBesideView> planned for today or the last days, and not told yet */
        public array $beside,
    ) {}
}
