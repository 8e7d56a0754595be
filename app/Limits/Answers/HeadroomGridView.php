<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use App\Athletes\Answers\NamedView;
use App\Sessions\Answers\LoggedWorkView;

/** How many are left. */
final readonly class HeadroomGridView
{
    public function __construct(
        public string $skill,
        public string $skill_name,
        public int $wanted,
        /** @var list<HeadroomRowView> */
        public array $rows,
        /** @var list<NamedView> */
        public array $skills,
        /** @var list<LoggedWorkView> of the last three weeks */
        public array $logged,
    ) {}
}
