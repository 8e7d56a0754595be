<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Somebody with an account. */
#[OA\Schema]
final readonly class PersonView
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['coach', 'assistant', 'clinician', 'athlete', 'guardian'])]
        public string $role,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $sees,
        #[OA\Property]
        public bool $closed,
        /** in how many places */
        #[OA\Property]
        public int $signed_in_at,
        #[OA\Property]
        public bool $head,
        /** a clinician whom the head coach has not confirmed face to face yet */
        #[OA\Property]
        public bool $unconfirmed,
        /** a coach of the whole club who is not its head: the head may hand the club over */
        #[OA\Property]
        public bool $may_be_head,
    ) {}
}
