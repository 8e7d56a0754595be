<?php

declare(strict_types=1);

namespace App\Records;

use Closure;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOException;
use RuntimeException;

/** The record is a file: a copy is another one, and takes its place in one step. */
final class SqliteCopy implements CopyForm
{
    public function extension(): string
    {
        return 'sqlite';
    }

    public function folder(): string
    {
        $database = self::live();

        return $database === storage_path('app/augendo.sqlite') ? storage_path('backups') : dirname($database).'/backups';
    }

    public function write(string $file): void
    {
        DB::statement('VACUUM INTO ?', [$file]);
    }

    public function isThere(): bool
    {
        return is_file(self::live()) && filesize(self::live()) > 0;
    }

    public function replaceWith(string $file, ?string $kept, Closure $prepare): void
    {
        $incoming = self::live().'.incoming';
        try {
            $this->prepare($file, $incoming, $prepare);
            if ($this->isThere()) {
                // What lies beside the file is written into it first: whenever this is interrupted, one whole record is in place.
                DB::select('PRAGMA wal_checkpoint(TRUNCATE)');
                DB::disconnect();
            }
            rename($incoming, self::live());
            foreach (['-wal', '-shm'] as $part) {
                @unlink(self::live().$part);
            }
        } finally {
            array_map(fn (string $part): bool => @unlink($incoming.$part), ['', '-wal', '-shm', '-journal']);
        }
    }

    public function wrongWith(string $file): ?string
    {
        try {
            $copy = new PDO(
                "sqlite:{$file}",
                options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY],
            );
            $check = $copy->query('PRAGMA integrity_check')->fetchColumn();
            if ($check !== 'ok') {
                return "{$file} is damaged: {$check}.";
            }
            $names = fn (string $query): array => $copy->query($query)->fetchAll(PDO::FETCH_COLUMN);
            $wrong = Copies::wrongTables($file, $names("select name from sqlite_master where type = 'table'"))
                ?? Copies::wrongMigrations($file, $names('select migration from migrations'));
            if ($wrong !== null) {
                return $wrong;
            }
            if ($copy->query('PRAGMA foreign_key_check')->fetch() !== false) {
                return "{$file} does not hold together: something in it belongs to a record that is not there.";
            }
        } catch (PDOException) {
            return "{$file} is not a database.";
        }

        return null;
    }

    private static function live(): string
    {
        return (string) config('database.connections.sqlite.database');
    }

    /** @param  Closure(): void  $prepare */
    private function prepare(string $file, string $incoming, Closure $prepare): void
    {
        $before = umask(0077);
        array_map(fn (string $part): bool => @unlink($incoming.$part), ['', '-wal', '-shm', '-journal']);
        $copied = @copy($file, $incoming);
        umask($before);
        if (! $copied || filesize($incoming) !== filesize($file)) {
            throw new RuntimeException('The file could not be copied; perhaps the disk is full.');
        }
        chmod($incoming, 0600);
        config([
            'database.connections.incoming' => [
                ...config('database.connections.sqlite'),
                'database' => $incoming,
                'journal_mode' => 'delete',
            ],
        ]);
        $usual = DB::getDefaultConnection();
        DB::setDefaultConnection('incoming');
        try {
            $prepare();
            DB::statement('PRAGMA journal_mode=DELETE');
        } finally {
            DB::disconnect('incoming');
            DB::setDefaultConnection($usual);
        }
    }
}
