<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;
use App\Courtside\Answers\HonestEffortView;

/** An athlete’s load on one time axis, past and planned. */
final readonly class LoadView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @format date */
        public string $date,
        /** @var list<LoadLaneDayView> */
        public array $days,
        /** @var list<LoadEventView> */
        public array $events,
        /** @var array<string, float>|\stdClass the day’s cap by measure, where a hard limit gives one */
        public array|\stdClass $caps,
        public ?ProtectView $protect,
        /** @var list<HonestEffortView> */
        public array $honest,
        /** @var list<string> months with overhead work, time off, seasons at once */
        public array $year,
        /** @var list<NamedView> */
        public array $skills,
        /** @var list<float> of the ratio limit in force: low, high, stop; empty without one */
        public array $ratio_band,
    ) {}
}
