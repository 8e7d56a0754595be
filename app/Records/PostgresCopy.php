<?php

declare(strict_types=1);

namespace App\Records;

use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use Symfony\Component\Process\Process;
use Throwable;

/**
 * A copy is what pg_dump writes in its own form; pg_restore puts it back in one transaction. Who was erased is written down in a table
 * that no copy holds and no restore touches.
 */
final class PostgresCopy implements CopyForm
{
    /** The table of who was erased. */
    public const NOT_COPIED = 'erasures';

    private const TAKES_AT_MOST_S = 3600;

    public function extension(): string
    {
        return 'dump';
    }

    public function folder(): string
    {
        return storage_path('backups');
    }

    public function write(string $file): void
    {
        self::run(['pg_dump', '--format=custom', '--no-owner', '--no-privileges', '--exclude-table='.self::NOT_COPIED, "--file={$file}"]);
    }

    public function isThere(): bool
    {
        return Schema::hasTable('migrations');
    }

    public function replaceWith(string $file, ?string $kept, Closure $prepare): void
    {
        $whole = ['--clean', '--if-exists', '--no-owner', '--no-privileges', '--exit-on-error', '--single-transaction'];
        $restore = ['pg_restore', ...$whole, '--dbname='.self::database()];
        self::run([...$restore, $file]);
        DB::purge();
        try {
            $prepare();
        } catch (Throwable $error) {
            $kept === null || self::run([...$restore, $kept]);
            throw $error;
        }
    }

    public function wrongWith(string $file): ?string
    {
        try {
            $listed = self::run(['pg_restore', '--list', $file]);
            preg_match_all('/ TABLE DATA \S+ (\S+) /', $listed, $tables);
            $data = self::run(['pg_restore', '--data-only', '--table=migrations', '--file=-', $file]);
        } catch (RuntimeException) {
            return "{$file} is not a copy of a database, or it is damaged.";
        }
        preg_match_all('/^\d+\t(\S+)\t/m', $data, $migrations);

        return Copies::wrongTables($file, $tables[1]) ?? Copies::wrongMigrations($file, $migrations[1]);
    }

    /** @param  non-empty-list<string>  $command */
    private static function run(array $command): string
    {
        $of = config('database.connections.pgsql');
        $process = new Process($command, env: array_filter([
            'PGHOST' => (string) $of['host'], 'PGPORT' => (string) $of['port'], 'PGUSER' => (string) $of['username'],
            'PGPASSWORD' => (string) $of['password'], 'PGDATABASE' => (string) $of['database'], 'PGSSLMODE' => (string) $of['sslmode'],
        ]), timeout: self::TAKES_AT_MOST_S);
        $process->run();
        if (! $process->isSuccessful()) {
            $said = trim($process->getErrorOutput());
            throw new RuntimeException($process->getExitCode() === 127 ? "{$command[0]} is missing: install postgresql-client." : $said);
        }

        return $process->getOutput();
    }

    private static function database(): string
    {
        return (string) config('database.connections.pgsql.database');
    }
}
