<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** One round while it is filled: which space has which skill, who works there, what is left of lanes, balls and adults. */
final class Filling
{
    public int $seconds = 0;

    /** @var array<int, array{skill: int, adult: bool, pieces: array<int, int>, halfLanes: int}> by space; halfLanes are those left */
    public array $places = [];

    /** @var array<int, int> how far each athlete is */
    public array $at;

    /**
     * @param  array<int, int>  $at  how far each athlete is in what can have a place, before the round
     * @param  array<int, int>  $free  half lanes of the spaces without a skill
     */
    public function __construct(array $at, private array $free, private int $balls, private int $adults)
    {
        $this->at = $at;
    }

    /** @return array<int, int> half lanes by space without a skill */
    public function free(): array
    {
        return $this->free;
    }

    /**
     * What a space would place of one skill, those first who stand first.
     *
     * @param  array<int, array{float, Take}>  $waiting  by athlete
     * @return array{int, list<int>} seconds, and the athletes
     */
    public function wouldPlace(int $space, array $waiting): array
    {
        [$halfLanes, $balls, $seconds, $who] = [$this->free[$space], $this->balls, 0, []];
        foreach ($waiting as $i => [, $take]) {
            if (
                $take->halfLanes > $halfLanes || $take->balls > $balls || ! $take->fits($space)
                || ($take->needsAdult && $this->adults === 0)
            ) {
                continue;
            }
            $who[] = $i;
            $seconds += $take->seconds;
            $halfLanes -= $take->halfLanes;
            $balls -= $take->balls;
            if ($halfLanes === 0) {
                break;
            }
        }

        return [$seconds, $who];
    }

    public function open(int $space, int $skill): void
    {
        $this->places[$space] = ['skill' => $skill, 'adult' => false, 'pieces' => [], 'halfLanes' => $this->free[$space]];
        unset($this->free[$space]);
    }

    /** Into a space where the skill is worked, or a free one. */
    public function joins(int $athlete, int $skill, Take $take): bool
    {
        if ($take->balls > $this->balls) {
            return false;
        }
        foreach ($this->places as $space => $place) {
            if (
                $place['skill'] === $skill && $take->halfLanes <= $place['halfLanes'] && $take->fits($space)
                && (! $take->needsAdult || $place['adult'] || $this->adults > 0)
            ) {
                $this->put($athlete, $take, $space);

                return true;
            }
        }
        foreach ($this->free as $space => $halfLanes) {
            if ($take->halfLanes <= $halfLanes && $take->fits($space) && (! $take->needsAdult || $this->adults > 0)) {
                $this->open($space, $skill);
                $this->put($athlete, $take, $space);

                return true;
            }
        }

        return false;
    }

    public function put(int $athlete, Take $take, int $space): void
    {
        $place = &$this->places[$space];
        if ($take->needsAdult && ! $place['adult']) {
            $place['adult'] = true;
            $this->adults--;
        }
        $place['pieces'][$athlete] = $take->pieces;
        $place['halfLanes'] -= $take->halfLanes;
        $this->balls -= $take->balls;
        $this->seconds += $take->seconds;
        $this->at[$athlete] += $take->pieces;
    }
}
