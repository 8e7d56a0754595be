<?php

declare(strict_types=1);

namespace App\Flight\Answers;

/** Something with a name and metres. */
final readonly class NamedMetresView
{
    public function __construct(public string $name, public float $metres) {}
}
