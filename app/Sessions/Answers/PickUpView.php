<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A child after a session, and who took it home. */
final readonly class PickUpView
{
    public function __construct(
        public string $athlete_id,
        public string $name,
        /** @var list<string> whom the guardian named */
        public array $may,
        /** null: nobody said yet */
        public ?string $collected_by,
        /** false: the guardian had not named them */
        public bool $on_list,
    ) {}
}
