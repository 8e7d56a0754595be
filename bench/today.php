<?php

declare(strict_types=1);

// Today beside a bare route: php bench/today.php [athletes] [days] [sets each]
// The bare route is GET /api/me: the same middleware, sign-in and session, one row of JSON. Both through HTTP on one server process.

require __DIR__.'/support.php';

[$athletes, $days, $sets] = [(int) ($argv[1] ?? 40), (int) ($argv[2] ?? 70), (int) ($argv[3] ?? 150)];
$database = dirname(__DIR__)."/storage/app/bench-today-{$athletes}.sqlite";
freshApplication($database);
fwrite(STDERR, "{$athletes} athletes, {$days} days, ".number_format($athletes * $sets)." sets …\n");
club($athletes, $days, $sets);
// What the job after midnight does: sheets fitted, rows kept.
config(['queue.default' => 'sync']);
$workspace = App\People\Workspace::query()->firstOrFail();
$started = hrtime(true);
App\Sessions\FitTheDay::dispatchSync($workspace->id);
fprintf(STDERR, "The job after midnight: %.1f s\n", (hrtime(true) - $started) / 1e9);
$client = new Client($database, 8799);
$pdo = new PDO("sqlite:{$database}");
$forget = function (string $where) use ($pdo): void {
    $pdo->exec("delete from kept_rows {$where}");
};
$squad = App\Athletes\Squad::query()->with('workspace')->firstOrFail();
// Rows that a look found missing are kept by the worker.
$keep = fn () => App\Sessions\KeepRows::dispatchSync($squad->id);
$athlete = App\Athletes\Athlete::query()->firstOrFail()->id;
$client->get('/api/today');
$all = inTurn($athletes > 100 ? 5 : 15, [
    'bare route' => fn (): float => $client->get('/api/me'),
    'Today' => function () use ($client, $keep): float {
        $keep();

        return $client->get('/api/today');
    },
    'Today after one athlete changed' => function () use ($client, $forget, $keep): float {
        $keep();
        $forget('where rowid in (select rowid from kept_rows limit 1)');

        return $client->get('/api/today');
    },
    'Today worked out anew for all' => function () use ($client, $forget): float {
        $forget('');

        return $client->get('/api/today');
    },
    'Gates' => function () use ($client, $keep): float {
        $keep();

        return $client->get('/api/gates');
    },
    'Load of an athlete' => fn (): float => $client->get("/api/athletes/{$athlete}/load"),
    'An athlete’s page' => fn (): float => $client->get("/api/athletes/{$athlete}"),
    'Plan' => fn (): float => $client->get('/api/plan'),
]);
foreach ($all as $name => $seconds) {
    printf("%-34s %8.1f ms  %6.1f × bare\n", $name, $seconds * 1000, $seconds / $all['bare route']);
}
unset($client);
foreach (glob("{$database}*") ?: [] as $file) {
    unlink($file);
}
