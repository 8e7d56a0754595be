<?php

declare(strict_types=1);

namespace App\Devices\Answers;

use App\Devices\DeviceKind;

/** One device, and how it fares. */
final readonly class DeviceView
{
    public function __construct(
        public string $id,
        public string $name,
        /** @var value-of<DeviceKind> */
        public string $kind,
        public bool $in_use,
        /** null: nobody has it */
        public ?int $squad,
        /** who wears it */
        public ?string $athlete_id,
        /** 0 to 1; null: it does not tell */
        public ?float $battery,
        public ?string $heard_at,
        /** how far its clock is behind ours; null: it does not tell */
        public ?float $clock_off_s,
        /** readings of the last seven days */
        public int $came,
        /** of those what was no repetition */
        public int $aside,
        /** @var list<string> numbers that never came */
        public array $gaps,
    ) {}
}
