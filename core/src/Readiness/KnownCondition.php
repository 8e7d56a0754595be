<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;

/**
 * Something a clinician knows of and has set: a report within it counts as reduced, not as news. Without it people
 * learn to report zero.
 */
final readonly class KnownCondition
{
    /**
     * @param  string|null  $side  null for either side
     * @param  int  $upToScore  1 to 7: from 8 a report is never ordinary
     * @param  Day  $from  the day it was set; it never explains away what was reported before
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Site $site,
        public ?string $side,
        public Kind $kind,
        public int $upToScore,
        public Day $from,
        public Day $until,
    ) {
        if ($upToScore < 1 || $upToScore > 7) {
            throw new InvalidValue("A known condition holds up to a score of 1 to 7, not {$upToScore}.");
        }
        if ($kind->alwaysRefers()) {
            throw new InvalidValue(
                'Numbness, swelling, locking and head knocks go to a clinician each time: none of them is a known condition.',
            );
        }
    }

    public function covers(SorenessReport $report): bool
    {
        return $report->score >= 1 && $report->site === $this->site && $report->kind === $this->kind && $report->score <= $this->upToScore
            && ($this->side === null || $report->side === $this->side)
            && ! $this->from->isAfter($report->at->day) && ! $report->at->day->isAfter($this->until);
    }
}
