<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What has to be seen to before anybody starts. */
final readonly class StationFlagView
{
    public function __construct(
        public string $code,
        public string $sentence,
    ) {}
}
