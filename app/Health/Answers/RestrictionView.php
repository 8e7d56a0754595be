<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** What a clinician allows, with dates. */
final readonly class RestrictionView
{
    public function __construct(
        public string $id,
        public string $sentence,
        public string $clinician_name,
        public ?string $note,
        public bool $open,
        public bool $may_lift,
    ) {}
}
