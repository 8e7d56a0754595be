<?php

declare(strict_types=1);

namespace App\Gates\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\RungRefView;

/** Where one athlete stands at the gate of one ladder. */
final readonly class GateRowView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public RungRefView $rung,
        public GateView $gate,
        /** @var 'ready'|'watch'|'stuck'|'rest'|'return' */
        public string $group,
        /** what it waits for, in a sentence */
        public ?string $why,
        /** chance that the next six judged repetitions open the mechanics */
        public float $opens,
        public float $steps_back,
        /** on the rung */
        public int $days,
        /** two people see this rung differently, in a sentence */
        public ?string $agreement,
        /** since when the athlete is ready for a match, and who said so */
        public ?string $match_ready,
    ) {}
}
