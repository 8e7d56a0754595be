<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\InvalidValue;

/** How many of the repetitions a ladder names somebody of one age does, as shares of them. */
final readonly class DoseShares
{
    /**
     * @param  float  $asked  what a rung asks for
     * @param  float  $begun  what a rung is begun with where the last four weeks carried nothing
     * @param  float  $most  what is done at most where they carried as much
     *
     * @throws InvalidValue
     */
    public function __construct(public float $asked, public float $begun, public float $most)
    {
        if ($begun <= 0.0 || $begun > $asked || $asked > $most) {
            throw new InvalidValue(
                "Shares of {$begun}, {$asked} and {$most}: begun is above 0 and at most what is asked, and that at most the most.",
            );
        }
    }
}
