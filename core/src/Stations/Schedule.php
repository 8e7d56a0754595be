<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** Some rounds one after the other, and how far everybody has come by them. */
final readonly class Schedule
{
    /**
     * @param  float  $worth  of all rounds
     * @param  array<int, int>  $at  how far each one is in what can have a place
     * @param  list<array{start: int, minutes: int, filling: Filling}>  $rounds
     */
    private function __construct(public float $worth, public array $at, public array $rounds, private int $endMin) {}

    public static function begins(int $attendees): self
    {
        return new self(0.0, $attendees === 0 ? [] : array_fill(0, $attendees, 0), [], 0);
    }

    public function goesOn(int $startMin, int $minutes, Filling $filling, float $worth): self
    {
        return new self(
            $this->worth + $worth,
            $filling->at,
            [...$this->rounds, ['start' => $startMin, 'minutes' => $minutes, 'filling' => $filling]],
            $startMin + $minutes,
        );
    }

    /** More work; as much, and sooner; as soon, in fewer rounds. */
    public function isBetterThan(self $other): bool
    {
        if (abs($this->worth - $other->worth) > 1e-6) {
            return $this->worth > $other->worth;
        }

        return [$this->endMin, count($this->rounds)] < [$other->endMin, count($other->rounds)];
    }
}
