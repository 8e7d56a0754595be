<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\InvalidValue;
use Augendo\Core\Tolerance;

/** How much of what a ladder names somebody of one age does: shares of its repetitions, and the most effort. */
final readonly class DoseShares
{
    /**
     * @param  float  $asked  what a rung asks for
     * @param  float  $begun  what a rung is begun with where the last four weeks carried nothing
     * @param  float  $most  what is done at most where they carried as much
     * @param  float  $hardest  the most effort a rung asks for, 0 to 1
     *
     * @throws InvalidValue
     */
    public function __construct(public float $asked, public float $begun, public float $most, public float $hardest = 1.0)
    {
        if ($begun <= 0.0 || $begun > $asked || $asked > $most) {
            throw new InvalidValue(
                "Shares of {$begun}, {$asked} and {$most}: begun is above 0 and at most what is asked, and that at most the most.",
            );
        }
        if ($hardest <= 0.0 || $hardest > 1.0) {
            throw new InvalidValue("An effort of {$hardest} is not above 0 and at most 1.");
        }
    }

    /** Whether anything at all is asked for at full effort. */
    public function askForFullEffort(): bool
    {
        return Tolerance::atLeast($this->hardest, 1.0);
    }
}
