<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;

/** A net, and the box behind it that a serve has to come down in. Metres from the server, x towards the net and y to the left. */
final readonly class Court
{
    /**
     * @param  float  $netM  x of the net
     * @param  float  $nearM  x at which the box begins
     * @param  float  $farM  and ends
     * @param  float  $rightM  y of its right line
     * @param  float  $leftM  and of its left one
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $netM,
        public float $netHeightM,
        public float $nearM,
        public float $farM,
        public float $rightM,
        public float $leftM,
    ) {
        if ($nearM >= $farM || $rightM >= $leftM) {
            throw new InvalidValue('A box reaches from near to far, and from right to left.');
        }
    }
}
