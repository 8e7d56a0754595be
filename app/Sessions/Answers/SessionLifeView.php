<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;

/** What may be done with a session. */
final readonly class SessionLifeView
{
    public function __construct(
        /** @var 'planned'|'called_off' */
        public string $state,
        public ?string $reason,
        public ?string $place,
        /** one of several, week after week */
        public bool $repeats,
        /** somebody counted in it: it can be closed, not moved */
        public bool $counted,
        /** somebody is counted in it and not finished */
        public bool $open,
        /** weeks ahead nobody has a sheet in it yet */
        public bool $has_sheets,
        /** as planned; null: nothing is cut for time */
        public ?int $minutes_planned,
        /** @format date where it was before it was moved */
        public ?string $moved_from,
        /** @var list<AthleteCardView> those of the squad who are not in it, then the rest of the club */
        public array $not_in,
        /** @var list<PlanChangeView> of this session, the latest first */
        public array $changes,
        /** the coach of the squad, and nobody else */
        public bool $may_change,
    ) {}
}
