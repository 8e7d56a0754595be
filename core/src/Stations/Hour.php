<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\CopiesItself;
use Augendo\Core\InvalidValue;

/** The time of a session with all who are there and what there is. */
final readonly class Hour
{
    use CopiesItself;

    /**
     * @param  int  $minutes  of the whole session
     * @param  int  $adults  who can stand at a place, the coach among them
     * @param  int  $warmUpMin  together, before the first round
     * @param  int  $coolDownMin  together, after the last
     * @param  int  $changeOverMin  between two rounds: collect, walk, set up
     * @param  int  $leastRoundMin  a shorter one is not worth the walk
     * @param  list<Space>  $spaces
     * @param  list<Attendee>  $attendees
     *
     * @throws InvalidValue
     */
    public function __construct(
        public int $minutes,
        public int $adults,
        public int $balls,
        public int $warmUpMin,
        public int $coolDownMin,
        public int $changeOverMin,
        public int $leastRoundMin,
        public array $spaces,
        public array $attendees,
    ) {
        if (min($minutes, $adults, $balls, $warmUpMin, $coolDownMin, $changeOverMin) < 0 || $leastRoundMin < 1) {
            throw new InvalidValue('Minutes, adults and balls are no fewer than 0, and a round lasts a minute or more.');
        }
        foreach ([$spaces, $attendees] as $all) {
            if (count(array_unique(array_column($all, 'id'))) !== count($all)) {
                throw new InvalidValue('Nobody and no space is there twice.');
            }
        }
    }

    public function attendee(string $id): Attendee
    {
        foreach ($this->attendees as $attendee) {
            if ($attendee->id === $id) {
                return $attendee;
            }
        }

        throw new InvalidValue("Nobody with the id “{$id}” is there.");
    }

    public function space(string $id): Space
    {
        foreach ($this->spaces as $space) {
            if ($space->id === $id) {
                return $space;
            }
        }

        throw new InvalidValue("There is no space “{$id}”.");
    }

    /** Whether a space can hold a piece at all. */
    public function holds(Space $space, Piece $piece): bool
    {
        if ($piece->distanceM !== null && $piece->distanceM + Space::MARGIN_M > $space->lengthM + 1e-9) {
            return false;
        }
        if ($piece->far && ! $space->sector) {
            return false;
        }
        // Landing on a hard floor only where there is no other: it is flagged then.
        if ($piece->landing && $space->isHard() && ! $this->isHardAll()) {
            return false;
        }

        return $piece->halfLanes() <= 2 * $space->lanes;
    }

    /** @return WhyOut|null why a piece can never have a place, whatever the time; null: it can */
    public function whyNever(Piece $piece): ?WhyOut
    {
        $held = array_filter($this->spaces, fn (Space $space): bool => $this->holds($space, $piece));

        return match (true) {
            $held === [] => WhyOut::Space,
            $piece->balls > $this->balls => WhyOut::Balls,
            $piece->needsAdult && $this->adults === 0 => WhyOut::Adult,
            default => null,
        };
    }

    private function isHardAll(): bool
    {
        foreach ($this->spaces as $space) {
            if (! $space->isHard()) {
                return false;
            }
        }

        return true;
    }
}
