<?php

declare(strict_types=1);

namespace App\Health\Answers;

use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Site;

/** An open referral and what closes it. */
final readonly class ReferralView
{
    public function __construct(
        public string $report_at,
        /** @var value-of<Site> */
        public string $site,
        public ?string $side,
        /** @var value-of<Kind> */
        public string $kind,
        public int $score,
        public string $sentence,
    ) {}
}
