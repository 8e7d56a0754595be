<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** What a measure says of a checkpoint. */
enum Look: string
{
    case Right = 'right';
    case Wrong = 'wrong';
    case Uncertain = 'uncertain';

    /**
     * What of it is evidence. Whoever looked at that picture is believed; what was measured counts against by itself, and never for: no
     * measure alone makes a repetition right, and none rules out a fault that can hurt.
     *
     * @param  bool|null  $said  right or wrong, by a person; null: nobody looked
     * @return bool|null null: nobody can say
     */
    public function asSeen(?bool $said): ?bool
    {
        return $said ?? ($this === self::Wrong ? false : null);
    }
}
