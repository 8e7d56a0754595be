<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Records\Alone;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Support\Facades\DB;

/** The rows of a file are kept as they stand there, and what its columns may be is guessed. */
final class ReadSpreadsheet extends ImportJob
{
    public const MOST_ROWS = 20_000;

    public const MOST_ATHLETES = 500;

    private const MOST_COLUMNS = 60;

    private const AT_ONCE = 500;

    protected function begins(): ImportState
    {
        return ImportState::Reading;
    }

    protected function stopsAt(): ImportState
    {
        return ImportState::Failed;
    }

    protected function work(Import $import): void
    {
        DB::table('import_rows')->where('import_id', $import->id)->delete();
        $path = $this->fetched($import);
        try {
            $this->keep($import, new SpreadsheetFile($path));
        } finally {
            unlink($path);
        }
    }

    /** @throws ImportStopped */
    private function keep(Import $import, SpreadsheetFile $file): void
    {
        $header = null;
        $rows = [];
        $count = 0;
        foreach ($file->rows(self::MOST_ROWS + 2) as $line => $cells) {
            if ($header === null) {
                $header = $this->header($cells);

                continue;
            }
            if (++$count > ($import->kind === Kind::Athletes ? self::MOST_ATHLETES : self::MOST_ROWS)) {
                throw new ImportStopped(ImportFault::TooManyRows);
            }
            $cells = array_slice(array_pad($cells, count($header), ''), 0, count($header));
            $rows[] = ['import_id' => $import->id, 'line' => $line, 'cells' => json_encode($cells, JSON_THROW_ON_ERROR)];
            if (count($rows) === self::AT_ONCE) {
                $this->write($import, $rows, $count);
                $rows = [];
            }
        }
        if ($header === null || $count === 0) {
            throw new ImportStopped(ImportFault::Empty);
        }
        $this->write($import, $rows, $count);
        Alone::inClub($import->workspace_id, function () use ($import, $header, $count): void {
            DB::table('import_parts')->where('import_id', $import->id)->delete();
            $import->update(['header' => $header, 'rows' => $count, 'done' => $count, 'state' => ImportState::Read]);
        });
    }

    /**
     * @param  list<string>  $cells
     * @return non-empty-list<string> each column has a name; those behind the last one are none
     */
    private function header(array $cells): array
    {
        while ($cells !== [] && end($cells) === '') {
            array_pop($cells);
        }
        if (count($cells) > self::MOST_COLUMNS) {
            throw new ImportStopped(ImportFault::TooWide);
        }
        $named = array_map(fn (string $cell, int $at): string => $cell === '' ? 'Column '.($at + 1) : $cell, $cells, array_keys($cells));

        return $named === [] ? throw new ImportStopped(ImportFault::Empty) : $named;
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function write(Import $import, array $rows, int $count): void
    {
        Alone::inClub($import->workspace_id, function () use ($import, $rows, $count): void {
            DB::table('import_rows')->insert($rows);
            $import->update(['done' => $count, 'rows' => $count]);
        });
    }

    /** @return string path of the file, put together from its parts */
    private function fetched(Import $import): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'augendo');
        foreach (DB::table('import_parts')->where('import_id', $import->id)->orderBy('no')->cursor() as $part) {
            file_put_contents($path, (string) base64_decode((string) $part->base64, true), FILE_APPEND);
        }

        return $path;
    }
}
