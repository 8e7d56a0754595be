<?php

declare(strict_types=1);

namespace App\Film;

use App\Http\Described;
use Augendo\Core\Frames\Landmarks;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Points on a picture by landmark: x, y, and how far off they may lie, all in pixels. */
final class LandmarkPoints implements Described, ValidationRule
{
    private const MOST_PX = 20_000;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_array($value)) {
            $fail('Points are given by the name of their landmark.');

            return;
        }
        foreach ($value as $name => $at) {
            if (! in_array($name, Landmarks::names(), true)) {
                $fail("“{$name}” is no landmark.");
            } elseif (! self::isPoint($at)) {
                $fail("The {$name} needs x, y and how far off it may lie, in pixels.");
            }
        }
    }

    public static function schema(): array
    {
        $pixel = ['type' => 'number', 'minimum' => -self::MOST_PX, 'maximum' => self::MOST_PX];

        return [
            'type' => 'object',
            'additionalProperties' => ['type' => 'array', 'items' => $pixel, 'minItems' => 3, 'maxItems' => 3],
        ];
    }

    private static function isPoint(mixed $at): bool
    {
        if (! is_array($at) || ! array_is_list($at) || count($at) !== 3 || $at[2] < 0) {
            return false;
        }
        foreach ($at as $px) {
            if ((! is_int($px) && ! is_float($px)) || abs($px) > self::MOST_PX) {
                return false;
            }
        }

        return true;
    }
}
