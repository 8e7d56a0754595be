<?php

declare(strict_types=1);

// Fifty writers send taps side by side, first undisturbed, then while the rule set of a squad of thirty is changed
// again and again, with the
// worker at work: how long a tap waits, and whether any is refused because the record is locked.
// Each writer taps every two to six seconds. php bench/writers.php [seconds of each half] [writers]

require __DIR__.'/support.php';

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

const ATHLETES = 30;

$seconds = (int) ($argv[1] ?? 180);
$writers = (int) ($argv[2] ?? 50);
$database = dirname(__DIR__).'/storage/app/bench-writers.sqlite';
freshApplication($database);
club(ATHLETES, 28, 20);
$sheets = App\Sessions\Sheet::query()->where('state', 'planned')->limit(ATHLETES)->get()->all();
$targets = array_map(function (App\Sessions\Sheet $sheet): array {
    App\Sessions\FitSheet::now($sheet);

    return [$sheet->id, $sheet->refresh()->blocks()->where('reps', '>', 0)->firstOrFail()->id];
}, $sheets);
// The rest of the squad's sheets are ahead, so that a change of the rules has something to fit.
$squad = App\Athletes\Squad::query()->firstOrFail();
$today = $squad->workspace->today();
foreach (range(1, 6) as $ahead) {
    $session = App\Sessions\TrainingSession::query()->create([
        'squad_id' => $squad->id,
        'held_on' => $today->plus(2 * $ahead)->iso(),
        'starts_at' => '17:00',
        'title' => 'Evening',
    ]);
    foreach ($sheets as $sheet) {
        App\Sessions\Sheet::query()->create([
            'training_session_id' => $session->id,
            'athlete_id' => $sheet->athlete_id,
            'held_on' => $session->held_on,
            'ladder' => $sheet->ladder,
            'ladder_version' => 1,
            'rung' => $sheet->rung,
            'trims' => [],
            'state' => 'planned',
            'version' => 0,
        ]);
    }
}
DB::disconnect();

$client = new Client($database, 8797, 4);
$worker = proc_open(
    [PHP_BINARY, 'artisan', 'queue:work', '--sleep=0.3', '--tries=3', '--quiet'],
    [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
    $pipes,
    dirname(__DIR__),
    ['DB_DATABASE' => $database, 'APP_ENV' => 'production', 'PATH' => getenv('PATH')],
)
    ?: throw new RuntimeException('The worker did not start.');
$seq = 0;
$tap = function (array $target) use (&$seq): array {
    [$sheet, $block] = $target;

    return ['POST', "/api/sheets/{$sheet}/events", ['events' => [[
        'id' => (string) Str::uuid7(), 'block_id' => $block, 'set_no' => 1, 'kind' => 'rep', 'verdict' => 'good',
        'fault' => null, 'target_id' => null, 'side' => 'dominant',
        'effort' => 0.5, 'distance_m' => null, 'at' => date(DATE_ATOM, time() - 60), 'seq' => $seq++, 'device' => (string) Str::uuid(),
    ]]]];
};
$half = function (bool $disturbed) use ($client, $targets, $tap, $seconds, $writers, $squad): array {
    $waited = $refused = [];
    $changes = 0;
    $next = 0.0;
    $until = microtime(true) + $seconds;
    $client->stream($writers, fn (): float => mt_rand(2000, 6000) / 1000, function () use (
        $until, $targets, $tap, $disturbed, $squad, &$changes, &$next,
    ): ?array {
        $now = microtime(true);
        if ($now > $until) {
            return null;
        }
        if ($disturbed && $now > $next) {
            $next = $now + 10;

            // A changed school or floor changes every sheet of the squad, as a rule set does.
            return [
                'PUT',
                "/api/squads/{$squad->id}",
                [
                    'name' => $squad->name,
                    'school' => $changes++ % 2 === 0 ? 'strict' : null,
                    'floor' => $changes % 2 === 0 ? 'hard' : 'sprung',
                ],
            ];
        }

        return $tap($targets[array_rand($targets)]);
    }, function (array $request, int $status, string $answer, float $taken) use (&$waited, &$refused): void {
        $request[0] === 'POST' && $waited[] = $taken;
        $status === 200 || $refused[] = "{$request[0]} {$status} ".substr($answer, 0, 120);
    });
    sort($waited);

    return [
        'taps' => count($waited),
        'changes' => $changes,
        'median' => $waited[intdiv(count($waited), 2)],
        'p99' => $waited[(int) (0.99 * count($waited))],
        'worst' => end($waited),
        'refused' => $refused,
    ];
};
[$calm, $busy] = [$half(false), $half(true)];
proc_terminate($worker);
foreach (['undisturbed' => $calm, 'while the squad changes' => $busy] as $name => $each) {
    printf(
        '%s: %d taps by %d writers, %d changes of the squad; a tap took %.0f ms (median), %.0f ms (99 of 100), %.0f ms '
            ."(worst); %d refused\n",
        $name, $each['taps'], $writers, $each['changes'], 1000 * $each['median'], 1000 * $each['p99'],
        1000 * $each['worst'], count($each['refused']),
    );
    array_map(fn (string $line): int => print("  {$line}\n"), array_slice(array_unique($each['refused']), 0, 5));
}
$kept = (int) (new PDO("sqlite:{$database}"))->query('select count(*) from rep_events')->fetchColumn();
printf(
    "%d taps on the record, %d answered; still to be fitted: %d sheets\n",
    $kept,
    $calm['taps'] + $busy['taps'],
    (int) (new PDO("sqlite:{$database}"))->query('select count(*) from sheets where stale = 1')->fetchColumn(),
);
exit($calm['refused'] === [] && $busy['refused'] === [] && $busy['worst'] - $calm['worst'] <= 1.0 ? 0 : 1);
