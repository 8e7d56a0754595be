<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** What was measured of one clip. */
final readonly class ClipView
{
    public function __construct(
        public string $id,
        /** @format date */
        public string $filmed_on,
        public string $ladder,
        public string $rung,
        public string $rung_name,
        /** who measured it */
        public string $kept_by,
        /** @var 'left'|'right' where in the picture the target lies */
        public string $target,
        /** @var list<ClipRepView> */
        public array $reps,
    ) {}
}
