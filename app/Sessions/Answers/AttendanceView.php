<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Who came to this session and to those of the squad before it. */
final readonly class AttendanceView
{
    public function __construct(
        /** @var list<AttendedSessionView> this one last */
        public array $sessions,
        /** @var list<AttendanceRowView> by name */
        public array $rows,
    ) {}
}
