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
$client = new Client($database, 8799);
$pdo = new PDO("sqlite:{$database}");
$forget = function (string $where) use ($pdo): void {
    $pdo->exec("delete from kept_rows {$where}");
};
$client->get('/api/today');
$all = inTurn($athletes > 100 ? 5 : 15, [
    'bare route' => fn (): float => $client->get('/api/me'),
    'Today' => fn (): float => $client->get('/api/today'),
    'Today after one athlete changed' => function () use ($client, $forget): float {
        $forget('where rowid in (select rowid from kept_rows limit 1)');

        return $client->get('/api/today');
    },
    'Today worked out anew for all' => function () use ($client, $forget): float {
        $forget('');

        return $client->get('/api/today');
    },
]);
foreach ($all as $name => $seconds) {
    printf("%-34s %8.1f ms  %6.1f × bare\n", $name, $seconds * 1000, $seconds / $all['bare route']);
}
unset($client);
foreach (glob("{$database}*") ?: [] as $file) {
    unlink($file);
}
