<?php

declare(strict_types=1);

namespace App\Console;

use App\Athletes\ErasureLedger;
use App\Athletes\Privacy;
use App\Records\Copies;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Throwable;

final class RestoreCommand extends Command
{
    protected $signature = 'augendo:restore {file : a file that augendo:backup wrote, or a copy that an earlier restore kept}';

    protected $description = 'Put the record of a backup in place of the present one, which is kept as a numbered copy';

    public function handle(Privacy $privacy): int
    {
        $file = (string) $this->argument('file');
        $wrong = Copies::wrongWith($file);
        if ($wrong !== null) {
            $this->error("{$wrong} Nothing was changed.");

            return self::FAILURE;
        }
        $live = (string) DB::connection()->getConfig('database');
        $incoming = "{$live}.incoming";
        $kept = null;
        $there = is_file($live) && filesize($live) > 0;
        $closedByHand = Copies::isClosedByHand();
        $closedByHand || Copies::holdRequests();
        try {
            if ($there) {
                $kept = Copies::next('before-restore');
                Copies::write($kept);
            }
            $this->prepare($file, $incoming, $privacy);
            if ($there) {
                // What lies beside the file is written into it first: whenever this is interrupted, one whole record is in place.
                DB::select('PRAGMA wal_checkpoint(TRUNCATE)');
                DB::disconnect();
            }
            rename($incoming, $live);
            foreach (['-wal', '-shm'] as $part) {
                @unlink($live.$part);
            }
        } catch (Throwable $error) {
            $this->error(
                "Nothing was restored: {$error->getMessage()} The record is as it was.".(
                    $kept === null ? '' : " A copy of it is in {$kept}."
                ),
            );

            return self::FAILURE;
        } finally {
            array_map(fn (string $part): bool => @unlink($incoming.$part), ['', '-wal', '-shm', '-journal']);
            $closedByHand || Copies::letRequestsIn();
        }
        $this->line(
            "Restored from {$file}.".($kept === null ? '' : " What was there before is in {$kept}; to undo this, restore that file."),
        );

        return self::SUCCESS;
    }

    /** The copy as it will be opened: brought up to date, and without anybody who was erased since it was made. */
    private function prepare(string $file, string $incoming, Privacy $privacy): void
    {
        $before = umask(0077);
        array_map(fn (string $part): bool => @unlink($incoming.$part), ['', '-wal', '-shm', '-journal']);
        $copied = @copy($file, $incoming);
        umask($before);
        if (! $copied || filesize($incoming) !== filesize($file)) {
            throw new RuntimeException('The file could not be copied; perhaps the disk is full.');
        }
        chmod($incoming, 0600);
        config([
            'database.connections.incoming' => [
                ...config('database.connections.sqlite'),
                'database' => $incoming,
                'journal_mode' => 'delete',
            ],
        ]);
        $usual = DB::getDefaultConnection();
        DB::setDefaultConnection('incoming');
        try {
            if ($this->callSilently('migrate', ['--force' => true]) !== self::SUCCESS) {
                throw new RuntimeException('Its tables could not be brought up to date.');
            }
            foreach (ErasureLedger::all() as $athleteId) {
                $privacy->eraseAgain($athleteId);
            }
            DB::statement('PRAGMA journal_mode=DELETE');
        } finally {
            DB::disconnect('incoming');
            DB::setDefaultConnection($usual);
        }
    }
}
