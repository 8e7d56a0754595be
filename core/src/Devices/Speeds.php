<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

use Augendo\Core\Mechanics\Statistics;

/** Speeds of one athlete in a session, in order: how fast in the middle, and whether it drops towards the end. */
final readonly class Speeds
{
    /** Of fewer no fading is told. */
    public const FADE_FROM = 9;

    /**
     * @param  non-empty-list<float>  $speedsMs
     * @param  float|null  $fade  of the last third against the first, as a share of it; below 0 it drops
     */
    private function __construct(public array $speedsMs, public float $medianMs, public ?float $fade) {}

    /** @param  non-empty-list<float>  $speedsMs  in order */
    public static function of(array $speedsMs): self
    {
        $third = intdiv(count($speedsMs), 3);
        $first = array_slice($speedsMs, 0, $third);
        $last = array_slice($speedsMs, -$third);
        $isTold = count($speedsMs) >= self::FADE_FROM && $first !== [] && $last !== [];

        $fade = $isTold ? Statistics::median($last) / Statistics::median($first) - 1 : null;

        return new self($speedsMs, Statistics::median($speedsMs), $fade);
    }
}
