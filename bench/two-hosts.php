<?php

declare(strict_types=1);

// Two hosts of one club behind a proxy, one killed again and again in the middle of taps:
//   AUGENDO_PG_FSYNC=on tests/with-postgres php bench/two-hosts.php [kills] [seed] [database|redis]
// Each is a checkout with a storage folder, php-fpm and nginx of its own, by the files of deploy/; they share PostgreSQL and the key.
// Needs nginx, php8.2-fpm and openssl.

require __DIR__.'/support.php';

use Illuminate\Support\Str;

const TLS_PORT = 8790;
const REDIS_PORT = 8795;

[$kills, $seed, $share] = [(int) ($argv[1] ?? 20), (int) ($argv[2] ?? random_int(1, 999_999)), $argv[3] ?? 'database'];
mt_srand($seed);
$root = dirname(__DIR__);
$folder = sys_get_temp_dir().'/augendo-hosts-'.uniqid();
mkdir($folder);
$sh = function (string $command) use ($folder): string {
    exec("cd {$folder} && ({$command}) 2>&1", $said, $code);

    return $code === 0 ? implode("\n", $said) : throw new RuntimeException("{$command}\n".implode("\n", $said));
};
$started = [];
$start = function (string $name, array $command) use (&$started, $folder): void {
    $log = ['file', "{$folder}/{$name}.log", 'a'];
    $started[$name] = proc_open(['setsid', ...$command], [1 => $log, 2 => $log], $pipes);
};
$kill = function (string $name) use (&$started): void {
    if (isset($started[$name])) {
        exec('kill -9 -'.proc_get_status($started[$name])['pid'].' 2>/dev/null');
        proc_close($started[$name]);
        unset($started[$name]);
    }
};
register_shutdown_function(function () use (&$started, $kill, $folder): void {
    array_map($kill, array_keys($started));
    exec('rm -rf '.escapeshellarg($folder));
});

// The club's own certificate, as docs/operating.md makes it.
$sh('openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -days 30 -subj "/CN=Our club" -keyout ca.key -out ca.crt');
$sh('openssl req -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -subj "/CN=localhost" -keyout club.key -out club.csr');
$sh('printf "subjectAltName=DNS:localhost,IP:127.0.0.1\n" > san');
$sh('openssl x509 -req -in club.csr -CA ca.crt -CAkey ca.key -CAcreateserial -days 30 -extfile san -out club.crt');

$key = 'base64:'.base64_encode(random_bytes(32));
foreach (['DB_CONNECTION', 'DB_HOST', 'DB_PORT', 'DB_USERNAME', 'DB_DATABASE'] as $name) {
    $shared[] = "{$name}=".getenv($name);
}
$environment = implode("\n", [
    'APP_ENV=production', 'APP_DEBUG=false', "APP_KEY={$key}", 'APP_URL=https://localhost:'.TLS_PORT, ...$shared,
    "CACHE_STORE={$share}", 'SESSION_DRIVER=database', "QUEUE_CONNECTION={$share}", 'SESSION_SECURE_COOKIE=true',
    'APP_MAINTENANCE_DRIVER=cache', "APP_MAINTENANCE_STORE={$share}", 'TRUSTED_PROXIES=127.0.0.1', 'REDIS_PORT='.REDIS_PORT,
]);
$site = (string) file_get_contents("{$root}/deploy/nginx/augendo.conf");
$pool = (string) file_get_contents("{$root}/deploy/php-fpm/augendo.conf");
$nginx = fn (string $name, string $http): string => "user root; daemon off; pid {$folder}/{$name}.pid; error_log {$folder}/{$name}.error;"
    ."events {} http { include /etc/nginx/mime.types; access_log off; client_body_temp_path {$folder}/{$name}.body;"
    ."proxy_temp_path {$folder}/{$name}.proxy; fastcgi_temp_path {$folder}/{$name}.fastcgi; uwsgi_temp_path {$folder}/{$name}.uwsgi;"
    ."scgi_temp_path {$folder}/{$name}.scgi; {$http} }";
$tls = fn (string $conf): string => str_replace('/etc/augendo/tls', $folder, $conf);
foreach (['a' => TLS_PORT + 1, 'b' => TLS_PORT + 2] as $host => $port) {
    $without = implode(' ', array_map(fn (string $part): string => "--exclude=./{$part}", ['node_modules', '.git', 'storage', '.env']));
    $sh("mkdir {$host} && tar -C {$root} {$without} -cf - . | tar -C {$host} -xf -");
    $sh("mkdir -p {$host}/storage/app {$host}/storage/logs {$host}/storage/framework/cache/data {$host}/storage/framework/sessions"
        ." {$host}/storage/framework/views");
    file_put_contents("{$folder}/{$host}/.env", $environment);
    $own = preg_replace(['/^(user|group|listen\.\w+) = .*$/m', '/^listen = .*$/m'], ['', "listen = {$folder}/{$host}.sock"], $pool);
    file_put_contents("{$folder}/{$host}.fpm", "[global]\nerror_log = {$folder}/{$host}.fpm.log\n{$own}\nuser = root\ngroup = root\n");
    $served = preg_replace(
        ['/^server \{\s+listen 80;.*?^\}$/ms', '/listen \[::\]:443[^\n]*/', '/listen 443/', '#/srv/augendo#',
            '#unix:/run/php/augendo.sock#'],
        ['', '', "listen 127.0.0.1:{$port}", "{$folder}/{$host}", "unix:{$folder}/{$host}.sock"],
        $site,
    );
    // One machine sends what a hall of phones would.
    $served = str_replace(['limit_req zone=augendo burst=200 nodelay;', 'include fastcgi_params'],
        ['', 'include /etc/nginx/fastcgi_params'], $served);
    $served = str_replace('server_name club.example', 'server_name localhost', $tls($served));
    file_put_contents("{$folder}/{$host}.nginx", $nginx($host, $served));
}
$proxy = preg_replace(
    ['/listen \[::\]:443[^\n]*/', '/listen 443/', '/10\.0\.0\.11:443/', '/10\.0\.0\.12:443/', '/server_name club.example/'],
    ['', 'listen 127.0.0.1:'.TLS_PORT, '127.0.0.1:'.(TLS_PORT + 1), '127.0.0.1:'.(TLS_PORT + 2), 'server_name localhost'],
    (string) file_get_contents("{$root}/deploy/nginx/augendo-proxy.conf"),
);
file_put_contents("{$folder}/proxy.nginx", $nginx('proxy', $tls($proxy)));

$artisan = fn (string $host, string $command): string => $sh('cd '.$host.' && env -u DB_DATABASE '.PHP_BINARY." artisan {$command}");
if ($share === 'redis') {
    $start('redis', ['redis-server', '--port', (string) REDIS_PORT, '--bind', '127.0.0.1', '--save', '', '--dir', $folder]);
    sleep(1);
}
$artisan('a', 'augendo:update');
$artisan('a', "db:seed --class='Database\\Seeders\\DemoSeeder' --force --quiet");
$up = function (string $host) use ($start, $folder): void {
    $start("{$host}.fpm", ['php-fpm8.2', '-R', '-F', '-y', "{$folder}/{$host}.fpm"]);
    $start("{$host}.nginx", ['nginx', '-p', $folder, '-c', "{$folder}/{$host}.nginx"]);
};
array_map($up, ['a', 'b']);
$start('proxy', ['nginx', '-p', $folder, '-c', "{$folder}/proxy.nginx"]);
sleep(2);
$trust = [CURLOPT_CAINFO => "{$folder}/ca.crt"];
$client = Client::at('https://localhost:'.TLS_PORT, $trust, 'coach@saltmarsh.example', 'saltmarsh');
$today = json_decode($client->send('GET', '/api/today')[1], true);
$open = fn (?array $each): bool => $each !== null && $each['state'] !== 'finished';
$sheet = array_values(array_filter(array_column($today['rows'], 'sheet'), $open))[0];
$courtside = json_decode($client->send('GET', "/api/sheets/{$sheet['id']}/courtside")[1], true);
$block = array_values(array_filter($courtside['blocks'], fn (array $each): bool => array_sum($each['reps_by_set']) > 0))[0]['id'];

$why = [];
[$seq, $acknowledged, $again, $unsure, $failedLooks] = [0, [], null, 0, 0];
for ($round = 1, $killed = 0; $killed < $kills; $round++) {
    $taps = $again ?? array_map(function () use ($block, &$seq): array {
        return [
            'id' => (string) Str::uuid7(), 'block_id' => $block, 'set_no' => 1, 'kind' => 'rep', 'verdict' => 'good', 'fault' => null,
            'target_id' => null, 'side' => 'dominant', 'effort' => 0.5, 'distance_m' => null, 'at' => date(DATE_ATOM, time() - 60),
            'seq' => $seq++, 'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c',
        ];
    }, range(1, mt_rand(1, 4)));
    $host = mt_rand(0, 1) ? 'a' : 'b';
    $cut = mt_rand(0, 2) === 0;
    if ($cut) {
        $pids = array_map(fn (string $part): int => proc_get_status($started["{$host}.{$part}"])['pid'], ['fpm', 'nginx']);
        exec(sprintf('(sleep %.4f; kill -9 -%d -%d) >/dev/null 2>&1 &', mt_rand(0, 60) / 1000, ...$pids));
    }
    [$status, $answer] = $client->send('POST', "/api/sheets/{$sheet['id']}/events", ['events' => $taps]);
    if ($status === 200) {
        array_push($acknowledged, ...json_decode($answer, true)['kept']);
        $again = null;
    } else {
        $unsure++;
        $again = $taps;
    }
    if ($cut) {
        usleep(80_000);
        array_map($kill, ["{$host}.fpm", "{$host}.nginx"]);
        // Looking goes on: the other host answers.
        for ($look = 0; $look < 3; $look++) {
            [$status] = $client->send('GET', '/api/today');
            if ($status !== 200) {
                $failedLooks++;
                $why[$status] = ($why[$status] ?? 0) + 1;
            }
        }
        $up($host);
        // The proxy tries it again after two seconds.
        usleep(2_500_000);
        $killed++;
    }
}
$pdo = new PDO('pgsql:host='.getenv('DB_HOST').';dbname='.getenv('DB_DATABASE'), (string) getenv('DB_USERNAME'));
$kept = $pdo->query("select id from rep_events where sheet_id = '{$sheet['id']}'")->fetchAll(PDO::FETCH_COLUMN);
$lost = array_diff($acknowledged, $kept);
exec('cd '.$folder.'/b && env -u DB_DATABASE '.PHP_BINARY.' artisan augendo:rebuild 2>&1', $said, $code);
// The day's job, asked for by both schedules in the same minute: one host does it.
$pdo->exec("delete from jobs; delete from cache where key like '%schedule%'");
$share === 'redis' && $sh('redis-cli -p '.REDIS_PORT.' del augendo_queues:default');
file_put_contents("{$folder}/clock", date('Y-m-d').'T10:15:00+00:00');
$schedule = "env -u DB_DATABASE APP_ENV=local AUGENDO_CLOCK_FILE={$folder}/clock ".PHP_BINARY.' artisan schedule:run';
$sh("(cd a && {$schedule}) & (cd b && {$schedule}) & wait");
$jobs = $share === 'redis'
    ? (int) $sh('redis-cli -p '.REDIS_PORT.' llen augendo_queues:default')
    : (int) $pdo->query("select count(*) from jobs where payload like '%FitTheDay%'")->fetchColumn();
$files = $sh("find a/storage b/storage -type f ! -name '*.log' ! -path '*/framework/views/*' | wc -l");
printf("seed %d: %d kills of one of two hosts\n", $seed, $kills);
printf("%d taps acknowledged, %d on the record\n", count($acknowledged), count($kept));
$twice = count($kept) - count(array_unique($kept));
printf("%d acknowledged and lost, %d twice; totals %s\n", count($lost), $twice, $code === 0 ? 'equal' : 'DIFFERENT');
printf("%d posts without an answer were sent again; %d of %d looks failed %s\n", $unsure, $failedLooks, 3 * $kills, json_encode($why));
printf("the day's job, asked for by two schedules: %d; files kept on a host: %d\n", $jobs, (int) $files);
exit($lost === [] && $code === 0 ? 0 : 1);
