<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\RungRefView;
use App\Gates\Answers\GateView;
use App\Gates\Answers\PlacingView;
use App\Gates\Answers\ProgressView;
use App\Limits\Answers\TapeView;
use App\Returns\Answers\ReturnRefView;
use App\Sessions\Answers\SheetRefView;

/** A finished session in one look. */
final readonly class AfterView
{
    public function __construct(
        public SheetRefView $sheet,
        public AthleteCardView $athlete,
        public int $good,
        public int $observed,
        public int $unobserved,
        public string $strip,
        /** the leading fault in words */
        public ?string $pattern,
        public ?string $cue,
        public ?string $drill,
        /** @var array<string, int>|\stdClass how often each fault was seen, by its name */
        public array|\stdClass $faults,
        /** @var list<string> what repetitions were besides, how many, and what that tells */
        public array $tags,
        public GateView $gate,
        public RungRefView $rung,
        public ?string $next_rung,
        public ?string $previous_rung,
        /** @var list<TapeView> */
        public array $tapes,
        public string $tomorrow,
        /** the return this session was a stage of */
        public ?ReturnRefView $return,
        /** rest, step back or stop, as the last repetitions ask */
        public ?string $nudge,
        /** @var list<FaultView> up to three to work on next, with their drills */
        public array $focus,
        public ProgressView $progress,
        /** where they landed; null while fewer than three were touched */
        public ?GroupingView $grouping,
        /** @var list<PlayedRoundView> rounds played on its blocks, in order */
        public array $rounds,
        /** what was tried in this session and went with better repetitions, in a sentence */
        public ?string $helped,
        /** @var list<string> how hard sets felt against what was asked */
        public array $felt,
        /** @var list<string> soreness reported while working that was more than anything said before that day */
        public array $grew,
        /** what was tapped although the work had to stop; null when nothing was */
        public ?string $after_stop,
        /** @var list<string> stops that were gone on from, with the reason */
        public array $went_on,
        /** @var list<string> where two devices say different things */
        public array $conflicts,
        public ?string $set_length,
        public ?string $agreement,
        public ?PlacingView $placing,
        /** @var list<BlockCountView> those that count, to be put right */
        public array $counts,
        /** @var list<CorrectionView> the latest first */
        public array $corrections,
        /** the session was put on the calendar after its day */
        public bool $entered_late,
        /** whether it was a test day: what was measured is written down */
        public bool $was_test,
        public bool $may_correct,
    ) {}
}
