<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** How it was held on a day, and what the ball did. */
final readonly class GripNoteView
{
    public function __construct(
        public string $id,
        /** @format date */
        public string $day,
        public string $fingers,
        public string $pressure,
        public string $thumb,
        /** what the ball did */
        public string $did,
        /** @var list<'fingers'|'pressure'|'thumb'> what is otherwise than the time before */
        public array $changed,
        /** said where several were changed at once */
        public ?string $warning,
    ) {}
}
