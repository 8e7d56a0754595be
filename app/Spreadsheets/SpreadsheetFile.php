<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use PhpOffice\PhpSpreadsheet\Cell\Cell;
use PhpOffice\PhpSpreadsheet\Reader\Exception as NotASpreadsheet;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use ZipArchive;

/** The rows of a CSV or XLSX file (its first sheet), as text, a few thousand in memory at a time. Days are written YYYY-MM-DD. */
final class SpreadsheetFile
{
    /** Rows of one look into an XLSX: each look reads the file from its beginning. */
    private const AT_ONCE = 5000;

    /** A file that unpacks to more than this is no list of athletes or work. */
    private const MOST_UNPACKED = 300_000_000;

    public function __construct(private readonly string $path) {}

    /**
     * @param  int  $most  rows; what lies behind is not read
     * @return iterable<int, list<string>> cells by line, from 1; empty lines are passed over
     *
     * @throws ImportStopped
     */
    public function rows(int $most): iterable
    {
        $rows = file_get_contents($this->path, length: 4) === "PK\x03\x04" ? $this->sheet($most) : $this->lines($most);
        foreach ($rows as $line => $cells) {
            if (array_filter($cells, fn (string $cell): bool => $cell !== '') !== []) {
                yield $line => $cells;
            }
        }
    }

    /** @return iterable<int, list<string>> */
    private function sheet(int $most): iterable
    {
        $this->refuseBombs();
        for ($first = 1; $first <= $most; $first += self::AT_ONCE) {
            $last = min($first + self::AT_ONCE - 1, $most);
            try {
                $reader = (new Xlsx)->setReadEmptyCells(false)->setReadFilter(new class($first, $last) implements IReadFilter
                {
                    public function __construct(private readonly int $first, private readonly int $last) {}

                    public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
                    {
                        return $row >= $this->first && $row <= $this->last;
                    }
                });
                $reader->setLoadSheetsOnly($reader->listWorksheetNames($this->path)[0] ?? '');
                $book = $reader->load($this->path);
            } catch (NotASpreadsheet) {
                throw new ImportStopped(ImportFault::NotReadable);
            }
            $sheet = $book->getSheet(0);
            $end = min($last, $sheet->getHighestDataRow());
            $lastColumn = $sheet->getHighestDataColumn();
            for ($line = $first; $line <= $end; $line++) {
                $cells = [];
                foreach ($sheet->getRowIterator($line, $line)->current()->getCellIterator('A', $lastColumn) as $cell) {
                    $cells[] = self::cellText($cell);
                }
                yield $line => $cells;
            }
            $book->disconnectWorksheets();
            if ($end < $last) {
                return;
            }
        }
    }

    private static function cellText(Cell $cell): string
    {
        $value = $cell->getValue();
        if (is_string($value) && str_starts_with($value, '=')) {
            // What was worked out when it was last saved; nothing is worked out here.
            $value = $cell->getOldCalculatedValue();
        }
        if (is_numeric($value) && Date::isDateTime($cell)) {
            return Date::excelToDateTimeObject((float) $value)->format('Y-m-d');
        }
        // 75 % is kept as 0.75, with the sign in its format alone.
        if (is_numeric($value) && str_contains((string) $cell->getStyle()->getNumberFormat()->getFormatCode(), '%')) {
            return round((float) $value * 100, 6).'%';
        }

        return self::clean(is_bool($value) ? ($value ? 'yes' : 'no') : (string) $value);
    }

    private function refuseBombs(): void
    {
        $zip = new ZipArchive;
        if ($zip->open($this->path, ZipArchive::RDONLY) !== true) {
            throw new ImportStopped(ImportFault::NotReadable);
        }
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $bytes += (int) ($zip->statIndex($i)['size'] ?? 0);
        }
        $zip->close();
        if ($bytes > self::MOST_UNPACKED) {
            throw new ImportStopped(ImportFault::NotReadable);
        }
    }

    /** @return iterable<int, list<string>> */
    private function lines(int $most): iterable
    {
        $head = (string) file_get_contents($this->path, length: 65536);
        if (str_contains($head, "\0")) {
            throw new ImportStopped(ImportFault::NotReadable);
        }
        $first = strtok($head, "\r\n") ?: '';
        $counts = array_combine([',', ';', "\t"], array_map(fn (string $by): int => substr_count($first, $by), [',', ';', "\t"]));
        arsort($counts);
        $by = (string) array_key_first($counts);
        $file = fopen($this->path, 'rb') ?: throw new ImportStopped(ImportFault::NotReadable);
        try {
            for ($line = 1; $line <= $most && ($cells = fgetcsv($file, null, $by, '"', '')) !== false; $line++) {
                yield $line => array_map(fn (?string $cell): string => self::clean(self::utf8((string) $cell)), $cells);
            }
        } finally {
            fclose($file);
        }
    }

    /** What is no UTF-8 comes from an older desktop program. */
    private static function utf8(string $text): string
    {
        $text = str_starts_with($text, "\u{feff}") ? substr($text, 3) : $text;

        return mb_check_encoding($text, 'UTF-8') ? $text : (string) mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
    }

    private static function clean(string $text): string
    {
        return mb_substr(trim(preg_replace('/[\x00-\x1f\x7f\x{a0}]+/u', ' ', mb_scrub($text, 'UTF-8')) ?? ''), 0, 200);
    }
}
