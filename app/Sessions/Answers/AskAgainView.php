<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Site;

/** A sore place that is asked again, and what was last said of it. */
final readonly class AskAgainView
{
    public function __construct(
        public string $said,
        /** @var value-of<Site> */
        public string $site,
        /** @var 'left'|'right'|null */
        public ?string $side,
        /** @var value-of<Kind> */
        public string $kind,
        public int $score,
        /** @var value-of<Moment> when the answer is given */
        public string $moment,
    ) {}
}
