<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/** The day's word, from best to worst. */
enum Word: string
{
    case Full = 'full';
    case Unknown = 'unknown';
    case Reduced = 'reduced';
    case None = 'none';
    case Refer = 'refer';

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    public function worst(self $other): self
    {
        return $other->rank() > $this->rank() ? $other : $this;
    }

    /** One level worse; with muscle and skin it stops at none, for those alone refer nobody by a step. */
    public function oneWorse(Kind $kind): self
    {
        return match ($this) {
            self::Full => self::Reduced,
            self::Reduced => self::None,
            self::None => $kind === Kind::Muscle || $kind === Kind::Skin ? self::None : self::Refer,
            default => $this,
        };
    }

    /** @return float|null share of the dose that is left; null when the word is not known */
    public function multiplier(): ?float
    {
        return match ($this) {
            self::Full => 1.0,
            self::Reduced => 0.6,
            self::None, self::Refer => 0.0,
            self::Unknown => null,
        };
    }

    public function allowsWork(): bool
    {
        return $this !== self::None && $this !== self::Refer;
    }
}
