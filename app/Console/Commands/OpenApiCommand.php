<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use OpenApi\Annotations\OpenApi;
use OpenApi\Generator;

final class OpenApiCommand extends Command
{
    protected $signature = 'augendo:openapi {--check : fail when docs/openapi.json is not what the code says}';

    protected $description = 'Write docs/openapi.json from the attributes of controllers and views';

    public function handle(): int
    {
        $openApi = (new Generator)->setVersion('3.0.0')->generate([app_path('Http')], validate: false);
        assert($openApi instanceof OpenApi);
        $document = json_decode($openApi->toJson(), true);
        $document = ['openapi' => '3.0.0', 'info' => ['title' => 'Augendo', 'version' => '1', 'description' => 'Errors are application/problem+json with title, status, detail and errors by field path.']] + $document;
        foreach ($document['components']['schemas'] as &$schema) {
            // Every member of a view is always there; what is not known is null.
            $schema['required'] = array_keys($schema['properties'] ?? []);
        }
        $text = json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
        $file = base_path('docs/openapi.json');
        if ($this->option('check')) {
            $same = is_file($file) && file_get_contents($file) === $text;
            $this->line($same ? 'docs/openapi.json is what the code says.' : 'docs/openapi.json differs from the code; run php artisan augendo:openapi and npm run types.');

            return $same ? self::SUCCESS : self::FAILURE;
        }
        file_put_contents($file, $text);

        return self::SUCCESS;
    }
}
