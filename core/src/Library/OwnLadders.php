<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** Ladders that do not ship with the library, each version of them kept. */
interface OwnLadders
{
    /**
     * @param  int|null  $version  null: the latest
     * @return string|null the ladder as JSON; null when there is none
     */
    public function text(string $id, ?int $version): ?string;
}
