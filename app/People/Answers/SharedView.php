<?php

declare(strict_types=1);

namespace App\People\Answers;

/** Somebody with an account who sees an athlete. */
final readonly class SharedView
{
    public function __construct(
        public int $id,
        public string $name,
        /** @var 'coach'|'assistant'|'clinician'|'athlete'|'guardian' */
        public string $role,
        /** who agreed to it; null: it came with the invitation */
        public ?string $agreed_by,
        public ?string $agreed_on,
        public bool $may_be_taken_back,
    ) {}
}
