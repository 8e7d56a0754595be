<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** Why a season is not quite what was asked, and the way out. */
final readonly class SeasonProblemView
{
    public function __construct(
        public string $code,
        public string $what,
        public string $way_out,
    ) {}
}
