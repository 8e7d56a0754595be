<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;
use App\Library\Answers\FigurePoseView;

/** A card for practice alone. */
final readonly class HomeworkView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @format date */
        public string $date,
        public string $ladder_name,
        public string $rung_name,
        public string $goal,
        public ?string $focus,
        public ?string $cue,
        /** `fault`: the drill of the fault; null: nothing to work on */
        public ?string $drill,
        /** @var list<NamedView> what can be done alone */
        public array $drills,
        public ?FigurePoseView $picture,
        /** @var list<string> */
        public array $look_for,
        /** @var list<HomeworkDayView> */
        public array $days,
        /** why there is nothing to do alone */
        public ?string $none,
        /** @var list<string> */
        public array $stop_when,
        public string $report_back,
        /** @format date */
        public ?string $next_session,
    ) {}
}
