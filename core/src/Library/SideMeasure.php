<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** Something of the body that is measured on either side, without load. */
final readonly class SideMeasure
{
    /** @param  'kg'|'°'  $unit */
    public function __construct(public string $id, public string $name, public string $unit, public string $text) {}
}
