<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Flight\Serve;
use Augendo\Core\Library\LibraryCourt;

/** The serve that is looked at, as it was asked for or is held to be. */
final readonly class ServeAskedView
{
    public function __construct(
        public string $skill,
        public string $court,
        public string $box,
        public float $net_height_m,
        /** whether that is the net as it hangs, where the serve crosses it */
        public bool $net_hangs,
        public float $contact_m,
        public float $across_m,
        public float $height_m,
        public float $speed_ms,
        /** @var 'said'|'gun'|'test'|'usual' where the speed is from: asked with, measured serve by serve, the test, none of these */
        public string $speed_from,
        /** serves it is the middle one of; 0: not from a gun */
        public int $speed_serves,
        public float $topspin_rpm,
        public float $sidespin_rpm,
        public int $in,
        public int $net,
        public int $long,
        public int $right,
        public int $left,
        public float $goal,
        public float $second,
        public float $won_first,
        public float $won_second,
        /** @format date from when on those that were scored courtside are counted here; null: none was */
        public ?string $scored_since,
    ) {}

    public function serve(LibraryCourt $court, Ball $ball): Serve
    {
        return new Serve(
            ball: $ball,
            air: new Air,
            court: $court,
            box: $court->boxes[$this->box],
            netHeightM: $this->net_height_m,
            contactM: $this->contact_m,
            acrossM: $this->across_m,
            heightM: $this->height_m,
            speedMs: $this->speed_ms,
            topspinRpm: $this->topspin_rpm,
            sidespinRpm: $this->sidespin_rpm,
        );
    }
}
