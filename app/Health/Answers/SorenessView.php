<?php

declare(strict_types=1);

namespace App\Health\Answers;

use Augendo\Core\Readiness\Site;

/** A soreness report as shown on the strip. */
final readonly class SorenessView
{
    public function __construct(
        public string $at,
        public string $day,
        public string $moment,
        /** @var value-of<Site> */
        public string $site,
        public string $site_name,
        public ?string $side,
        public string $kind,
        public int $score,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public ?string $note,
        public string $by,
    ) {}
}
