<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Library\Teaching;
use Augendo\Core\Library\Tempo;
use Augendo\Core\Load\AthleteProfile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What ships can be taught from: each rung says all a coach new to it needs, shortly and in plain words, and no rung repeats another. */
final class TaughtTest extends TestCase
{
    private const WORDS = [90, 160];

    /** Flesch reading ease: 60 is plain English, 80 easy (R. Flesch, Journal of Applied Psychology 32 (1948), 221–233). */
    private const LEAST_EASE = 75.0;

    /** @return iterable<string, array{string}> */
    public static function ladders(): iterable
    {
        return EveryLadderTest::ladders();
    }

    #[DataProvider('ladders')]
    public function test_each_rung_says_it_all_shortly_and_plainly(string $id): void
    {
        foreach (self::library()->ladder($id)->rungs as $rung) {
            $where = "{$id}, {$rung->id}";
            $this->assertNotNull($rung->teaching, $where);
            $text = implode(' ', [...$rung->teaching->parts(), ...array_map(fn (BlockDose $block): string => $block->text, $rung->blocks)]);
            $words = count(self::words($text));
            $this->assertGreaterThanOrEqual(self::WORDS[0], $words, $where);
            $this->assertLessThanOrEqual(self::WORDS[1], $words, $where);
            $this->assertGreaterThan(self::LEAST_EASE, self::ease($text), $where);
        }
    }

    #[DataProvider('ladders')]
    public function test_no_two_rungs_share_a_text(string $id): void
    {
        $seen = [];
        foreach (self::library()->ladder($id)->rungs as $rung) {
            foreach ($rung->blocks as $block) {
                $this->assertSame($rung->id, $seen[$block->text] ?? $rung->id, "{$id}: {$block->text}");
                $seen[$block->text] = $rung->id;
            }
            foreach ([$rung->teaching->purpose ?? '', $rung->teaching->good ?? ''] as $text) {
                $this->assertArrayNotHasKey($text, $seen, $id);
                $seen[$text] = $rung->id;
            }
        }
    }

    #[DataProvider('ladders')]
    public function test_each_fault_has_its_drill_written_out_and_says_when_to_stop(string $id): void
    {
        foreach (self::library()->ladder($id)->rungs as $rung) {
            foreach ($rung->faults as $fault) {
                $this->assertGreaterThan(6, count(self::words($fault->how ?? '')), "{$id}, {$fault->id}");
                $this->assertNotNull($fault->stop, "{$id}, {$fault->id}");
                $this->assertNotNull($fault->dose, "{$id}, {$fault->id}");
                if ($fault->safety) {
                    $this->assertMatchesRegularExpression('/hurt|pain|ache|clinician|once|stop/i', $fault->stop, "{$id}, {$fault->id}");
                }
            }
        }
    }

    #[DataProvider('ladders')]
    public function test_it_reads_and_is_dosed_for_a_left_handed_child_and_a_right_handed_adult(string $id): void
    {
        $library = self::library();
        $on = Day::of('2027-03-15');
        foreach ([[Handedness::Left, 9], [Handedness::Right, 34]] as [$hand, $age]) {
            $ladder = $library->ladder($id)->forAthlete(new AthleteProfile($on->plus(-366 * $age)), $on, $library->doses());
            foreach ($ladder->rungs as $rung) {
                foreach (self::texts($rung) as $text) {
                    $this->assertDoesNotMatchRegularExpression('/[{}]/', $hand->mirror($text), "{$id}, {$rung->id}");
                }
                $own = $rung->ownDose();
                $this->assertGreaterThan(0, $own->sets * $own->reps, "{$id}, {$rung->id}");
                $this->assertNotNull($own->manner, "{$id}, {$rung->id}: how it is done");
            }
        }
        $child = $library->ladder($id)->forAthlete(new AthleteProfile($on->plus(-366 * 9)), $on, $library->doses());
        $adult = $library->ladder($id)->forAthlete(new AthleteProfile($on->plus(-366 * 34)), $on, $library->doses());
        $work = fn (Ladder $of): int => array_sum(array_map(
            fn (Rung $rung): int => $rung->ownDose()->sets * $rung->ownDose()->reps, $of->rungs,
        ));
        $this->assertLessThan($work($adult), $work($child), 'a child is asked for less');
    }

    public function test_every_field_of_the_schema_is_used_by_a_ladder(): void
    {
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/library/schema/ladder.schema.json'), true);
        $this->assertIsArray($schema);
        $used = [];
        foreach (glob(dirname(__DIR__, 2).'/library/ladders/*.json') ?: [] as $file) {
            self::keys(json_decode((string) file_get_contents($file), true), $used);
        }
        $named = [];
        self::properties($schema, $named);
        // A copy says where it comes from; what ships is no copy. What is measured by share is in the doses of throws alone.
        $unused = array_diff(array_keys($named), array_keys($used), ['copied_from']);
        $this->assertSame([], array_values($unused));
    }

    public function test_each_tempo_and_feed_is_taught_somewhere_and_a_game_only_where_it_may_be_scored(): void
    {
        $tempos = $feeds = $games = [];
        foreach (self::library()->ladderIds() as $id) {
            foreach (self::library()->ladder($id)->rungs as $rung) {
                foreach ($rung->blocks as $block) {
                    $tempos[$block->manner?->tempo?->value] = true;
                    $feeds[$block->manner?->feed?->value] = true;
                    if ($block->manner?->play !== null) {
                        $games[explode(' ', $block->manner->play)[0]] = true;
                        $this->assertTrue($rung->scores($block), "{$id}, {$rung->id}");
                    }
                }
            }
        }
        foreach (Tempo::cases() as $tempo) {
            $this->assertArrayHasKey($tempo->value, $tempos);
        }
        foreach (['none', 'self_toss', 'drop', 'partner', 'coach', 'live'] as $feed) {
            $this->assertArrayHasKey($feed, $feeds);
        }
        foreach (['target_round', 'clear_targets', 'in_a_row', 'serve_game', 'timed_gaps'] as $game) {
            $this->assertArrayHasKey($game, $games);
        }
    }

    /** @return list<string> */
    private static function texts(Rung $rung): array
    {
        $taught = $rung->teaching instanceof Teaching ? array_values($rung->teaching->parts()) : [];
        $drills = array_map(fn (Fault $fault): string => "{$fault->how} {$fault->stop}", $rung->faults);

        return [...$taught, ...$drills, ...array_map(fn (BlockDose $block): string => $block->text, $rung->blocks)];
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        preg_match_all('/[\p{L}\d{}’-]+/u', $text, $found);

        return $found[0];
    }

    private static function ease(string $text): float
    {
        $words = self::words($text);
        $sentences = max(1, count(array_filter(preg_split('/[.?!:]+(\s|$)/u', $text) ?: [])));
        $syllables = 0;
        foreach ($words as $word) {
            $bare = preg_replace('/(?:[^laeiouy]es|ed|[^laeiouy]e)$/', '', strtolower($word)) ?? $word;
            $syllables += max(1, (int) preg_match_all('/[aeiouy]{1,2}/', $bare));
        }

        return 206.835 - 1.015 * count($words) / $sentences - 84.6 * $syllables / count($words);
    }

    /**
     * @param  array<string, true>  $used
     */
    private static function keys(mixed $value, array &$used): void
    {
        foreach (is_array($value) ? $value : [] as $key => $inner) {
            if (is_string($key)) {
                $used[$key] = true;
            }
            self::keys($inner, $used);
        }
    }

    /**
     * @param  array<string, true>  $named
     */
    private static function properties(mixed $schema, array &$named): void
    {
        foreach (is_array($schema) ? $schema : [] as $key => $inner) {
            if ($key === 'properties' && is_array($inner)) {
                foreach (array_keys($inner) as $name) {
                    $named[(string) $name] = true;
                }
            }
            self::properties($inner, $named);
        }
    }

    private static function library(): Library
    {
        return new Library(dirname(__DIR__, 2).'/library');
    }
}
