<?php

declare(strict_types=1);

namespace App\Records;

use PDO;

/**
 * Begins every transaction with the write lock. A transaction that first reads and then writes would otherwise be refused at once, without
 * waiting, when somebody else wrote in between. Laravel's `transaction_mode` does the same from PHP 8.4 on; below it
 * the setting is not looked at.
 */
final class ImmediatePdo extends PDO
{
    private bool $open = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE TRANSACTION');

        return $this->open = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->open = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->open = false;
        $this->exec('ROLLBACK');

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->open;
    }
}
