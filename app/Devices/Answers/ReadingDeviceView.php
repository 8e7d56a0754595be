<?php

declare(strict_types=1);

namespace App\Devices\Answers;

use App\Devices\DeviceKind;

/** How a device's readings and the taps went together. */
final readonly class ReadingDeviceView
{
    public function __construct(
        public string $id,
        public string $name,
        /** @var value-of<DeviceKind> */
        public string $kind,
        public int $came,
        public int $paired,
        /** from reading to tap */
        public float $delay_s,
        /** how much longer that becomes in an hour */
        public float $drift_s,
    ) {}
}
