<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every worked example of the evaluator's contract reproduces, numbers within 1e-9. */
final class ContractExamplesTest extends TestCase
{
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
            $this->assertEqualsWithDelta($expected, $actual, 1e-9, $path);
        } else {
            $this->assertSame($expected, $actual, $path);
        }
    }
}
