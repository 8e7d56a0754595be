<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SessionLife;
use Augendo\Core\Planning\SquadDays;
use Augendo\Core\Planning\SquadSession;
use Augendo\Core\Planning\WeeklyDays;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SessionLifeTest extends TestCase
{
    public function test_tuesday_and_thursday_until_a_day_but_for_the_holidays(): void
    {
        $days = WeeklyDays::between(
            from: Day::of('2027-03-16'),
            until: Day::of('2027-04-08'),
            weekdays: [4, 2],
            without: [[Day::of('2027-03-22'), Day::of('2027-03-29')]],
        );
        // The clock goes forward on 28 March: days know nothing of it.
        $this->assertSame(
            ['2027-03-16', '2027-03-18', '2027-03-30', '2027-04-01', '2027-04-06', '2027-04-08'],
            array_map(fn (Day $day): string => $day->iso(), $days),
        );
    }

    public function test_random_weeks_against_a_plain_reading(): void
    {
        mt_srand(11);
        for ($try = 0; $try < 200; $try++) {
            $from = Day::of('2026-11-26')->plus(mt_rand(-400, 400));
            $until = $from->plus(mt_rand(0, 7 * WeeklyDays::MOST_WEEKS));
            $weekdays = array_values(array_filter(range(1, 7), fn (): bool => mt_rand(0, 2) === 0));
            $first = $from->plus(mt_rand(-5, 60));
            $span = [$first, $first->plus(mt_rand(0, 20))];
            $found = array_map(fn (Day $day): int => $day->ordinal, WeeklyDays::between($from, $until, $weekdays, [$span]));
            $plain = array_values(array_filter(
                range($from->ordinal, $until->ordinal),
                fn (int $day): bool => in_array((int) gmdate('N', $day * 86400), $weekdays, true)
                    && ! ($day >= $span[0]->ordinal && $day <= $span[1]->ordinal),
            ));
            $this->assertSame($plain, $found);
        }
    }

    #[DataProvider('spansThatCannotBe')]
    public function test_what_cannot_be_is_said(string $until, array $without, string $says): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($says);
        WeeklyDays::between(Day::of('2027-01-04'), Day::of($until), [1], $without);
    }

    public static function spansThatCannotBe(): array
    {
        return [
            ['2027-01-03', [], 'before the first'],
            ['2028-01-11', [], 'At most 53 weeks'],
            ['2027-02-01', [[Day::of('2027-01-20'), Day::of('2027-01-19')]], 'end before they begin'],
        ];
    }

    public function test_fifty_three_weeks_are_planned_at_once(): void
    {
        $this->assertCount(54, WeeklyDays::between(Day::of('2027-01-04'), Day::of('2028-01-10'), [1]));
        $this->assertSame('2027-01-04', WeeklyDays::monday(Day::of('2027-01-10'))->iso());
        $this->assertSame('2027-01-04', WeeklyDays::monday(Day::of('2027-01-04'))->iso());
    }

    public function test_what_may_become_of_a_session(): void
    {
        [$on, $today] = [Day::of('2027-05-24'), Day::of('2027-05-20')];
        $planned = new SessionLife($on, isOff: false, isCounted: false);
        $this->assertNull($planned->refusesDay($today, $today), 'today is no day gone by');
        $this->assertSame('past', $planned->refusesDay($today->plus(-1), $today));
        $this->assertNull($planned->refusesEnd());
        $counted = new SessionLife($on, isOff: false, isCounted: true);
        $this->assertSame(['counted', 'counted'], [$counted->refusesDay($on->plus(1), $today), $counted->refusesEnd()]);
        $off = new SessionLife($on, isOff: true, isCounted: true);
        $this->assertSame(['off', 'off'], [$off->refusesDay($on->plus(1), $today), $off->refusesEnd()]);

        $calledOff = new SessionLife($on, isOff: true, isCounted: false);
        $this->assertSame(['counted', null], [$counted->refusesDelete(), $calledOff->refusesDelete()]);
        $this->assertTrue($planned->followsSeries($on, own: false), 'the day of the change goes along');
        $this->assertFalse($planned->followsSeries($on->plus(1), own: false), 'what lies before it does not');
        $this->assertFalse($planned->followsSeries($on, own: true));
        $this->assertFalse($counted->followsSeries($on, own: false));
        $this->assertFalse($off->followsSeries($on, own: false));
    }

    public function test_sheets_are_made_for_a_fortnight_with_today(): void
    {
        $today = Day::of('2027-05-20');
        $this->assertTrue(SessionLife::needsSheets($today, $today));
        $this->assertTrue(SessionLife::needsSheets($today->plus(13), $today));
        $this->assertFalse(SessionLife::needsSheets($today->plus(14), $today));
    }

    public function test_nobody_is_in_two_sessions_at_once(): void
    {
        $this->assertTrue(SessionLife::overlap('17:00', 60, '17:30', 60));
        $this->assertFalse(SessionLife::overlap('17:00', 60, '18:00', 60), 'one after the other');
        $this->assertFalse(SessionLife::overlap('18:00', 60, '17:00', 60));
        $this->assertTrue(SessionLife::overlap('17:00', null, '18:14', null), 'as long as a session usually is: 75 minutes');
        $this->assertFalse(SessionLife::overlap('17:00', null, '18:15', null));
        $this->assertTrue(SessionLife::overlap('09:59', 61, '11:00', 5) === false && SessionLife::overlap('09:59', 62, '11:00', 5));
    }

    public function test_a_season_trains_when_the_squad_does_whatever_the_weekday(): void
    {
        $from = Day::of('2027-05-24');
        $ask = new SeasonAsk(
            from: $from,
            goalDay: $from->plus(13),
            weekdays: [2],
            goalRung: null,
            off: [$from->ordinal + 5],
            withSquad: [$from->ordinal + 1, $from->ordinal + 3, $from->ordinal + 5],
        );
        $days = array_map(fn (int $day): int => $day - $from->ordinal, $ask->trainingDays());
        $this->assertSame([1, 3, 8], $days, 'Tuesdays, the squad’s Thursday; its Saturday is taken off');
    }

    public function test_which_days_a_season_has_with_the_squad(): void
    {
        $on = Day::of('2027-05-24');
        $session = fn (int $day, bool $works = true, bool $off = false, bool $sheets = true, ?bool $in = true, ?int $first = null) => (
            new SquadSession($on->plus($day), $first === null ? null : $on->plus($first), $works, $off, $sheets, $in)
        );
        $of = function (SquadSession ...$sessions) use ($on): array {
            $days = SquadDays::of(array_values($sessions));
            $from = fn (array $ordinals): array => array_map(fn (int $day): int => $day - $on->ordinal, $ordinals);

            return [$from($days->with), $from($days->lost)];
        };
        $this->assertSame([[1], []], $of($session(1)));
        $this->assertSame([[], [1]], $of($session(1, off: true)), 'called off');
        $this->assertSame([[], [1]], $of($session(1, in: false)), 'taken out');
        $this->assertSame([[2], [1]], $of($session(2, first: 1)), 'moved away');
        $this->assertSame([[1], []], $of($session(1), $session(1, off: true)), 'another one of that day takes place');
        $this->assertSame([[1], []], $of($session(1, sheets: false, in: null)), 'weeks ahead nobody has a sheet yet');
        $this->assertSame([[], []], $of($session(1, in: null)), 'no sheet where the others have theirs');
        $this->assertSame([[], [1]], $of($session(1, off: true, in: null)), 'called off before it had sheets');
        $this->assertSame([[], []], $of($session(1, works: false, sheets: false, in: null)), 'another ladder');
        $this->assertSame([[1], []], $of($session(1, works: false)), 'joined on this ladder by name');
        $this->assertTrue(SquadDays::of([$session(1)])->isWith($on->plus(1)));
        $this->assertFalse(SquadDays::of([$session(1)])->isWith($on));
    }
}
