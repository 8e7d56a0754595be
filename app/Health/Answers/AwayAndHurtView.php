<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** Days away, what a clinician restricts and what happened: what stands and what lies ahead first. */
final readonly class AwayAndHurtView
{
    public function __construct(
        /** @var list<AbsenceView> */
        public array $absences,
        /** @var list<RestrictionView> */
        public array $restrictions,
        /** @var list<IncidentView> */
        public array $incidents,
    ) {}
}
