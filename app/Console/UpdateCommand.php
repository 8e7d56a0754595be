<?php

declare(strict_types=1);

namespace App\Console;

use App\Athletes\Privacy;
use App\Records\Copies;
use App\Seasons\WorkOutSeason;
use App\Sessions\RefitSheets;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Throwable;

final class UpdateCommand extends Command
{
    protected $signature = 'augendo:update';

    protected $description = 'Bring the tables up to date; what is there is copied first';

    public function handle(Privacy $privacy): int
    {
        $kept = null;
        try {
            $migrator = app('migrator');
            $files = array_keys($migrator->getMigrationFiles(database_path('migrations')));
            $run = Schema::hasTable('migrations') ? $migrator->getRepository()->getRan() : [];
            if (array_diff($files, $run) === []) {
                $this->goOn($privacy);

                return self::SUCCESS;
            }
            if ($run !== []) {
                $kept = Copies::next('before-update');
                Copies::write($kept);
                $this->line("Updating the tables. A copy of the record is in {$kept}.");
            }
            $this->callSilently('migrate', ['--force' => true]);
            $this->goOn($privacy);
        } catch (Throwable $error) {
            $this->error("The tables could not be brought up to date: {$error->getMessage()}");
            $this->line(
                'What was there is as it was: each step is kept whole or not at all.'
                .' Free some space if the disk is full, then start again.'.(
                    $kept === null ? '' : " The copy made before is {$kept}."
                ),
            );

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    /** What waited when Augendo was last ended: requests a killed restore left outside, sheets to be fitted, seasons. */
    private function goOn(Privacy $privacy): void
    {
        if (Copies::isHeld()) {
            $privacy->eraseAgain();
            Copies::letRequestsIn();
        }
        foreach (DB::table('sheets')->where('stale', true)->where('state', 'planned')->distinct()->pluck('athlete_id') as $athleteId) {
            RefitSheets::dispatch($athleteId);
        }
        foreach (DB::table('seasons')->where('waiting', true)->where('state', 'open')->pluck('id') as $seasonId) {
            WorkOutSeason::dispatch($seasonId);
        }
    }
}
