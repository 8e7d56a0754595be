<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Which bounds hold, from whom, and who is close to what. */
#[OA\Schema]
final readonly class LimitsView
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public SquadView $squad,
        /** @var list<SquadView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        #[OA\Property]
        public string $rule_set,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public string $notice,
        /** @var list<LimitRuleView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LimitRuleView::class))]
        public array $rules,
        /** @var list<SquadLimitRowView> the closest first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadLimitRowView::class))]
        public array $rows,
        /** id of the rule set in force */
        #[OA\Property]
        public string $rule_set_id,
        /** @var list<LimitShareView> what single athletes have of a limit */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LimitShareView::class))]
        public array $shares,
    ) {}
}
