<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use PHPUnit\Framework\Assert;

/** Something large that is told in lines and kept in a file: AUGENDO_WRITE_EXAMPLES=1 keeps it anew, and git shows what changed. */
final class KeptText
{
    /** @param  list<string>  $lines */
    public static function assertSame(string $file, array $lines): void
    {
        $text = implode("\n", array_map(rtrim(...), $lines))."\n";
        if (getenv('AUGENDO_WRITE_EXAMPLES') === '1') {
            file_put_contents($file, $text);
        }
        Assert::assertSame((string) file_get_contents($file), $text);
    }
}
