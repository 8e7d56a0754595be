<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** When a rung is begun: four in five lie between early and late. */
final readonly class ExpectedRungView
{
    public function __construct(
        public string $id,
        public string $name,
        /** @format date */
        public ?string $early,
        /**
         * null: not within half a year of the goal
         *
         * @format date
         */
        public ?string $likely,
        /** @format date */
        public ?string $late,
    ) {}
}
