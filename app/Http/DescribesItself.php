<?php

declare(strict_types=1);

namespace App\Http;

/** A request whose rules depend on what it carries: what the description says of all of it. */
interface DescribesItself
{
    /** @return array<string, mixed> rules by dotted field, as Laravel's validator has them */
    public function described(): array;
}
