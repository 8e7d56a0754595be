<?php

declare(strict_types=1);

namespace App\Returns\Answers;

use App\Athletes\Answers\AthleteCardView;

/** A return by its state. */
final readonly class ReturnRefView
{
    public function __construct(
        public string $id,
        public AthleteCardView $athlete,
        public string $programme,
        public string $site,
        /** from 1 */
        public int $stage,
        public int $of,
        public string $stage_name,
        public string $action,
        public string $sentence,
        public string $awaited,
        public string $awaited_from,
        public ?string $not_before,
        /** @var 'open'|'done'|'closed' */
        public string $state,
    ) {}
}
