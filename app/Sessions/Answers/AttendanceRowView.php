<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;

/** How one athlete attended the last sessions of the squad. */
final readonly class AttendanceRowView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var list<'came'|'late'|'left_early'|'not_there'|'away'|'not_counted'|null> for each session; null: was not in it */
        public array $marks,
        /** sessions they were at */
        public int $there,
        /** sessions that were planned for them and that they were not excused from */
        public int $of,
    ) {}
}
