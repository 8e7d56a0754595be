<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** One thing to practise. */
final readonly class HomeworkBlockView
{
    public function __construct(
        public string $title,
        public string $text,
        public string $dose,
        public ?int $hold_s,
        /** feed and tempo; null: nobody has said */
        public ?string $how,
    ) {}
}
