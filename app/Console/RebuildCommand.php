<?php

declare(strict_types=1);

namespace App\Console;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\RepLog;
use App\Records\Alone;
use App\Sessions\Sheet;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class RebuildCommand extends Command
{
    protected $signature = 'augendo:rebuild';

    protected $description = 'Make work sets, strips and daily totals anew from the events, and say whether anything differed';

    public function handle(RepLog $log): int
    {
        return Alone::with(array_values(Athlete::query()->pluck('id')->all()), function () use ($log): int {
            $before = $this->fingerprint();
            $sheets = Sheet::query()->whereHas('events')->get();
            foreach ($sheets as $sheet) {
                $log->derive($sheet);
            }
            $differing = DailyTotals::rebuild();
            $same = $this->fingerprint() === $before && $differing === 0;
            $this->line("{$sheets->count()} tapped sheets, ".DB::table('daily_totals')->count().' daily totals.');
            $this->line(
                $same
                    ? 'Equal: what was stored is what the events come to.'
                    : 'Different: what was stored did not match the events. It does now.',
            );

            return $same ? self::SUCCESS : self::FAILURE;
        });
    }

    /** Every derived row, rounded below the noise of summing in another order. */
    private function fingerprint(): string
    {
        $hash = hash_init('sha256');
        $measures = array_values(DailyTotals::columns());
        foreach (
            [
                'work_sets' => ['athlete_id', 'day', 'session', 'block_id', 'skill', 'side', 'effort', 'distance_m', 'reps'],
                'daily_totals' => ['athlete_id', 'day', 'skill', 'side', 'implement'],
                'rep_strips' => ['sheet_id', 'day', 'marks', 'varied', 'checkpoints'],
            ] as $table => $keys
        ) {
            $columns = $table === 'rep_strips' ? $keys : [...$keys, ...$measures];
            $query = DB::table($table)->select($columns);
            foreach ($table === 'rep_strips' ? ['sheet_id'] : $columns as $column) {
                $query->orderBy($column);
            }
            foreach ($query->cursor() as $row) {
                hash_update(
                    $hash,
                    json_encode(array_map(fn ($value) => is_float($value) ? round($value, 6) : $value, (array) $row), JSON_THROW_ON_ERROR),
                );
            }
        }

        return hash_final($hash);
    }
}
