<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Athletes\Athlete;
use App\Athletes\Intake;
use App\Records\AthletesChanged;
use App\Records\Audit;

/** What follows when work comes in with a spreadsheet, or goes with it again. */
final class WorkBroughtIn
{
    /**
     * @param  list<string>  $athleteIds
     * @param  array<string, mixed>  $details  for the log of who did what
     */
    public static function follow(Import $import, array $athleteIds, string $what, array $details): void
    {
        $intake = app(Intake::class);
        $today = $import->maker->workspace->today();
        foreach (Athlete::query()->whereIn('id', $athleteIds)->orderBy('id')->get() as $athlete) {
            // A usual week that was declared stands before the record, and the record has another beginning now.
            $intake->declareAgain($athlete, $today);
            Audit::of($import->maker, $athlete, $what, ['file' => $import->file_name, ...$details]);
        }
        AthletesChanged::many($athleteIds, $today);
    }
}
