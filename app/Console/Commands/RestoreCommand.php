<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOException;

final class RestoreCommand extends Command
{
    protected $signature = 'augendo:restore {file : a file that augendo:backup wrote}';

    protected $description = 'Put the record of a backup in place of the present one, which is kept beside it';

    public function handle(): int
    {
        $file = $this->argument('file');
        $wrong = $this->wrongWith($file);
        if ($wrong !== null) {
            $this->error("{$wrong} Nothing was changed.");

            return self::FAILURE;
        }
        $live = (string) DB::connection()->getConfig('database');
        $before = "{$live}.before-restore";
        if (is_file($live)) {
            @unlink($before);
            $this->callSilently('augendo:backup', ['file' => $before]);
            DB::disconnect();
        }
        copy($file, "{$live}.incoming");
        foreach (['-wal', '-shm'] as $part) {
            @unlink($live.$part);
        }
        rename("{$live}.incoming", $live);
        $this->call('migrate', ['--force' => true]);
        $this->line("Restored from {$file}.".(is_file($before) ? " What was there before is in {$before}." : ''));

        return self::SUCCESS;
    }

    private function wrongWith(string $file): ?string
    {
        if (! is_file($file)) {
            return "{$file} is not there.";
        }
        try {
            $backup = new PDO("sqlite:{$file}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY]);
            $check = $backup->query('PRAGMA integrity_check')?->fetchColumn();
            $isOurs = (int) ($backup->query("select count(*) from sqlite_master where name = 'rep_events'")?->fetchColumn() ?: 0) === 1;
        } catch (PDOException) {
            return "{$file} is not a database.";
        }

        return match (true) {
            $check !== 'ok' => "{$file} is damaged: {$check}.",
            ! $isOurs => "{$file} is a database, but not one of Augendo.",
            default => null,
        };
    }
}
