<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\Readiness\Word;

/** What the rung, the age and the word of the day let be changed of a serve: they come before any advice. */
final readonly class ServeAllowed
{
    /** More spin asks more of the trunk and the elbow. */
    private const SPIN_FROM_AGE = 13;

    /** Who serves with so much has learnt to: more of it may be advised. */
    private const LEARNT_RPM = 300.0;

    /**
     * @param  bool  $isReturning  on a way back, whose stages say what is served
     * @param  bool  $isOutcomeIgnored  on a rung of the serve the athlete stands on
     * @param  int|null  $age  whole years; null: not known, and then the strictest holds
     */
    public function __construct(
        private bool $isReturning,
        private bool $isOutcomeIgnored,
        private Word $word,
        private ?int $age,
    ) {}

    /** @return 'return'|'rung'|'word'|null why nothing is advised; null: something may be */
    public function refusesAdvice(): ?string
    {
        return match (true) {
            $this->isReturning => 'return',
            $this->isOutcomeIgnored => 'rung',
            ! $this->word->allowsWork() => 'word',
            default => null,
        };
    }

    /** @param  float  $topspinRpm  of the serve as it is */
    public function moreSpin(float $topspinRpm): bool
    {
        return $topspinRpm >= self::LEARNT_RPM && $this->spin();
    }

    /** A higher contact is a higher jump or a longer reach. */
    public function higher(): bool
    {
        return $this->word === Word::Full;
    }

    /**
     * @param  float  $topspinRpm  of the serve as it is
     * @return 'return'|'rung'|'word'|'spin'|'height'|null why a change may not be tried; null: it may
     */
    public function refuses(ServeChange $change, float $topspinRpm): ?string
    {
        return $this->refusesAdvice() ?? match (true) {
            $change->topspinRpm > 0.0 && ! $this->moreSpin($topspinRpm) => 'spin',
            $change->higherM > 0.0 && ! $this->higher() => 'height',
            default => null,
        };
    }

    private function spin(): bool
    {
        return ($this->age ?? 0) >= self::SPIN_FROM_AGE && $this->word === Word::Full;
    }
}
