<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Athletes\Answers\NamedView;
use App\People\Rights;
use App\People\User;
use App\Spreadsheets\Answers\ImportColumnView;
use App\Spreadsheets\Answers\ImportCountView;
use App\Spreadsheets\Answers\ImportLineView;
use App\Spreadsheets\Answers\ImportRowsView;
use App\Spreadsheets\Answers\ImportRowView;
use App\Spreadsheets\Answers\ImportsView;
use App\Spreadsheets\Answers\ImportView;
use App\Spreadsheets\Answers\ImportWordView;
use App\Wording\SpreadsheetWording;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\Verdict;

/** A spreadsheet on its way in: what its columns are taken for, and what would become of each row. */
final class ImportScreen
{
    private const SAMPLES = 3;

    private const ROWS = 100;

    private const LISTED = 30;

    public function all(User $user): ImportsView
    {
        $imports = Import::query()->with('maker')->where('workspace_id', $user->workspace_id);
        if (! Rights::isHead($user)) {
            $imports->where('made_by', $user->id);
        }

        return new ImportsView(array_values($imports->orderByDesc('made_at')->limit(self::LISTED)->get()->map(
            fn (Import $import): ImportLineView => new ImportLineView(
                id: $import->id,
                file_name: $import->file_name,
                state: $import->state->value,
                sentence: SpreadsheetWording::state($import),
                made_at: $import->made_at->setTimezone($user->workspace->timezone)->toIso8601String(),
                by: $import->maker->name,
            ),
        )->all()));
    }

    public function view(Import $import): ImportView
    {
        $choices = $import->choices();
        $found = $import->found ?? [];

        return new ImportView(
            id: $import->id,
            kind: $import->kind->value,
            file_name: $import->file_name,
            state: $import->state->value,
            is_busy: $import->state->isBusy(),
            version: $import->version,
            rows: $import->rows,
            done: $import->done,
            sentence: SpreadsheetWording::state($import),
            stopped: $import->fault !== null,
            columns: $this->columns($import, $choices),
            may_be: array_map(
                fn (Column $column): NamedView => new NamedView($column->value, SpreadsheetWording::column($column)),
                $import->kind->columns(),
            ),
            date_order: $choices->dateOrder?->value,
            distance_unit: $choices->unit?->value,
            squad_id: $choices->squadId,
            throwing_side: $choices->throwingSide?->value,
            skills: $this->words($choices->skills, $found['unknown_skills'] ?? []),
            athletes: $this->words($choices->athletes, $found['unknown_athletes'] ?? []),
            counts: array_values(array_map(
                fn (Verdict $verdict): ImportCountView => new ImportCountView(
                    $verdict->value,
                    (int) ($found['counts'][$verdict->value] ?? 0),
                ),
                Verdict::cases(),
            )),
            touches: (int) ($found['athletes'] ?? 0),
        );
    }

    public function rows(Import $import, Verdict $verdict, int $after): ImportRowsView
    {
        $columns = $import->choices()->columns;
        $rows = (new ImportRows($import))->query()
            ->where('verdict', $verdict->value)
            ->where('line', '>', $after)
            ->orderBy('line')
            ->limit(self::ROWS)
            ->get();

        return new ImportRowsView(array_values($rows->map(function (object $row) use ($verdict, $columns): ImportRowView {
            $why = $row->why === null ? null : json_decode($row->why, true);
            $at = array_search(Column::tryFrom($why['column'] ?? ''), $columns, true);

            return new ImportRowView(
                line: (int) $row->line,
                verdict: $verdict->value,
                sentence: SpreadsheetWording::row($verdict, $why),
                column: $at === false ? null : $at,
                cells: json_decode($row->cells, true),
            );
        })->all()), $rows->count() < self::ROWS ? null : (int) $rows->last()->line);
    }

    /** @return list<ImportColumnView> */
    private function columns(Import $import, ImportChoices $choices): array
    {
        $first = (new ImportRows($import))->query()->orderBy('line')->limit(self::SAMPLES)->pluck('cells');
        $samples = $first->map(fn (string $cells): array => json_decode($cells, true))->all();

        return array_map(fn (string $title, int $at): ImportColumnView => new ImportColumnView(
            title: $title,
            column: ($choices->columns[$at] ?? null)?->value,
            samples: array_values(array_filter(array_map(fn (array $cells): string => $cells[$at] ?? '', $samples))),
        ), $import->header ?? [], array_keys($import->header ?? []));
    }

    /**
     * @param  array<string, string|null>  $chosen
     * @param  array<string, int>  $unknown
     * @return list<ImportWordView> those nobody has said the meaning of first
     */
    private function words(array $chosen, array $unknown): array
    {
        $open = array_diff_key($unknown, $chosen);

        return [
            ...array_map(
                fn (int $rows, string|int $word): ImportWordView => new ImportWordView((string) $word, $rows, null, false),
                $open,
                array_keys($open),
            ),
            ...array_map(
                fn (?string $means, string|int $word): ImportWordView => new ImportWordView((string) $word, 0, $means, $means === null),
                $chosen,
                array_keys($chosen),
            ),
        ];
    }
}
