<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** What happened, what was done and who was told. */
final readonly class IncidentView
{
    public function __construct(
        public string $id,
        public string $title,
        public string $at,
        public string $what,
        /** @var list<string> what was done and who was told, oldest first */
        public array $entries,
        public ?string $closed_at,
        /** @var list<string> what has to happen before it can be closed */
        public array $missing,
        /** to be handed to a clinician or a guardian as it is */
        public string $text,
    ) {}
}
