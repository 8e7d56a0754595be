<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Load\Skill;

/** A drill that belongs to no rung: done when the work of the day is taken away, or added by a coach. */
final readonly class Drill
{
    /**
     * @param  list<string>|null  $skills  ids of the skills it belongs to; null: any
     */
    public function __construct(
        public string $id,
        public DrillAbout $about,
        public DrillWith $with,
        public ?array $skills,
        public BlockDose $dose,
    ) {}

    public function isFor(Skill $skill): bool
    {
        return $this->skills === null || in_array($skill->id, $this->skills, true);
    }
}
