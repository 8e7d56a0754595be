<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

/** What a rung asks before an athlete moves on. Reachable by a coach of twelve, who judges five or six reps of each a session. */
final readonly class Gate
{
    /**
     * @param  int|null  $streak  good reps in a row within one session; null when none is asked for
     * @param  bool  $confirmAfterFail  after a look that failed, two looks in a row must have passed: who is looked at
     *         often enough is else let through by luck
     * @param  float  $maxFade  how far the good rate may fall from the first to the last third of the latest session
     */
    public function __construct(
        public int $windowSessions = 4,
        public int $minReps = 12,
        public int $minSessions = 2,
        public float $targetRate = 0.8,
        public float $confidence = 0.9,
        public float $lowerBound = 0.65,
        public ?int $streak = null,
        public int $safetyWindowReps = 20,
        public int $maxSafetyFaults = 0,
        public float $maxFade = 0.34,
        public int $sorenessDays = 3,
        public int $sorenessMax = 2,
        public bool $needsMorningAfter = true,
        public float $stepBackRate = 0.35,
        public int $maxAgeDays = 60,
        public bool $confirmAfterFail = true,
    ) {}
}
