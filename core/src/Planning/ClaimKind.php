<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/**
 * What is planned for a day, in the order in which it holds the room of the day: of two that compete, the later one gives way. Homework
 * comes after all of them: it is put on days that have none (Homework::between), so it claims nothing.
 */
enum ClaimKind: string
{
    case ReturnStage = 'return';
    case Match = 'match';
    case Session = 'session';
    case Season = 'season';

    /**
     * @param  bool  $isStage  a stage of a way back is trained in it
     * @param  bool  $isExtra  a season made it for itself, on a day on which the squad does not train
     */
    public static function ofSession(bool $isStage, bool $isExtra): self
    {
        return match (true) {
            $isStage => self::ReturnStage,
            $isExtra => self::Season,
            default => self::Session,
        };
    }

    /** @return int 0 holds its room first */
    public function order(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
