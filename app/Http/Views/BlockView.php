<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One block of a sheet: what is asked, what is given, and why not more. */
#[OA\Schema]
final readonly class BlockView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $kind_name,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $skill,
        #[OA\Property]
        public string $object,
        #[OA\Property]
        public string $side,
        #[OA\Property]
        public ?string $surface,
        #[OA\Property]
        public int $sets,
        #[OA\Property]
        public int $reps,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $reps_by_set,
        #[OA\Property]
        public int $asked_sets,
        /** in all sets together */
        #[OA\Property]
        public int $asked_reps,
        #[OA\Property]
        public float $effort,
        #[OA\Property]
        public float $asked_effort,
        #[OA\Property]
        public ?float $distance_m,
        #[OA\Property]
        public ?float $asked_distance_m,
        #[OA\Property]
        public int $rest_s,
        #[OA\Property]
        public ?int $hold_s,
        #[OA\Property]
        public bool $judged,
        #[OA\Property]
        public bool $counted,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public float $effort_cap,
        /** repetitions that still fit beside the plan; null when no limit binds */
        #[OA\Property]
        public ?int $headroom,
        /** @var list<string> labels of the limits that bind */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $binding,
        #[OA\Property]
        public int $done_reps,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $trims,
    ) {}
}
