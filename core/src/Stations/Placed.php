<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** Somebody in a place. */
final readonly class Placed
{
    /** @param  list<int>  $work  positions in the athlete's own work; none for who helps */
    public function __construct(public string $id, public Task $task, public array $work = []) {}
}
