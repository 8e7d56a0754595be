<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

/** How long somebody has a device. Seconds since 1970. */
final readonly class Loan
{
    /** A device is switched on before somebody says whose it is. */
    private const SWITCHED_ON_S = 900.0;

    /** @param  float|null  $untilS  null: they have it still */
    public function __construct(public float $fromS, public ?float $untilS) {}

    /**
     * What it saw just before it was lent is theirs as well, but for what was the one's who had it before.
     *
     * @param  float|null  $beforeS  when the loan before ended; null: there was none
     */
    public static function begun(float $nowS, ?float $beforeS): self
    {
        return new self(max($nowS - self::SWITCHED_ON_S, $beforeS ?? -INF), null);
    }

    public function holds(float $atS): bool
    {
        return $this->fromS <= $atS && ($this->untilS === null || $atS < $this->untilS);
    }
}
