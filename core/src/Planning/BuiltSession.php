<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

final readonly class BuiltSession
{
    /**
     * @param  list<BlockPlan>  $blocks
     * @param  list<Trim>  $trims  in the order they were made
     */
    public function __construct(public array $blocks, public array $trims) {}
}
