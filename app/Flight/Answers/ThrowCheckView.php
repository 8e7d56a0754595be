<?php

declare(strict_types=1);

namespace App\Flight\Answers;

/** What a distance asks of one athlete. */
final readonly class ThrowCheckView
{
    public function __construct(
        public float $distance_m,
        public ?float $longest_m,
        /** the fastest on record, or what the longest throw took at least; null: nothing is known */
        public ?float $reference_ms,
        /** whether that speed was measured */
        public bool $measured,
        /** least effort, 0 to 1; null: nothing is known */
        public ?float $least_effort,
        public ?float $by_distance,
        /** null: it does not fly as a ball does, or nothing is known */
        public ?float $by_speed,
        /** whether nothing on record reaches so far */
        public bool $out_of_reach,
        public ?float $least_speed_ms,
        /** metres the asked effort goes at most; null: nothing is known */
        public ?float $furthest_m,
        /** @var list<ArcView> the flattest, the highest, and the one with the least speed; empty where none is told */
        public array $arcs,
        /** what it comes to */
        public string $said,
        public ?string $source,
    ) {}
}
