<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** Days somebody is not there, or ill. */
final readonly class AbsenceView
{
    public function __construct(
        public string $id,
        /** @var 'exams'|'travel'|'holiday'|'ill'|'other' */
        public string $kind,
        public string $sentence,
        public string $from_day,
        public string $until_day,
        public ?string $note,
        /** it stands today or lies ahead, and nobody has said that it is over */
        public bool $open,
        public bool $may_take_back,
    ) {}
}
