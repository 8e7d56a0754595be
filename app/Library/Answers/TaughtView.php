<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Wording\LadderWording;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Teaching;

/** One thing to know when a rung is taught. */
final readonly class TaughtView
{
    public function __construct(
        /** as in the file of the ladder */
        public string $key,
        public string $name,
        public string $text,
    ) {}

    /** @return list<self> as it reads for somebody of one side; none of a ladder that does not say */
    public static function of(?Teaching $teaching, Handedness $side): array
    {
        $lines = [];
        foreach ($teaching?->parts() ?? [] as $key => $text) {
            $lines[] = new self($key, LadderWording::part($key), ucfirst($side->mirror($text)));
        }

        return $lines;
    }
}
