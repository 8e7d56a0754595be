<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** What devices measured in a session, beside what was tapped. */
final readonly class SessionReadingsView
{
    public function __construct(
        public string $id,
        public string $title,
        public string $held_on,
        /** @var list<ReadingDeviceView> */
        public array $devices,
        /** @var list<ReadingView> in order of time */
        public array $readings,
        /** @var list<ReadingTapView> repetitions that no reading is paired with, in order of time */
        public array $taps,
        /** @var list<CounterAskedView> counters that saw more than was tapped */
        public array $asked,
        /** @var list<SpeedsView> */
        public array $speeds,
    ) {}
}
