<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** The parts of a session, in the order they are run. */
enum BlockKind: string
{
    case WarmUp = 'warm_up';
    case Rehearsal = 'rehearsal';
    case Part = 'part';
    case Whole = 'whole';
    case Target = 'target';
    case GameLike = 'game_like';
    case OtherSide = 'other_side';
    case CoolDown = 'cool_down';

    /** @return int place in a session, from 0 */
    public function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
