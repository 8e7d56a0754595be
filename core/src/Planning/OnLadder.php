<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Augendo\Core\Stations\Room;
use Augendo\Core\Stations\Space;

/** Where an athlete stands on a ladder, its doses theirs, landed where the session is. */
final readonly class OnLadder
{
    public function __construct(public Ladder $ladder, public Rung $rung) {}

    /** @param  list<Space>  $spaces  none: nobody has said */
    public function inRoom(array $spaces): self
    {
        return new self($this->ladder, Room::fit($this->rung, $spaces)[0]);
    }

    /** One rung lower, where there is one: after a long break it is begun again there. */
    public function begunAgain(): self
    {
        $below = $this->ladder->before($this->rung->id);

        return $below === null ? $this : new self($this->ladder, $below);
    }
}
