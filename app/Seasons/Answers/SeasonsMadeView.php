<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** What became of planning a season for everybody. */
final readonly class SeasonsMadeView
{
    public function __construct(
        public int $seasons,
        /** @var list<string> */
        public array $left_out,
    ) {}
}
