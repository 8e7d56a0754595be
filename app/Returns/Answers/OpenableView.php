<?php

declare(strict_types=1);

namespace App\Returns\Answers;

/** A ladder of an athlete with the programmes made for its skill. */
final readonly class OpenableView
{
    public function __construct(
        public string $ladder,
        public string $ladder_name,
        /** @var list<ProgrammeView> */
        public array $programmes,
    ) {}
}
