<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** What is tested of an athlete, when it was last, and when it is due. */
final readonly class TestsView
{
    public function __construct(
        public AthleteCardView $athlete,
        public string $date,
        /** @var list<TestView> one for each ladder that is stood on */
        public array $tests,
        /** @var list<SideMeasureView> */
        public array $sides,
        public string $source,
    ) {}
}
