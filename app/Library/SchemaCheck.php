<?php

declare(strict_types=1);

namespace App\Library;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds library files against the open schema beside them, for whoever writes one by hand or with another program. */
final class SchemaCheck
{
    private const SLUG = '^[a-z0-9-]+$';

    private const SCHEMAS = [
        'skills.json' => 'skills',
        'objects.json' => 'objects',
        'doses.json' => 'doses',
        'sizes.json' => 'sizes',
        'tests.json' => 'tests',
        'balls.json' => 'balls',
        'courts.json' => 'courts',
        'ladders/*.json' => 'ladder',
        'rule-sets/*.json' => 'rule-set',
    ];

    /** @return list<string> what is wrong, with the file and the place in it */
    public static function folder(string $folder): array
    {
        $problems = [];
        foreach (self::SCHEMAS as $pattern => $schema) {
            foreach (glob("{$folder}/{$pattern}") ?: [] as $file) {
                foreach (self::file($file, $schema) as $problem) {
                    $problems[] = substr($file, strlen($folder) + 1)." {$problem}";
                }
            }
        }

        return $problems;
    }

    /** @return list<string> */
    public static function file(string $file, string $schema): array
    {
        return array_map(
            fn (array $problem): string => "at “{$problem['path']}”: {$problem['message']}",
            self::text((string) file_get_contents($file), $schema),
        );
    }

    /** @return list<array{path: string, message: string}> what is wrong, by the place in the text (a JSON pointer) */
    public static function text(string $text, string $schema): array
    {
        $data = json_decode($text);
        if ($data === null) {
            return [['path' => '/', 'message' => 'This is not JSON: '.json_last_error_msg().'.']];
        }
        $result = (new Validator)->setMaxErrors(20)->validate(
            $data,
            (string) file_get_contents(base_path("library/schema/{$schema}.schema.json")),
        );
        $problems = [];
        foreach ($result->isValid() ? [] : (new ErrorFormatter)->format($result->error(), true, self::say(...)) as $place => $messages) {
            $problems[] = ['path' => $place, 'message' => implode(' ', $messages)];
        }

        return $problems;
    }

    /** What is wrong there, and what would be right. */
    private static function say(ValidationError $error): string
    {
        $args = $error->args();
        $value = $error->data()->value();
        $schema = $error->schema()->info()->data();
        $list = fn (array $words): string => implode(
            ', ',
            array_map(fn (mixed $word): string => is_string($word) ? "“{$word}”" : (string) json_encode($word), $words),
        );

        return match ($error->keyword()) {
            'type' => ($value === null ? 'This is empty' : 'This is '.self::named($args['type'] ?? ''))
                .'; '
                .self::named($args['expected'])
                .' is asked for.',
            'required' => $list((array) ($args['missing'] ?? [])).' is missing.',
            'additionalProperties' => $list((array) ($args['properties'] ?? []))
                .' is not known here'
                .(isset($schema->properties) ? '; there are '.$list(array_keys((array) $schema->properties)) : '')
                .'.',
            'enum' => (is_scalar($value) ? $list([$value]) : 'This').' is none of '.$list((array) ($schema->enum ?? [])).'.',
            'minLength' => 'This is empty; write something.',
            'minimum', 'exclusiveMinimum' => 'This is '
                .json_encode($value)
                .'; '
                .($error->keyword() === 'minimum' ? 'at least ' : 'more than ')
                .json_encode($args['min'] ?? $schema->{$error->keyword()} ?? 0)
                .' is asked for.',
            'maximum', 'exclusiveMaximum' => 'This is '
                .json_encode($value)
                .'; '
                .($error->keyword() === 'maximum' ? 'at most ' : 'less than ')
                .json_encode($args['max'] ?? $schema->{$error->keyword()} ?? 0)
                .' is asked for.',
            'pattern' => $list([$value]).' cannot stand here; '.(
                ($schema->pattern ?? '') === self::SLUG
                    ? 'small letters, digits and hyphens can.'
                    : 'it has to be of the form '.($schema->pattern ?? '').'.'
            ),
            'minItems' => 'At least '.json_encode($args['min'] ?? 1).' is asked for here.',
            'uniqueItems' => 'The same stands here twice.',
            default => (new ErrorFormatter)->formatErrorMessage($error).'.',
        };
    }

    /** @param  string|list<string>  $types  as JSON names them */
    private static function named(string|array $types): string
    {
        return implode(' or ', array_map(fn (string $type): string => [
            'string' => 'a text', 'number' => 'a number', 'integer' => 'a whole number', 'boolean' => 'true or false',
            'array' => 'a list', 'object' => 'an object', 'null' => 'nothing',
        ][$type] ?? $type, (array) $types));
    }
}
