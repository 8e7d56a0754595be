<?php

declare(strict_types=1);

namespace App\Console\ApiDescription;

use BackedEnum;
use Closure;
use LogicException;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use ReflectionClass;

/**
 * Types as docblocks write them, turned into JSON schemas. A type it does not know stops it: a description that guesses is worth
 * nothing.
 */
final readonly class DocTypes
{
    /**
     * @param  ReflectionClass<object>  $class  whose docblock it is
     * @param  Closure(class-string): array<string, mixed>  $reference
     */
    public function __construct(private ReflectionClass $class, private Closure $reference) {}

    /** @return array<string, mixed> */
    public function ofText(string $type): array
    {
        return str_starts_with($type, '?')
            ? $this->of(new NullableTypeNode(new IdentifierTypeNode(substr($type, 1))))
            : $this->of(new IdentifierTypeNode($type));
    }

    /** @return array<string, mixed> */
    public function of(TypeNode $type): array
    {
        return match (true) {
            $type instanceof IdentifierTypeNode => $this->named($type->name),
            $type instanceof NullableTypeNode => $this->anyOf([$type->type, new IdentifierTypeNode('null')]),
            $type instanceof UnionTypeNode => $this->anyOf($type->types),
            $type instanceof GenericTypeNode => $this->generic($type),
            $type instanceof ArrayShapeNode => $this->shape($type),
            $type instanceof ConstTypeNode => $this->constant($type),
            default => throw $this->unknown((string) $type),
        };
    }

    /** @return array<string, mixed> */
    private function named(string $name): array
    {
        return match ($name) {
            'string', 'non-empty-string' => ['type' => 'string'],
            'int' => ['type' => 'integer'],
            'float' => ['type' => 'number'],
            'bool' => ['type' => 'boolean'],
            'null' => ['type' => 'null'],
            'object', '\stdClass', 'stdClass' => ['type' => 'object', 'additionalProperties' => true],
            default => ($this->reference)($this->resolve($name)),
        };
    }

    /** @return class-string */
    private function resolve(string $name): string
    {
        // Native types come with their whole name; docblocks name what the file imports, or what lies beside it.
        $file = (string) file_get_contents((string) $this->class->getFileName());
        $imported = preg_match('/^use ([\w\\\\]+\\\\'.preg_quote($name, '/').');/m', $file, $found) === 1 ? $found[1] : null;
        foreach ([$imported, ltrim($name, '\\'), "{$this->class->getNamespaceName()}\\{$name}"] as $class) {
            if ($class !== null && (class_exists($class) || enum_exists($class))) {
                return $class;
            }
        }
        throw $this->unknown($name);
    }

    /**
     * @param  array<TypeNode>  $types
     * @return array<string, mixed>
     */
    private function anyOf(array $types): array
    {
        // A plain object beside a type is that type as it was written: a kept answer, or a map with nothing in it.
        $closer = array_filter($types, fn (TypeNode $type): bool => ! in_array((string) $type, ['\stdClass', 'stdClass'], true));
        $types = $closer === [] ? $types : $closer;
        $constants = array_filter($types, fn (TypeNode $type): bool => $type instanceof ConstTypeNode);
        $others = array_filter($types, fn (TypeNode $type): bool => ! $type instanceof ConstTypeNode);
        $nullable = array_filter($others, fn (TypeNode $type): bool => (string) $type === 'null') !== [];
        $others = array_filter($others, fn (TypeNode $type): bool => (string) $type !== 'null');
        $schemas = array_map($this->of(...), array_values($others));
        if ($constants !== []) {
            $values = array_merge(...array_map(fn (TypeNode $type): array => $this->of($type)['enum'], array_values($constants)));
            $schemas[] = ['type' => is_int($values[0]) ? 'integer' : 'string', 'enum' => $values];
        }
        if (count($schemas) > 1) {
            return ['anyOf' => [...$schemas, ...($nullable ? [['type' => 'null']] : [])]];
        }

        return $nullable ? self::orNull($schemas[0]) : $schemas[0];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function orNull(array $schema): array
    {
        if (! isset($schema['type'])) {
            return ['anyOf' => [$schema, ['type' => 'null']]];
        }
        if (isset($schema['enum'])) {
            $schema['enum'][] = null;
        }

        return [...$schema, 'type' => [$schema['type'], 'null']];
    }

    /** @return array<string, mixed> */
    private function generic(GenericTypeNode $type): array
    {
        $inner = $type->genericTypes;

        return match (true) {
            in_array($type->type->name, ['list', 'non-empty-list'], true) && count($inner) === 1 => [
                'type' => 'array',
                'items' => $this->of($inner[0]),
            ],
            $type->type->name === 'value-of' => $this->valuesOf((string) $inner[0]),
            $type->type->name === 'array' && count($inner) === 2 => [
                'type' => 'object',
                'additionalProperties' => $this->of($inner[1]),
            ],
            default => throw $this->unknown((string) $type),
        };
    }

    /** @return array{type: string, enum: list<int|string>} of a backed enumeration */
    private function valuesOf(string $enum): array
    {
        $class = $this->resolve($enum);
        if (! is_subclass_of($class, BackedEnum::class)) {
            throw $this->unknown("value-of<{$enum}>");
        }
        $values = array_map(fn (BackedEnum $case): int|string => $case->value, $class::cases());

        return ['type' => is_int($values[0]) ? 'integer' : 'string', 'enum' => $values];
    }

    /** @return array<string, mixed> a fixed list, or an object with named members */
    private function shape(ArrayShapeNode $shape): array
    {
        $members = [];
        $required = [];
        foreach ($shape->items as $position => $item) {
            $name = $item->keyName === null ? $position : trim((string) $item->keyName, "'\"");
            $members[$name] = $this->of($item->valueType);
            $item->optional || $required[] = $name;
        }

        return array_is_list($members)
            ? ['type' => 'array', 'prefixItems' => $members, 'minItems' => count($members), 'maxItems' => count($members)]
            : ['type' => 'object', 'properties' => $members, 'required' => $required, 'additionalProperties' => false];
    }

    /** @return array{type: string, enum: list<int|string>} */
    private function constant(ConstTypeNode $type): array
    {
        $value = $type->constExpr;

        return match (true) {
            $value instanceof ConstExprStringNode => ['type' => 'string', 'enum' => [$value->value]],
            $value instanceof ConstExprIntegerNode => ['type' => 'integer', 'enum' => [(int) $value->value]],
            default => throw $this->unknown((string) $type),
        };
    }

    private function unknown(string $type): LogicException
    {
        return new LogicException("{$this->class->getName()} has a type that cannot be described: {$type}.");
    }
}
