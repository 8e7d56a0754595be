<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

final class BackupCommand extends Command
{
    protected $signature = 'augendo:backup {file? : where to; storage/backups/ with the time when left out}';

    protected $description = 'Write the whole record to one file, while Augendo goes on running';

    public function handle(): int
    {
        if (DB::getDriverName() !== 'sqlite') {
            $this->error('This is for SQLite. On PostgreSQL use pg_dump.');

            return self::FAILURE;
        }
        $file = $this->argument('file') ?? storage_path('backups/augendo-'.Carbon::now()->format('Ymd-His').'.sqlite');
        if (file_exists($file)) {
            $this->error("{$file} is there already; nothing was overwritten. Name another file.");

            return self::FAILURE;
        }
        if (! is_dir(dirname($file)) && ! @mkdir(dirname($file), 0700, true)) {
            $this->error('The folder '.dirname($file).' is not there and cannot be made.');

            return self::FAILURE;
        }
        // One consistent copy, whatever is being written meanwhile.
        DB::statement('VACUUM INTO ?', [$file]);
        chmod($file, 0600);
        $this->line("Written: {$file} (".number_format((int) filesize($file)).' bytes).');

        return self::SUCCESS;
    }
}
