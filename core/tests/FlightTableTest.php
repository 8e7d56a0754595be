<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Flight\ThrowDemand;
use Augendo\Core\Flight\UsualSpeed;
use Augendo\Core\Library\FlightTable;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\NetSag;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A club's own numbers of balls and nets, how a net hangs, and how fast somebody serves as a rule. */
final class FlightTableTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../library';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(self::FOLDER);
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function wrongBalls(): iterable
    {
        $with = fn (string $key, mixed $value): \Closure => function (array $file) use ($key, $value): array {
            $file['balls']['volleyball'][$key] = $value;

            return $file;
        };
        yield 'no drag below nothing' => [$with('drag_coefficient', -0.1), '/balls/volleyball/drag_coefficient'];
        yield 'more drag than any ball' => [$with('drag_coefficient', 9), '/balls/volleyball/drag_coefficient'];
        yield 'a ball without a width' => [$with('diameter_m', 0), '/balls/volleyball/diameter_m'];
        yield 'a source that is no text' => [$with('source', 7), '/balls/volleyball/source'];
        yield 'something nobody knows' => [$with('bounce', 0.7), '/balls/volleyball/bounce'];
        yield 'a ball that is no object' => [
            fn (array $file): array => [...$file, 'balls' => [...$file['balls'], 'moon' => $file['balls']['volleyball']]], '/balls/moon',
        ];
        yield 'a ball of nothing' => [
            fn (array $file): array => [...$file, 'balls' => [...$file['balls'], 'body' => $file['balls']['volleyball']]], '/balls/body',
        ];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $change */
    #[DataProvider('wrongBalls')]
    public function test_a_ball_that_cannot_be_is_refused_with_its_place(callable $change, string $place): void
    {
        $this->assertSame($place, $this->refused(fn (): FlightTable => FlightTable::ofBalls(
            $this->node($change($this->file('balls'))), $this->library->objects(), $this->library->balls(),
        )));
    }

    public function test_a_ball_that_was_put_right_flies_as_it_says_and_the_others_stay(): void
    {
        $file = [...$this->file('balls'), 'id' => 'balls', 'version' => 3];
        $file['balls']['volleyball']['drag_coefficient'] = 0.6;
        // Saved before the library had it.
        unset($file['balls']['shot']);
        $own = FlightTable::ofBalls($this->node($file), $this->library->objects(), $this->library->balls());
        $this->assertSame(0.6, $own->balls['volleyball']->ball->dragCoefficient);
        $this->assertEquals($this->library->balls()['shot'], $own->balls['shot']);
        $this->assertSame([], $own->courts);
        $far = fn (Ball $ball): float => ThrowDemand::carriesM($ball, new Air, 18.0);
        $this->assertLessThan($far($this->library->balls()['volleyball']->ball), $far($own->balls['volleyball']->ball));
    }

    public function test_without_air_a_speed_carries_what_any_textbook_says(): void
    {
        $this->assertEqualsWithDelta(18.0 ** 2 / 9.80665, ThrowDemand::carriesM(new Ball(0.2, 0.07, 0.0), new Air, 18.0), 1e-3);
        $heavy = ThrowDemand::carriesM(new Ball(7.0, 0.12, 0.47), new Air, 12.0);
        $this->assertEqualsWithDelta(12.0 ** 2 / 9.80665, $heavy, 0.2, 'the air takes next to nothing from a shot');
    }

    /** @return iterable<string, array{string, mixed, string}> */
    public static function wrongCourts(): iterable
    {
        yield 'another width' => ['half_width_m', 3, '/courts/racket/half_width_m'];
        yield 'another place of the net' => ['net_m', 11, '/courts/racket/net_m'];
        yield 'one try' => ['tries', 1, '/courts/racket/tries'];
        yield 'other serves' => ['serves', ['float-serve'], '/courts/racket/serves'];
        yield 'a net of no height' => ['nets', [['name' => 'Flat', 'height_m' => 0]], '/courts/racket/nets/0/height_m'];
        yield 'no net at all' => ['nets', [], '/courts/racket/nets'];
        yield 'a net that hangs upwards' => [
            'net_sag', ['middle_m' => 1.1, 'post_m' => 1.0, 'post_across_m' => 5], '/courts/racket/net_sag',
        ];
        yield 'a net without a post' => [
            'net_sag', ['middle_m' => 0.9, 'post_m' => 1.0, 'post_across_m' => 0], '/courts/racket/net_sag/post_across_m',
        ];
    }

    #[DataProvider('wrongCourts')]
    public function test_a_court_changes_its_nets_and_not_its_lines(string $key, mixed $value, string $place): void
    {
        $file = $this->file('courts');
        $file['courts']['racket'][$key] = $value;
        $this->assertSame($place, $this->refused(fn () => $this->redrawn($file)));
    }

    public function test_a_court_more_is_refused_one_less_is_as_it_ships_and_nets_and_speeds_may_change(): void
    {
        $file = $this->file('courts');
        $more = $file;
        $more['courts']['moon'] = $file['courts']['racket'];
        $this->assertSame('/courts/moon/name', $this->refused(fn () => $this->redrawn($more)));
        $less = $file;
        unset($less['courts']['racket']);
        $this->assertEquals($this->library->courts()['racket'], $this->courts($less)->courts['racket']);
        $box = $file;
        $box['courts']['racket']['boxes']['left-box']['far_m'] = 5;
        $this->assertSame('/courts/racket/boxes', $this->refused(fn () => $this->redrawn($box)));
        // Saved when the library drew it so: its lines are the library's, and nothing is lost of the rest.
        $box['courts']['racket']['usual_speed_ms'] = 31;
        $box['courts']['moon'] = $file['courts']['racket'];
        $kept = $this->courts($box)->courts;
        $this->assertEquals($this->library->courts()['racket']->boxes, $kept['racket']->boxes);
        $this->assertSame([31.0, false], [$kept['racket']->usualSpeedMs, isset($kept['moon'])]);
        // 11.885 written another way is the same length.
        $file['courts']['volleyball']['net_m'] = 9.0;
        $file['courts']['volleyball']['nets'][] = ['name' => 'Our own', 'height_m' => 1.9];
        $file['courts']['racket']['usual_speed_ms'] = 25;
        $this->redrawn($file);
        $own = $this->courts($file)->courts;
        $this->assertCount(5, $own['volleyball']->nets);
        $this->assertSame(25.0, $own['racket']->usualSpeedMs);
    }

    public function test_a_net_that_hangs_is_as_high_as_it_is_where_the_serve_crosses_it(): void
    {
        $sag = new NetSag(0.914, 1.07, 5.029);
        $this->assertSame([0.914, 1.07, 1.07, 0.992], [
            $sag->heightAt(0.0), $sag->heightAt(5.029), $sag->heightAt(-9.0), $sag->heightAt(2.5145),
        ]);
        $this->assertSame($sag->heightAt(1.3), $sag->heightAt(-1.3), 'to either side');
        $racket = $this->library->courts()['racket'];
        $box = $racket->boxes['left-box'];
        $middle = $racket->netWhereItCrosses(0.0, -0.5, $box);
        $this->assertGreaterThan($middle, $racket->netWhereItCrosses(0.0, 3.0, $box), 'down the line it is higher');
        $volleyball = $this->library->courts()['volleyball'];
        $this->assertSame(2.43, $volleyball->netWhereItCrosses(0.0, 4.0, $volleyball->boxes['whole']), 'a taut net is one height');
    }

    public function test_somebody_serves_as_fast_as_the_middle_of_the_last_ones_and_a_few_are_no_rule(): void
    {
        $this->assertNull(UsualSpeed::of([], null));
        $few = UsualSpeed::of([15.0, 16.0, 17.0, 18.0], 20.0);
        $this->assertSame([20.0, 'test', 0], [$few?->speedMs, $few?->from, $few?->serves]);
        $this->assertNull(UsualSpeed::of([15.0, 16.0, 17.0, 18.0], null), 'four, and no test');
        $five = UsualSpeed::of([15.0, 15.4, 15.2, 30.0, 15.1], 20.0);
        $this->assertSame([15.2, 'gun', 5], [$five?->speedMs, $five?->from, $five?->serves], 'one far off moves it by nothing');
        $older = UsualSpeed::of([...array_fill(0, UsualSpeed::LATEST, 16.0), ...array_fill(0, 60, 25.0)], null);
        $this->assertSame([16.0, UsualSpeed::LATEST], [$older?->speedMs, $older?->serves], 'the latest alone');
    }

    /** @param  array<string, mixed>  $file */
    private function courts(array $file): FlightTable
    {
        return FlightTable::ofCourts($this->node($file), $this->library->skills(), $this->library->courts());
    }

    /** @param  array<string, mixed>  $file */
    private function redrawn(array $file): void
    {
        FlightTable::refuseRedrawn($this->node($file), $this->library->skills(), $this->library->courts());
    }

    /** @return array<string, mixed> */
    private function file(string $name): array
    {
        return json_decode((string) file_get_contents(self::FOLDER."/{$name}.json"), true, 512, JSON_THROW_ON_ERROR);
    }

    /** @param  array<string, mixed>  $file */
    private function node(array $file): Node
    {
        return Node::parse(json_encode($file, JSON_THROW_ON_ERROR));
    }

    /** @param  callable(): mixed  $read */
    private function refused(callable $read): string
    {
        try {
            $read();
        } catch (CaseError $refused) {
            return $refused->path;
        }
        $this->fail('refused');
    }
}
