<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** What a dose would do to every limit it touches. */
final readonly class WhatIfView
{
    public function __construct(
        public string $sentence,
        public bool $fits,
        /** @format date */
        public ?string $fits_on,
        /** @var list<TapeView> */
        public array $tapes,
    ) {}
}
