<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** What became of the taps that were sent. */
final readonly class EventsAnswerView
{
    public function __construct(
        /** @var list<string> ids that are on the record, now or already before */
        public array $kept,
        /** @var array<string, string>|\stdClass why the others cannot be used, by id */
        public array|\stdClass $refused,
    ) {}
}
