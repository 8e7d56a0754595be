<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\CourtBox;
use Augendo\Core\Library\Library;
use Augendo\Core\Scoring\Grouping;
use Augendo\Core\Scoring\Outcome;
use Augendo\Core\Scoring\Round;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rounds as they are set up, and how a repetition came out. What taps come to is bound by the examples of DeviceRulesTest. */
final class RoundTest extends TestCase
{
    public function test_a_setup_is_read_and_compared_without_its_goal(): void
    {
        $round = Round::read('target_round balls=5 zones=4 points=5 goal=70.5 on=racket:left-box');
        $this->assertSame(['zones' => 4, 'balls' => 5, 'points' => 5], $round->figures);
        $this->assertSame([70.5, ['racket', 'left-box']], [$round->goal, $round->on]);
        $this->assertSame('target_round zones=4 balls=5 points=5 on=racket:left-box', $round->setup(), 'in one order, whoever wrote it');
        $this->assertSame($round->setup(), Round::read($round->setup())->setup());
        $this->assertSame('in_a_row', Round::read('in_a_row goal=12')->setup());
    }

    /** @return array<string, array{string, string}> */
    public static function noRounds(): array
    {
        return [
            'nothing' => ['', 'no round'],
            'no such kind' => ['rally', 'no round'],
            'a figure too few' => ['target_round zones=4 balls=5', '“points” of a round lies between 1 and 100'],
            'a figure too large' => ['target_round zones=13 balls=5 points=5', 'between 1 and 12, not “13”'],
            'a figure of nothing' => ['clear_targets targets=0', '“targets” of a round lies between 1 and 20'],
            'no whole figure' => ['clear_targets targets=2.5', '“targets”'],
            'one too many' => ['in_a_row zones=4', 'no round'],
            'twice' => ['clear_targets targets=2 targets=3', 'no round'],
            'no court' => ['serve_game on=racket', 'no round'],
            'a goal of nothing' => ['in_a_row goal=0', 'A goal is a number above 0'],
            'a goal in words' => ['in_a_row goal=many', 'A goal is a number above 0'],
        ];
    }

    #[DataProvider('noRounds')]
    public function test_what_is_no_round_is_refused_with_its_place(string $code, string $why): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($why);
        Round::read($code);
    }

    public function test_what_is_offered_can_be_played_on_every_court_and_what_was_played_last_comes_first(): void
    {
        foreach ([null, ...array_values((new Library(dirname(__DIR__, 2).'/library'))->courts())] as $court) {
            $offered = array_map(Round::read(...), Round::offered($court));
            $kinds = array_map(fn (Round $round): string => $round->kind->value, $offered);
            $this->assertSame($kinds, array_unique($kinds), 'one of each');
            $this->assertSame($court !== null, in_array('serve_game', $kinds, true), 'two attempts a point are for serves');
            foreach ($offered as $round) {
                $this->assertSame($court?->id, $round->on[0] ?? null);
                $this->assertTrue($court === null || isset($court->boxes[$round->on[1] ?? '']));
            }
            foreach ([BlockKind::Target, BlockKind::GameLike, BlockKind::Whole] as $kind) {
                $this->assertContains(Round::begunWith(null, null, $kind, $court), Round::offered($court));
                $this->assertSame('in_a_row', explode(' ', Round::begunWith(
                    $court === null ? 'in_a_row' : "in_a_row on={$court->id}:somewhere", 'grouping', $kind, $court,
                ))[0]);
                $elsewhere = Round::begunWith('in_a_row on=elsewhere:box', null, $kind, $court);
                $this->assertContains($elsewhere, Round::offered($court), 'another court');
            }
        }
        $named = Round::read(Round::begunWith(null, 'target_round zones=3 balls=8 points=1', BlockKind::Target, null));
        $this->assertSame(['zones' => 3, 'balls' => 8, 'points' => 1], $named->figures, 'what its rung names comes before the usual');
        $noCourt = Round::begunWith(null, 'serve_game', BlockKind::Target, null);
        $this->assertSame('target_round', explode(' ', $noCourt)[0], 'no court, no serve');
        $of = fn (BlockKind $kind): string => explode(' ', Round::begunWith(null, null, $kind, null))[0];
        $this->assertSame(
            ['target_round', 'in_a_row', 'grouping'],
            [$of(BlockKind::Target), $of(BlockKind::GameLike), $of(BlockKind::Whole)],
        );
    }

    public function test_a_place_in_a_box_is_in_and_one_beside_it_says_which_way(): void
    {
        $box = new CourtBox('left', 'Left', 0.0, 6.4, 0.0, 4.115);
        $word = fn (string $note, CourtBox $in): ?string => Outcome::read($note, Instant::of('2026-11-28T10:00:00Z'), $in)->word;
        $places = [
            '0 0' => 'hit', '2.05 3.2' => 'hit', '2.1 0' => 'right', '-2.1 0' => 'left', '0 3.3' => 'long', '3 4' => 'long',
        ];
        foreach ($places as $note => $is) {
            $this->assertSame($is, $word((string) $note, $box), (string) $note);
        }
        $this->assertSame('net', $word('0 -3.3', $box), 'nearer than a box that begins at the net');
        $this->assertSame('short', $word('0 -1.6', new CourtBox('deep', 'Deep', 6.0, 9.0, -4.5, 4.5)));
        $open = Outcome::read('0.2 -0.4', Instant::of('2026-11-28T10:00:00Z'));
        $this->assertSame([null, false, [0.2, -0.4]], [$open->word, $open->isHit(), $open->place], 'without a box a place is no hit');
        $low = Outcome::read('low', Instant::of('2026-11-28T10:00:00Z'));
        $this->assertSame([false, true, false], [$low->isHit(), $low->isAcceptable(['low']), $low->isAcceptable([])]);
    }

    public function test_only_places_and_known_words_can_be_read(): void
    {
        foreach (['0 0', '-1.25 3', '120 -99.5', ...Outcome::WORDS] as $note) {
            $this->assertTrue(Outcome::isReadable($note), $note);
        }
        foreach (['', 'over there', '1', '1 2 3', '1,2 3', 'hit ', "0 0\n", '1000 0', 'HIT', 'nan nan'] as $note) {
            $this->assertFalse(Outcome::isReadable($note), json_encode($note, JSON_THROW_ON_ERROR));
        }
    }

    /** Whatever the scatter: eight times of ten at least the true radius lies between the bounds, and they close in. */
    public function test_the_bounds_of_a_radius_hold_it_as_often_as_they_say(): void
    {
        mt_srand(15);
        $flat = fn (): float => mt_rand() / mt_getrandmax();
        foreach ([10 => 0.5, 20 => 0.8, 60 => 0.9] as $n => $share) {
            $held = 0;
            for ($try = 0; $try < 2000; $try++) {
                // Radii even between nothing and a metre: the true one is the share itself.
                $points = array_map(fn (): array => [$flat(), 0.0], range(1, $n));
                [$low, $high] = Grouping::boundsOfRadius($points, $share);
                $held += $low <= $share && ($high === null || $share <= $high) ? 1 : 0;
            }
            $this->assertGreaterThan(0.79, $held / 2000, "{$n} points");
            $this->assertLessThan(0.95, $held / 2000, "{$n} points");
        }
        $this->assertNull(Grouping::boundsOfRadius(array_fill(0, 10, [1.0, 0.0]), 0.9)[1], 'ten points cannot bound nine of ten');
    }
}
