<?php

declare(strict_types=1);

// Kills the server with its four workers in the middle of taps of four athletes, again and again, and looks whether anything it had
// acknowledged is gone, or there twice: php bench/kill.php [kills] [seed]

require __DIR__.'/support.php';

use Illuminate\Support\Str;

const WORKERS = 4;

$kills = (int) ($argv[1] ?? 100);
$seed = (int) ($argv[2] ?? random_int(1, 999_999));
mt_srand($seed);
$database = dirname(__DIR__).'/storage/app/bench-kill.sqlite';
freshApplication($database);
club(1, 14, 20);
$sheets = App\Sessions\Sheet::query()->where('state', 'planned')->limit(WORKERS)->get()->all();
$blocks = array_map(function (App\Sessions\Sheet $sheet): string {
    App\Sessions\FitSheet::now($sheet);

    return $sheet->refresh()->blocks()->where('reps', '>', 0)->firstOrFail()->id;
}, $sheets);
Illuminate\Support\Facades\DB::disconnect();

$seq = 0;
$taps = fn (string $block): array => array_map(function () use ($block, &$seq): array {
    return [
        'id' => (string) Str::uuid7(), 'block_id' => $block, 'set_no' => 1, 'kind' => 'rep', 'verdict' => 'good',
        'fault' => null, 'target_id' => null, 'side' => 'dominant',
        'effort' => 0.5, 'distance_m' => null, 'at' => date(DATE_ATOM, time() - 60), 'seq' => $seq++,
        'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c',
    ];
}, range(1, mt_rand(1, 4)));

$acknowledged = $unsure = [];
for ($kill = 1; $kill <= $kills; $kill++) {
    $client = new Client($database, 8798, WORKERS);
    // The last round of each life is cut off by the kill, at a moment of its own.
    $client->killAfter(mt_rand(1, 8), mt_rand(0, 60_000));
    // A device sends again what it got no answer for: the same ids, which must not count twice.
    $again = $unsure;
    while ($client->isAlive()) {
        $batches = array_map(fn (string $block, int $i): array => $again[$i] ?? $taps($block), $blocks, array_keys($blocks));
        $again = $unsure = [];
        $answers = $client->sendAll(
            array_map(
                fn (App\Sessions\Sheet $sheet, array $events): array => ['POST', "/api/sheets/{$sheet->id}/events", ['events' => $events]],
                $sheets,
                $batches,
            ),
        );
        foreach ($answers as $i => [$status, $answer]) {
            if ($status === 200) {
                array_push($acknowledged, ...json_decode($answer, true)['kept']);
            } else {
                $unsure[$i] = $batches[$i];
            }
        }
    }
    unset($client);
    if ($kill % 20 === 0) {
        fwrite(STDERR, "{$kill} kills, ".count($acknowledged)." taps acknowledged\n");
    }
}
$pdo = new PDO("sqlite:{$database}");
$kept = $pdo->query('select id from rep_events')->fetchAll(PDO::FETCH_COLUMN);
$lost = array_diff($acknowledged, $kept);
$doubled = count($kept) - count(array_unique($kept));
$check = $pdo->query('PRAGMA integrity_check')->fetchColumn();
putenv("DB_DATABASE={$database}");
exec(PHP_BINARY.' artisan augendo:rebuild', $said, $code);
printf(
    'seed %d: %d kills of %d workers, %d taps acknowledged, %d on the record, %d acknowledged and lost, %d twice; '
        ."integrity %s; totals %s\n",
    $seed, $kills, WORKERS, count($acknowledged), count($kept), count($lost), $doubled, $check, $code === 0 ? 'equal' : 'DIFFERENT',
);
exit($lost === [] && $doubled === 0 && $check === 'ok' && $code === 0 ? 0 : 1);
