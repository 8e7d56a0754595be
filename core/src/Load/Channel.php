<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** The part of the body that pays for a repetition. */
enum Channel: string
{
    case Arm = 'arm';
    case Hand = 'hand';
    case Trunk = 'trunk';
    case Landing = 'landing';

    /** What this part of the body pays in. */
    public function measure(): Measure
    {
        return $this === self::Landing ? Measure::Landings : Measure::from($this->value);
    }
}
