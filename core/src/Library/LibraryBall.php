<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Flight\Ball;

/** An object that flies as a ball does, and where what is said of it comes from. */
final readonly class LibraryBall
{
    public function __construct(public LibraryObject $object, public Ball $ball, public string $source) {}
}
