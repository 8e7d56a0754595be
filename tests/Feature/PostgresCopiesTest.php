<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Records\PostgresNumbers;
use Illuminate\Support\Facades\DB;
use PDO;
use PHPUnit\Framework\Attributes\Group;
use Tests\LiveDatabase;
use Tests\TestCase;

/** Backup, restore and update where the record is on PostgreSQL; CommandsTest does the same with SQLite. */
#[Group('once')]
final class PostgresCopiesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        if (DB::getDriverName() !== 'pgsql') {
            $this->markTestSkipped('Runs by tests/with-postgres.');
        }
    }

    public function test_a_copy_restores_what_was_is_undone_and_brings_nobody_back_who_was_erased(): void
    {
        $live = new LiveDatabase($this->folder());
        $kept = "{$live->folder}/kept.dump";
        $names = fn (): array => $live->pdo()->query('select name from workspaces order by id')->fetchAll(PDO::FETCH_COLUMN);
        $person = '0198aaaa-0000-7000-8000-000000000001';
        $this->assertSame(0, $live->artisan('augendo:update')[0]);
        $live->pdo()->exec(
            "insert into workspaces (name, timezone) values ('First', 'UTC');"
                .'insert into athletes (id, workspace_id, given_name, family_name, throwing_side)'
                ." select '{$person}', id, 'Known', 'Person', 'right' from workspaces",
        );
        $this->assertSame(0, $live->artisan('augendo:backup', $kept)[0]);
        $this->assertSame('0600', substr(sprintf('%o', fileperms($kept)), -4));
        $this->assertSame(1, $live->artisan('augendo:backup', $kept)[0], 'A backup is never overwritten.');
        $live->pdo()->exec("insert into workspaces (name, timezone) values ('Second', 'UTC')");
        $live->pdo()->exec("insert into erasures (athlete, erased_on) values ('{$person}', '2026-11-26')");
        [$code, $said] = $live->artisan('augendo:restore', $kept);
        $this->assertSame(0, $code, $said);
        $this->assertSame(['First'], $names());
        $this->assertSame('Erased athlete', $live->pdo()->query("select given_name || ' ' || family_name from athletes")->fetchColumn());
        $this->assertSame(1, (int) $live->pdo()->query('select count(*) from erasures')->fetchColumn(), 'The ledger stays.');
        $before = "{$live->storage()}/backups/before-restore-0001.dump";
        $this->assertSame(0, $live->artisan('augendo:restore', $before)[0]);
        $this->assertSame(['First', 'Second'], $names());
        $this->assertStringContainsString('before-restore-0002.dump', $live->artisan('augendo:copies')[1]);
        // What is no copy, half a copy, or of a newer Augendo is refused before anything is touched.
        file_put_contents("{$live->folder}/torn.dump", substr((string) file_get_contents($kept), 0, 3000));
        file_put_contents("{$live->folder}/none.dump", 'not a database at all');
        $live->pdo()->exec("insert into migrations (migration, batch) values ('2099_01_01_000001_later', 9)");
        $live->artisan('augendo:backup', "{$live->folder}/newer.dump");
        $live->pdo()->exec("delete from migrations where migration = '2099_01_01_000001_later'");
        foreach (['torn' => 'damaged', 'none' => 'damaged', 'newer' => 'newer Augendo'] as $file => $because) {
            [$code, $said] = $live->artisan('augendo:restore', "{$live->folder}/{$file}.dump");
            $this->assertSame(1, $code, $file);
            $this->assertStringContainsString($because, $said);
            $this->assertSame(['First', 'Second'], $names());
        }
        $live->drop();
    }

    public function test_an_update_that_breaks_off_leaves_nothing_half_done_and_a_copy_is_made_first(): void
    {
        $live = new LiveDatabase($this->folder());
        $this->assertSame(0, $live->artisan('augendo:update')[0]);
        $has = fn (string $table): bool => (bool) $live->pdo()->query("select to_regclass('{$table}') is not null")->fetchColumn();
        // Back to before the one that makes the cache.
        $since = array_filter(scandir(database_path('migrations')) ?: [], fn (string $file): bool => $file >= '2026_11_26_000009');
        $this->assertSame(0, $live->artisan('migrate:rollback', '--step='.count($since), '--force')[0]);
        $this->assertFalse($has('cache'));
        // Its second half fails: the first is undone with it.
        $live->pdo()->exec('create table cache_locks (id integer)');
        [$code, $said] = $live->artisan('augendo:update');
        $this->assertSame(1, $code);
        $this->assertStringContainsString('What was there is as it was', $said);
        $this->assertFalse($has('cache'));
        $this->assertFileExists("{$live->storage()}/backups/before-update-0001.dump");
        $live->pdo()->exec('drop table cache_locks');
        $this->assertSame(0, $live->artisan('augendo:update')[0]);
        $this->assertTrue($has('cache'));
        $live->drop();
    }

    public function test_every_column_that_holds_a_double_is_named(): void
    {
        $doubles = DB::table('information_schema.columns')
            ->where('table_schema', 'public')
            ->where('data_type', 'double precision')
            ->distinct()
            ->orderBy('column_name')
            ->pluck('column_name')
            ->all();
        $this->assertEqualsCanonicalizing($doubles, PostgresNumbers::DOUBLES);
    }
}
