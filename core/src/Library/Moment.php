<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** An instant of the movement at which a picture is looked at. */
final readonly class Moment
{
    /** @param  string  $text  how to find it */
    public function __construct(public string $id, public string $name, public string $text) {}
}
