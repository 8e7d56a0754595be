<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** An instant of the movement, and how to find it. */
final readonly class FilmMomentView
{
    public function __construct(public string $id, public string $name, public string $text) {}
}
