<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Film\FilmFiles;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use ZipArchive;

/**
 * An export as one ZIP: each table as CSV for a spreadsheet program and as JSON for others, and what each column is. Rows pass through one
 * by one, however many there are.
 */
final class ExportFile
{
    /**
     * @param  array<string, Builder>  $tables  rows by table; with those of saved pictures come the pictures
     * @return string path
     */
    public static function write(array $tables): string
    {
        $path = self::temporary();
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('The export cannot be written: is the disk full?');
        }
        $parts = [];
        foreach ($tables as $table => $rows) {
            [$csv, $json] = $parts[] = self::table($table, $rows);
            $zip->addFile($csv, "csv/{$table}.csv");
            $zip->addFile($json, "json/{$table}.json");
        }
        foreach (FilmFiles::picturesOf($tables['film_pictures']->pluck('film_pictures.id')) as $id => $picture) {
            $zip->addFile($picture, "pictures/{$id}.jpg");
            // A JPEG grows no smaller.
            $zip->setCompressionName("pictures/{$id}.jpg", ZipArchive::CM_STORE);
        }
        $zip->addFile(base_path('docs/data.md'), 'what-each-column-is.md');
        // Only now are the parts read.
        $written = $zip->close();
        array_map(unlink(...), array_merge(...$parts));
        if (! $written) {
            throw new RuntimeException('The export cannot be written: is the disk full?');
        }

        return $path;
    }

    /** @return array{0: string, 1: string} paths of the table as CSV and as JSON */
    private static function table(string $table, Builder $rows): array
    {
        $paths = [self::temporary(), self::temporary()];
        [$csv, $json] = array_map(
            fn (string $path) => fopen($path, 'wb') ?: throw new RuntimeException("{$path} cannot be written."),
            $paths,
        );
        // The mark that tells a spreadsheet program how its letters are written.
        fwrite($csv, "\u{feff}");
        fputcsv($csv, $rows->columns ?? Schema::getColumnListing($table), ',', '"', '', "\r\n");
        $before = "[\n";
        foreach ($rows->cursor() as $row) {
            fputcsv($csv, array_map(self::cell(...), array_values((array) $row)), ',', '"', '', "\r\n");
            fwrite($json, $before.json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
            $before = ",\n";
        }
        fwrite($json, $before === "[\n" ? "[]\n" : "\n]\n");
        fclose($csv);
        fclose($json);

        return $paths;
    }

    /** Words come from people: none of them is a formula. */
    private static function cell(mixed $value): string
    {
        $text = is_bool($value) ? (string) (int) $value : (string) $value;

        return is_string($value) && ! is_numeric($value) && preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'{$text}" : $text;
    }

    private static function temporary(): string
    {
        return tempnam(sys_get_temp_dir(), 'augendo') ?: throw new RuntimeException('There is no room for a file.');
    }
}
