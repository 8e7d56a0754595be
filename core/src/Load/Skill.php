<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** What one full repetition of a skill asks of each channel. */
final readonly class Skill
{
    /**
     * @param  bool  $turns  whether its sides are those of the turn, not of the throw
     * @param  int  $legs  1 or 2, the legs its landing comes down on when nobody says
     */
    public function __construct(
        public string $id,
        public Family $family,
        public float $landingsPerRep,
        public float $arm,
        public float $hand,
        public float $trunk,
        public bool $turns = false,
        public int $legs = 2,
    ) {}

    /** What a repetition is done with when nobody says: the body for jumps, else the usual ball or implement. */
    public function ordinaryImplement(): Implement
    {
        return $this->family === Family::Jump ? Implement::Body : Implement::Standard;
    }

    /** Whether something leaves the hand or the racket: it has a longest throw, a speed, and a place where it lands. */
    public function flies(): bool
    {
        return $this->family !== Family::Jump && $this->family !== Family::Beside;
    }

    /** Nothing thrown, no landing: as often as there is time. */
    public function isFootwork(): bool
    {
        return $this->arm === 0.0 && $this->hand === 0.0 && $this->landingsPerRep === 0.0;
    }

    /** @return list<Channel> the channels a repetition loads at all */
    public function loadedChannels(): array
    {
        return array_values(array_filter(Channel::cases(), fn (Channel $channel): bool => match ($channel) {
            Channel::Arm => $this->arm,
            Channel::Hand => $this->hand,
            Channel::Trunk => $this->trunk,
            Channel::Landing => $this->landingsPerRep,
        } > 0.0));
    }
}
