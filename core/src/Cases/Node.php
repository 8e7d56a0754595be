<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use stdClass;

/** A value of a JSON document with the place it stands at. Reading it checks it. */
final readonly class Node
{
    private const LARGEST = 1e12;

    public function __construct(private mixed $value, public string $path = '') {}

    public static function parse(string $json): self
    {
        try {
            return new self(json_decode($json, false, 512, JSON_THROW_ON_ERROR));
        } catch (\JsonException $error) {
            throw new CaseError('invalid_json', '', "The line is not JSON: {$error->getMessage()}.");
        }
    }

    public function isNull(): bool
    {
        return $this->value === null;
    }

    /**
     * Checks the keys of an object.
     *
     * @param  list<string>  $required
     * @param  list<string>  $optional
     */
    public function keys(array $required, array $optional = []): self
    {
        $keys = array_keys($this->fields());
        foreach ($keys as $key) {
            if (! in_array((string) $key, $required, true) && ! in_array((string) $key, $optional, true)) {
                $known = implode(', ', [...$required, ...$optional]);
                throw new CaseError('unknown_key', $this->pathOf((string) $key), "“{$key}” is not a key here; known are {$known}.");
            }
        }
        foreach ($required as $key) {
            if (! in_array($key, $keys, false)) {
                throw new CaseError('missing_key', $this->pathOf($key), "“{$key}” is missing.");
            }
        }

        return $this;
    }

    /** The value under a key; a null node when it is absent. */
    public function get(string $key): self
    {
        return new self($this->fields()[$key] ?? null, $this->pathOf($key));
    }

    /** @return array<string, self> */
    public function entries(): array
    {
        $entries = [];
        foreach ($this->fields() as $key => $value) {
            $entries[(string) $key] = new self($value, $this->pathOf((string) $key));
        }

        return $entries;
    }

    /** @return list<self> */
    public function items(): array
    {
        if (! is_array($this->value)) {
            throw $this->wrongType('a list');
        }

        return array_map(fn (int $i, mixed $item): self => new self($item, "{$this->path}/{$i}"), array_keys($this->value), $this->value);
    }

    /**
     * @template T
     *
     * @param  callable(self): T  $read
     * @return T|null null when the value is null or absent
     */
    public function optional(callable $read): mixed
    {
        return $this->isNull() ? null : $read($this);
    }

    public function string(): string
    {
        return is_string($this->value) ? $this->value : throw $this->wrongType('a text');
    }

    public function bool(): bool
    {
        return is_bool($this->value) ? $this->value : throw $this->wrongType('true or false');
    }

    public function int(int $least, int $most = 1_000_000_000): int
    {
        $value = $this->value;
        if (is_float($value) && floor($value) === $value && abs($value) < 1e15) {
            $value = (int) $value;
        }
        if (! is_int($value)) {
            throw $this->wrongType('a whole number');
        }
        $this->inRange($value, $least, $most);

        return $value;
    }

    public function number(?float $least = null, ?float $most = null): float
    {
        if (! is_int($this->value) && ! is_float($this->value)) {
            throw $this->wrongType('a number');
        }
        // No figure of the job is near this; beyond it sums would leave the numbers that can be written down.
        $this->inRange($this->value, $least ?? -self::LARGEST, $most ?? self::LARGEST);

        return (float) $this->value;
    }

    public function positive(): float
    {
        $number = $this->number();

        return $number > 0.0 ? $number : throw $this->outOfRange("{$number} is not above 0.");
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function enum(string $enum): \BackedEnum
    {
        $words = array_map(fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());

        return $enum::from($this->word($words));
    }

    /** @param  list<string>  $words */
    public function word(array $words): string
    {
        $word = $this->string();

        return in_array($word, $words, true)
            ? $word
            : throw $this->outOfRange("“{$word}” is not one of ".implode(', ', $words).'.');
    }

    public function day(): Day
    {
        return $this->made(Day::of(...), 'a day written YYYY-MM-DD');
    }

    public function instant(): Instant
    {
        return $this->made(Instant::of(...), 'a time in ISO 8601 with an offset');
    }

    /** What the case holds there, as JSON has it. */
    public function raw(): mixed
    {
        return $this->value;
    }

    public function outOfRange(string $message): CaseError
    {
        return new CaseError('out_of_range', $this->path, $message);
    }

    public function wrongType(string $wanted): CaseError
    {
        return new CaseError('wrong_type', $this->path, "Expected {$wanted}, got ".match (true) {
            $this->value === null => 'null',
            is_array($this->value) => 'a list',
            $this->value instanceof stdClass => 'an object',
            default => json_encode($this->value, JSON_UNESCAPED_UNICODE | JSON_PARTIAL_OUTPUT_ON_ERROR),
        }.'.');
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $make
     * @return T
     */
    private function made(callable $make, string $wanted): mixed
    {
        if (! is_string($this->value)) {
            throw $this->wrongType($wanted);
        }
        try {
            return $make($this->value);
        } catch (InvalidValue) {
            throw $this->wrongType($wanted);
        }
    }

    private function inRange(int|float $value, int|float $least, int|float $most): void
    {
        if ($value < $least || $value > $most) {
            throw $this->outOfRange("{$value} is outside {$least} to {$most}.");
        }
    }

    /** @return array<array-key, mixed> */
    private function fields(): array
    {
        return $this->value instanceof stdClass ? get_object_vars($this->value) : throw $this->wrongType('an object');
    }

    private function pathOf(string $key): string
    {
        return $this->path.'/'.str_replace(['~', '/'], ['~0', '~1'], $key);
    }
}
