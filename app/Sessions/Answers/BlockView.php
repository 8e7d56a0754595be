<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use Augendo\Core\Load\Side;

/** One block of a sheet: what is asked, what is given, and why not more. */
final readonly class BlockView
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $kind_name,
        /** of its kind in a session, from 0 */
        public int $place,
        public string $title,
        public string $text,
        public string $skill,
        public string $object,
        public string $object_id,
        /** whether a floor matters */
        public bool $lands,
        /** @var value-of<Side> */
        public string $side,
        public ?string $surface,
        public int $sets,
        public int $reps,
        /** @var list<int> */
        public array $reps_by_set,
        public int $asked_sets,
        /** in all sets together */
        public int $asked_reps,
        public float $effort,
        public float $asked_effort,
        public ?float $distance_m,
        public ?float $asked_distance_m,
        /** what the distance of a throw asks for; null: it is no throw to a distance */
        public ?string $throw_asks,
        public int $rest_s,
        public ?int $hold_s,
        /** feed and tempo; null: nobody has said */
        public ?string $how,
        public bool $judged,
        public bool $counted,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public float $effort_cap,
        /** repetitions that still fit beside the plan; null when no limit is set for this work */
        public ?int $headroom,
        /** more than any session holds */
        public bool $plenty,
        /** @var list<string> labels of the limits that bind */
        public array $binding,
        public int $done_reps,
        /** @var list<string> */
        public array $trims,
    ) {}
}
