<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Sessions\Answers\TodayRowView;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\DB;

/**
 * Rows of Today as they were last worked out. A row is served again only under the key it was made with: the athlete's revision, the
 * day, the squad's rules, the library files and the build. Athletes and squad must be read before what a row is made from.
 */
final class KeptRows
{
    private readonly string $common;

    public function __construct(private readonly Squad $squad, Day $on, Library $library)
    {
        $this->common = implode('|', [$on->iso(), $squad->rule_set, $squad->school?->value, $library->fingerprint(), config('app.build')]);
    }

    /**
     * @param  array<string, int>  $revisions  by athlete id
     * @return array<string, string> JSON by athlete id, as it was written: those that still hold
     */
    public function read(array $revisions): array
    {
        $rows = [];
        foreach (DB::table('kept_rows')->where('squad_id', $this->squad->id)->get(['athlete_id', 'key', 'row']) as $row) {
            if (isset($revisions[$row->athlete_id]) && $row->key === $this->key($revisions[$row->athlete_id])) {
                $rows[$row->athlete_id] = $row->row;
            }
        }

        return $rows;
    }

    /**
     * @param  list<Athlete>  $athletes
     * @param  array<string, TodayRowView>  $rows  by athlete id
     */
    public function keep(array $athletes, array $rows): void
    {
        DB::table('kept_rows')->upsert(array_map(fn (Athlete $athlete): array => [
            'athlete_id' => $athlete->id, 'squad_id' => $this->squad->id, 'key' => $this->key($athlete->revision),
            'row' => json_encode($rows[$athlete->id], JSON_THROW_ON_ERROR),
        ], $athletes), ['squad_id', 'athlete_id']);
    }

    private function key(int $revision): string
    {
        return hash('xxh128', "{$revision}|{$this->common}");
    }
}
