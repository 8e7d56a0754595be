<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

/** A cell that cannot be used: which, why, and what stands there. */
final class RowFault extends \RuntimeException
{
    public function __construct(public readonly Column $column, public readonly CellFault $fault, public readonly string $cell)
    {
        parent::__construct("{$column->value}: {$fault->value}");
    }
}
