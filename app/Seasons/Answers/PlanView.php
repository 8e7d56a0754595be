<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;
use App\Athletes\Answers\SquadView;

/** What is ahead of a squad. */
final readonly class PlanView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** @format date the first day of which a match that is over may still be declared */
        public string $matches_from,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        /** @var list<FixtureView> */
        public array $fixtures,
        /** @var list<SeasonRowView> */
        public array $seasons,
        /** seasons kept for the whole squad whose weeks are still to be worked out */
        public int $working_out,
        /** @var list<AthleteCardView> athletes on a ladder without a season */
        public array $without,
        /** @var list<NamedView> */
        public array $skills,
        /** @var list<NamedView> strength, bands, sprints */
        public array $beside,
    ) {}
}
