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
     * What of it is evidence. What was measured may count against by itself, and never for: right takes a person who looked at that
     * picture.
     *
     * @param  bool  $safety  a fault there can hurt: no measure rules it out
     * @return bool|null null: nobody can say
     */
    public function asSeen(bool $personLooked, bool $safety): ?bool
    {
        return match (true) {
            $this === self::Wrong => false,
            $this === self::Uncertain || ! $personLooked || $safety => null,
            default => true,
        };
    }
}
