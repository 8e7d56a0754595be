<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PDO;
use Symfony\Component\Process\Process;

/** A database beside the one the tests run on, of the same kind, for what runs in processes of its own. */
final class LiveDatabase
{
    private readonly string $name;

    /** @param  string  $folder  of the test; its clock stands there at the test's instant */
    public function __construct(public readonly string $folder)
    {
        file_put_contents("{$folder}/clock", Carbon::now()->toIso8601String());
        $this->name = DB::getDriverName() === 'pgsql' ? 'augendo_live_'.uniqid() : "{$this->folder}/live.sqlite";
        DB::getDriverName() === 'pgsql' ? self::postgres('augendo')->exec("create database {$this->name}") : touch($this->name);
    }

    /** @param  array<string, string>  $with  more of the environment */
    public function run(array $arguments, array $with = []): Process
    {
        return new Process([PHP_BINARY, ...$arguments], base_path(), [
            'DB_DATABASE' => $this->name, 'APP_ENV' => 'local', 'AUGENDO_CLOCK_FILE' => "{$this->folder}/clock",
            'APP_KEY' => config('app.key'), ...$with,
        ], timeout: 240);
    }

    /** @return array{int, string} how it ended, and what it said */
    public function artisan(string ...$arguments): array
    {
        $process = $this->run(['artisan', ...$arguments], ['QUEUE_CONNECTION' => 'database', 'LARAVEL_STORAGE_PATH' => $this->storage()]);

        return [$process->run(), $process->getOutput().$process->getErrorOutput()];
    }

    public function pdo(): PDO
    {
        return DB::getDriverName() === 'pgsql' ? self::postgres($this->name) : new PDO("sqlite:{$this->name}");
    }

    public function drop(): void
    {
        if (DB::getDriverName() === 'pgsql') {
            self::postgres('augendo')->exec("drop database if exists {$this->name} with (force)");
        }
    }

    /** Copies and marks of its own. */
    public function storage(): string
    {
        foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $part) {
            is_dir("{$this->folder}/storage/{$part}") || mkdir("{$this->folder}/storage/{$part}", 0700, true);
        }

        return "{$this->folder}/storage";
    }

    private static function postgres(string $database): PDO
    {
        $of = config('database.connections.pgsql');

        return new PDO(
            "pgsql:host={$of['host']};port={$of['port']};dbname={$database}", $of['username'], $of['password'],
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
    }
}
