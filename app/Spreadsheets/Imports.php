<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What somebody does with a spreadsheet; the work itself is done by a job of its own, with progress. */
final class Imports
{
    /** @param  array{id: string, kind: string, file_name: string, parts: int}  $given  validated; sent before, it changes nothing */
    public function open(array $given, User $by): Import
    {
        return Alone::inClub($by->workspace_id, function () use ($given, $by): Import {
            $known = Import::query()->find($given['id']);
            if ($known !== null) {
                return $known->made_by === $by->id
                    ? $known
                    : throw new Problem(ProblemType::NotAdded, 'This id is taken. Load the page again.');
            }

            return Import::query()->create([
                ...$given, 'workspace_id' => $by->workspace_id, 'state' => ImportState::Arriving,
                'made_by' => $by->id, 'made_at' => Carbon::now(),
            ]);
        });
    }

    /** A part of the file; with the last of them it is read. */
    public function part(Import $import, int $no, string $base64): void
    {
        $this->change($import, function (Import $import) use ($no, $base64): void {
            if ($import->state !== ImportState::Arriving) {
                return;
            }
            if ($no >= $import->parts) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'This file has no such part.',
                    ['no' => ['Start again with the file.']],
                );
            }
            DB::table('import_parts')->insertOrIgnore(['import_id' => $import->id, 'no' => $no, 'base64' => $base64]);
            if (DB::table('import_parts')->where('import_id', $import->id)->count() === $import->parts) {
                $import->update(['state' => ImportState::Reading]);
                ReadSpreadsheet::dispatch($import->id)->afterCommit();
            }
        });
    }

    /** @param  array<string, mixed>  $choices  validated */
    public function choose(Import $import, array $choices, int $version): void
    {
        $this->change($import, function (Import $import) use ($choices, $version): void {
            $this->refuseUnless($import, [ImportState::Read, ImportState::Judged], $version);
            if (count($choices['columns']) !== count($import->header ?? [])) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'The file has other columns. Load the page again.',
                    ['columns' => ['One for each column of the file.']],
                );
            }
            $missing = $import->kind->missing(ImportChoices::of($import->kind, $import->header ?? [], $choices)->columns);
            if ($missing !== []) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'Say which column it is.',
                    ['columns' => array_map(fn ($column): string => $column->value, $missing)],
                );
            }
            if ($import->kind === Kind::Athletes && ! $import->maker->visibleSquads()->whereKey($choices['squad_id'])->exists()) {
                throw new Problem(ProblemType::ASquadIsNeeded, 'Choose one of your squads.', ['squad_id' => ['Choose a squad.']]);
            }
            $import->update([
                'state' => ImportState::Judging, 'choices' => $choices, 'version' => $version + 1, 'done' => 0, 'fault' => null,
            ]);
            JudgeImport::dispatch($import->id)->afterCommit();
        });
    }

    /**
     * @param  list<int>  $also  lines that differ, and are work beside what is on record
     * @param  bool  $withoutUnusable  whether rows that cannot be used may stay out
     */
    public function take(Import $import, array $also, bool $withoutUnusable, int $version): void
    {
        $this->change($import, function (Import $import) use ($also, $withoutUnusable, $version): void {
            $this->refuseUnless($import, [ImportState::Judged], $version);
            $counts = $import->found['counts'] ?? [];
            if (($counts['unusable'] ?? 0) > 0 && ! $withoutUnusable) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'Some rows cannot be used. Put them right and bring the file in again, or say that they stay out.',
                    ['without_unusable' => ['Say that they stay out.']],
                );
            }
            if (($counts['new'] ?? 0) === 0 && $also === []) {
                throw new Problem(ProblemType::NothingWasImported, 'No row of this file is new.');
            }
            $import->update([
                'state' => ImportState::Taking, 'choices' => [...$import->choices ?? [], 'also' => $also], 'version' => $version + 1,
                'done' => 0, 'fault' => null,
            ]);
            TakeImport::dispatch($import->id)->afterCommit();
        });
    }

    public function takeBack(Import $import, string $reason, int $version): void
    {
        $this->change($import, function (Import $import) use ($reason, $version): void {
            $this->refuseUnless($import, [ImportState::Taken], $version);
            $import->update([
                'state' => ImportState::TakingBack, 'reason' => $reason, 'version' => $version + 1, 'done' => 0, 'fault' => null,
            ]);
            TakeImportBack::dispatch($import->id)->afterCommit();
        });
    }

    /** A file nothing came of. */
    public function drop(Import $import): void
    {
        $this->change($import, function (Import $import): void {
            if (in_array($import->state, ImportState::ON_RECORD, true)) {
                throw new Problem(ProblemType::ItStays, 'This file was taken in. Take it back instead.');
            }
            $import->delete();
        });
    }

    /** @param  list<ImportState>  $states */
    private function refuseUnless(Import $import, array $states, int $version): void
    {
        if ($import->version !== $version || ! in_array($import->state, $states, true)) {
            throw new Problem(ProblemType::ChangedMeanwhile, 'This file is further on than your page shows. Look again.');
        }
    }

    /** @param  \Closure(Import): void  $do */
    private function change(Import $import, \Closure $do): void
    {
        Alone::inClub($import->workspace_id, fn () => $do($import->refresh()));
    }
}
