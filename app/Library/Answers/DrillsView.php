<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** Drills that were looked for, and how the words were understood. */
final readonly class DrillsView
{
    public function __construct(
        /** @var list<string> */
        public array $understood,
        /** why none is shown: a place that goes to a clinician was named, or none where something is sore */
        public ?string $refers,
        public int $all,
        /** @var list<DrillCardView> */
        public array $drills,
    ) {}
}
