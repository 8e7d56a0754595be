<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Whether two people see the same. */
#[OA\Schema]
final readonly class AgreementView
{
    public function __construct(
        #[OA\Property]
        public string $who,
        /** repetitions both judged */
        #[OA\Property]
        public int $both,
        #[OA\Property]
        public int $same,
        /** agreement beyond chance, Cohen’s; null when one verdict explains everything */
        #[OA\Property]
        public ?float $kappa,
        /** of its 95 % interval */
        #[OA\Property]
        public ?float $low,
        #[OA\Property]
        public ?float $high,
        /** the checkpoint that splits them */
        #[OA\Property]
        public ?string $splits_on,
        #[OA\Property]
        public bool $weak,
        #[OA\Property]
        public bool $enough,
    ) {}
}
