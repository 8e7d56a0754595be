<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Answers;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use OpenApi\Annotations\OpenApi;
use OpenApi\Generator;
use ReflectionMethod;

final class OpenApiCommand extends Command
{
    protected $signature = 'augendo:openapi {--check : fail when docs/openapi.json is not what the code says}';

    protected $description = 'Write docs/openapi.json from the attributes of controllers and views';

    public function handle(): int
    {
        $openApi = (new Generator)->setVersion('3.0.0')->generate([app_path('Http')], validate: false);
        assert($openApi instanceof OpenApi);
        $document = json_decode($openApi->toJson(), true);
        $document = [
            'openapi' => '3.0.0',
            'info' => [
                'title' => 'Augendo',
                'version' => '1',
                'description' => 'Errors are application/problem+json with title, status, detail and errors by field path.',
            ],
        ] + $document;
        $document['paths'] = $this->paths();
        foreach ($document['components']['schemas'] as &$schema) {
            // Every member of a view is always there; what is not known is null.
            $schema['required'] = array_keys($schema['properties'] ?? []);
        }
        $text = json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
        $file = base_path('docs/openapi.json');
        if ($this->option('check')) {
            $same = is_file($file) && file_get_contents($file) === $text;
            $this->line(
                $same
                    ? 'docs/openapi.json is what the code says.'
                    : 'docs/openapi.json differs from the code; run php artisan augendo:openapi.',
            );

            return $same ? self::SUCCESS : self::FAILURE;
        }
        file_put_contents($file, $text);

        return self::SUCCESS;
    }

    /** @return array<string, array<string, mixed>> by path and method, from the routes and what their controllers say they answer */
    private function paths(): array
    {
        $paths = [];
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/')) {
                continue;
            }
            [$class, $method] = Str::parseCallback($route->getActionName(), '__invoke');
            $answers = (
                (new ReflectionMethod((string) $class, (string) $method))->getAttributes(Answers::class)[0]
                    ?? throw new \LogicException("{$class}::{$method} does not say what it answers.")
            )->newInstance();
            $schema = $answers->view === null ? null : ['$ref' => '#/components/schemas/'.class_basename($answers->view)];
            $parameter = fn (string $name, string $in, string $type): array => [
                'name' => $name,
                'in' => $in,
                'required' => $in === 'path',
                'schema' => ['type' => $type],
            ];
            $paths["/{$route->uri()}"][strtolower($route->methods()[0])] = array_filter([
                'operationId' => lcfirst(
                    str_replace('Controller', '', class_basename((string) $class)),
                ).ucfirst($method === '__invoke' ? '' : (string) $method),
                'parameters' => [
                    ...array_map(fn (string $name): array => $parameter($name, 'path', 'string'), $route->parameterNames()),
                    ...array_map(
                        fn (string $name, string $type): array => $parameter($name, 'query', $type),
                        array_keys($answers->query),
                        $answers->query,
                    ),
                ],
                'responses' => $schema === null ? ['204' => ['description' => 'Done']] : ['200' => [
                    'description' => 'The answer',
                    'content' => ['application/json' => ['schema' => $answers->list ? ['type' => 'array', 'items' => $schema] : $schema]],
                ]],
            ], fn ($value): bool => $value !== []);
        }
        ksort($paths);

        return $paths;
    }
}
