<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** What became of readings that were sent. */
final readonly class TakenView
{
    public function __construct(
        public int $taken,
        /** that were here already: nothing is counted twice */
        public int $known,
        /** how far the device's clock is behind ours; null: it did not say what it shows */
        public ?float $clock_off_s,
    ) {}
}
