<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/**
 * What the application knows around the reports: conditions a clinician set, illnesses, and whether the strict school
 * holds a none overnight.
 */
final readonly class DayContext
{
    /**
     * @param  list<KnownCondition>  $conditions
     * @param  bool  $holdsOvernight  in the strict school, a none from joint or sharp pain holds until the next morning's report
     * @param  bool  $countsMissing  whether repetitions are known to lie on a device that has not sent them: what was
     *         done is then not known
     * @param  list<Illness>  $illnesses
     */
    public function __construct(
        public array $conditions = [],
        public bool $holdsOvernight = false,
        public bool $countsMissing = false,
        public array $illnesses = [],
    ) {}

    public function knows(SorenessReport $report): bool
    {
        foreach ($this->conditions as $condition) {
            if ($condition->covers($report)) {
                return true;
            }
        }

        return false;
    }
}
