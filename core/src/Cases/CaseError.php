<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

/** A case that cannot be used: what is wrong, and where (a JSON pointer). */
final class CaseError extends \RuntimeException
{
    public function __construct(public readonly string $errorCode, public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
