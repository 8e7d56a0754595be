<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Records\ImmediateConnector;
use PDOException;
use PHPUnit\Framework\TestCase;

final class DatabaseTest extends TestCase
{
    /** Read first, write later: the lock is there from the start, so nobody can write in between and make the later write impossible. */
    public function test_a_transaction_holds_the_write_lock_from_its_first_statement(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'augendo');
        $open = fn (): \PDO => (new ImmediateConnector)->connect([
            'database' => $file,
            'options' => [],
            'busy_timeout' => 0,
            'journal_mode' => 'wal',
        ]);
        [$one, $two] = [$open(), $open()];
        $one->exec('create table counts (n integer)');
        $one->exec('insert into counts values (1)');
        $one->beginTransaction();
        $this->assertTrue($one->inTransaction());
        $n = (int) $one->query('select n from counts')->fetchColumn();
        $refused = null;
        try {
            $two->beginTransaction();
        } catch (PDOException $error) {
            $refused = $error->getMessage();
        }
        $this->assertStringContainsString('locked', (string) $refused);
        $this->assertFalse($two->inTransaction());
        $one->exec('update counts set n = '.($n + 1));
        $one->commit();
        $two->beginTransaction();
        $this->assertSame(2, (int) $two->query('select n from counts')->fetchColumn());
        $two->exec('update counts set n = 9');
        $two->rollBack();
        $this->assertSame([2, false], [(int) $one->query('select n from counts')->fetchColumn(), $two->inTransaction()]);
        array_map(unlink(...), glob("{$file}*") ?: []);
    }
}
