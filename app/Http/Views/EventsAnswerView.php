<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What became of the taps that were sent. */
#[OA\Schema]
final readonly class EventsAnswerView
{
    public function __construct(
        /** @var list<string> ids that are on the record, now or already before */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $kept,
        /** why the others cannot be used, by id */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $refused,
    ) {}
}
