<?php

declare(strict_types=1);

namespace App\Library;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Holds library files against the open schema beside them, for whoever writes one by hand or with another program. */
final class SchemaCheck
{
    private const SCHEMAS = ['skills.json' => 'skills', 'objects.json' => 'objects', 'ladders/*.json' => 'ladder', 'rule-sets/*.json' => 'rule-set'];

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
        return array_map(fn (array $problem): string => "at “{$problem['path']}”: {$problem['message']}", self::text((string) file_get_contents($file), $schema));
    }

    /** @return list<array{path: string, message: string}> what is wrong, by the place in the text (a JSON pointer) */
    public static function text(string $text, string $schema): array
    {
        $data = json_decode($text);
        if ($data === null) {
            return [['path' => '/', 'message' => 'This is not JSON: '.json_last_error_msg().'.']];
        }
        $result = (new Validator)->setMaxErrors(20)->validate($data, (string) file_get_contents(base_path("library/schema/{$schema}.schema.json")));
        $problems = [];
        foreach ($result->isValid() ? [] : (new ErrorFormatter)->format($result->error()) as $place => $messages) {
            $problems[] = ['path' => $place, 'message' => implode(' ', $messages)];
        }

        return $problems;
    }
}
