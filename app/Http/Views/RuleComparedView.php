<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One athlete under both rule sets. */
#[OA\Schema]
final readonly class RuleComparedView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        /** days over a hard limit under the rule set in force */
        #[OA\Property]
        public int $now_days,
        /** under the other */
        #[OA\Property]
        public int $then_days,
        /** @var list<string> which, on which day */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $then,
    ) {}
}
