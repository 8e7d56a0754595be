<?php

declare(strict_types=1);

namespace App\Records;

use Closure;
use Illuminate\Database\Migrations\Migrator;

/**
 * Each migration and the line that says it was run are kept together or not at all: one that is interrupted leaves nothing behind, and the
 * next start does it again. Laravel does so only where it trusts the database with it; SQLite can.
 */
final class AtomicMigrator extends Migrator
{
    protected function runUp($file, $batch, $pretend): void
    {
        $this->whole($file, fn () => parent::runUp($file, $batch, $pretend));
    }

    protected function runDown($file, $migration, $pretend): void
    {
        $this->whole($file, fn () => parent::runDown($file, $migration, $pretend));
    }

    /** @param  Closure(): mixed  $run */
    private function whole(string $file, Closure $run): void
    {
        $this->resolveConnection($this->resolvePath($file)->getConnection())->transaction($run);
    }
}
