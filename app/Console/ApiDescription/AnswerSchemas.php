<?php

declare(strict_types=1);

namespace App\Console\ApiDescription;

use LogicException;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocTextNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionProperty;

/**
 * JSON schemas of what the API answers, read from the classes themselves: the types of their properties, made closer by `@var`, the text
 * of their docblocks, and `@format` (date) where a string has one. Every member is always there; what is not known is null.
 */
final class AnswerSchemas
{
    /** @var array<string, array<string, mixed>> by short name */
    private array $schemas = [];

    private readonly Lexer $lexer;

    private readonly PhpDocParser $parser;

    public function __construct()
    {
        $config = new ParserConfig([]);
        $this->lexer = new Lexer($config);
        $constants = new ConstExprParser($config);
        $this->parser = new PhpDocParser($config, new TypeParser($config, $constants), $constants);
    }

    /**
     * @param  class-string  $class
     * @return array{'$ref': string}
     */
    public function reference(string $class): array
    {
        $reflection = new ReflectionClass($class);
        $name = $reflection->getShortName();
        if (! isset($this->schemas[$name])) {
            // Known before its members are: a view may hold views of its own kind.
            $this->schemas[$name] = [];
            $this->schemas[$name] = $this->describe($reflection);
        }

        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /** @return array<string, array<string, mixed>> of all that was referred to */
    public function all(): array
    {
        ksort($this->schemas);

        return $this->schemas;
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function describe(ReflectionClass $class): array
    {
        $properties = [];
        foreach ($class->getProperties(ReflectionProperty::IS_PUBLIC) as $property) {
            $properties[$property->getName()] = $this->property($property);
        }
        $about = $this->about($class);

        return [
            'type' => 'object',
            ...($about === '' ? [] : ['description' => $about]),
            'properties' => $properties,
            'required' => array_keys($properties),
            'additionalProperties' => false,
        ];
    }

    /** @param  ReflectionClass<object>  $class  whose docblock is asked for, without its tags */
    public function about(ReflectionClass $class): string
    {
        return $this->text($this->read($class->getDocComment()));
    }

    /** @return array<string, mixed> */
    private function property(ReflectionProperty $property): array
    {
        $class = $property->getDeclaringClass();
        $doc = $this->read($property->getDocComment());
        $var = $doc?->getVarTagValues()[0] ?? null;
        $type = $property->getType();
        if ($var === null && ! $type instanceof ReflectionNamedType) {
            throw new LogicException("{$class->getName()}::\${$property->getName()} needs a @var.");
        }
        $types = new DocTypes($class, $this->reference(...));
        $schema = $var === null
            ? $types->ofText(($type->allowsNull() && $type->getName() !== 'mixed' ? '?' : '').$type->getName())
            : $types->of($var->type);
        $format = $doc === null ? null : ($doc->getTagsByName('@format')[0] ?? null);
        if ($format !== null) {
            $schema = self::formatted($schema, (string) $format->value);
        }
        $about = trim($this->text($doc).' '.($var->description ?? ''));

        return $about === '' ? $schema : [...$schema, 'description' => $about];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function formatted(array $schema, string $format): array
    {
        return isset($schema['items'])
            ? [...$schema, 'items' => self::formatted($schema['items'], $format)]
            : [...$schema, 'format' => trim($format)];
    }

    private function read(string|false $comment): ?PhpDocNode
    {
        return $comment === false ? null : $this->parser->parse(new TokenIterator($this->lexer->tokenize($comment)));
    }

    private function text(?PhpDocNode $doc): string
    {
        $lines = array_map(
            fn (PhpDocTextNode $text): string => $text->text,
            array_filter($doc->children ?? [], fn (object $child): bool => $child instanceof PhpDocTextNode),
        );

        return trim((string) preg_replace('/\s+/', ' ', implode(' ', $lines)));
    }
}
