<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Gates\Answers\GateView;
use App\Gates\Answers\JudgedSessionView;
use App\Gates\Answers\MatchReadyView;
use App\Gates\Answers\PlacingView;
use App\Gates\Answers\ProgressView;

/** A ladder as this athlete climbs it. */
final readonly class LadderView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $summary,
        /** @var list<RungView> */
        public array $rungs,
        public string $current,
        public ?string $next,
        public ?string $previous,
        public GateView $gate,
        public string $gate_asks,
        /** @var list<JudgedSessionView> what the gate looks at, the latest first */
        public array $sessions,
        public string $skill,
        public ProgressView $progress,
        /** how long a set stays good, in a sentence; null while nothing shows */
        public ?string $set_length,
        /** whether two people see the same on this rung; null while too little was judged by two */
        public ?string $agreement,
        public ?MatchReadyView $match_ready,
        public ?PlacingView $placing,
    ) {}
}
