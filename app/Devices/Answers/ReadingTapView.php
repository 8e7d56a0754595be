<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** A repetition that was tapped. */
final readonly class ReadingTapView
{
    public function __construct(public string $id, public string $athlete, public float $at_s) {}
}
