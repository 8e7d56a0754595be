<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Athlete;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What an athlete throws whatever the table of ages and hands says: each choice is kept, the last one counts. */
final class OwnSizes
{
    /**
     * @param  list<string>  $athleteIds
     * @return array<string, array<string, string>> ids of objects by athlete and table
     */
    public static function of(array $athleteIds): array
    {
        $chosen = [];
        foreach (DB::table('own_sizes')->whereIn('athlete_id', $athleteIds)->orderBy('id')->get() as $row) {
            $chosen[$row->athlete_id][$row->size_table] = $row->object;
        }

        return array_map(fn (array $tables): array => array_filter($tables, fn (?string $object): bool => $object !== null), $chosen);
    }

    /** @param  string|null  $object  id of a size of the table; null: by the table again. Chosen already, it changes nothing */
    public static function choose(Athlete $athlete, string $table, ?string $object, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $table, $object, $by): void {
            if ((self::of([$athlete->id])[$athlete->id][$table] ?? null) === $object) {
                return;
            }
            DB::table('own_sizes')->insert([
                'athlete_id' => $athlete->id, 'size_table' => $table, 'object' => $object,
                'chosen_by' => $by->id, 'chosen_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'size chosen', ['table' => $table, 'object' => $object]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }
}
