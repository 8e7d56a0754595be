<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A key position as joint angles, degrees; 0 hangs down, positive swings towards the target. */
#[OA\Schema]
final readonly class FigurePoseView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public float $trunk,
        /** @var list<float> upper arm, forearm */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $throwing_arm,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $front_arm,
        /** @var list<float> thigh, shin */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $front_leg,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $back_leg,
        /** off the ground, in heads */
        #[OA\Property]
        public float $lift,
        /** in the throwing hand */
        #[OA\Property]
        public ?string $tool,
    ) {}
}
