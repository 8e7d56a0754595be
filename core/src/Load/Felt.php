<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** How hard work was that nobody measured: what is asked before an effort is taken as unknown, which counts as full. */
enum Felt: string
{
    case Easy = 'easy';
    case Middling = 'middling';
    case Hard = 'hard';

    /** @return float effort, 0 to 1 */
    public function effort(): float
    {
        return match ($this) {
            self::Easy => 0.4,
            self::Middling => 0.65,
            self::Hard => 0.95,
        };
    }
}
