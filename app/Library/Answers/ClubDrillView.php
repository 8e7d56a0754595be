<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A drill of the club's own. */
final readonly class ClubDrillView
{
    public function __construct(
        public string $id,
        public string $name,
        public int $version,
        /** kept for what was planned with it, and offered no more */
        public bool $withdrawn,
        /** as library/schema/drills.schema.json has a drill, with its name */
        public object $definition,
    ) {}
}
