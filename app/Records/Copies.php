<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOException;
use RuntimeException;

/** Copies of the whole record: made while Augendo runs, looked through before they are put in place, and never deleted by Augendo. */
final class Copies
{
    public static function folder(): string
    {
        $database = (string) config('database.connections.sqlite.database');

        return $database === storage_path('app/augendo.sqlite') ? storage_path('backups') : dirname($database).'/backups';
    }

    /** Requests wait outside while the file changes; a device keeps what it has and sends it afterwards. */
    public static function holdRequests(): void
    {
        touch(self::holdMark());
        Artisan::call('down', ['--retry' => 5]);
    }

    public static function letRequestsIn(): void
    {
        Artisan::call('up');
        @unlink(self::holdMark());
    }

    /** @return bool whether somebody has closed Augendo who is not a restore: then nobody but they open it */
    public static function isClosedByHand(): bool
    {
        return app()->isDownForMaintenance() && ! is_file(self::holdMark());
    }

    /** A restore that was killed let nobody in again: whoever starts Augendo next does. */
    public static function letRequestsInAfterABreak(): void
    {
        if (is_file(self::holdMark())) {
            self::letRequestsIn();
        }
    }

    private static function holdMark(): string
    {
        return storage_path('framework/restoring');
    }

    /** @return string a name that is not taken: numbered, so that no copy ever takes the place of another */
    public static function next(string $why): string
    {
        $folder = self::folder();
        if (! is_dir($folder) && ! @mkdir($folder, 0700, true)) {
            throw new RuntimeException("The folder {$folder} is not there and cannot be made.");
        }
        for ($number = 1; ; $number++) {
            $file = sprintf('%s/%s-%04d.sqlite', $folder, $why, $number);
            if (! file_exists($file)) {
                return $file;
            }
        }
    }

    /** One consistent copy of the live record, whatever is being written meanwhile. Half a copy is not left behind. */
    public static function write(string $file): void
    {
        $half = "{$file}.half";
        @unlink($half);
        // Nobody else may read it, from its first byte on.
        $before = umask(0077);
        try {
            DB::statement('VACUUM INTO ?', [$half]);
            chmod($half, 0600);
            rename($half, $file);
        } finally {
            umask($before);
            @unlink($half);
        }
    }

    /** @return list<array{string, Carbon, int}> file, when it was made, and its bytes; the latest first */
    public static function all(): array
    {
        $files = glob(self::folder().'/*.sqlite') ?: [];
        usort($files, fn (string $a, string $b): int => (int) filemtime($b) <=> (int) filemtime($a));

        return array_map(
            fn (string $file): array => [$file, Carbon::createFromTimestamp((int) filemtime($file)), (int) filesize($file)],
            $files,
        );
    }

    /** @return string|null what is wrong with a file that is to be put in place of the record, in plain words; null when nothing is */
    public static function wrongWith(string $file): ?string
    {
        if (! is_file($file)) {
            return "{$file} is not there.";
        }
        try {
            $copy = new PDO(
                "sqlite:{$file}",
                options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY],
            );
            $check = $copy->query('PRAGMA integrity_check')->fetchColumn();
            if ($check !== 'ok') {
                return "{$file} is damaged: {$check}.";
            }
            $tables = $copy->query("select name from sqlite_master where type = 'table'")->fetchAll(PDO::FETCH_COLUMN);
            if (array_diff(['workspaces', 'athletes', 'rep_events', 'migrations'], $tables) !== []) {
                return "{$file} is a database, but not one of Augendo.";
            }
            $known = array_map(fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
            $newer = array_diff($copy->query('select migration from migrations')->fetchAll(PDO::FETCH_COLUMN), $known);
            if ($newer !== []) {
                return "{$file} was written by a newer Augendo than this one. Update Augendo first, then restore it.";
            }
            if ($copy->query('PRAGMA foreign_key_check')->fetch() !== false) {
                return "{$file} does not hold together: something in it belongs to a record that is not there.";
            }
        } catch (PDOException) {
            return "{$file} is not a database.";
        }

        return null;
    }
}
