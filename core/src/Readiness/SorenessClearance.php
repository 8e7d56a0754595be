<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Instant;

/** A clinician's recorded permission. It closes what was reported before it at the sites it names. */
final readonly class SorenessClearance
{
    /** @param  list<Site>|null  $sites null for all */
    public function __construct(public Instant $at, public ?array $sites) {}

    public function covers(SorenessReport $report): bool
    {
        return $this->at->isAfter($report->at) && ($this->sites === null || in_array($report->site, $this->sites, true));
    }
}
