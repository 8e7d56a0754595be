<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\TodayRowView;
use App\Models\Athlete;
use App\Models\Squad;
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
     * @param  list<Athlete>  $athletes
     * @return array<string, \stdClass> by athlete id, those that still hold
     */
    public function read(array $athletes): array
    {
        $rows = [];
        $kept = DB::table('kept_rows')->where('squad_id', $this->squad->id)->get()->keyBy('athlete_id');
        foreach ($athletes as $athlete) {
            $row = $kept[$athlete->id] ?? null;
            if ($row !== null && $row->key === $this->key($athlete)) {
                $rows[$athlete->id] = json_decode($row->row, false, 512, JSON_THROW_ON_ERROR);
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
            'athlete_id' => $athlete->id, 'squad_id' => $this->squad->id, 'key' => $this->key($athlete),
            'row' => json_encode($rows[$athlete->id], JSON_THROW_ON_ERROR),
        ], $athletes), ['squad_id', 'athlete_id']);
    }

    private function key(Athlete $athlete): string
    {
        return hash('xxh128', "{$athlete->revision}|{$this->common}");
    }
}
