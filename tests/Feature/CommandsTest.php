<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Records\Copies;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schema;
use PDO;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\TestCase;

#[Group('once')]
final class CommandsTest extends TestCase
{
    public function test_the_evaluator_answers_line_by_line_and_one_bad_case_stops_nothing(): void
    {
        $example = fn (string $name): object => json_decode(
            (string) file_get_contents(base_path("core/tests/examples/{$name}.json")),
            flags: JSON_THROW_ON_ERROR,
        );
        $cases = [json_encode($example('gate-advance')->case), '{"kind": "gate"', json_encode($example('return-sore-next-morning')->case)];
        $process = new Process(
            [PHP_BINARY, 'artisan', 'augendo:evaluate'],
            base_path(),
            ['DB_DATABASE' => '/nowhere/at-all.sqlite', 'APP_ENV' => 'production'],
            implode("\n", $cases)."\n",
        );
        $process->run();
        $this->assertSame(1, $process->getExitCode(), $process->getErrorOutput());
        $answers = array_map(
            fn (string $line): array => json_decode($line, true, flags: JSON_THROW_ON_ERROR),
            explode("\n", trim($process->getOutput())),
        );
        $this->assertSame(
            ['advance', 'invalid_json', $example('return-sore-next-morning')->answer->action],
            [$answers[0]['decision'], $answers[1]['error']['code'], $answers[2]['action']],
        );

        $process = new Process([PHP_BINARY, 'artisan', 'augendo:evaluate', 'no-such-file'], base_path());
        $this->assertSame(2, $process->run());
    }

    public function test_migrations_run_both_ways(): void
    {
        config(['database.connections.other' => ['driver' => 'sqlite', 'database' => ':memory:', 'foreign_key_constraints' => true]]);
        $this->artisan('migrate', ['--database' => 'other', '--force' => true])->assertSuccessful();
        $tables = fn (): array => array_values(
            array_diff(Schema::connection('other')->getTableListing(schemaQualified: false), ['migrations', 'sqlite_sequence']),
        );
        $this->assertContains('rep_events', $tables());
        $this->artisan('migrate:rollback', ['--database' => 'other', '--force' => true])->assertSuccessful();
        $this->assertSame([], $tables());
    }

    public function test_a_backup_restores_what_was_and_refuses_what_is_none(): void
    {
        $folder = $this->folder();
        $live = "{$folder}/live.sqlite";
        touch($live);
        $run = function (string ...$arguments) use ($live): array {
            $process = new Process(
                [PHP_BINARY, 'artisan', ...$arguments],
                base_path(),
                ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $live, 'APP_ENV' => 'production'],
            );

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
        $first = "{$folder}/backups/before-restore-0001.sqlite";
        $this->assertSame(['First', 'Second'], $names($first));
        $this->assertSame(['0600', '0600'], [substr(sprintf('%o', fileperms($live)), -4), substr(sprintf('%o', fileperms($first)), -4)]);
        // Undone, and done again: no copy ever takes the place of another, nor goes.
        $this->assertSame(0, $run('augendo:restore', $first)[0]);
        $this->assertSame(['First', 'Second'], $names($live));
        $this->assertSame(0, $run('augendo:restore', "{$folder}/kept.sqlite")[0]);
        $this->assertCount(3, glob("{$folder}/backups/before-restore-*.sqlite") ?: []);
        $this->assertStringContainsString('before-restore-0003.sqlite', $run('augendo:copies')[1]);
        // Somebody erased since the copy was made does not come back with it.
        $person = '0198aaaa-0000-7000-8000-000000000001';
        $copy = new PDO("sqlite:{$folder}/kept.sqlite");
        $copy->exec(
            "insert into athletes (id, workspace_id, given_name, family_name, throwing_side) values ('{$person}', 1, "
                ."'Known', 'Person', 'right')",
        );
        $copy->exec(
            "insert into heights (id, athlete_id, measured_on, height_cm, recorded_by, recorded_at) select '{$person}', "
                ."'{$person}', '2026-01-01', 150, 1, '2026-01-01' where exists (select 1 from users)",
        );
        file_put_contents("{$folder}/erasures.ndjson", '{"athlete":"'.$person.'","erased_on":"2026-11-26"}'."\n".'{"athlete":"cut o');
        $this->assertSame(0, $run('augendo:restore', "{$folder}/kept.sqlite")[0]);
        $this->assertSame(
            'Erased athlete',
            (new PDO("sqlite:{$live}"))->query(
                "select given_name || ' ' || family_name from athletes where id = '{$person}'",
            )->fetchColumn(),
        );
        // Of a newer Augendo, of somebody else, not holding together: said in plain words, before anything is touched.
        foreach (
            [
                'insert into migrations (migration, batch) values (\'2099_01_01_000001_later\', 9)' => 'newer Augendo',
                'drop table rep_events' => 'not one of Augendo',
                'pragma foreign_keys = off;'
                    .' insert into squads (workspace_id, name, rule_set) values (77, \'x\', \'starter\')' => 'hold together',
            ] as $harm => $said
        ) {
            copy("{$folder}/kept.sqlite", "{$folder}/harmed.sqlite");
            (new PDO("sqlite:{$folder}/harmed.sqlite"))->exec($harm);
            [$code, $output] = $run('augendo:restore', "{$folder}/harmed.sqlite");
            $this->assertSame(1, $code, $harm);
            $this->assertStringContainsString($said, $output);
            $this->assertStringNotContainsString('.php', $output);
        }
        file_put_contents("{$folder}/torn.sqlite", 'not a database at all');
        [$code, $said] = $run('augendo:restore', "{$folder}/torn.sqlite");
        $this->assertSame(1, $code);
        $this->assertStringContainsString('Nothing was changed', $said);
        $this->assertSame(['First'], $names($live));
    }

    /** Each step and the line that says it was run are kept together: whatever is interrupted, the next start goes on. */
    #[Group('once'), Group('shape')]
    public function test_a_start_lets_requests_in_that_a_killed_restore_left_outside_and_nobody_elses(): void
    {
        Artisan::call('down');
        $this->artisan('augendo:update')->assertSuccessful();
        $this->assertTrue($this->app->isDownForMaintenance(), 'closed by hand: opened by hand');
        Artisan::call('up');
        Copies::holdRequests();
        $this->getJson('/api/me')->assertStatus(503);
        $this->artisan('augendo:update')->assertSuccessful();
        $this->getJson('/api/me')->assertStatus(401);
    }

    public function test_an_update_that_breaks_off_leaves_nothing_half_done_and_a_copy_is_made_first(): void
    {
        $folder = $this->folder();
        $live = "{$folder}/live.sqlite";
        touch($live);
        $run = function (string ...$arguments) use ($live): array {
            $process = new Process(
                [PHP_BINARY, 'artisan', ...$arguments],
                base_path(),
                ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $live, 'APP_ENV' => 'production', 'QUEUE_CONNECTION' => 'database'],
            );

            return [$process->run(), $process->getOutput().$process->getErrorOutput()];
        };
        $this->assertSame(0, $run('augendo:update')[0]);
        $db = new PDO("sqlite:{$live}");
        $tables = fn (): int => (int) $db->query('select count(*) from sqlite_master')->fetchColumn();
        $whole = $tables();
        $last = $db->query('select migration from migrations order by id desc limit 1')->fetchColumn();
        // As if a step had been interrupted after its first half: its line is gone, what it makes is half there.
        $steps = (int) $db->query("select count(*) from migrations where migration >= '2026_11_26_000004_rights'")->fetchColumn();
        $this->assertSame(0, $run('migrate:rollback', "--step={$steps}", '--force')[0]);
        $before = $tables();
        $db->exec('create table workspaces_half (id integer)');
        $broken = new PDO("sqlite:{$live}");
        $broken->exec('alter table users add column code text');
        [$code, $said] = $run('augendo:update');
        $this->assertSame(1, $code);
        $this->assertStringContainsString('What was there is as it was', $said);
        $this->assertStringNotContainsString('#0 ', $said);
        $this->assertSame(
            0,
            (int) $db->query("select count(*) from pragma_table_info('workspaces') where name = 'head_id'")->fetchColumn(),
            'the first half of it is undone',
        );
        $this->assertFileExists("{$folder}/backups/before-update-0001.sqlite");
        $db->exec('alter table users drop column code');
        $db->exec('drop table workspaces_half');
        $this->assertSame([0, $before], [0, $tables()]);
        $this->assertSame(0, $run('augendo:update')[0]);
        $this->assertSame(
            [$whole, $last],
            [$tables(), $db->query('select migration from migrations order by id desc limit 1')->fetchColumn()],
        );
    }

    public function test_a_club_of_ones_own_starts_with_a_link_to_a_password(): void
    {
        $this->artisan('augendo:club', ['name' => 'Hill Club', 'coach' => 'Ada Sorel', 'email' => 'coach@lighthouse.example'])
            ->expectsOutputToContain('Nothing was made')
            ->assertFailed();
        $this->artisan(
            'augendo:club',
            ['name' => 'Hill Club', 'coach' => 'Ada Sorel', 'email' => 'ada@hill.example', '--timezone' => 'Mars'],
        )->assertFailed();
        $this->withoutMockingConsoleOutput();
        $this->assertSame(
            0,
            $this->artisan(
                'augendo:club',
                ['name' => 'Hill Club', 'coach' => 'Ada Sorel', 'email' => 'ada@hill.example', '--timezone' => 'Europe/Paris'],
            ),
        );
        preg_match('/join#(\S+)/', Artisan::output(), $found);
        $this->withHeader('X-Link-Token', $found[1])
            ->postJson('/api/link/entry', ['password' => 'a long password'])
            ->assertOk()
            ->assertJsonPath('workspace', 'Hill Club');
        $this->getJson('/api/people')->assertOk()->assertJsonCount(1, 'people')->assertJsonPath('athletes', []);
    }
}
