<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Http\Described;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Ten characters or more that are neither common nor one's own name: what somebody who knows the club would try first. */
final class GoodPassword implements Described, ValidationRule
{
    private const LEAST = 10;

    private const MOST = 200;

    /** Words that common passwords are made of; what is left of one beside them has to be something. */
    private const COMMON = [
        'password', 'passwort', 'passord', 'senha', 'contrasena', 'motdepasse', 'qwertyuiop', 'qwerty', 'qwertz',
        'azerty', 'asdfghjkl', 'asdfgh', 'zxcvbnm', 'letmein', 'welcome', 'iloveyou', 'sunshine', 'princess',
        'football', 'baseball', 'basketball', 'volleyball', 'handball', 'javelin', 'superman', 'batman', 'dragon',
        'monkey', 'master', 'shadow', 'michael', 'charlie', 'starwars', 'whatever', 'freedom', 'trustno', 'admin',
        'administrator', 'login', 'secret', 'changeme', 'default', 'computer', 'internet', 'samsung', 'google',
        'coach', 'trainer', 'athlete', 'augendo', 'abc', 'test', 'hello', 'summer', 'winter', 'spring', 'autumn',
    ];

    private const LEFT_LEAST = 5;

    /** @param  list<string|null>  $own  name, e-mail and club of whoever sets it */
    public function __construct(private readonly array $own = []) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || mb_strlen($value) < self::LEAST) {
            $fail('A password has ten characters or more.');
        } elseif (strlen($value) > self::MOST) {
            $fail('A password has 200 characters at most.');
        } elseif ($this->isCommon($value)) {
            $fail(
                'This is one of the passwords that are tried first: common words, rows of keys or digits. Take a few '
                    .'words that do not belong together.',
            );
        } elseif ($this->isOwn($value)) {
            $fail('Your own name, e-mail or club is what somebody would try first. Take a few words that have nothing to do with you.');
        }
    }

    private function isCommon(string $value): bool
    {
        $plain = strtr(
            mb_strtolower($value),
            ['0' => 'o', '1' => 'l', '3' => 'e', '4' => 'a', '5' => 's', '@' => 'a', '$' => 's', '!' => 'i'],
        );
        $left = str_replace(self::COMMON, '', $plain);
        $letters = preg_replace('/[^\p{L}]/u', '', str_replace(self::COMMON, '', mb_strtolower($value))) ?? '';

        return count(array_unique(mb_str_split($value))) < 4
            || (mb_strlen($left) < self::LEFT_LEAST && $left !== $plain)
            || $letters === ''
            || self::isRow($value);
    }

    /** A row of characters each next to the one before it, up or down. */
    private static function isRow(string $value): bool
    {
        $steps = [];
        for ($i = 1; $i < strlen($value); $i++) {
            $steps[] = ord($value[$i]) - ord($value[$i - 1]);
        }

        return count(array_unique($steps)) === 1;
    }

    private function isOwn(string $value): bool
    {
        $parts = array_merge(
            [],
            ...array_map(fn (?string $name): array => preg_split('/[\s@.]+/u', mb_strtolower((string) $name)) ?: [], $this->own),
        );
        $parts = array_values(array_filter($parts, fn (string $part): bool => mb_strlen($part) >= 4));
        $plain = mb_strtolower($value);
        $left = str_replace($parts, '', $plain);

        return $left !== $plain && mb_strlen($left) < self::LEFT_LEAST;
    }

    public static function schema(): array
    {
        return ['type' => 'string', 'format' => 'password', 'minLength' => self::LEAST, 'maxLength' => self::MOST];
    }
}
