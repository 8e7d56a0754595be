<?php

declare(strict_types=1);

namespace App\Http;

/** A refusal of the job itself: a stale edit, a hard limit, a missing clearance. */
final class Problem extends \RuntimeException
{
    /**
     * @param  array<string, list<string>>  $errors  by field path
     * @param  array<string, mixed>  $extra  further members of the answer
     */
    public function __construct(
        public readonly ProblemType $type,
        string $detail,
        public readonly array $errors = [],
        public readonly array $extra = [],
    ) {
        parent::__construct($detail);
    }
}
