<?php

declare(strict_types=1);

namespace App\Athletes;

use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\DB;

/**
 * Rows of a screen as they were last worked out, one an athlete. A row is served again only under the key it was made with: the athlete's
 * revision, the day, the squad's rules, the library files and the build. Athletes and squad must be read before what a row is made from.
 * Looking keeps nothing; keepMissing() does, from the queue.
 */
final class KeptRows
{
    public function __construct(private readonly Library $library) {}

    /**
     * As they were kept, where they still hold, else worked out.
     *
     * @param  array<string, int>  $revisions  by athlete id, read before what their rows are made from
     * @return array{array<string, string>, bool} JSON by athlete id, in the order given; and whether every row was kept
     */
    public function of(MakesRows $screen, array $revisions, Squad $squad, Day $on): array
    {
        $kept = $this->kept($screen, $revisions, $squad, $on);
        $missing = array_keys(array_diff_key($revisions, $kept));
        $rows = [...$kept, ...$this->made($screen, $missing, $squad, $on)];

        return [self::inOrder($rows, $revisions), $missing === []];
    }

    /**
     * @param  array<string, string>  $rows  by athlete id
     * @param  array<string, int>  $revisions  by athlete id
     * @return array<string, string> those that there are, in the order of the revisions, and nobody else
     */
    public static function inOrder(array $rows, array $revisions): array
    {
        return array_intersect_key(array_replace(array_intersect_key($revisions, $rows), $rows), $revisions);
    }

    /**
     * Worked out now; nothing is kept.
     *
     * @param  list<string>  $ids
     * @return array<string, string> JSON by athlete id
     */
    public function made(MakesRows $screen, array $ids, Squad $squad, Day $on): array
    {
        $athletes = $ids === [] ? [] : Athlete::query()->whereIn('id', $ids)->get()->all();

        return array_map(
            fn (object|array $row): string => json_encode($row, JSON_THROW_ON_ERROR),
            $athletes === [] ? [] : $screen->made(new AthletesDay($athletes, $squad, $on)),
        );
    }

    /**
     * Keeps the rows of the squad that are not kept yet: what is known of its athletes is fetched once for all screens.
     *
     * @param  list<MakesRows>  $screens
     */
    public function keepMissing(array $screens, Squad $squad, Day $on): void
    {
        $athletes = $squad->athletes()->whereNull('erased_at')->get();
        $revisions = $athletes->pluck('revision', 'id')->all();
        $kept = array_map(fn (MakesRows $screen): array => $this->kept($screen, $revisions, $squad, $on), $screens);
        $everywhere = $kept === [] ? [] : array_intersect_key(...$kept);
        $missing = $athletes->reject(fn (Athlete $athlete): bool => isset($everywhere[$athlete->id]))->values()->all();
        if ($missing === []) {
            return;
        }
        $day = new AthletesDay($missing, $squad, $on);
        $holds = $this->holdsFor($squad, $on);
        foreach ($screens as $screen) {
            $rows = $screen->made($day);
            DB::table('kept_rows')->upsert(array_map(fn (Athlete $athlete): array => [
                'athlete_id' => $athlete->id, 'squad_id' => $squad->id, 'screen' => $screen->screen(),
                'key' => self::key($athlete->revision, $holds), 'row' => json_encode($rows[$athlete->id], JSON_THROW_ON_ERROR),
            ], $missing), ['squad_id', 'screen', 'athlete_id']);
        }
    }

    /**
     * @param  array<string, int>  $revisions  by athlete id
     * @return array<string, string> JSON by athlete id, as it was written: those that still hold
     */
    public function kept(MakesRows $screen, array $revisions, Squad $squad, Day $on): array
    {
        $kept = DB::table('kept_rows')
            ->where('squad_id', $squad->id)
            ->where('screen', $screen->screen())
            ->get(['athlete_id', 'key', 'row']);
        $holds = $this->holdsFor($squad, $on);
        $rows = [];
        foreach ($kept as $row) {
            if (isset($revisions[$row->athlete_id]) && $row->key === self::key($revisions[$row->athlete_id], $holds)) {
                $rows[$row->athlete_id] = $row->row;
            }
        }

        return $rows;
    }

    /** What every row of the squad's day depends on besides its athlete. */
    private function holdsFor(Squad $squad, Day $on): string
    {
        return implode('|', [$on->iso(), $squad->rule_set, $squad->school?->value, $this->library->fingerprint(), config('app.build')]);
    }

    private static function key(int $revision, string $holds): string
    {
        return hash('xxh128', "{$revision}|{$holds}");
    }
}
