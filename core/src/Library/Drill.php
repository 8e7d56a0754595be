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

    /** @param  list<Skill>  $known  those somebody trains */
    public function isFor(array $known): bool
    {
        return $known !== [] && ($this->skills === null || array_intersect($this->skills, array_column($known, 'id')) !== []);
    }

    /** Nothing thrown, nothing landed; whoever moves needs no partner who is free as well: it can be done while the others work. */
    public function isFree(): bool
    {
        return $this->about !== DrillAbout::WarmUp
            && ($this->dose->reps === 0 || $this->dose->skill->isFootwork())
            && ($this->about !== DrillAbout::Footwork || $this->with === DrillWith::Alone);
    }
}
