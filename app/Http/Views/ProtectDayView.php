<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What a day before a match may hold at most. */
#[OA\Schema]
final readonly class ProtectDayView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        /** null: no limit binds */
        #[OA\Property]
        public ?int $reps,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $binding,
    ) {}
}
