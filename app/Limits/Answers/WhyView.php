<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** The sets behind a limit on a day. */
final readonly class WhyView
{
    public function __construct(
        public TapeView $tape,
        public string $explains,
        /** @var list<WhyRowView> */
        public array $rows,
        public float $total,
    ) {}
}
