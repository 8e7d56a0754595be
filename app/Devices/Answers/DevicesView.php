<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** What measures and counts for the club. */
final readonly class DevicesView
{
    public function __construct(
        /** @var list<DeviceView> those in use first */
        public array $devices,
        /** of one that was added just now, shown this once */
        public ?string $token,
    ) {}
}
