<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use App\People\Role;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * Harms requests: every route, as every role, with bodies that the HTTP tests send (bodies.json, written by AUGENDO_RECORD_BODIES=1
 * vendor/bin/phpunit --testsuite feature) and something in each put out of joint. The same seed harms the same way.
 */
final class Fuzzer
{
    /** What stands where a value stood. */
    private const NASTY = [
        null, true, false, 0, -1, 1, 2, 1e308, -1e308, 9_223_372_036_854_775_807, 99_999_999_999, 0.1, '', ' ',
        '0', '-1', 'x', '../../composer', "'; drop table users; --", '<script>', "\u{202E}abc", "\u{FEFF}", 'é',
        '😀',
        '2027-02-30', '2027-13-01', '0000-00-00', '9999-12-31', '1800-01-01', '2027-05-20', '2027-05-20T10:00:00+15:00',
        '2027-05-20T25:00:00Z', '2027-05-20T10:00:00', '1850-01-01T00:00:00Z', 'not-a-uuid',
        '00000000-0000-7000-8000-000000000000', '0198aaaa-0000-7000-8000-00000000000G', [], [[]], [null], [1, 2, 3],
        ['a' => ['b' => ['c' => 1]]], [['x' => 'y']],
    ];

    private const NASTY_IDS = [
        '0', '-1', '1', '999999', '9223372036854775808', '99999999999999999999999999', 'x', '%00', '%FF', '..',
        '..%2F..%2Fcomposer', '00000000-0000-7000-8000-000000000000', '%F0%9F%98%80', '2027-02-30', '1e9', 'null',
    ];

    private readonly Randomizer $random;

    /** @var array<string, list<array<string, mixed>>> by method and route */
    private readonly array $bodies;

    /** @param  array<string, list<string>>  $ids  real ids by parameter name */
    public function __construct(int $seed, private readonly array $ids)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->bodies = json_decode((string) file_get_contents(__DIR__.'/bodies.json'), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return list<array{string, string}> method and address pattern of every route of the API */
    public static function routes(): array
    {
        return collect(app('router')->getRoutes()->getRoutes())->filter(fn (Route $route): bool => str_starts_with($route->uri(), 'api/'))
            ->map(fn (Route $route): array => [array_values(array_diff($route->methods(), ['HEAD']))[0], $route->uri()])->values()->all();
    }

    public function role(): ?Role
    {
        return $this->pick([null, ...Role::cases(), Role::Coach, Role::Coach]);
    }

    /** @return array{string, string, array<array-key, mixed>} method, address, body */
    public function request(string $method, string $pattern): array
    {
        $path = (string) preg_replace_callback('/\{(\w+)\??\}/', function (array $found): string {
            $real = $this->ids[$found[1]] ?? [];

            return $real !== [] && $this->chance(0.75) ? $this->pick($real) : $this->pick(self::NASTY_IDS);
        }, $pattern);
        $body = $this->pick($this->bodies["{$method} {$pattern}"] ?? [[]]);
        for ($harms = $this->random->getInt(1, 3); $harms > 0; $harms--) {
            $body = $this->harm($body, 0);
        }
        if ($method === 'GET') {
            $query = http_build_query(
                $this->chance(0.5) ? $body : [
                    $this->pick(['day', 'squad', 'days', 'skill', 'reps', 'effort', 'ladder', 'version']) => $this->pick(self::NASTY),
                ],
            );

            return [
                $method,
                '/'.$path.($query === '' ? '' : "?{$query}").($this->chance(0.05) ? ($query === '' ? '?' : '&').'day=%FF' : ''),
                [],
            ];
        }

        return [$method, "/{$path}", $body];
    }

    /** Bytes in place of JSON, now and then. */
    public function raw(): ?string
    {
        return $this->chance(0.03) ? $this->pick([
            '{', '[]', '"x"', 'null', '1e999', "{\"a\": \"\xFF\"}", '{"a": "\u0000"}', '{"a": "\ud800"}',
            str_repeat('[', 80).str_repeat(']', 80), '{"a": '.str_repeat('9', 400).'}',
        ]) : null;
    }

    /** @return string|null what is wrong with an answer */
    public static function wrongWith(TestResponse $answer): ?string
    {
        $status = $answer->getStatusCode();
        if ($status >= 500) {
            return "{$status}: ".substr((string) $answer->getContent(), 0, 300);
        }
        if ($status < 400) {
            return $status === 204
                || $answer->baseResponse instanceof BinaryFileResponse
                || json_decode((string) $answer->getContent()) !== null
                || str_contains((string) $answer->getContent(), 'null')
                ? null
                : 'an answer that is no JSON';
        }
        $problem = json_decode((string) $answer->getContent(), true);
        if (
            $answer->headers->get('Content-Type') !== 'application/problem+json'
            || ! isset($problem['title'], $problem['detail'], $problem['status'])
        ) {
            return "{$status} that is no problem: ".substr((string) $answer->getContent(), 0, 200);
        }

        return $status === 422 && ($problem['errors'] ?? []) === [] && strlen($problem['detail']) < 10
            ? '422 that names no place: '.$answer->getContent()
            : null;
    }

    /** What every request begins from: nothing that one of them did is left for the next. */
    public static function apart(callable $run): mixed
    {
        DB::beginTransaction();
        try {
            return $run();
        } finally {
            while (DB::transactionLevel() > 1) {
                DB::rollBack();
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function harm(array $body, int $depth): array
    {
        $keys = array_keys($body);
        if ($keys === [] || $this->chance(0.06)) {
            return [...$body, $this->pick(['id', 'version', 'x', 'reps', 'at']) => $this->pick(self::NASTY)];
        }
        $key = $this->pick($keys);
        if (is_array($body[$key]) && $body[$key] !== [] && $depth < 5 && $this->chance(0.7)) {
            return [...$body, $key => $this->harm($body[$key], $depth + 1)];
        }
        if ($this->chance(0.15)) {
            unset($body[$key]);

            return $body;
        }
        if ($this->chance(0.05)) {
            return [...$body, $key => array_fill(0, 600, $body[$key])];
        }
        $body[$key] = $this->chance(0.05) ? str_repeat('long ', 2000) : $this->pick(self::NASTY);

        return $body;
    }

    private function chance(float $share): bool
    {
        return $this->random->getInt(0, 999_999) < $share * 1_000_000;
    }

    /**
     * @template T
     *
     * @param  array<T>  $of
     * @return T
     */
    public function pick(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }
}
