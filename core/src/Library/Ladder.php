<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;

/** The ordered progression of one skill. */
final readonly class Ladder
{
    use CopiesItself;

    /**
     * @param  list<string>  $cautions
     * @param  list<array{string, string}>  $needs  pairs of ladder id and the rung of it that must be held
     * @param  non-empty-list<Rung>  $rungs
     * @param  string|null  $copiedFrom  the ladder it began as a copy of: what was climbed there is held here
     * @param  list<Moment>  $moments  at which a picture is looked at, in the order they come
     * @param  list<Tag>  $tags  that its rungs may name
     * @param  Seated|null  $seated  how it is done from a chair; null: it is not
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $name,
        public Skill $skill,
        public string $summary,
        public array $cautions,
        public array $needs,
        public array $rungs,
        public ?string $copiedFrom = null,
        public array $moments = [],
        public array $tags = [],
        public ?Seated $seated = null,
    ) {}

    /** Its doses for one athlete, as they are taught: see Schools and BlockDose. */
    public function forAthlete(AthleteProfile $profile, Day $on, DoseTable $doses): self
    {
        $answers = $profile->schools[$this->id] ?? [];
        $taught = $answers === [] ? $this : (new Schools($answers))->teach($this);
        $rungs = array_map(fn (Rung $rung): Rung => $rung->forAthlete($profile, $on, $doses), $taught->rungs);

        return $rungs === $this->rungs ? $this : $this->with(['rungs' => $rungs]);
    }

    /** Whether an athlete does it from a chair. */
    public function isSeatedFor(AthleteProfile $profile): bool
    {
        return $this->seated !== null
            && (new Schools($profile->schools[$this->id] ?? []))->answer(SchoolQuestion::Seat) === 'chair';
    }

    /**
     * What of the drills that belong to no rung goes with how an athlete does it: from a chair, only what somebody said can be.
     *
     * @param  array<string, Drill>  $drills  by id
     * @return array<string, Drill>
     */
    public function drillsFor(AthleteProfile $profile, array $drills): array
    {
        return $this->isSeatedFor($profile) ? array_filter($drills, fn (Drill $drill): bool => $drill->seated) : $drills;
    }

    /** The ladder landed on one floor throughout; null: not known. */
    public function onFloor(?Surface $floor): self
    {
        return $this->with([
            'rungs' => array_map(fn (Rung $rung): Rung => $rung->onFloor($floor), $this->rungs),
        ]);
    }

    /** @return int|null position from 0; null when the ladder has no such rung */
    public function position(string $rungId): ?int
    {
        foreach ($this->rungs as $position => $rung) {
            if ($rung->id === $rungId) {
                return $position;
            }
        }

        return null;
    }

    /** Whether any rung watches game-like work; where none does, any work whose outcome counts is the varied practice there is. */
    public function judgesGameLike(): bool
    {
        foreach ($this->rungs as $rung) {
            foreach ($rung->blocks as $block) {
                if ($block->judged && $block->kind === BlockKind::GameLike) {
                    return true;
                }
            }
        }

        return false;
    }

    public function rung(string $rungId): ?Rung
    {
        $position = $this->position($rungId);

        return $position === null ? null : $this->rungs[$position];
    }

    public function after(string $rungId): ?Rung
    {
        $position = $this->position($rungId);

        return $position === null ? null : ($this->rungs[$position + 1] ?? null);
    }

    public function before(string $rungId): ?Rung
    {
        $position = $this->position($rungId);

        return $position === null ? null : ($this->rungs[$position - 1] ?? null);
    }
}
