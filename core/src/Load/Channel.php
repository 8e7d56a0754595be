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

    /** @return bool whether the left and the right pay on their own; the trunk and the legs carry both sides */
    public function hasSides(): bool
    {
        return $this === self::Arm || $this === self::Hand;
    }

    /** What this part of the body pays in. */
    public function measure(): Measure
    {
        return $this === self::Landing ? Measure::Landings : Measure::from($this->value);
    }
}
