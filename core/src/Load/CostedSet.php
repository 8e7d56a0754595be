<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/**
 * A set with its price in every measure: what limits add up. A stored daily total of like sets is one too.
 */
final readonly class CostedSet
{
    /**
     * @param  int  $day  ordinal of the day
     * @param  array<string, float>  $cost  by measure name
     * @param  float  $effort  0 to 1; an unknown effort is 1
     */
    public function __construct(
        public int $day,
        public string $session,
        public string $skill,
        public Family $family,
        public Side $side,
        public Implement $implement,
        public array $cost,
        public float $effort,
        public ?float $distanceM,
    ) {}

    /** What limits tell work apart by: sets of one kind fit the same filters. */
    public function kind(): string
    {
        return "{$this->skill}|{$this->family->value}|{$this->side->value}|{$this->implement->value}";
    }

    /** The same kind of set with $n times the repetitions of this one. */
    public function times(int $n): self
    {
        return $this->share((float) $n);
    }

    /** So much of what it costs, of whole repetitions or not. */
    public function share(float $of): self
    {
        return new self(
            day: $this->day,
            session: $this->session,
            skill: $this->skill,
            family: $this->family,
            side: $this->side,
            implement: $this->implement,
            cost: array_map(fn (float $amount): float => $amount * $of, $this->cost),
            effort: $this->effort,
            distanceM: $this->distanceM,
        );
    }
}
