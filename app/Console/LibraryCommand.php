<?php

declare(strict_types=1);

namespace App\Console;

use App\Library\SchemaCheck;
use Augendo\Core\Library\Library;
use Illuminate\Console\Command;

final class LibraryCommand extends Command
{
    protected $signature = 'augendo:library {--folder= : another library folder}';

    protected $description = 'Check every library file against its schema and its references';

    public function handle(): int
    {
        $folder = $this->option('folder') ?? base_path('library');
        $problems = [...SchemaCheck::folder($folder)];
        foreach ((new Library($folder))->problems() as $problem) {
            $problems[] = "{$problem->libraryFile} at “{$problem->path}”: {$problem->getMessage()}";
        }
        foreach ($problems as $problem) {
            $this->line($problem);
        }
        $this->line($problems === [] ? 'All library files can be used.' : count($problems).' to mend.');

        return $problems === [] ? self::SUCCESS : self::FAILURE;
    }
}
