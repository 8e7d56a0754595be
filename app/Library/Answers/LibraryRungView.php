<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A rung as a page of a manual. */
final readonly class LibraryRungView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $goal,
        public bool $outcome_ignored,
        /** @var list<string> */
        public array $checkpoints,
        /** @var list<string> */
        public array $faults,
        /** @var list<LibraryBlockView> */
        public array $blocks,
        /** in place of what no space can hold */
        public ?LibraryBlockView $indoor,
        public string $gate,
        /** @var list<string> misses that harm nothing, in words */
        public array $safe_misses,
        /** @var list<TaughtView> none of a ladder that does not say */
        public array $teaching,
        /** what is done on it from a chair */
        public ?string $seated,
    ) {}
}
