<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A season as it stands: agreed, done and planned from today. */
#[OA\Schema]
final readonly class SeasonView
{
    public function __construct(
        /** null: not kept yet */
        #[OA\Property]
        public ?string $id,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public AthleteCardView $athlete,
        /** today */
        #[OA\Property(format: 'date')]
        public string $date,
        #[OA\Property]
        public string $ladder,
        #[OA\Property]
        public string $ladder_name,
        /** @var list<NamedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $rungs,
        #[OA\Property]
        public string $current_rung,
        #[OA\Property]
        public ?string $goal_rung,
        #[OA\Property(format: 'date')]
        public string $starts_on,
        #[OA\Property(format: 'date')]
        public string $goal_on,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $weekdays,
        #[OA\Property]
        public ?int $minutes,
        /** @var array<string, string>|\stdClass from day to day */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public array|\stdClass $moves,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', format: 'date'))]
        public array $off,
        #[OA\Property]
        public ?string $agreed_at,
        /** the rung by the goal day */
        #[OA\Property]
        public ?string $reached,
        /** the day the way back is expected to end */
        #[OA\Property(format: 'date')]
        public ?string $return_done,
        /** @var list<SeasonProblemView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonProblemView::class))]
        public array $problems,
        /** what was missed since, in a sentence */
        #[OA\Property]
        public ?string $missed,
        /** whether the plan of today is another one than the agreed */
        #[OA\Property]
        public bool $differs,
        /** @var list<SeasonWeekView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonWeekView::class))]
        public array $weeks,
        /** @var list<SeasonPointView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonPointView::class))]
        public array $curve,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
    ) {}
}
