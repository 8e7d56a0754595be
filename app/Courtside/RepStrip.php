<?php

declare(strict_types=1);

namespace App\Courtside;

use Augendo\Core\Instant;
use Augendo\Core\Mechanics\JudgedRep;

/** Judged repetitions written as one mark each: g good, b not good, u not seen; a capital shows a safety fault. */
final class RepStrip
{
    /** @param  list<JudgedRep>  $reps */
    public static function write(array $reps): string
    {
        return implode('', array_map(function (JudgedRep $rep): string {
            $mark = match ($rep->good) {
                true => 'g',
                false => 'b',
                null => 'u',
            };

            return $rep->safety ? strtoupper($mark) : $mark;
        }, $reps));
    }

    /** @return list<JudgedRep> all at the time of the last, which keeps their order and their day */
    public static function read(string $marks, string $sheetId, Instant $lastAt): array
    {
        $ofMark = [];
        $reps = [];
        foreach ($marks === '' ? [] : str_split($marks) as $mark) {
            $reps[] = $ofMark[$mark] ??= new JudgedRep(
                $lastAt, $sheetId,
                match (strtolower($mark)) {
                    'g' => true,
                    'b' => false,
                    default => null,
                },
                $mark !== strtolower($mark),
            );
        }

        return $reps;
    }
}
