<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schema;
use PDO;
use Symfony\Component\Process\Process;
use Tests\TestCase;

final class CommandsTest extends TestCase
{
    public function test_the_evaluator_answers_line_by_line_and_one_bad_case_stops_nothing(): void
    {
        $example = fn (string $name): object => json_decode((string) file_get_contents(base_path("core/tests/examples/{$name}.json")), flags: JSON_THROW_ON_ERROR);
        $cases = [json_encode($example('gate-advance')->case), '{"kind": "gate"', json_encode($example('return-sore-next-morning')->case)];
        $process = new Process([PHP_BINARY, 'artisan', 'augendo:evaluate'], base_path(), ['DB_DATABASE' => '/nowhere/at-all.sqlite', 'APP_ENV' => 'production'], implode("\n", $cases)."\n");
        $process->run();
        $this->assertSame(1, $process->getExitCode(), $process->getErrorOutput());
        $answers = array_map(fn (string $line): array => json_decode($line, true, flags: JSON_THROW_ON_ERROR), explode("\n", trim($process->getOutput())));
        $this->assertSame(['advance', 'invalid_json', $example('return-sore-next-morning')->answer->action], [$answers[0]['decision'], $answers[1]['error']['code'], $answers[2]['action']]);

        $process = new Process([PHP_BINARY, 'artisan', 'augendo:evaluate', 'no-such-file'], base_path());
        $this->assertSame(2, $process->run());
    }

    public function test_migrations_run_both_ways(): void
    {
        config(['database.connections.other' => ['driver' => 'sqlite', 'database' => ':memory:', 'foreign_key_constraints' => true]]);
        $this->artisan('migrate', ['--database' => 'other', '--force' => true])->assertSuccessful();
        $tables = fn (): array => array_values(array_diff(Schema::connection('other')->getTableListing(schemaQualified: false), ['migrations', 'sqlite_sequence']));
        $this->assertContains('rep_events', $tables());
        $this->artisan('migrate:rollback', ['--database' => 'other', '--force' => true])->assertSuccessful();
        $this->assertSame([], $tables());
    }

    public function test_a_backup_restores_what_was_and_refuses_what_is_none(): void
    {
        $folder = sys_get_temp_dir().'/augendo-backup-'.uniqid();
        mkdir($folder);
        $live = "{$folder}/live.sqlite";
        touch($live);
        $run = function (string ...$arguments) use ($live): array {
            $process = new Process([PHP_BINARY, 'artisan', ...$arguments], base_path(), ['DB_DATABASE' => $live, 'APP_ENV' => 'production']);

            return [$process->run(), $process->getOutput().$process->getErrorOutput()];
        };
        $names = fn (string $file): array => (new PDO("sqlite:{$file}"))->query('select name from workspaces')->fetchAll(PDO::FETCH_COLUMN);
        $run('migrate', '--force');
        (new PDO("sqlite:{$live}"))->exec("insert into workspaces (name, timezone) values ('First', 'UTC')");
        $this->assertSame(0, $run('augendo:backup', "{$folder}/kept.sqlite")[0]);
        $this->assertSame(1, $run('augendo:backup', "{$folder}/kept.sqlite")[0], 'A backup is never overwritten.');
        (new PDO("sqlite:{$live}"))->exec("insert into workspaces (name, timezone) values ('Second', 'UTC')");
        $this->assertSame(0, $run('augendo:restore', "{$folder}/kept.sqlite")[0]);
        $this->assertSame(['First'], $names($live));
        $this->assertSame(['First', 'Second'], $names("{$live}.before-restore"));
        file_put_contents("{$folder}/torn.sqlite", 'not a database at all');
        [$code, $said] = $run('augendo:restore', "{$folder}/torn.sqlite");
        $this->assertSame(1, $code);
        $this->assertStringContainsString('Nothing was changed', $said);
        $this->assertSame(['First'], $names($live));
    }

    public function test_a_club_of_ones_own_starts_with_a_link_to_a_password(): void
    {
        $this->artisan('augendo:club', ['name' => 'Hill Club', 'coach' => 'Ada Sorel', 'email' => 'coach@saltmarsh.example'])->expectsOutputToContain('Nothing was made')->assertFailed();
        $this->artisan('augendo:club', ['name' => 'Hill Club', 'coach' => 'Ada Sorel', 'email' => 'ada@hill.example', '--timezone' => 'Mars'])->assertFailed();
        $this->withoutMockingConsoleOutput();
        $this->assertSame(0, $this->artisan('augendo:club', ['name' => 'Hill Club', 'coach' => 'Ada Sorel', 'email' => 'ada@hill.example', '--timezone' => 'Europe/Paris']));
        preg_match('/join#(\S+)/', Artisan::output(), $found);
        $this->withHeader('X-Link-Token', $found[1])->postJson('/api/link/entry', ['password' => 'a long password'])->assertOk()->assertJsonPath('workspace', 'Hill Club');
        $this->getJson('/api/people')->assertOk()->assertJsonCount(1, 'people')->assertJsonPath('athletes', []);
    }
}
