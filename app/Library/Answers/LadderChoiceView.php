<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Athletes\Answers\NamedView;

/** A ladder an athlete can be placed on. */
final readonly class LadderChoiceView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $skill,
        /** @var list<NamedView> */
        public array $rungs,
    ) {}
}
