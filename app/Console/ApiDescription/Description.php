<?php

declare(strict_types=1);

namespace App\Console\ApiDescription;

use App\Http\Answers;
use App\Http\DescribesItself;
use App\Http\ProblemType;
use App\People\Role;
use App\People\User;
use App\People\Workspace;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Support\Str;
use LogicException;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;

/**
 * The whole API as OpenAPI 3.1, from what is there: routes say paths and who may, controllers what is answered (Answers), answers and
 * requests what they hold. There is no second text that could say something else.
 */
final class Description
{
    private readonly AnswerSchemas $schemas;

    public function __construct()
    {
        $this->schemas = new AnswerSchemas;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        $paths = [];
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $paths["/{$route->uri()}"][strtolower($route->methods()[0])] = $this->operation($route);
            }
        }
        ksort($paths);
        $tags = [];
        foreach ($paths as $operations) {
            foreach ($operations as $operation) {
                $tags[$operation['tags'][0]] = ['name' => $operation['tags'][0]];
            }
        }
        ksort($tags);

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Augendo',
                'version' => '1',
                'description' => 'Errors are application/problem+json (RFC 9457): type, title, status, detail, and errors by the path of '
                    .'the field they are about. Records carry ids made by the client (UUID v7): sending one twice changes nothing.',
                'license' => ['name' => 'AGPL-3.0-or-later', 'identifier' => 'AGPL-3.0-or-later'],
            ],
            'servers' => [['url' => '/', 'description' => 'The one origin that serves the page as well.']],
            'tags' => array_values($tags),
            'paths' => $paths,
            'components' => [
                'schemas' => [...$this->schemas->all(), 'Problem' => self::problem()],
                'securitySchemes' => [
                    'session' => [
                        'type' => 'apiKey',
                        'in' => 'cookie',
                        'name' => (string) config('session.cookie'),
                        'description' => 'Set by signing in. Writes also carry X-XSRF-TOKEN, the value of the cookie XSRF-TOKEN.',
                    ],
                    'link' => [
                        'type' => 'apiKey',
                        'in' => 'header',
                        'name' => 'X-Link-Token',
                        'description' => 'The token of a personal link, which stands for a sign-in.',
                    ],
                ],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function operation(Route $route): array
    {
        [$class, $name] = Str::parseCallback($route->getActionName(), '__invoke');
        if (! class_exists((string) $class)) {
            throw new LogicException("{$route->uri()} leads to no controller.");
        }
        $method = new ReflectionMethod($class, (string) $name);
        $says = $method->getAttributes(Answers::class)[0]
            ?? throw new LogicException("{$class}::{$name} does not say what it answers.");
        $answers = $says->newInstance();
        $request = self::requestOf($method);
        $signedIn = in_array('auth:sanctum', $route->gatherMiddleware(), true);
        $byLink = str_starts_with($route->uri(), 'api/link/');
        $body = $request === null ? null : $this->body($request, $route);

        return array_filter([
            'operationId' => lcfirst(str_replace('Controller', '', class_basename((string) $class)))
                .ucfirst($name === '__invoke' ? '' : (string) $name),
            'tags' => [explode('\\', (string) $class)[1]],
            'security' => $signedIn ? [['session' => []]] : ($byLink ? [['link' => []]] : []),
            'parameters' => [
                ...array_map(fn (string $parameter): array => self::inPath($route, $parameter), $route->parameterNames()),
                ...array_map(
                    fn (string $parameter, string $type): array => [
                        'name' => $parameter, 'in' => 'query', 'required' => false, 'schema' => ['type' => $type],
                    ],
                    array_keys($answers->query),
                    $answers->query,
                ),
            ],
            'requestBody' => $body === null ? null : ['required' => true, 'content' => ['application/json' => ['schema' => $body]]],
            'responses' => $this->responses($answers, $route, $signedIn, $byLink, $body !== null),
        ], fn (mixed $part, string $key): bool => $part !== null && ($part !== [] || $key === 'security'), ARRAY_FILTER_USE_BOTH);
    }

    /** @return array<int|string, array<string, mixed>> by status */
    private function responses(Answers $answers, Route $route, bool $signedIn, bool $byLink, bool $hasBody): array
    {
        $schema = match (true) {
            $answers->view === null => null,
            $answers->list => ['type' => 'array', 'items' => $this->schemas->reference($answers->view)],
            default => $this->schemas->reference($answers->view),
        };
        $done = $schema === null
            ? ['204' => ['description' => 'Done.']]
            : ['200' => ['description' => 'The answer.', 'content' => ['application/json' => ['schema' => $schema]]]];
        $writes = $route->methods()[0] !== 'GET';
        $refusals = array_filter([
            '401' => $signedIn || str_ends_with($route->uri(), 'sign-in') ? 'Nobody, or somebody else, is signed in.' : null,
            '403' => $signedIn && ($writes || $route->parameterNames() !== []) ? 'Not yours to see or to do.' : null,
            '404' => $route->parameterNames() !== [] || $byLink ? 'There is no such thing, or it is not yours.' : null,
            '409' => $writes ? 'Changed meanwhile, or no longer possible. Nothing is lost: look again.' : null,
            '422' => $hasBody || $writes ? 'Some of it cannot be used; errors says what and where.' : null,
            '429' => $byLink || str_ends_with($route->uri(), 'sign-in') ? 'Too many tries.' : null,
        ]);

        return $done + array_map(fn (string $why): array => [
            'description' => $why,
            'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
        ], $refusals);
    }

    /** @return array<string, mixed> */
    private static function inPath(Route $route, string $name): array
    {
        $pattern = $route->wheres[$name] ?? '';

        return [
            'name' => $name,
            'in' => 'path',
            'required' => true,
            'schema' => str_starts_with($pattern, '[0-9]') ? ['type' => 'integer', 'minimum' => 1] : ['type' => 'string'],
        ];
    }

    /** @return class-string<FormRequest>|null */
    private static function requestOf(ReflectionMethod $method): ?string
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), FormRequest::class)) {
                return $type->getName();
            }
        }

        return null;
    }

    /**
     * @param  class-string<FormRequest>  $class
     * @return array<string, mixed>
     */
    private function body(string $class, Route $route): array
    {
        $request = $class::create("/{$route->uri()}", $route->methods()[0]);
        $request->setUserResolver(fn (): User => self::somebody());
        $bound = clone $route;
        $request->setRouteResolver(fn (): Route => $bound->bind($request));
        $rules = $request instanceof DescribesItself ? $request->described() : app()->call([$request, 'rules']);
        $about = $this->schemas->about(new ReflectionClass($class));

        return [...RulesSchema::of($rules), ...($about === '' ? [] : ['description' => $about])];
    }

    /** Rules ask whose day it is; the description says nothing of days. */
    private static function somebody(): User
    {
        $user = new User(['name' => 'Somebody', 'role' => Role::Coach]);
        $user->setRelation('workspace', new Workspace(['timezone' => 'UTC']));
        $user->setAttribute('workspace_id', 0);

        return $user;
    }

    /** @return array<string, mixed> */
    private static function problem(): array
    {
        return [
            'type' => 'object',
            'description' => 'What went wrong, where, and the way out.',
            'properties' => [
                'type' => [
                    'type' => 'string',
                    'format' => 'uri-reference',
                    'enum' => array_map(fn (ProblemType $type): string => $type->uri(), ProblemType::cases()),
                ],
                'title' => ['type' => 'string'],
                'status' => ['type' => 'integer'],
                'detail' => ['type' => 'string'],
                'errors' => [
                    'type' => 'object',
                    'description' => 'Messages by the path of the field they are about.',
                    'additionalProperties' => ['type' => 'array', 'items' => ['type' => 'string']],
                ],
            ],
            'required' => ['type', 'title', 'status', 'detail', 'errors'],
            'additionalProperties' => true,
        ];
    }
}
