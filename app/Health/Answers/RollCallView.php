<?php

declare(strict_types=1);

namespace App\Health\Answers;

use App\Athletes\Answers\SquadView;

/** The whole squad on one screen. */
final readonly class RollCallView
{
    public function __construct(
        public string $date,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        /** @var list<RollCallRowView> */
        public array $rows,
        public string $not_answered_means,
    ) {}
}
