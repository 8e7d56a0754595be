<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** Whom a child may be handed to. */
final readonly class CollectorsView
{
    public function __construct(
        /** a child, or somebody whose age is not known */
        public bool $needed,
        /** @var list<string> */
        public array $names,
        public bool $may_change,
    ) {}
}
