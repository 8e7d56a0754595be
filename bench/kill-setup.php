<?php

declare(strict_types=1);

// Kills backup, restore, update and the seeding of the demo, each again and again at a moment of its own, and looks whether a clean start
// follows: one whole record in place, nothing half done, and the same command works when it is run again.
// php bench/kill-setup.php [kills of each] [seed] [backup|restore|update|seed …]

require __DIR__.'/support.php';

$kills = (int) ($argv[1] ?? 50);
$seed = (int) ($argv[2] ?? random_int(1, 999_999));
$which = array_slice($argv, 3) ?: ['backup', 'restore', 'update', 'seed'];
mt_srand($seed);
$folder = sys_get_temp_dir().'/augendo-kill-'.getmypid();
mkdir($folder, 0700, true);
$live = "{$folder}/live.sqlite";

/** @return array{int, float} code of a command that ran to its end, and its seconds */
$run = function (string $command) use ($live): array {
    $started = hrtime(true);
    $arguments = implode(' ', array_map(escapeshellarg(...), explode(' ', $command)));
    exec("DB_DATABASE={$live} APP_ENV=local ".PHP_BINARY." artisan {$arguments} --no-interaction >/dev/null 2>&1", $_, $code);

    return [$code, (hrtime(true) - $started) / 1e9];
};
/** Begins a command in a process group of its own and ends all of it after so many seconds. */
$cut = function (string $command, float $after) use ($live): void {
    $process = proc_open(
        ['setsid', PHP_BINARY, 'artisan', ...explode(' ', $command), '--no-interaction'],
        [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
        $pipes,
        null,
        ['DB_DATABASE' => $live, 'APP_ENV' => 'local', 'PATH' => getenv('PATH')],
    )
        ?: throw new RuntimeException('The command did not start.');
    usleep((int) ($after * 1e6));
    exec('kill -9 -'.proc_get_status($process)['pid'].' 2>/dev/null');
    proc_close($process);
};
/** @return array{integrity: string, athletes: int, taps: int, migrations: int} what stands in the record */
$look = function () use ($live): array {
    $pdo = new PDO("sqlite:{$live}");
    $count = fn (string $table): int => $pdo->query("select count(*) from sqlite_master where name = '{$table}'")->fetchColumn() > 0
        ? (int) $pdo->query("select count(*) from {$table}")->fetchColumn()
        : -1;

    return [
        'integrity' => (string) $pdo->query('PRAGMA integrity_check')->fetchColumn(),
        'athletes' => $count('athletes'),
        'taps' => $count('rep_events'),
        'migrations' => $count('migrations'),
    ];
};
/** @return string|null what is wrong with a backup that has its name already: it has it only when it is whole */
$half = function (string $backup) use ($look, &$whole, $live): ?string {
    if (! is_file($backup)) {
        return null;
    }
    array_map(unlink(...), glob("{$live}*") ?: []);
    copy($backup, $live);

    return $look() === $whole ? null : 'a backup that has its name is half';
};
$empty = function () use ($live): void {
    array_map(unlink(...), glob("{$live}*") ?: []);
    touch($live);
};

$demo = 'migrate --force';
$seeding = 'db:seed --class=Database\\Seeders\\DemoSeeder --force';
$empty();
$run($demo);
[$code, $seedSeconds] = $run($seeding);
$code === 0 || exit("The demo could not be seeded.\n");
$whole = $look();
copy($live, "{$folder}/whole.sqlite");
$failed = 0;
foreach ($which as $what) {
    $wrong = [];
    $seconds = null;
    for ($kill = 1; $kill <= $kills; $kill++) {
        if ($what === 'seed' || $what === 'update') {
            $empty();
        } else {
            array_map(unlink(...), glob("{$live}*") ?: []);
            copy("{$folder}/whole.sqlite", $live);
        }
        $command = match ($what) {
            'backup' => "augendo:backup {$folder}/backup-{$kill}.sqlite",
            'restore' => "augendo:restore {$folder}/source.sqlite",
            'update' => 'augendo:update',
            'seed' => 'db:seed --class=Database\\Seeders\\DemoSeeder --force',
        };
        if ($kill === 1 && $what === 'restore') {
            $run("augendo:backup {$folder}/source.sqlite");
        }
        if ($what === 'seed') {
            $run($demo);
        }
        if ($seconds === null) {
            // How long it takes when nobody disturbs it; then begun anew.
            $seconds = $what === 'seed' ? $seedSeconds : $run($command)[1];
            $kill--;
            array_map(unlink(...), glob("{$folder}/backup-*") ?: []);

            continue;
        }
        $cut($command, $seconds * mt_rand(0, 1000) / 1000);
        $after = $look();
        $said = match (true) {
            $after['integrity'] !== 'ok' => "the record is damaged: {$after['integrity']}",
            in_array($what, ['backup', 'restore'], true) && $after !== $whole => 'the record is another: '.json_encode($after),
            $what === 'seed'
                && ! in_array($after['athletes'], [0, $whole['athletes']], true) => "half a demo: {$after['athletes']} athletes",
            $what === 'backup' => $half("{$folder}/backup-{$kill}.sqlite"),
            default => null,
        };
        $command = str_replace('/backup-', '/again-', $command);
        // A clean start after it: the same command again, to its end.
        if ($said === null) {
            [$code] = $what === 'seed' && $after['athletes'] > 0 ? [0] : $run($command);
            $again = $look();
            $said = match (true) {
                $code !== 0 => "run again, the command ends with {$code}",
                is_file(dirname(__DIR__).'/storage/framework/down') => 'run again, the application still says it is being looked after',
                $again['integrity'] !== 'ok' => 'run again, the record is damaged',
                $what === 'update'
                    ? $again['migrations'] !== $whole['migrations']
                    : $again !== $whole => 'run again, the record is another: '.json_encode($again),
                default => null,
            };
        }
        if ($said !== null) {
            $wrong[] = "kill {$kill}: {$said}";
        }
    }
    printf("seed %d: %d kills in %s (it takes %.1f s): %d wrong\n", $seed, $kills, $what, $seconds, count($wrong));
    array_map(fn (string $line): int => print("  {$line}\n"), array_slice($wrong, 0, 10));
    $failed += count($wrong);
}
exec('rm -rf '.escapeshellarg($folder));
exit($failed === 0 ? 0 : 1);
