<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A day of a season: what is planned, what was agreed to, what was done. */
final readonly class SeasonDayView
{
    public function __construct(
        /** @format date */
        public string $date,
        /**
         * @var 'session'|'match'|'elsewhere'|'beside'|'other'|'missed'|'done'|'rest'
         *      other: a session beside the season; missed and done: of the days gone by
         */
        public string $kind,
        /** rung, stage or match */
        public ?string $title,
        /** @var 'heavy'|'light'|'light_week'|'taper'|'around_match'|'before_match'|'test'|'stage'|null */
        public ?string $emphasis,
        public ?string $emphasis_name,
        public int $reps,
        /** of the rung’s own dose, 0 to 1 */
        public ?float $effort,
        public ?float $distance_m,
        /** stress units */
        public float $arm,
        /** landing units */
        public float $landings,
        /** judged repetitions: what the session is for */
        public int $own_reps,
        /** whether the rung is begun that day */
        public bool $begins,
        /** @var list<string> why the day is as it is, in sentences */
        public array $why,
        /** @var list<string> */
        public array $raised,
        /** @var list<string> */
        public array $trims,
        /** planned as if the clearance were there by then */
        public bool $needs_clearance,
        /** the hard limit that stands fullest, in a sentence */
        public ?string $fullest,
        public ?float $fullest_share,
        public ?float $agreed_arm,
        public ?string $sheet_id,
        public bool $movable,
        /** the squad trains that day: the season uses its session; a session without it is extra */
        public bool $with_squad,
    ) {}
}
