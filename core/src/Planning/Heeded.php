<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\InvalidValue;

/** What a coach took of what the record suggests. Nothing of it holds by itself. */
final readonly class Heeded
{
    /**
     * @param  float|null  $units  a session costs at the most, of the part the season loads most; null: not held
     * @param  int|null  $reps  of the rung's own dose a session; null: not held
     * @param  float  $effortLess  taken off every effort that is asked for, 0 to 1
     *
     * @throws InvalidValue
     */
    public function __construct(public ?float $units = null, public ?int $reps = null, public float $effortLess = 0.0)
    {
        if ($units !== null && $units <= 0.0) {
            throw new InvalidValue('A session of no units is none; take the day off instead.');
        }
        if ($reps !== null && $reps < 1) {
            throw new InvalidValue('A session of no repetitions is none; take the day off instead.');
        }
        if ($effortLess < 0.0 || $effortLess > 0.5) {
            throw new InvalidValue('At most 50 points of effort are taken off, and never put on.');
        }
    }
}
