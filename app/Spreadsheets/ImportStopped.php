<?php

declare(strict_types=1);

namespace App\Spreadsheets;

/** A spreadsheet comes no further: why. */
final class ImportStopped extends \RuntimeException
{
    public function __construct(public readonly ImportFault $fault)
    {
        parent::__construct($fault->value);
    }
}
