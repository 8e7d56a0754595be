<?php

declare(strict_types=1);

namespace Augendo\Core;

use ReflectionClass;

/** For a value that is copied with a few of its parts changed. The constructor looks at the copy as it does at any other. */
trait CopiesItself
{
    /** @param  array<string, mixed>  $changed  new values by the name of the constructor's parameter */
    public function with(array $changed): static
    {
        return (new ReflectionClass($this))->newInstanceArgs([...get_object_vars($this), ...$changed]);
    }
}
