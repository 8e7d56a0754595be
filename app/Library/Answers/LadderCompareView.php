<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Athletes\Answers\NamedView;

/** An own ladder beside another file of it, place by place. */
final readonly class LadderCompareView
{
    public function __construct(
        public string $id,
        public string $name,
        public int $version,
        /** what it is held against: one of `against` */
        public string $with,
        /** @var list<NamedView> */
        public array $against,
        /** @var list<LadderChangeView> in the order of the file */
        public array $changes,
    ) {}
}
