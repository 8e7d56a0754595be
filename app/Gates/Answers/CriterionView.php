<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** One criterion of a gate with its evidence in words. */
final readonly class CriterionView
{
    public function __construct(
        public string $name,
        public string $label,
        /** @var 'pass'|'fail'|'unknown'|'short' */
        public string $verdict,
        public string $evidence,
        public bool $overridable,
    ) {}
}
