<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** Something about an hour that has to be seen to before anybody starts. */
final readonly class StationFlag
{
    /**
     * `no_space`: no space holds the skill's work (metres wanted and there; nothing there: a sector is what is missing). `no_balls`,
     * `no_adult`:
     * more are wanted than there are. `time`: minutes of work that found no place. `hard_floor`: somebody lands on a hard or unknown floor.
     * `one_way`: a hard ball or implement is thrown. `unwatched`: hard throws or landings with no adult beside. `little`: whoever
     * has least useful work has less than the share wanted. `idle_adult`: more adults than places. `ends_early`: the work is done
     * before the time is over.
     *
     * @param  (
     *     'nobody'|'no_space'|'no_balls'|'no_adult'|'time'|'hard_floor'|'one_way'|'unwatched'|'little'|'idle_adult'|'ends_early'
     * )  $code
     * @param  string|null  $space  id
     * @param  string|null  $skill  id
     * @param  float|null  $wanted  metres, balls, adults, minutes or share
     * @param  float|null  $there  what there is of it
     */
    public function __construct(
        public string $code,
        public ?string $space = null,
        public ?string $skill = null,
        public ?float $wanted = null,
        public ?float $there = null,
    ) {}
}
