<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What is stored must be readable ever after: every text that comes in is valid UTF-8 without control characters, and every body is JSON,
 * or lines where a device writes.
 * What an address asks for is one value a name.
 */
final class ReadableInput
{
    private const MOST_BYTES = 2_000_000;

    /** Devices write lines as well. */
    private const CSV_AT = 'api/readings';

    public function handle(Request $request, Closure $next): Response
    {
        $body = (string) $request->getContent();
        if (strlen($body) > self::MOST_BYTES) {
            throw new Problem(ProblemType::TooMuchAtOnce, 'This is more than is taken in one go. Send less.');
        }
        $isCsv = $request->is(self::CSV_AT) && str_starts_with((string) $request->header('Content-Type'), 'text/csv');
        if ($isCsv) {
            $this->refuseUnreadable(preg_split('/\r\n|\r|\n/', $body) ?: [], 'line');
        } elseif ($body !== '' && ! $request->isJson()) {
            throw new Problem(ProblemType::NotUnderstood, 'Send JSON: a body with the content type application/json.');
        }
        if ($body !== '' && ! $isCsv) {
            $given = json_decode($body, true, 64);
            if (json_last_error() !== JSON_ERROR_NONE || ! is_array($given)) {
                throw new Problem(ProblemType::NotReadable, 'What was sent is no JSON object: '.json_last_error_msg().'.');
            }
            $this->refuseUnreadable($given, '');
        }
        $this->refuseUnreadable($request->query->all(), '');
        foreach ($request->query->all() as $name => $value) {
            if (is_array($value)) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'The address asks for one thing several times over.',
                    [$name => ['One value, not a list.']],
                );
            }
        }
        $this->refuseUnreadable(
            ['address' => rawurldecode($request->path()), 'X-Link-Token' => (string) $request->header('X-Link-Token')],
            '',
        );

        return $next($request);
    }

    /** @param  array<array-key, mixed>  $values */
    private function refuseUnreadable(array $values, string $path): void
    {
        foreach ($values as $key => $value) {
            $place = $path === '' ? (string) $key : "{$path}.{$key}";
            if (! self::isReadable((string) $key)) {
                throw $this->unreadable($path === '' ? 'a key' : $path);
            }
            if (is_array($value)) {
                $this->refuseUnreadable($value, $place);
            } elseif (is_string($value) && ! self::isReadable($value)) {
                throw $this->unreadable($place);
            } elseif (is_float($value) && ! is_finite($value)) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'A number here is too large.',
                    [$place => ['This number is too large.']],
                );
            }
        }
    }

    private static function isReadable(string $text): bool
    {
        return mb_check_encoding($text, 'UTF-8') && preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $text) === 0;
    }

    private function unreadable(string $place): Problem
    {
        return new Problem(
            ProblemType::SomeOfItCannotBeUsed,
            'A text here holds bytes that nobody could read again. Type it anew.',
            [$place => ['Cannot be read. Type it anew.']],
        );
    }
}
