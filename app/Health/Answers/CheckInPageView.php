<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** What a personal check-in page needs to know. */
final readonly class CheckInPageView
{
    public function __construct(
        public string $given_name,
        /** under nine: faces stand for scores */
        public bool $young,
        public bool $asks_wellness,
        /** yesterday's session, when its morning report is missing */
        public ?string $morning_after,
        /** whether knee, heel and elbow are asked about */
        public bool $asks_growth,
        /** @var list<string> what was reported today already */
        public array $today,
        public string $word,
        /** the next session and its dose, in words */
        public ?string $next,
    ) {}
}
