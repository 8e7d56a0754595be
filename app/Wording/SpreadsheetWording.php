<?php

declare(strict_types=1);

namespace App\Wording;

use App\Spreadsheets\Import;
use App\Spreadsheets\ImportFault;
use App\Spreadsheets\ImportState;
use App\Spreadsheets\ReadSpreadsheet;
use Augendo\Core\Day;
use Augendo\Core\Spreadsheets\CellFault;
use Augendo\Core\Spreadsheets\Cells;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\Kind;
use Augendo\Core\Spreadsheets\Verdict;

/** Spreadsheets in words: what a column is, why a row cannot be used, how far a file has come. */
final class SpreadsheetWording
{
    public static function column(Column $column): string
    {
        return match ($column) {
            Column::Day => 'Day',
            Column::Name => 'Name',
            Column::GivenName => 'Given name',
            Column::FamilyName => 'Family name',
            Column::BirthDate => 'Birth date',
            Column::ThrowingSide => 'Throwing side',
            Column::Skill => 'What was done',
            Column::Sets => 'Sets',
            Column::Reps => 'Repetitions',
            Column::Effort => 'Effort',
            Column::Distance => 'Distance',
            Column::Side => 'Which arm',
            Column::Where => 'Where',
        };
    }

    /** @param  array{column: string, fault: string, cell: string}  $why */
    public static function fault(array $why): string
    {
        $column = Column::from($why['column']);
        $cell = "“{$why['cell']}”";
        $said = match (CellFault::from($why['fault'])) {
            CellFault::Missing => 'nothing stands there'.($column === Column::ThrowingSide ? '. Write right or left.' : '.'),
            CellFault::NoDay => "{$cell} is no day of the calendar. Write it like 2027-05-31.",
            CellFault::NotYet => "{$cell} has not come yet.",
            CellFault::LongAgo => "{$cell} is too long ago. Look at the year.",
            CellFault::NoNumber => "{$cell} is no number. Write it without spaces and without a mark for thousands.",
            CellFault::OutOfRange => "{$cell} cannot be. ".self::range($column),
            CellFault::UnclearEffort => "{$cell} may be seven of ten or a percentage. Write 70 % or 0.7.",
            CellFault::UnknownWord => "{$cell} is not known here. ".self::words($column),
            CellFault::UnknownName => "nobody here is called {$cell}. Say who it is, or add them first.",
            CellFault::TwoOfThatName => "two athletes are called {$cell}. Say who it is.",
            CellFault::TwiceInTheFile => "{$cell} stands in the file twice.",
        };

        return self::column($column).": {$said}";
    }

    private static function range(Column $column): string
    {
        return match ($column) {
            Column::Reps => 'Repetitions are whole, from 1 to '.Cells::MOST_REPS.'.',
            Column::Sets => 'Sets are whole, from 1 to '.Cells::MOST_SETS.'.',
            Column::Effort => 'Effort lies above 0 and goes to 100 %.',
            Column::Distance => 'A distance lies above 0 and goes to '.Wording::length(Cells::MOST_METRES).'.',
            default => 'A name has at most 60 letters.',
        };
    }

    private static function words(Column $column): string
    {
        return match ($column) {
            Column::Where => 'Write here, home, match or other club.',
            Column::Side, Column::ThrowingSide => 'Write right or left.',
            default => 'Say what it means.',
        };
    }

    /** @param  array<string, mixed>|null  $why */
    public static function row(Verdict $verdict, ?array $why): ?string
    {
        return match (true) {
            isset($why['fault']) => self::fault($why),
            $verdict === Verdict::Same => 'On record already.',
            isset($why['on_record']) => "On record on that day: {$why['on_record']} repetitions. The file says {$why['in_file']}.",
            $verdict === Verdict::Differs => 'Somebody of this name is here, '
                .(($why['born'] ?? null) === null ? 'without a birth date.' : 'born '.Wording::day(Day::of($why['born'])).'.')
                .' If it is the same person, put it right on their page.',
            $verdict === Verdict::LeftOut => 'Stays out, as you said.',
            default => null,
        };
    }

    public static function state(Import $import): string
    {
        if ($import->fault !== null) {
            return self::stopped($import->fault);
        }
        $rows = Wording::count($import->rows, 'row');

        return match ($import->state) {
            ImportState::Arriving => 'On its way.',
            ImportState::Reading => 'Being read.',
            ImportState::Read => "{$rows} read. Say what the columns are.",
            ImportState::Judging => 'Each row is held against the record.',
            ImportState::Judged => "{$rows} looked at. Nothing is on record yet.",
            ImportState::Taking => 'Being put on record.',
            ImportState::Taken => 'On record: '.self::taken($import).'.',
            ImportState::TakingBack => 'Being taken back.',
            ImportState::TakenBack => "Taken back: {$import->reason}",
            ImportState::Failed => 'It could not be read.',
        };
    }

    private static function taken(Import $import): string
    {
        $count = ($import->found['counts'][Verdict::Fresh->value] ?? 0) + count($import->choices['also'] ?? []);

        return Wording::count($count, $import->kind === Kind::Work ? 'row' : 'athlete');
    }

    private static function stopped(ImportFault $fault): string
    {
        return match ($fault) {
            ImportFault::NotReadable => 'This is no CSV and no XLSX file. Open it in a spreadsheet program and save it as one of them.',
            ImportFault::Empty => 'There is no row below the titles. The first sheet is read, with the titles in its first row.',
            ImportFault::TooManyRows => 'This is more than '.number_format(ReadSpreadsheet::MOST_ROWS).' rows of work, or '
                .ReadSpreadsheet::MOST_ATHLETES.' athletes. Bring it in as several files.',
            ImportFault::TooWide => 'These are more columns than can be asked about. Take away those that nobody needs here.',
            ImportFault::UnclearDates => 'The dates may begin with the day or with the month: say which.',
            ImportFault::UnclearUnit => 'Say what the distances are written in.',
            ImportFault::ChangedMeanwhile => 'The record changed since these rows were looked at. Look at them again, then take them in.',
            ImportFault::HasARecord => 'One of these athletes has a record by now. Retire those who are wrong here, one by one.',
            ImportFault::SquadIsGone => 'The squad is not there any more. Choose another one.',
            ImportFault::Broke => 'It broke off. Nothing of it is on record; try again.',
        };
    }
}
