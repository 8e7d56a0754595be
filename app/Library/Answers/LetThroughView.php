<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Gates\LetThrough;

/** What a gate does to somebody whose true rate is known. */
final readonly class LetThroughView
{
    public function __construct(
        /** the true rate, 0 to 1 */
        public float $rate,
        /** let through within `within` sessions, 0 to 1 */
        public float $share,
        /** after which the middle one of those let through was; null: nobody was */
        public ?float $sessions,
        public int $within,
        /** athletes drawn */
        public int $drawn,
    ) {}

    public static function of(LetThrough $found): self
    {
        return new self($found->rate, $found->share, $found->sessions, LetThrough::SESSIONS, LetThrough::ATHLETES);
    }
}
