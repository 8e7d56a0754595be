<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\NamedView;

/** A ladder that athletes of a squad stand on. */
final readonly class LadderOfSquadView
{
    public function __construct(
        public string $id,
        public string $name,
        public int $athletes,
        /** @var list<NamedView> what its rungs take, in every size */
        public array $objects,
    ) {}
}
