<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Schema;
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
}
