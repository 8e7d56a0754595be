<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;

/** Which of two numbers with slashes is the day: 3/4 is in April or in March. */
enum DateOrder: string
{
    case DayFirst = 'day first';
    case MonthFirst = 'month first';

    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    private const YEAR_FIRST = '/^(\d{4})[-\/.](\d{1,2})[-\/.](\d{1,2})(?:[T ]\d\d:\d\d.*)?$/D';

    private const MONTH_NAMED = '/^(\d{1,2})\.? ([a-z]{3})[a-z]*\.?,? (\d{4})$/D';

    private const NUMBERS = '/^(\d{1,2})[\/-](\d{1,2})[\/-](\d{4}|\d{2})$/D';

    /**
     * The order a column has, from those of its dates that leave no doubt.
     *
     * @param  iterable<string>  $cells
     * @return self|null|false null: no date tells it, though some need it; false: some say one, some the other
     */
    public static function told(iterable $cells): self|null|false
    {
        $seen = [];
        $needed = false;
        foreach ($cells as $cell) {
            if (preg_match(self::NUMBERS, self::bare($cell), $part) !== 1) {
                continue;
            }
            $needed = true;
            if ((int) $part[1] > 12) {
                $seen['day'] = true;
            } elseif ((int) $part[2] > 12) {
                $seen['month'] = true;
            }
        }

        return match (true) {
            isset($seen['day'], $seen['month']) => false,
            isset($seen['month']) => self::MonthFirst,
            isset($seen['day']), ! $needed => self::DayFirst,
            default => null,
        };
    }

    /** @throws InvalidValue when no day is written there */
    public function day(string $cell): Day
    {
        $text = self::bare($cell);
        $parts = match (true) {
            preg_match(self::YEAR_FIRST, $text, $part) === 1 => [$part[1], $part[2], $part[3]],
            preg_match('/^(\d{1,2})\.\s*(\d{1,2})\.\s*(\d{4}|\d{2})$/D', $text, $part) === 1 => [$part[3], $part[2], $part[1]],
            preg_match(self::NUMBERS, $text, $part) === 1 => $this === self::DayFirst
                ? [$part[3], $part[2], $part[1]]
                : [$part[3], $part[1], $part[2]],
            preg_match(self::MONTH_NAMED, $text, $part) === 1 => [$part[3], self::month($part[2]), $part[1]],
            preg_match('/^([a-z]{3})[a-z]*\.? (\d{1,2}),? (\d{4})$/D', $text, $part) === 1 => [$part[3], self::month($part[1]), $part[2]],
            default => throw new InvalidValue("“{$cell}” is not a day."),
        };
        $year = strlen($parts[0]) === 2 ? "20{$parts[0]}" : $parts[0];

        return Day::of(sprintf('%s-%02d-%02d', $year, (int) $parts[1], (int) $parts[2]));
    }

    /** Without the weekday in front of it. */
    private static function bare(string $cell): string
    {
        return preg_replace('/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+/', '', mb_strtolower(trim($cell))) ?? '';
    }

    private static function month(string $name): int
    {
        $at = array_search($name, self::MONTHS, true);

        return $at === false ? 0 : $at + 1;
    }
}
