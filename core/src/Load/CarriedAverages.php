<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** How far the weighted averages of a series were carried, so that the next day costs a day. It changes no answer, only its cost. */
final class CarriedAverages
{
    public ?int $day = null;

    public float $acute = 0.0;

    public float $chronic = 0.0;
}
