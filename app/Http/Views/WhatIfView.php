<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What a dose would do to every limit it touches. */
#[OA\Schema]
final readonly class WhatIfView
{
    public function __construct(
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public bool $fits,
        #[OA\Property(format: 'date')]
        public ?string $fits_on,
        /** @var list<TapeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeView::class))]
        public array $tapes,
    ) {}
}
