<?php

declare(strict_types=1);

namespace App\People\Answers;

/** Somebody with an account. */
final readonly class PersonView
{
    public function __construct(
        public int $id,
        public string $name,
        public string $email,
        /** @var 'coach'|'assistant'|'clinician'|'athlete'|'guardian' */
        public string $role,
        /** @var list<string> */
        public array $sees,
        public bool $closed,
        /** in how many places */
        public int $signed_in_at,
        public bool $head,
        /** a clinician whom the head coach has not confirmed face to face yet */
        public bool $unconfirmed,
        /** a coach of the whole club who is not its head: the head may hand the club over */
        public bool $may_be_head,
    ) {}
}
