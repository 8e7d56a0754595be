<?php

declare(strict_types=1);

// A spreadsheet of work in a database of its own: php bench/spreadsheets.php [rows]
// Reads an XLSX file, holds each row against the record, puts all on record in one transaction, takes it back; with a tenth of the rows,
// then with all. The write lock is timed from the start of a transaction to its commit.

require __DIR__.'/support.php';

use App\Athletes\Athlete;
use App\People\User;
use App\Spreadsheets\Import;
use App\Spreadsheets\ImportState;
use App\Spreadsheets\JudgeImport;
use App\Spreadsheets\ReadSpreadsheet;
use App\Spreadsheets\TakeImport;
use App\Spreadsheets\TakeImportBack;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Str;
use Tests\SpreadsheetFiles;

const ATHLETES = 40;

$most = (int) ($argv[1] ?? 20_000);
freshApplication(dirname(__DIR__).'/storage/app/bench-spreadsheets.sqlite');
club(ATHLETES, 10, 5);
DB::statement('PRAGMA synchronous = FULL');
config(['queue.default' => 'null']);
$coach = User::query()->firstOrFail();
$names = Athlete::query()->get()->map(fn (Athlete $athlete): string => $athlete->name())->all();
$today = $coach->workspace->today();

$began = $longest = 0;
Event::listen(TransactionBeginning::class, function () use (&$began): void {
    $began = hrtime(true);
});
Event::listen(TransactionCommitted::class, function () use (&$began, &$longest): void {
    $longest = max($longest, hrtime(true) - $began);
});

foreach ([intdiv($most, 10), $most] as $count) {
    $rows = [['Date', 'Name', 'What', 'Reps', 'Effort']];
    for ($i = 0; $i < $count; $i++) {
        $day = $today->plus(-40 - intdiv($i, ATHLETES) % 500);
        $rows[] = [[25569 + $day->ordinal, 1], $names[$i % ATHLETES], 'Float serve', 20 + $i % 20, [0.5 + ($i % 40) / 100, 2]];
    }
    $path = (string) tempnam(sys_get_temp_dir(), 'bench');
    $file = SpreadsheetFiles::xlsx($rows, $path);
    unlink($path);
    $import = Import::query()->create([
        'id' => (string) Str::uuid7(), 'workspace_id' => $coach->workspace_id, 'kind' => Kind::Work, 'file_name' => "{$count}.xlsx",
        'parts' => 1, 'state' => ImportState::Reading, 'made_by' => $coach->id, 'made_at' => Carbon::now(),
    ]);
    DB::table('import_parts')->insert(['import_id' => $import->id, 'no' => 0, 'base64' => base64_encode($file)]);
    printf("%s rows, %.0f kB\n", number_format($count), strlen($file) / 1000);
    foreach ([
        'read' => [ImportState::Reading, ReadSpreadsheet::class],
        'judged' => [ImportState::Judging, JudgeImport::class],
        'on record' => [ImportState::Taking, TakeImport::class],
        'taken back' => [ImportState::TakingBack, TakeImportBack::class],
    ] as $what => [$state, $job]) {
        $import->refresh()->update(['state' => $state, 'reason' => 'bench']);
        $longest = 0;
        $started = hrtime(true);
        (new $job($import->id))->handle();
        $import->refresh();
        printf(
            "  %-11s %6.2f s, longest write lock %4.0f ms, %3.0f MB  (%s%s)\n",
            $what, (hrtime(true) - $started) / 1e9, $longest / 1e6, memory_get_peak_usage(true) / 1e6,
            $import->state->value, $import->fault === null ? '' : ": {$import->fault->value}",
        );
    }
}
