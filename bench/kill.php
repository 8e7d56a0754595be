<?php

declare(strict_types=1);

// Kills the server in the middle of taps, again and again, and looks whether anything it had acknowledged is gone:
// php bench/kill.php [kills]

require __DIR__.'/support.php';

use Illuminate\Support\Str;

$kills = (int) ($argv[1] ?? 100);
$database = dirname(__DIR__).'/storage/app/bench-kill.sqlite';
freshApplication($database);
club(1, 14, 20);
$sheet = App\Models\Sheet::query()->where('state', 'planned')->firstOrFail();
App\Records\SheetDesk::open($sheet)->fit();
$block = $sheet->refresh()->blocks()->where('reps', '>', 0)->firstOrFail();
Illuminate\Support\Facades\DB::disconnect();

$acknowledged = [];
$seq = 0;
for ($kill = 1; $kill <= $kills; $kill++) {
    $client = new Client($database, 8798);
    $left = mt_rand(1, 25);
    // The last request of each life is cut off by the kill, at a moment of its own.
    $client->killAfter($left, mt_rand(0, 25_000));
    while ($client->isAlive()) {
        $events = array_map(function () use ($block, &$seq): array {
            return [
                'id' => (string) Str::uuid7(), 'block_id' => $block->id, 'set_no' => 1, 'kind' => 'rep', 'verdict' => 'good', 'fault' => null, 'target_id' => null, 'side' => 'dominant',
                'effort' => 0.5, 'distance_m' => null, 'at' => date(DATE_ATOM, time() - 60), 'seq' => $seq++, 'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c',
            ];
        }, range(1, mt_rand(1, 4)));
        [$status, $answer] = $client->send('POST', "/api/sheets/{$sheet->id}/events", ['events' => $events]);
        if ($status === 200) {
            array_push($acknowledged, ...json_decode($answer, true)['kept']);
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
$check = $pdo->query('PRAGMA integrity_check')->fetchColumn();
putenv("DB_DATABASE={$database}");
exec(PHP_BINARY.' artisan augendo:rebuild', $said, $code);
printf("%d kills, %d taps acknowledged, %d on the record, %d acknowledged and lost; integrity %s; totals %s\n", $kills, count($acknowledged), count($kept), count($lost), $check, $code === 0 ? 'equal' : 'DIFFERENT');
exit($lost === [] && $check === 'ok' && $code === 0 ? 0 : 1);
