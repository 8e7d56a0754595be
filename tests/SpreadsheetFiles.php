<?php

declare(strict_types=1);

namespace Tests;

use RuntimeException;
use ZipArchive;

/** Small XLSX files as a spreadsheet program writes them, with days and percentages as numbers that carry a format. */
final class SpreadsheetFiles
{
    private const TYPES = '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">'
        .'<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>'
        .'<Override PartName="/xl/workbook.xml"'
        .' ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>'
        .'<Override PartName="/xl/worksheets/sheet1.xml"'
        .' ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/>'
        .'<Override PartName="/xl/styles.xml"'
        .' ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml"/></Types>';

    private const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const MAIN = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"';

    /** Format 1 is a day, format 2 a percentage. */
    private const STYLES = '<styleSheet '.self::MAIN.'><fonts count="1"><font/></fonts><fills count="1"><fill/></fills>'
        .'<borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="3"><xf numFmtId="0"/>'
        .'<xf numFmtId="14" applyNumberFormat="1"/><xf numFmtId="9" applyNumberFormat="1"/></cellXfs></styleSheet>';

    /**
     * @param  list<list<string|int|float|array{0: float|int, 1: int}>>  $rows  text, a number, or a number with its format
     * @return string the file
     */
    public static function xlsx(array $rows, string $path): string
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("{$path} cannot be written.");
        }
        $relation = fn (string $id, string $type, string $target): string => sprintf(
            '<Relationship Id="%s" Type="%s/%s" Target="%s"/>', $id, self::OFFICE, $type, $target,
        );
        $relations = fn (string ...$of): string => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">'
            .implode('', $of).'</Relationships>';
        foreach ([
            '[Content_Types].xml' => self::TYPES,
            '_rels/.rels' => $relations($relation('rId1', 'officeDocument', 'xl/workbook.xml')),
            'xl/workbook.xml' => '<workbook '.self::MAIN.' xmlns:r="'.self::OFFICE.'"><sheets>'
                .'<sheet name="Sheet" sheetId="1" r:id="rId1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => $relations(
                $relation('rId1', 'worksheet', 'worksheets/sheet1.xml'), $relation('rId2', 'styles', 'styles.xml'),
            ),
            'xl/styles.xml' => self::STYLES,
            'xl/worksheets/sheet1.xml' => '<worksheet '.self::MAIN.'><sheetData>'
                .implode('', array_map(self::row(...), $rows, array_keys($rows))).'</sheetData></worksheet>',
        ] as $name => $xml) {
            $zip->addFromString($name, '<?xml version="1.0" encoding="UTF-8"?>'.$xml);
        }
        $zip->close();

        return (string) file_get_contents($path);
    }

    /** @param  list<string|int|float|array{0: float|int, 1: int}>  $cells */
    private static function row(array $cells, int $at): string
    {
        $no = $at + 1;
        $xml = '';
        foreach ($cells as $i => $cell) {
            $ref = chr(65 + $i).$no;
            $xml .= match (true) {
                is_array($cell) => "<c r=\"{$ref}\" s=\"{$cell[1]}\"><v>{$cell[0]}</v></c>",
                is_string($cell) => "<c r=\"{$ref}\" t=\"inlineStr\"><is><t>".htmlspecialchars($cell, ENT_XML1).'</t></is></c>',
                default => "<c r=\"{$ref}\"><v>{$cell}</v></c>",
            };
        }

        return "<row r=\"{$no}\">{$xml}</row>";
    }
}
