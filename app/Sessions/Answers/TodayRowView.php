<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\RungRefView;
use App\Gates\Answers\GateView;
use App\Health\Answers\ChannelView;
use App\Limits\Answers\TapeView;
use App\Returns\Answers\ReturnRefView;

/** One athlete of the squad today. */
final readonly class TodayRowView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $why,
        /** @var list<ChannelView> */
        public array $channels,
        public ?TapeView $tape,
        /** how many are left of the rung’s own dose */
        public string $headroom,
        /** whether any hard limit is near or over */
        public bool $near,
        public ?RungRefView $rung,
        public ?GateView $gate,
        public ?SheetRefView $sheet,
        public int $referrals,
        /** why nobody is to wait for the athlete today */
        public ?string $away,
        /** what happened and is not closed yet */
        public int $incidents,
        /** the coach has to ask, to decide or to look */
        public bool $needs_coach,
        /** the open return, if the athlete is on the way back */
        public ?ReturnRefView $return,
    ) {}
}
