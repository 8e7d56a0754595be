<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Load\Side;
use Augendo\Core\Spreadsheets\CellFault;
use Augendo\Core\Spreadsheets\Cells;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\Kind;
use Augendo\Core\Spreadsheets\LengthUnit;
use Augendo\Core\Spreadsheets\RowFault;
use Augendo\Core\Spreadsheets\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cells of a spreadsheet: read as they are meant, or refused with why. Nothing that has two meanings is taken for one of them. */
final class SpreadsheetCellsTest extends TestCase
{
    #[DataProvider('efforts')]
    public function test_an_effort_is_a_share_a_percentage_or_a_word(string $cell, float|CellFault|null $means): void
    {
        $this->assertMeans($means, fn (): ?float => $this->row(Column::Effort, $cell)->effort());
    }

    public static function efforts(): iterable
    {
        yield 'nothing is not known' => ['', null];
        yield ['0.75', 0.75];
        yield ['0,75', 0.75];
        yield ['75', 0.75];
        yield ['75%', 0.75];
        yield ['75 %', 0.75];
        yield ['7 %', 0.07];
        yield ['1', 1.0];
        yield ['100', 1.0];
        yield ['Easy', 0.4];
        yield ['medium', 0.65];
        yield ['MAX', 0.95];
        yield ['7', CellFault::UnclearEffort];
        yield ['10', CellFault::UnclearEffort];
        yield ['0', CellFault::OutOfRange];
        yield ['101', CellFault::OutOfRange];
        yield ['-5', CellFault::NoNumber];
        yield ['lots', CellFault::NoNumber];
        yield ['1e1', CellFault::NoNumber];
    }

    #[DataProvider('counts')]
    public function test_a_count_is_whole_and_without_a_mark_for_thousands(string $cell, int|CellFault $means): void
    {
        $this->assertMeans($means, fn (): int => $this->row(Column::Reps, $cell)->reps());
    }

    public static function counts(): iterable
    {
        yield ['', CellFault::Missing];
        yield ['12', 12];
        yield ['12.0', 12];
        yield ['12,00', 12];
        yield ['1000', 1000];
        yield ['1001', CellFault::OutOfRange];
        yield ['0', CellFault::OutOfRange];
        yield ['12.5', CellFault::OutOfRange];
        yield ['1.000', CellFault::NoNumber];
        yield ['1,000', CellFault::NoNumber];
        yield ['3x10', CellFault::NoNumber];
        yield ['１２', CellFault::NoNumber];
    }

    #[DataProvider('distances')]
    public function test_a_distance_has_the_unit_behind_it_or_that_of_its_column(
        string $cell, LengthUnit $unit, float|CellFault|null $means,
    ): void {
        $this->assertMeans($means, fn (): ?float => $this->row(Column::Distance, $cell, unit: $unit)->distanceM());
    }

    public static function distances(): iterable
    {
        yield ['', LengthUnit::Metres, null];
        yield ['9', LengthUnit::Metres, 9.0];
        yield ['30', LengthUnit::Feet, 9.14];
        yield ['30', LengthUnit::Yards, 27.43];
        yield ['9 m', LengthUnit::Feet, 9.0];
        yield ['30yd', LengthUnit::Metres, 27.43];
        yield ['30 feet', LengthUnit::Metres, 9.14];
        yield ['9,5', LengthUnit::Metres, 9.5];
        yield ['30 km', LengthUnit::Metres, CellFault::NoNumber];
        yield ['0', LengthUnit::Metres, CellFault::OutOfRange];
        yield ['201', LengthUnit::Metres, CellFault::OutOfRange];
        yield ['far', LengthUnit::Metres, CellFault::NoNumber];
    }

    #[DataProvider('days')]
    public function test_a_day_is_one_of_the_calendar(string $cell, DateOrder $order, string|CellFault $means): void
    {
        $read = fn (): string => $this->row(Column::Day, $cell, order: $order)
            ->day(Column::Day, Day::of('2017-01-01'), Day::of('2027-05-20'))->iso();
        $this->assertMeans($means, $read);
    }

    public static function days(): iterable
    {
        yield ['2027-05-02', DateOrder::MonthFirst, '2027-05-02'];
        yield ['2027/5/2', DateOrder::MonthFirst, '2027-05-02'];
        yield ['2027-05-02 00:00:00', DateOrder::DayFirst, '2027-05-02'];
        yield ['2.5.2027', DateOrder::MonthFirst, '2027-05-02'];
        yield ['2. 5. 27', DateOrder::MonthFirst, '2027-05-02'];
        yield ['2/5/2027', DateOrder::DayFirst, '2027-05-02'];
        yield ['2/5/2027', DateOrder::MonthFirst, '2027-02-05'];
        yield ['2-5-27', DateOrder::DayFirst, '2027-05-02'];
        yield ['Sun, 2 May 2027', DateOrder::DayFirst, '2027-05-02'];
        yield ['May 2, 2027', DateOrder::DayFirst, '2027-05-02'];
        yield ['', DateOrder::DayFirst, CellFault::Missing];
        yield ['29/2/2027', DateOrder::DayFirst, CellFault::NoDay];
        yield ['2/13/2027', DateOrder::DayFirst, CellFault::NoDay];
        yield ['2 Mai 2027', DateOrder::DayFirst, CellFault::NoDay];
        yield ['yesterday', DateOrder::DayFirst, CellFault::NoDay];
        yield ['20/5/2027', DateOrder::DayFirst, '2027-05-20'];
        yield ['21/5/2027', DateOrder::DayFirst, CellFault::NotYet];
        yield ['1/1/2007', DateOrder::DayFirst, CellFault::LongAgo];
    }

    public function test_dates_tell_their_order_when_one_of_them_has_no_other(): void
    {
        $this->assertSame(DateOrder::DayFirst, DateOrder::told(['3/4/2027', '13/4/2027']));
        $this->assertSame(DateOrder::MonthFirst, DateOrder::told(['3/4/2027', 'Tue 4/13/2027']));
        $this->assertSame(DateOrder::DayFirst, DateOrder::told(['2027-04-03', '', '3.4.2027']), 'nothing to ask');
        $this->assertNull(DateOrder::told(['3/4/2027']));
        $this->assertFalse(DateOrder::told(['13/4/2027', '4/13/2027']));
    }

    public function test_names_stand_in_one_column_or_two_and_either_way_round(): void
    {
        $name = fn (string $cell): array => $this->row(Column::Name, $cell)->name();
        $this->assertSame(['Mira', 'Sand'], $name(' Mira  Sand '));
        $this->assertSame(['Mira', 'Sand'], $name('Sand, Mira'));
        $this->assertSame(['Mira', 'van der Sand'], $name('Mira van der Sand'));
        $this->assertSame(['Mira', ''], $name('Mira'));
        $two = new Cells(['Sand', 'Mira'], [Column::FamilyName, Column::GivenName], DateOrder::DayFirst, LengthUnit::Metres);
        $this->assertSame(['Mira', 'Sand'], $two->name());
        $this->assertMeans(CellFault::Missing, fn (): array => $name(''));
        $this->assertMeans(CellFault::OutOfRange, fn (): array => $name(str_repeat('m', 61)));
    }

    public function test_left_is_the_other_arm_of_who_throws_with_the_right(): void
    {
        $side = fn (string $cell, Handedness $throws): Side => $this->row(Column::Side, $cell)->side($throws);
        $this->assertSame(Side::Other, $side('left', Handedness::Right));
        $this->assertSame(Side::Dominant, $side('L', Handedness::Left));
        $this->assertSame(Side::Dominant, $side('', Handedness::Left));
        $this->assertSame(Side::Other, $side('Weak', Handedness::Left));
        $this->assertMeans(CellFault::UnknownWord, fn (): Side => $side('both', Handedness::Left));
        $this->assertSame(Handedness::Left, $this->row(Column::ThrowingSide, 'Left-handed')->throwingSide());
        $this->assertNull($this->row(Column::ThrowingSide, '')->throwingSide());
        $this->assertMeans(CellFault::UnknownWord, fn () => $this->row(Column::ThrowingSide, 'both')->throwingSide());
    }

    public function test_sets_times_repetitions_and_where_it_was(): void
    {
        $row = fn (string $sets, string $reps, string $where): Cells => new Cells(
            [$sets, $reps, $where], [Column::Sets, Column::Reps, Column::Where], DateOrder::DayFirst, LengthUnit::Metres,
        );
        $this->assertSame(36, $row('3', '12', '')->reps());
        $this->assertSame(12, $row('', '12', '')->reps());
        $this->assertMeans(CellFault::OutOfRange, fn (): int => $row('61', '12', '')->reps());
        $this->assertSame(
            ['here', 'here', 'home', 'match', 'other club'],
            array_map(fn (string $where): string => $row('', '1', $where)->place(), ['', 'Hall', 'At home', 'GAME', 'school']),
        );
        $this->assertMeans(CellFault::UnknownWord, fn (): string => $row('', '1', 'moon')->place());
    }

    public function test_columns_are_known_by_what_clubs_write_above_them(): void
    {
        $this->assertSame(
            [Column::Day, Column::Name, Column::Skill, Column::Reps, Column::Effort, 6 => Column::Distance],
            Column::guess(
                Kind::Work,
                ['Session Date', 'Player name', 'Exercise', '# Reps', 'Effort (%)', 'Notes', 'Distance [m]', 'Throws'],
            ),
        );
        $this->assertSame([Column::Name, Column::ThrowingSide], Column::guess(Kind::Athletes, ['Name', 'Hand']));
        $this->assertSame([Column::Name, Column::Day, Column::Skill, Column::Reps], Kind::Work->missing([Column::Effort]));
        $this->assertSame([], Kind::Athletes->missing([Column::GivenName, Column::FamilyName]));
        $this->assertSame([Column::Name], Kind::Athletes->missing([Column::GivenName]));
        $this->assertSame(LengthUnit::Feet, LengthUnit::told('Distance (ft)'));
        $this->assertNull(LengthUnit::told('Distance'));
    }

    public function test_what_is_on_record_is_never_lowered_nor_doubled_by_itself(): void
    {
        $this->assertSame(
            [Verdict::Fresh, Verdict::Same, Verdict::Differs, Verdict::Differs],
            [Verdict::ofWork(0, 30), Verdict::ofWork(30, 30), Verdict::ofWork(30, 20), Verdict::ofWork(30, 40)],
        );
        $this->assertSame(
            [Verdict::Same, Verdict::Same, Verdict::Differs, Verdict::Differs],
            [
                Verdict::ofPerson('2012-01-02', '2012-01-02'), Verdict::ofPerson('2012-01-02', null),
                Verdict::ofPerson('2012-01-02', '2012-02-01'), Verdict::ofPerson(null, '2012-02-01'),
            ],
        );
    }

    private function row(
        Column $column, string $cell, DateOrder $order = DateOrder::DayFirst, LengthUnit $unit = LengthUnit::Metres,
    ): Cells {
        return new Cells([$cell], [$column], $order, $unit);
    }

    private function assertMeans(mixed $means, \Closure $read): void
    {
        try {
            $value = $read();
        } catch (RowFault $fault) {
            $this->assertSame($means, $fault->fault);

            return;
        }
        is_float($means) ? $this->assertEqualsWithDelta($means, $value, 1e-9) : $this->assertSame($means, $value);
    }
}
