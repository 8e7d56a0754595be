<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Database\PostgresConnection;

/** PostgreSQL through PDO hands a double over as text; here it is the number it is, as from SQLite. */
final class PostgresNumbers extends PostgresConnection
{
    /** Every column that holds a double; a test reads them off the tables. */
    public const DOUBLES = [
        'at_s', 'battery', 'clock_off_s', 'from_s', 'until_s',
        'arm', 'asked_distance_m', 'asked_effort', 'count_reps', 'distance_m', 'distance_min_m', 'drop_cm', 'effort', 'effort_max',
        'effort_min', 'goal',
        'hand', 'height_cm', 'high_reps', 'injured', 'landings', 'length_m', 'longest_throw_m', 'metres', 'pace_m',
        'pictures_a_second', 'reference_speed_ms',
        'share', 'shadow', 'sound', 'speed_ms', 'trunk', 'usual_week', 'value', 'width_m',
    ];

    /**
     * @param  string  $query
     * @param  array<int|string, mixed>  $bindings
     * @param  bool  $useReadPdo
     * @return array<int, mixed>
     */
    public function select($query, $bindings = [], $useReadPdo = true)
    {
        $rows = parent::select($query, $bindings, $useReadPdo);
        $first = $rows[0] ?? null;
        if (is_object($first)) {
            foreach (array_intersect(self::DOUBLES, array_keys(get_object_vars($first))) as $column) {
                foreach ($rows as $row) {
                    $row->{$column} = self::number($row->{$column});
                }
            }
        }

        return $rows;
    }

    /**
     * @param  string  $query
     * @param  array<int|string, mixed>  $bindings
     * @param  bool  $useReadPdo
     * @return \Generator<int, object>
     */
    public function cursor($query, $bindings = [], $useReadPdo = true)
    {
        foreach (parent::cursor($query, $bindings, $useReadPdo) as $row) {
            foreach (self::DOUBLES as $column) {
                if (isset($row->{$column})) {
                    $row->{$column} = self::number($row->{$column});
                }
            }
            yield $row;
        }
    }

    private static function number(mixed $value): mixed
    {
        return is_string($value) && is_numeric($value) ? (float) $value : $value;
    }
}
