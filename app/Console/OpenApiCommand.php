<?php

declare(strict_types=1);

namespace App\Console;

use App\Console\ApiDescription\Description;
use Illuminate\Console\Command;

final class OpenApiCommand extends Command
{
    protected $signature = 'augendo:openapi {--check : fail when docs/openapi.json is not what the code says}';

    protected $description = 'Write docs/openapi.json from routes, requests and answers';

    public function handle(): int
    {
        $document = (new Description)->document();
        $text = json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
        $file = base_path('docs/openapi.json');
        if (! $this->option('check')) {
            file_put_contents($file, $text);

            return self::SUCCESS;
        }
        $same = is_file($file) && file_get_contents($file) === $text;
        $this->line($same
            ? 'docs/openapi.json is what the code says.'
            : 'docs/openapi.json differs from the code; run php artisan augendo:openapi.');

        return $same ? self::SUCCESS : self::FAILURE;
    }
}
