<?php

declare(strict_types=1);

namespace App\People\Answers;

/** What a link opens. */
final readonly class JoinView
{
    public function __construct(
        /** @var 'invitation'|'password' */
        public string $purpose,
        public string $workspace,
        public string $name,
        public ?string $role,
    ) {}
}
