<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/** What is read of a request before, or without, rules that look at it. */
final class Asked
{
    /** A text; a list in its place, or nothing, says nothing. */
    public static function text(Request $request, string $key): string
    {
        $value = $request->input($key);

        return is_string($value) ? $value : '';
    }
}
