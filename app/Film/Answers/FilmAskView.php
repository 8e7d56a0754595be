<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** Whether whoever holds a personal page has agreed to film. */
final readonly class FilmAskView
{
    public function __construct(public bool $agreed, /** the athlete’s own page; else a guardian’s */ public bool $as_athlete) {}
}
