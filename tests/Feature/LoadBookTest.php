<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Limits\AthleteLoads;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\LiveDatabase;
use Tests\TestCase;

#[Group('once')]
final class LoadBookTest extends TestCase
{
    /** Limits read from stored daily totals stand where they stand when every set is priced anew. */
    public function test_daily_totals_say_what_the_sets_say(): void
    {
        $on = $this->coach()->workspace->today();
        $library = app(Library::class);
        foreach (Athlete::query()->get() as $athlete) {
            $day = new AthleteDay($athlete, $on);
            $price = new SetCost(app(AthleteLoads::class)->profiles([$athlete], $on)[$athlete->id]);
            $sets = DB::table('work_sets')->where(
                'athlete_id',
                $athlete->id,
            )->get()->map(function (object $row) use ($price, $library): CostedSet {
                $object = $library->objects()[$row->object] ?? null;

                return $price->of(new WorkSet(
                    Day::of(substr($row->day, 0, 10)), $row->session, $library->skills()[$row->skill], (int) $row->reps,
                    $row->effort === null ? null : (float) $row->effort, Implement::from($row->implement),
                    $row->distance_m === null ? null : (float) $row->distance_m,
                    $row->speed_ms === null ? null : (float) $row->speed_ms, $object?->massKg,
                    $object?->referenceMassKg,
                    Side::from($row->side), $row->surface === null ? null : Surface::from($row->surface),
                    (int) $row->legs, $row->drop_cm === null ? null : (float) $row->drop_cm,
                ));
            })->all();
            $anew = $day->limits->board(
                $on,
                new LoadRecord($sets, $day->load->record->wholeSeries(Measure::Internal)->byDay(), $day->load->record->firstDay()),
            )->states([]);
            $stored = $day->limits->board($on, $day->load->record)->states([]);
            $this->assertCount(count($anew), $stored);
            foreach ($anew as $i => $state) {
                $this->assertEqualsWithDelta(
                    $this->figures($state),
                    $this->figures($stored[$i]),
                    1e-6,
                    "{$athlete->given_name}: {$state->limit->id}",
                );
            }
        }
    }

    /** Four processes send the same taps at once, in parts that overlap: each is there once, and the totals are theirs. */
    public function test_many_devices_at_once_count_every_tap_once(): void
    {
        $live = new LiveDatabase($this->folder());
        $this->assertSame(0, $live->artisan('migrate', '--force')[0]);
        $this->assertSame(0, $live->artisan('db:seed', '--class=Tests\TestSquad', '--force')[0]);
        $script = <<<'PHP'
            require 'vendor/autoload.php';
            (require 'bootstrap/app.php')->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
            $coach = App\People\User::query()->where('role', 'coach')->firstOrFail();
            $sheet = App\Sessions\Sheet::query()->where('held_on', $coach->workspace->today()->iso())->orderBy('id')->firstOrFail();
            $block = $sheet->blocks()->where('reps', '>', 0)->firstOrFail();
            mt_srand((int) $argv[1]);
            $tap = fn (int $i): array => [
                'id' => sprintf('0198aaaa-0000-7000-8000-%012d', $i), 'block_id' => $block->id, 'set_no' => 1, 'kind' => 'rep',
                'verdict' => 'good', 'side' => 'dominant', 'effort' => 0.5,
                'at' => sprintf('2026-01-01T10:%02d:00+00:00', $i), 'seq' => $i, 'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c',
            ];
            $send = fn (int $from, int $to) => app(App\Courtside\RepLog::class)
                ->append($sheet->refresh(), array_map($tap, range($from, $to)), $coach);
            for ($round = 0; $round < 12; $round++) {
                $from = mt_rand(0, 40);
                $send($from, min(49, $from + mt_rand(0, 20)));
            }
            $send(0, 49);
            echo $sheet->id;
            PHP;
        $processes = array_map(fn (int $seed): Process => $live->run(['-r', $script, (string) $seed]), range(1, 4));
        array_map(fn (Process $process) => $process->start(), $processes);
        foreach ($processes as $process) {
            $this->assertSame(0, $process->wait(), $process->getErrorOutput().$process->getOutput());
        }
        $pdo = $live->pdo();
        $sheet = $processes[0]->getOutput();
        $this->assertSame(50, (int) $pdo->query("select count(*) from rep_events where sheet_id = '{$sheet}'")->fetchColumn());
        $this->assertSame(50, (int) $pdo->query("select sum(reps) from work_sets where session = '{$sheet}'")->fetchColumn());
        $this->assertSame(0, $live->artisan('augendo:rebuild')[0], 'Equal to what the events come to.');
        $live->drop();
    }

    /** @return array<string, float|string> */
    private function figures(LimitState $state): array
    {
        return [
            'used' => $state->used ?? -1.0,
            'projected' => $state->projected ?? -1.0,
            'max' => $state->max ?? -1.0,
            'status' => (float) array_search($state->status, $state->status::cases(), true),
            'earliest' => (float) ($state->earliest->ordinal ?? 0),
        ];
    }
}
