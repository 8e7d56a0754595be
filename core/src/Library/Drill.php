<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Skill;

/** A drill that belongs to no rung: done when the work of the day is taken away, or added by a coach. */
final readonly class Drill
{
    use CopiesItself;

    /**
     * @param  list<string>|null  $skills  ids of the skills it belongs to; null: any
     * @param  string|null  $purpose  why it is done
     * @param  string|null  $mends  the fault it mends, in words
     * @param  string|null  $cue  the short thought that goes with it
     * @param  string|null  $stop  when to stop it
     * @param  string|null  $picture  id of what it is drawn as, of Figures
     * @param  bool  $seated  whether it is done from a chair, too
     */
    public function __construct(
        public string $id,
        public DrillAbout $about,
        public DrillWith $with,
        public ?array $skills,
        public BlockDose $dose,
        public ?string $purpose = null,
        public ?string $mends = null,
        public ?string $cue = null,
        public ?string $stop = null,
        public ?string $picture = null,
        public bool $seated = false,
    ) {}

    /** The same with the object of somebody's age; what is asked of them stays, and limits come after it. */
    public function forAthlete(AthleteProfile $profile, Day $on): self
    {
        return $this->with(['dose' => $this->dose->forAthlete($profile, $on)]);
    }

    /** @param  list<Skill>  $known  those somebody trains */
    public function isFor(array $known): bool
    {
        return $known !== [] && ($this->skills === null || array_intersect($this->skills, array_column($known, 'id')) !== []);
    }

    /** Whether it says that it mends a fault, by the name the fault has. */
    public function doesMend(Fault $fault): bool
    {
        return $this->mends !== null && mb_strtolower(trim($this->mends)) === mb_strtolower($fault->name);
    }

    /** Nothing thrown, nothing landed; whoever moves needs no partner who is free as well: it can be done while the others work. */
    public function isFree(): bool
    {
        return $this->about !== DrillAbout::WarmUp
            && ($this->dose->reps === 0 || $this->dose->skill->isFootwork())
            && ($this->about !== DrillAbout::Footwork || $this->with === DrillWith::Alone);
    }
}
