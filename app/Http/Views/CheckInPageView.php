<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What a personal check-in page needs to know. */
#[OA\Schema]
final readonly class CheckInPageView
{
    public function __construct(
        #[OA\Property]
        public string $given_name,
        /** under nine: faces stand for scores */
        #[OA\Property]
        public bool $young,
        #[OA\Property]
        public bool $asks_wellness,
        /** yesterday's session, when its morning report is missing */
        #[OA\Property]
        public ?string $morning_after,
        /** whether knee, heel and elbow are asked about */
        #[OA\Property]
        public bool $asks_growth,
        /** @var list<string> what was reported today already */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $today,
        #[OA\Property]
        public string $word,
        /** the next session and its dose, in words */
        #[OA\Property]
        public ?string $next,
    ) {}
}
