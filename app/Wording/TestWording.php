<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Day;
use Augendo\Core\Library\TestTable;

/** Tests in words. */
final class TestWording
{
    /** @param  'longest_throw_m'|'reference_speed_ms'|'jump_cm'  $measures */
    public static function unit(string $measures): string
    {
        return match ($measures) {
            'longest_throw_m' => 'm',
            'reference_speed_ms' => 'm/s',
            'jump_cm' => 'cm',
        };
    }

    /** @param  Day|null  $last  of the last that still holds */
    public static function due(TestTable $table, ?Day $last, bool $anyBefore, Day $today): string
    {
        if ($last === null) {
            return $anyBefore
                ? 'Measured too long ago, or on a shorter body: measure again when fresh.'
                : 'Not measured yet: the first heavy day near full effort may be a test day.';
        }
        $by = $last->plus($table->byDays);

        return $today->isAfter($by)
            ? 'Due since '.Wording::day($by).'.'
            : 'Due from '.Wording::day($last->plus($table->fromDays)).' to '.Wording::day($by).'.';
    }

    public static function tooYoung(): string
    {
        return 'Not tested at full effort at this age. What is measured in passing can be written down.';
    }

    /** @param  'left'|'right'  $side */
    public static function behind(string $side, float $share): string
    {
        return "The {$side} is ".Wording::percent($share).' behind. Ask a clinician before more is asked of it.';
    }
}
