<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

enum Kind: string
{
    case Muscle = 'muscle';
    case Joint = 'joint';
    case Sharp = 'sharp';
    case Numb = 'numb';
    case Swelling = 'swelling';
    case Locking = 'locking';
    case Skin = 'skin';
    case Head = 'head';

    /** The kinds that refer at any score above 0. */
    public function alwaysRefers(): bool
    {
        return in_array($this, [self::Numb, self::Swelling, self::Locking, self::Head], true);
    }

    /** The kinds that refer the whole athlete, not only the part that hurts. */
    public function refersEverything(): bool
    {
        return $this === self::Head || $this === self::Numb || $this === self::Locking;
    }
}
