<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\Kind;

/** A dry run: what would become of each row. Nothing of it is on record yet. */
final class JudgeImport extends ImportJob
{
    protected function begins(): ImportState
    {
        return ImportState::Judging;
    }

    protected function stopsAt(): ImportState
    {
        return ImportState::Read;
    }

    protected function work(Import $import): void
    {
        self::judge($import);
        $import->update(['state' => ImportState::Judged]);
    }

    /** @throws ImportStopped */
    public static function judge(Import $import): void
    {
        $rows = new ImportRows($import);
        $choices = $import->choices();
        $told = $rows->dateOrder($choices);
        if (! $told instanceof DateOrder && $choices->dateOrder === null) {
            throw new ImportStopped(ImportFault::UnclearDates);
        }
        if ($choices->has(Column::Distance) && $choices->unit === null) {
            throw new ImportStopped(ImportFault::UnclearUnit);
        }
        $rows->forget();
        $found = match ($import->kind) {
            Kind::Work => app(JudgeWork::class)->judge($import, $told ?: null),
            Kind::Athletes => app(JudgeAthletes::class)->judge($import, $told ?: null),
        };
        $import->update(['found' => [...$found, 'counts' => $rows->counts()], 'done' => $import->rows]);
    }
}
