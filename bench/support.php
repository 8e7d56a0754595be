<?php

declare(strict_types=1);

// What the benchmarks share: an application on a database of its own, a server in front of it, and paired timing.

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

chdir(dirname(__DIR__));
require 'vendor/autoload.php';

/** Boots the application on a fresh, migrated database. */
function freshApplication(string $database): void
{
    foreach (glob("{$database}*") ?: [] as $file) {
        unlink($file);
    }
    touch($database);
    putenv("DB_DATABASE={$database}");
    $_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;
    $app = require 'bootstrap/app.php';
    $app->make(Kernel::class)->bootstrap();
    $app->make(Kernel::class)->call('migrate', ['--force' => true, '--quiet' => true]);
}

/**
 * A club of its own: each athlete on a rung, with so many sets spread over so many days, and a sheet today.
 *
 * @return int id of the squad
 */
function club(int $athletes, int $days, int $setsEach): int
{
    mt_srand((int) (getenv('AUGENDO_SEED') ?: 20_270_311));
    $workspace = App\People\Workspace::query()->create(['name' => 'Bench', 'timezone' => 'UTC']);
    $coach = App\People\User::query()->create([
        'workspace_id' => $workspace->id,
        'name' => 'Coach',
        'email' => 'coach@bench.example',
        'password' => 'bench',
        'role' => App\People\Role::Coach,
    ]);
    $squad = App\Athletes\Squad::query()->create(['workspace_id' => $workspace->id, 'name' => 'Bench', 'rule_set' => 'starter']);
    $today = $workspace->today();
    $session = App\Sessions\TrainingSession::query()->create([
        'squad_id' => $squad->id,
        'held_on' => $today->iso(),
        'starts_at' => '17:00',
        'title' => 'Session',
    ]);
    $library = app(Augendo\Core\Library\Library::class);
    $ladders = $library->ladderIds();
    $skills = ['float-serve', 'javelin', 'jump', 'spike'];
    DB::statement('PRAGMA synchronous = OFF');
    for ($a = 0; $a < $athletes; $a++) {
        DB::transaction(function () use (
            $a, $workspace, $squad, $today, $session, $library, $ladders, $skills, $days, $setsEach, $coach,
        ): void {
            $athlete = App\Athletes\Athlete::query()->create([
                'workspace_id' => $workspace->id,
                'given_name' => "Given {$a}",
                'family_name' => 'Family',
                'birth_date' => $today->plus(-365 * (9 + $a % 30))->iso(),
                'throwing_side' => $a % 5 ? 'right' : 'left',
            ]);
            $athlete->squads()->attach($squad->id, ['position' => $a]);
            $price = new Augendo\Core\Load\SetCost(new Augendo\Core\Load\AthleteProfile(null));
            $rows = [];
            for ($s = 0; $s < $setsEach; $s++) {
                $day = $today->plus(-1 - intdiv($s * $days, $setsEach));
                $set = new Augendo\Core\Load\WorkSet(
                    $day, "bench {$day->iso()}", $library->skills()[$skills[($a + $s) % 4]], 4 + $s % 5,
                    0.5 + ($s % 3) * 0.1, Augendo\Core\Load\Implement::Standard,
                    surface: Augendo\Core\Load\Surface::Sprung,
                );
                $rows[] = App\Courtside\RepLog::row(
                    $athlete->id, $set, 'entered', 'volleyball', null,
                ) + App\Courtside\DailyTotals::toColumns($price->of($set));
                if (count($rows) === 500 || $s === $setsEach - 1) {
                    DB::table('work_sets')->insert($rows);
                    $rows = [];
                }
            }
            $ladder = $library->ladder($ladders[$a % count($ladders)]);
            $rung = $ladder->rungs[1 + $a % (count($ladder->rungs) - 1)];
            App\Gates\Placement::query()->create([
                'athlete_id' => $athlete->id,
                'ladder' => $ladder->id,
                'ladder_version' => 1,
                'rung' => $rung->id,
                'entered_on' => $today->plus(-20)->iso(),
                'entered_at' => $today->plus(-20)->iso().'T06:00:00Z',
            ]);
            for ($back = 0; $back < 14; $back++) {
                DB::table('soreness_reports')->insert([
                    'id' => (string) Str::uuid7(),
                    'athlete_id' => $athlete->id,
                    'at' => $today->plus(-$back)->iso().'T00:00:01+00:00',
                    'day' => $today->plus(-$back)->iso(),
                    'moment' => 'morning',
                    'site' => 'none',
                    'kind' => 'muscle',
                    'score' => 0,
                    'refers' => false,
                    'reported_by' => $coach->id,
                    'received_at' => now(),
                ]);
            }
            $sheet = App\Sessions\Sheet::query()->create([
                'training_session_id' => $session->id,
                'athlete_id' => $athlete->id,
                'held_on' => $today->iso(),
                'ladder' => $ladder->id,
                'ladder_version' => 1,
                'rung' => $rung->id,
                'trims' => [],
                'state' => 'planned',
                'version' => 0,
            ]);
            for ($back = 1; $back <= 6; $back++) {
                $past = App\Sessions\Sheet::query()->create([
                    'training_session_id' => $session->id,
                    'athlete_id' => $athlete->id,
                    'held_on' => $today->plus(-2 * $back)->iso(),
                    'ladder' => $ladder->id,
                    'ladder_version' => 1,
                    'rung' => $rung->id,
                    'trims' => [],
                    'state' => 'finished',
                    'version' => 1,
                ]);
                DB::table('rep_strips')->insert([
                    'sheet_id' => $past->id,
                    'athlete_id' => $athlete->id,
                    'ladder' => $ladder->id,
                    'rung' => $rung->id,
                    'day' => $today->plus(-2 * $back)->iso(),
                    'last_at' => $today->plus(-2 * $back)->iso().'T17:30:00Z',
                    'marks' => 'ggbggggbggguggbgggg',
                ]);
            }
            App\Sessions\OpenSheet::of($sheet);
        });
    }
    App\Courtside\DailyTotals::rebuild();
    DB::disconnect();

    return $squad->id;
}

/** A signed-in browser against the built-in server, or against one that runs already, with one connection kept open. */
final class Client
{
    private CurlHandle $curl;

    /** @var resource|null */
    private $server = null;

    private string $cookies;

    private string $base;

    /** @var array<int, mixed> of every request */
    private array $options = [];

    public function __construct(string $database, int $port, int $workers = 1)
    {
        $this->base = "http://127.0.0.1:{$port}";
        // A process group of its own, so that a kill reaches every worker.
        $command = [
            'setsid', PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'variables_order=EGPCS', '-S',
            "127.0.0.1:{$port}", '../bin/router.php',
        ];
        $this->server = proc_open(
            $command,
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
            'public',
            [
                'DB_DATABASE' => $database,
                'APP_ENV' => 'production',
                'PATH' => getenv('PATH'),
                ...($workers > 1 ? ['PHP_CLI_SERVER_WORKERS' => (string) $workers] : []),
            ],
        )
            ?: throw new RuntimeException('The server did not start.');
        for ($try = 0; $try < 100 && ! @fsockopen('127.0.0.1', $port); $try++) {
            usleep(50_000);
        }
        $this->signIn('coach@bench.example', 'bench');
    }

    /** @param  array<int, mixed>  $options  of every request */
    public static function at(string $base, array $options, string $email, string $password): self
    {
        $client = (new ReflectionClass(self::class))->newInstanceWithoutConstructor();
        $client->base = $base;
        $client->options = $options;
        $client->signIn($email, $password);

        return $client;
    }

    private function signIn(string $email, string $password): void
    {
        $this->cookies = (string) tempnam(sys_get_temp_dir(), 'bench');
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_COOKIEFILE => $this->cookies, CURLOPT_COOKIEJAR => $this->cookies]);
        $this->send('GET', '/sanctum/csrf-cookie');
        $this->send('POST', '/api/sign-in', ['email' => $email, 'password' => $password]);
    }

    public function __destruct()
    {
        if ($this->server !== null) {
            exec('kill -9 -'.proc_get_status($this->server)['pid'].' 2>/dev/null');
            proc_close($this->server);
        }
        unlink($this->cookies);
    }

    private int $killAt = PHP_INT_MAX;

    private int $killDelayUs = 0;

    private int $sent = 0;

    /** From that many requests on, the next one is cut off by SIGKILL so many microseconds after it was sent. */
    public function killAfter(int $requests, int $delayUs): void
    {
        [$this->killAt, $this->killDelayUs] = [$this->sent + $requests, $delayUs];
    }

    public function isAlive(): bool
    {
        return proc_get_status($this->server)['running'];
    }

    /** @return array{int, string, float} status, body, seconds */
    public function send(string $method, string $path, ?array $body = null): array
    {
        $this->prepare($this->curl, $method, $path, $body);
        $this->armKill();
        $started = hrtime(true);
        $answer = (string) curl_exec($this->curl);
        $this->awaitKill();

        return [(int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE), $answer, (hrtime(true) - $started) / 1e9];
    }

    /**
     * All at once, each over a connection of its own.
     *
     * @param  list<array{string, string, array<string, mixed>}>  $requests  method, path, body
     * @return list<array{int, string}> status, body
     */
    public function sendAll(array $requests): array
    {
        $multi = curl_multi_init();
        $handles = array_map(function (array $request) use ($multi): CurlHandle {
            $handle = curl_init();
            $this->prepare($handle, ...$request);
            curl_setopt($handle, CURLOPT_COOKIEFILE, '');
            foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) ?: [] as $cookie) {
                curl_setopt($handle, CURLOPT_COOKIELIST, $cookie);
            }
            curl_multi_add_handle($multi, $handle);

            return $handle;
        }, $requests);
        $this->armKill();
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
        } while ($running > 0);
        $this->awaitKill();

        return array_map(
            fn (CurlHandle $handle): array => [
                (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE),
                (string) curl_multi_getcontent($handle),
            ],
            $handles,
        );
    }

    /**
     * Writers side by side, each sending its next some seconds after its answer, as people do.
     *
     * @param  callable(): float  $pause  seconds
     * @param  callable(): (array{string, string, array<string, mixed>}|null)  $next  method, path, body; null: no more
     * @param  callable(array{string, string, array<string, mixed>}, int, string, float): void  $answered  request, status, body, seconds
     */
    public function stream(int $writers, callable $pause, callable $next, callable $answered): void
    {
        $multi = curl_multi_init();
        $flying = $resting = [];
        for ($i = 0; $i < $writers; $i++) {
            $handle = curl_init();
            curl_setopt($handle, CURLOPT_COOKIEFILE, '');
            foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) ?: [] as $cookie) {
                curl_setopt($handle, CURLOPT_COOKIELIST, $cookie);
            }
            $resting[] = [$handle, microtime(true) + $pause()];
        }
        while ($flying !== [] || $resting !== []) {
            foreach ($resting as $i => [$handle, $due]) {
                if ($due > microtime(true)) {
                    continue;
                }
                unset($resting[$i]);
                $request = $next();
                if ($request !== null) {
                    $this->prepare($handle, ...$request);
                    curl_multi_add_handle($multi, $handle);
                    $flying[spl_object_id($handle)] = [$request, hrtime(true)];
                }
            }
            curl_multi_exec($multi, $running);
            while ($done = curl_multi_info_read($multi)) {
                $handle = $done['handle'];
                [$request, $started] = $flying[spl_object_id($handle)];
                unset($flying[spl_object_id($handle)]);
                $answered(
                    $request,
                    (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE),
                    (string) curl_multi_getcontent($handle),
                    (hrtime(true) - $started) / 1e9,
                );
                curl_multi_remove_handle($multi, $handle);
                $resting[] = [$handle, microtime(true) + $pause()];
            }
            $flying === [] ? usleep(2_000) : curl_multi_select($multi, 0.005);
        }
    }

    private function prepare(CurlHandle $handle, string $method, string $path, ?array $body): void
    {
        $token = preg_match(
            '/XSRF-TOKEN\s+(\S+)/',
            (string) implode("\n", curl_getinfo($this->curl, CURLINFO_COOKIELIST) ?: []),
            $found,
        ) ? urldecode($found[1]) : '';
        curl_setopt_array($handle, [
            CURLOPT_URL => "{$this->base}{$path}", CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                "Referer: {$this->base}/",
                "X-XSRF-TOKEN: {$token}",
            ],
            CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body), CURLOPT_TIMEOUT => 60,
        ] + $this->options);
    }

    private function armKill(): void
    {
        if (++$this->sent > $this->killAt) {
            $pid = proc_get_status($this->server)['pid'];
            exec('(sleep '.sprintf('%.6f', $this->killDelayUs / 1e6)."; kill -9 -{$pid}) >/dev/null 2>&1 &");
        }
    }

    private function awaitKill(): void
    {
        if ($this->sent > $this->killAt) {
            for ($try = 0; $try < 200 && $this->isAlive(); $try++) {
                usleep(2_000);
            }
        }
    }

    public function get(string $path): float
    {
        [$status, $answer, $seconds] = $this->send('GET', $path);

        return $status === 200 ? $seconds : throw new RuntimeException("{$path} answered {$status}: {$answer}");
    }
}

/** @param  non-empty-list<float>  $values */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}

/**
 * Runs the pieces in turn, round after round, so that a machine that slows down slows all of them.
 *
 * @param  array<string, callable(): float>  $pieces  each gives its seconds
 * @return array<string, float> median seconds by name
 */
function inTurn(int $rounds, array $pieces): array
{
    $seconds = [];
    for ($round = -1; $round < $rounds; $round++) {
        foreach ($pieces as $name => $piece) {
            $taken = $piece();
            if ($round >= 0) {
                $seconds[$name][] = $taken;
            }
        }
    }

    return array_map(median(...), $seconds);
}
