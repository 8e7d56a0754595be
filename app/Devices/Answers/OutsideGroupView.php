<?php

declare(strict_types=1);

namespace App\Devices\Answers;

use App\Devices\DeviceKind;

/** What one device saw on one day outside every session. */
final readonly class OutsideGroupView
{
    public function __construct(
        public string $device,
        /** @var value-of<DeviceKind> */
        public string $kind,
        /** @format date of the club's calendar */
        public string $day,
        public float $from_s,
        public float $until_s,
        /** who wore it; null: nobody was told to */
        public ?string $athlete_id,
        public ?string $athlete,
        /** @var list<string> ids, in order of time */
        public array $readings,
        public string $said,
        /** the fastest of them, metres per second; null: it measures none */
        public ?float $fastest_ms,
        /** repetitions of these that are load until somebody speaks; 0: none, or they were told of already */
        public int $load,
    ) {}
}
