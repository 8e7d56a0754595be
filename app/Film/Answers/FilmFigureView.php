<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** One figure of one repetition, as the core has it. */
final readonly class FilmFigureView
{
    public function __construct(
        public string $checkpoint,
        public string $name,
        /** the figure with its ± and unit, in words */
        public string $text,
        public float $value,
        /** one standard deviation, in the unit of the figure */
        public float $spread,
        /** @var 'right'|'wrong'|'uncertain' what the measure says */
        public string $look,
        /** that it is turned out of the picture, in words; null: it is not, or nobody knows */
        public ?string $turned,
        /** @var 'right'|'wrong'|null what somebody who looked said */
        public ?string $said,
    ) {}
}
