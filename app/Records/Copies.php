<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** Copies of the whole record: made while Augendo runs, looked through before they are put in place, and never deleted by Augendo. */
final class Copies
{
    public static function form(): CopyForm
    {
        return DB::getDriverName() === 'pgsql' ? new PostgresCopy : new SqliteCopy;
    }

    public static function folder(): string
    {
        return self::form()->folder();
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
        return app()->isDownForMaintenance() && ! self::isHeld();
    }

    /** A restore that was killed let nobody in again: whoever starts Augendo next does. */
    public static function isHeld(): bool
    {
        return is_file(self::holdMark());
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
            $file = sprintf('%s/%s-%04d.%s', $folder, $why, $number, self::form()->extension());
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
            self::form()->write($half);
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
        $files = glob(self::folder().'/*.'.self::form()->extension()) ?: [];
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

        return self::form()->wrongWith($file);
    }

    /** @param  list<string>  $tables  that a file holds */
    public static function wrongTables(string $file, array $tables): ?string
    {
        return array_diff(['workspaces', 'athletes', 'rep_events', 'migrations'], $tables) === []
            ? null
            : "{$file} is a database, but not one of Augendo.";
    }

    /** @param  list<string>  $migrations  that were run on it */
    public static function wrongMigrations(string $file, array $migrations): ?string
    {
        $known = array_map(fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);

        return array_diff($migrations, $known) === []
            ? null
            : "{$file} was written by a newer Augendo than this one. Update Augendo first, then restore it.";
    }
}
