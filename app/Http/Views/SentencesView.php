<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What an act did, in words. */
#[OA\Schema]
final readonly class SentencesView
{
    public function __construct(
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $sentences,
    ) {}
}
