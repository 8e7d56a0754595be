<?php

declare(strict_types=1);

namespace App\Console\ApiDescription;

use App\Http\Described;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use ReflectionProperty;

/**
 * A JSON schema of what validation rules let through. What depends on other fields, on the day or on the record is left to the validator:
 * the schema never refuses what it would take.
 */
final class RulesSchema
{
    /** A choice among more than so many is data (ladders, implements), not part of the description. */
    private const CHOICES_AT_MOST = 20;

    private const TYPES = ['string', 'integer', 'numeric', 'boolean', 'array', 'email', 'uuid', 'date_format'];

    /**
     * @param  array<string, mixed>  $rules  by dotted field
     * @return array<string, mixed>
     */
    public static function of(array $rules): array
    {
        /** @var array{rules: list<mixed>, members: array<string, mixed>} $tree */
        $tree = ['rules' => ['array'], 'members' => []];
        foreach ($rules as $field => $of) {
            $node = &$tree;
            foreach (explode('.', $field) as $name) {
                $node['members'][$name] ??= ['rules' => [], 'members' => []];
                $node = &$node['members'][$name];
            }
            $node['rules'] = is_string($of) ? explode('|', $of) : (array) $of;
            unset($node);
        }

        return self::node($tree);
    }

    /**
     * @param  array{rules: list<mixed>, members: array<string, mixed>}  $node
     * @return array<string, mixed>
     */
    private static function node(array $node): array
    {
        $members = $node['members'];
        $schema = match (true) {
            isset($members['*']) && self::described($node['rules']) !== null => [
                ...(array) self::described($node['rules']),
                'additionalProperties' => self::node($members['*']),
            ],
            isset($members['*']) => ['type' => 'array', 'items' => self::node($members['*']), ...self::bounds($node['rules'], 'array')],
            $members !== [] => self::object($members),
            default => self::leaf($node['rules']),
        };
        if (! in_array('nullable', $node['rules'], true) || ! isset($schema['type'])) {
            return $schema;
        }
        if (isset($schema['enum'])) {
            $schema['enum'][] = null;
        }

        return [...$schema, 'type' => [...(array) $schema['type'], 'null']];
    }

    /**
     * @param  array<string, array{rules: list<mixed>, members: array<string, mixed>}>  $members
     * @return array<string, mixed>
     */
    private static function object(array $members): array
    {
        $required = array_keys(array_filter(
            $members,
            fn (array $node): bool => array_intersect(['required', 'present'], array_filter($node['rules'], is_string(...))) !== [],
        ));

        return [
            'type' => 'object',
            'properties' => array_map(self::node(...), $members),
            ...($required === [] ? [] : ['required' => $required]),
        ];
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, mixed>
     */
    private static function leaf(array $rules): array
    {
        $described = self::described($rules);
        if ($described !== null) {
            return $described;
        }
        foreach ($rules as $rule) {
            if ($rule instanceof Enum) {
                return self::enum($rule);
            }
            if ($rule instanceof In) {
                $values = str_getcsv(substr((string) $rule, 3), escape: '\\');

                return ['type' => 'string', ...(count($values) > self::CHOICES_AT_MOST ? [] : ['enum' => $values])];
            }
        }
        $names = array_map(fn (string $rule): string => explode(':', $rule)[0], array_filter($rules, is_string(...)));
        $type = array_values(array_intersect(self::TYPES, $names))[0] ?? null;

        return match ($type) {
            'integer' => ['type' => 'integer', ...self::bounds($rules, 'number')],
            'numeric' => ['type' => 'number', ...self::bounds($rules, 'number')],
            'boolean' => ['type' => 'boolean'],
            'array' => in_array('list', $names, true) ? ['type' => 'array'] : ['type' => 'object', 'additionalProperties' => true],
            'uuid', 'email' => ['type' => 'string', 'format' => $type],
            'date_format', 'string' => ['type' => 'string', ...self::bounds($rules, 'string')],
            default => ['type' => ['string', 'number', 'boolean', 'null']],
        };
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, mixed>|null what a rule of our own says of itself
     */
    private static function described(array $rules): ?array
    {
        foreach ($rules as $rule) {
            if ($rule instanceof Described) {
                return $rule::schema();
            }
        }

        return null;
    }

    /** @return array{type: 'string', enum: list<string>} */
    private static function enum(Enum $rule): array
    {
        $read = fn (string $name): mixed => (new ReflectionProperty($rule, $name))->getValue($rule);
        $cases = $read('type')::cases();
        [$only, $except] = [$read('only'), $read('except')];
        $left = array_filter(
            $cases,
            fn (\BackedEnum $case): bool => ($only === [] || in_array($case, $only, true)) && ! in_array($case, $except, true),
        );

        return ['type' => 'string', 'enum' => array_values(array_map(fn (\BackedEnum $case): string => (string) $case->value, $left))];
    }

    /**
     * @param  list<mixed>  $rules
     * @param  'number'|'string'|'array'  $of
     * @return array<string, int|float>
     */
    private static function bounds(array $rules, string $of): array
    {
        [$least, $most] = match ($of) {
            'number' => ['minimum', 'maximum'],
            'string' => ['minLength', 'maxLength'],
            'array' => ['minItems', 'maxItems'],
        };
        $bounds = [];
        foreach (array_filter($rules, is_string(...)) as $rule) {
            [$name, $given] = [...explode(':', $rule, 2), ''];
            $figures = array_map(fn (string $figure): int|float => $figure + 0, array_filter(explode(',', $given), is_numeric(...)));
            $bounds += match (true) {
                $figures === [] => [],
                $name === 'between' => [$least => $figures[0], $most => $figures[1]],
                $name === 'size' => [$least => $figures[0], $most => $figures[0]],
                $name === 'min' => [$least => $figures[0]],
                $name === 'max' => [$most => $figures[0]],
                $name === 'gt' && $of === 'number' => ['exclusiveMinimum' => $figures[0]],
                default => [],
            };
        }

        return $bounds;
    }
}
