<?php

declare(strict_types=1);

namespace App\Console;

use App\Athletes\Privacy;
use App\Records\Copies;
use Illuminate\Console\Command;
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
        $kept = null;
        $closedByHand = Copies::isClosedByHand();
        $closedByHand || Copies::holdRequests();
        try {
            if (Copies::form()->isThere()) {
                $kept = Copies::next('before-restore');
                Copies::write($kept);
            }
            Copies::form()->replaceWith($file, $kept, fn () => $this->prepare($privacy));
            $closedByHand || Copies::letRequestsIn();
        } catch (Throwable $error) {
            $this->error("Nothing was restored: {$error->getMessage()} The record is as it was.".(
                $kept === null ? '' : " A copy of it is in {$kept}."
            ));
            $closedByHand || Copies::letRequestsIn();

            return self::FAILURE;
        }
        $this->line(
            "Restored from {$file}.".($kept === null ? '' : " What was there before is in {$kept}; to undo this, restore that file."),
        );

        return self::SUCCESS;
    }

    /** The copy as it will be opened: brought up to date, and without anybody who was erased since it was made. */
    private function prepare(Privacy $privacy): void
    {
        if ($this->callSilently('migrate', ['--force' => true]) !== self::SUCCESS) {
            throw new RuntimeException('Its tables could not be brought up to date.');
        }
        $privacy->eraseAgain();
    }
}
