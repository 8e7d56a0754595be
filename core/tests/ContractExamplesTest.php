<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every worked example of the evaluator's contract reproduces: numbers within 1e-9, in the kinds of physics as closely as is asked. */
final class ContractExamplesTest extends TestCase
{
    /** What is asked of a kind of physics, by the end of the name of a figure. */
    private const AGREEMENT = [
        'flight' => ['time_s' => 1e-4, '' => 1e-3],
        'throw_check' => ['elevation_deg' => 0.3, 'least_speed_ms' => 0.01, '' => 0.002],
        'serve_window' => ['share_in' => 0.003, '' => 0.01],
        'frame' => ['' => 1e-6],
    ];

    private const OTHERWISE = ['' => 1e-9];

    private string $kind = '';

    /** @return iterable<string, array{string}> */
    public static function examples(): iterable
    {
        foreach (glob(__DIR__.'/examples/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    #[DataProvider('examples')]
    public function test_the_example_reproduces(string $file): void
    {
        $example = json_decode((string) file_get_contents($file), flags: JSON_THROW_ON_ERROR);
        $this->kind = $example->case->kind;
        $answer = json_decode((string) json_encode(Evaluator::answer((string) json_encode($example->case))), true);

        $this->assertMatches(json_decode((string) json_encode($example->answer), true), $answer, '');
    }

    private function assertMatches(mixed $expected, mixed $actual, string $path): void
    {
        if (is_array($expected)) {
            $this->assertIsArray($actual, $path);
            if (array_is_list($expected)) {
                $this->assertCount(count($expected), $actual, $path);
            }
            foreach ($expected as $key => $value) {
                $this->assertArrayHasKey($key, $actual, $path);
                $this->assertMatches($value, $actual[$key], "{$path}/{$key}");
            }
        } elseif (is_int($expected) || is_float($expected)) {
            $this->assertIsNumeric($actual, $path);
            $this->assertEqualsWithDelta($expected, $actual, $this->agreement($path), $path);
        } else {
            $this->assertSame($expected, $actual, $path);
        }
    }

    private function agreement(string $path): float
    {
        foreach (self::AGREEMENT[$this->kind] ?? self::OTHERWISE as $end => $within) {
            if (str_ends_with($path, $end)) {
                return $within;
            }
        }
        $this->fail("No agreement is asked of {$path}.");
    }
}
