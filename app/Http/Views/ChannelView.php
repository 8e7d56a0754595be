<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The word of one part of the body, with its reasons. */
#[OA\Schema]
final readonly class ChannelView
{
    public function __construct(
        #[OA\Property(enum: ['arm', 'hand', 'trunk', 'landing'])]
        public string $channel,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        /** @var list<ReasonView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReasonView::class))]
        public array $reasons,
    ) {}
}
