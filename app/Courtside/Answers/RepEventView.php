<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** A tap as the server keeps it. */
final readonly class RepEventView
{
    public function __construct(
        public string $id,
        public string $block_id,
        public int $set_no,
        /** @var 'rep'|'fall'|'withdraw'|'correct'|'trying'|'felt'|'second'|'going_on'|'landed'|'round'|'tag' */
        public string $kind,
        public ?string $target_id,
        /** @var 'good'|'not_good'|'unobserved'|null */
        public ?string $verdict,
        public ?string $fault,
        /** @var 'dominant'|'other' */
        public string $side,
        public string $at,
        public int $seq,
        /** what is being tried from here on; empty: as before */
        public ?string $note,
        /** asked; felt, for how a set felt */
        public ?float $effort,
        public ?float $distance_m,
        /** @var array<string, 'right'|'wrong'>|null right or wrong by checkpoint, where somebody looked that closely */
        public ?array $seen,
        public string $device,
    ) {}
}
