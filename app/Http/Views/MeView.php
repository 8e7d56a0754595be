<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Who is signed in, and what they may do. */
#[OA\Schema]
final readonly class MeView
{
    public function __construct(
        /** whose what is kept on a device is */
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $role,
        #[OA\Property]
        public string $workspace,
        /** YYYY-MM-DD where the club trains */
        #[OA\Property]
        public string $today,
        #[OA\Property]
        public bool $records,
        #[OA\Property]
        public bool $decides,
        #[OA\Property]
        public bool $clears,
        /** @var list<SquadView> those somebody works with */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        /** what an unconfirmed clinician shows the head coach, face to face; null otherwise */
        #[OA\Property]
        public ?string $code,
        #[OA\Property]
        public bool $head,
    ) {}
}
