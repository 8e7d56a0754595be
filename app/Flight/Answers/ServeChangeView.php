<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use App\Wording\ServeWording;
use Augendo\Core\Flight\ServeChange;

/** What is changed of a serve, and what it comes to. */
final readonly class ServeChangeView
{
    public function __construct(
        public float $pace,
        public float $topspin_rpm,
        public float $higher_m,
        public float $aimed,
        /** share that is in then, 0 to 1 */
        public float $share,
        public bool $reaches,
        public string $said,
    ) {}

    public static function of(ServeChange $change, float $goal): self
    {
        return new self(
            $change->pace,
            $change->topspinRpm,
            $change->higherM,
            $change->aimed,
            round((float) $change->share, 4),
            $change->share >= $goal,
            ServeWording::change($change),
        );
    }
}
