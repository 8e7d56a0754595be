<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** Whether two people see the same. */
final readonly class AgreementView
{
    public function __construct(
        public string $who,
        /** repetitions both judged */
        public int $both,
        public int $same,
        /** agreement beyond chance, Cohen’s; null when one verdict explains everything */
        public ?float $kappa,
        /** of its 95 % interval */
        public ?float $low,
        public ?float $high,
        /** the checkpoint that splits them */
        public ?string $splits_on,
        public bool $weak,
        public bool $enough,
    ) {}
}
