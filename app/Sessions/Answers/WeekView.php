<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\SquadView;

/** A squad's week: athletes down, days across. */
final readonly class WeekView
{
    public function __construct(
        public string $date,
        /** @format date a Monday */
        public string $monday,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        /** @var list<WeekSessionView> planned or held, in order */
        public array $sessions,
        /** @var list<WeekRowView> in running order */
        public array $rows,
    ) {}
}
