<?php

declare(strict_types=1);

namespace App\Console;

use App\Records\Copies;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Throwable;

final class BackupCommand extends Command
{
    protected $signature = 'augendo:backup {file? : where to; storage/backups/ with the time when left out}';

    protected $description = 'Write the whole record to one file, while Augendo goes on running';

    public function handle(): int
    {
        try {
            $file = $this->argument('file') ?? Copies::next('augendo-'.Carbon::now()->format('Ymd-His'));
            if (file_exists($file)) {
                $this->error("{$file} is there already; nothing was overwritten. Name another file.");

                return self::FAILURE;
            }
            if (! is_dir(dirname($file)) && ! @mkdir(dirname($file), 0700, true)) {
                $this->error('The folder '.dirname($file).' is not there and cannot be made.');

                return self::FAILURE;
            }
            Copies::write($file);
        } catch (Throwable $error) {
            $this->error(
                "No backup was made: {$error->getMessage()} Free some space or name another place, then try again. The "
                    .'record is untouched.',
            );

            return self::FAILURE;
        }
        $this->line("Written: {$file} (".number_format((int) filesize($file)).' bytes).');

        return self::SUCCESS;
    }
}
