<?php

declare(strict_types=1);

namespace App\Http;

/** A rule of our own that says what it lets through. */
interface Described
{
    /** @return array<string, mixed> a JSON schema */
    public static function schema(): array;
}
