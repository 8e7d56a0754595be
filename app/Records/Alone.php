<?php

declare(strict_types=1);

namespace App\Records;

use Closure;
use Illuminate\Support\Facades\DB;

/**
 * A transaction in which nobody else changes what belongs to the same athletes, or to the same club: whoever reads here and then writes
 * may rely on what was read. SQLite lets one writer in anyway; on PostgreSQL the rows are locked first, in the order of their ids, so that
 * two never wait for each other. The lock lets others point to the row meanwhile (a report of another club's day is not held up).
 */
final class Alone
{
    /** Again, when the database ends one of two that wait for each other all the same. */
    private const TRIES = 3;

    /**
     * @template T
     *
     * @param  string|list<string>  $athleteIds
     * @param  Closure(): T  $do
     * @return T
     */
    public static function with(string|array $athleteIds, Closure $do): mixed
    {
        return self::locked('athletes', (array) $athleteIds, $do);
    }

    /**
     * For what is a whole club's: people, links, squads, rules, sessions of a squad.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function inClub(int $workspaceId, Closure $do): mixed
    {
        return self::locked('workspaces', [$workspaceId], $do);
    }

    /**
     * @template T
     *
     * @param  list<string|int>  $ids
     * @param  Closure(): T  $do
     * @return T
     */
    private static function locked(string $table, array $ids, Closure $do): mixed
    {
        return DB::transaction(function () use ($table, $ids, $do): mixed {
            self::lock($table, $ids);

            return $do();
        }, self::TRIES);
    }

    /**
     * Of a club's matter that turns out to be about athletes: from here on nobody counts for them meanwhile.
     *
     * @param  list<string>  $athleteIds
     */
    public static function also(array $athleteIds): void
    {
        self::lock('athletes', $athleteIds);
    }

    /** @param  list<string|int>  $ids */
    private static function lock(string $table, array $ids): void
    {
        if (DB::getDriverName() === 'pgsql') {
            DB::table($table)->whereIn('id', $ids)->orderBy('id')->lock('for no key update')->get(['id']);
        }
    }
}
