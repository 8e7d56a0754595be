<?php

declare(strict_types=1);

namespace App\Health\Answers;

use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Site;

/** What was reported of a part of the body that day. */
final readonly class ReportedView
{
    public function __construct(
        /** @var value-of<Site> */
        public string $site,
        public ?string $side,
        /** @var value-of<Kind> */
        public string $kind,
        public int $score,
    ) {}
}
