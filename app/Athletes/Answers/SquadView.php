<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

use Augendo\Core\Load\Surface;
use Augendo\Core\Readiness\School;

/** A squad to choose. */
final readonly class SquadView
{
    public function __construct(
        public int $id,
        public string $name,
        /** @var value-of<School>|null null: by age */
        public ?string $school,
        /** @var value-of<Surface>|null of its usual hall or field; null: not said, and that counts as hard */
        public ?string $floor,
    ) {}
}
