<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Records\PostgresCopy;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * Who was erased, by id and day alone, outside the database: a backup made before an erasure still holds what it held, and a restore of it
 * erases them again before anybody can open it.
 */
final class ErasureLedger
{
    /** Beside the database, whatever that is called; on PostgreSQL a table that several hosts share and no copy holds. */
    private static function file(): string
    {
        $database = (string) config('database.connections.sqlite.database');

        return $database === ':memory:' ? storage_path('framework/testing-erasures.ndjson') : dirname($database).'/erasures.ndjson';
    }

    /** Written and on the disk when this returns: the erasure is kept only after it. */
    public static function write(string $athleteId): void
    {
        if (self::isTable()) {
            DB::table(PostgresCopy::NOT_COPIED)->insertOrIgnore(['athlete' => $athleteId, 'erased_on' => Carbon::now()->toDateString()]);

            return;
        }
        $handle = fopen(self::file(), 'a') ?: throw new RuntimeException('The ledger of erasures cannot be written. Nothing was erased.');
        flock($handle, LOCK_EX);
        $line = json_encode(['athlete' => $athleteId, 'erased_on' => Carbon::now()->toDateString()], JSON_THROW_ON_ERROR)."\n";
        $written = fwrite($handle, $line) === strlen($line) && fflush($handle) && fsync($handle);
        fclose($handle);
        chmod(self::file(), 0600);
        if (! $written) {
            throw new RuntimeException('The ledger of erasures could not be written. Nothing was erased.');
        }
    }

    /** @return list<string> ids of everybody who was erased */
    public static function all(): array
    {
        if (self::isTable()) {
            return DB::table(PostgresCopy::NOT_COPIED)->pluck('athlete')->all();
        }
        $ids = [];
        foreach (is_file(self::file()) ? file(self::file(), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] : [] as $line) {
            // A line that was cut off when the power went names nobody.
            $ids[] = json_decode($line, true)['athlete'] ?? null;
        }

        return array_values(array_unique(array_filter($ids, is_string(...))));
    }

    private static function isTable(): bool
    {
        return DB::getDriverName() === 'pgsql';
    }
}
