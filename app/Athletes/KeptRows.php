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
    private readonly string $common;

    /** @param  'today'|'gates'  $screen */
    public function __construct(private readonly string $screen, private readonly Squad $squad, Day $on, Library $library)
    {
        $this->common = implode('|', [$on->iso(), $squad->rule_set, $squad->school?->value, $library->fingerprint(), config('app.build')]);
    }

    /**
     * As they were kept, where they still hold, else worked out.
     *
     * @param  array<string, int>  $revisions  by athlete id, read before what their rows are made from
     * @param  callable(non-empty-list<Athlete>): array<string, mixed>  $made  by athlete id, to be written as JSON
     * @return array{array<string, string>, bool} JSON by athlete id, in the order given; and whether every row was kept
     */
    public function of(array $revisions, callable $made): array
    {
        $rows = $this->read($revisions);
        $missing = array_keys(array_diff_key($revisions, $rows));
        $athletes = $missing === [] ? [] : Athlete::query()->whereIn('id', $missing)->get()->all();
        foreach ($athletes === [] ? [] : $made($athletes) as $id => $row) {
            $rows[$id] = json_encode($row, JSON_THROW_ON_ERROR);
        }

        // In the order given, and nobody else.
        return [array_intersect_key([...array_fill_keys(array_keys($revisions), ''), ...$rows], $revisions), $missing === []];
    }

    /**
     * Keeps the rows of the squad that are not kept yet. A row that was kept meanwhile is left as it is.
     *
     * @param  callable(non-empty-list<Athlete>): array<string, mixed>  $made  by athlete id, to be written as JSON
     */
    public function keepMissing(callable $made): void
    {
        $athletes = $this->squad->athletes()->whereNull('erased_at')->get();
        $rows = $this->read($athletes->pluck('revision', 'id')->all());
        $missing = $athletes->reject(fn (Athlete $athlete): bool => isset($rows[$athlete->id]))->values()->all();
        if ($missing === []) {
            return;
        }
        $rows = $made($missing);
        DB::table('kept_rows')->upsert(array_map(fn (Athlete $athlete): array => [
            'athlete_id' => $athlete->id, 'squad_id' => $this->squad->id, 'screen' => $this->screen,
            'key' => $this->key($athlete->revision), 'row' => json_encode($rows[$athlete->id], JSON_THROW_ON_ERROR),
        ], $missing), ['squad_id', 'screen', 'athlete_id']);
    }

    /**
     * @param  array<string, int>  $revisions  by athlete id
     * @return array<string, string> JSON by athlete id, as it was written: those that still hold
     */
    private function read(array $revisions): array
    {
        $rows = [];
        $kept = DB::table('kept_rows')
            ->where('squad_id', $this->squad->id)
            ->where('screen', $this->screen)
            ->get(['athlete_id', 'key', 'row']);
        foreach ($kept as $row) {
            if (isset($revisions[$row->athlete_id]) && $row->key === $this->key($revisions[$row->athlete_id])) {
                $rows[$row->athlete_id] = $row->row;
            }
        }

        return $rows;
    }

    private function key(int $revision): string
    {
        return hash('xxh128', "{$revision}|{$this->common}");
    }
}
