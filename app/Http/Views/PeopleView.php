<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Who sees what, and what they did. */
#[OA\Schema]
final readonly class PeopleView
{
    public function __construct(
        /** @var list<PersonView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PersonView::class))]
        public array $people,
        /** @var list<LinkView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LinkView::class))]
        public array $links,
        /** @var list<AuditView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AuditView::class))]
        public array $audit,
        /** @var list<SquadView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        /** @var list<NamedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $athletes,
        /** whether personal pages ask for sleep, energy and illness */
        #[OA\Property]
        public bool $asks_wellness,
    ) {}
}
