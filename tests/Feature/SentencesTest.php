<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Wording\FilmWording;
use App\Wording\JudgingWording;
use App\Wording\LadderChangeWording;
use App\Wording\LadderWording;
use App\Wording\SchoolWording;
use App\Wording\StationWording;
use App\Wording\ThrowWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Gates\DaySoreness;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Instant;
use Augendo\Core\Library\DrillWanted;
use Augendo\Core\Library\Feed;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\LadderChanges;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Manner;
use Augendo\Core\Library\SchoolChange;
use Augendo\Core\Library\SchoolQuestion;
use Augendo\Core\Library\Schools;
use Augendo\Core\Library\Tag;
use Augendo\Core\Library\Tempo;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Stations\StationFlag;
use PHPUnit\Framework\TestCase;

/** Sentences made of reasons, without a club around them: that each reason has one, says its number and rounds nothing across a bound. */
final class SentencesTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_every_answer_of_every_school_has_words_and_only_what_differs_is_told(): void
    {
        $names = [];
        foreach (SchoolQuestion::cases() as $question) {
            $this->assertStringEndsWith('?', SchoolWording::question($question));
            $this->assertStringEndsWith('.', SchoolWording::why($question));
            foreach ($question->answers() as $i => $answer) {
                $names[] = "{$question->value}: ".SchoolWording::answer($question, $answer);
                $this->assertCount($i === 0 ? 0 : 1, SchoolWording::taught([$question->value => $answer]));
            }
        }
        $this->assertSame(array_unique($names), $names);
    }

    public function test_every_change_a_school_makes_is_a_sentence_without_a_placeholder(): void
    {
        $told = [];
        foreach (SchoolQuestion::cases() as $question) {
            foreach (array_slice($question->answers(), 1) as $answer) {
                foreach ($this->library->ladderIds() as $id) {
                    $ladder = $this->library->ladder($id);
                    $schools = new Schools([$question->value => $answer]);
                    foreach ([...$schools->changes($ladder), ...(new Schools([]))->against($schools, $ladder)] as $change) {
                        $said = SchoolWording::change($ladder->name, $change);
                        $told[$change->what] = true;
                        $this->assertStringStartsWith("{$ladder->name}, {$change->rung}: ", $said);
                        $this->assertDoesNotMatchRegularExpression('/[{}_]|\.\.|  /', $said);
                        $this->assertMatchesRegularExpression('/[.?]$/', $said);
                    }
                }
            }
        }
        $this->assertEqualsCanonicalizing(
            ['tempo', 'varied', 'effort', 'left_out', 'outcome', 'variant', 'seat', 'looked_at'], array_keys($told),
        );
        $this->assertSame('Shot put, Standing: from a chair. Hold with the front hand.', SchoolWording::change(
            'Shot put', new SchoolChange('Standing', 'seat', 'Hold with the {front} hand.', 'standing', 'chair'),
        ));
    }

    public function test_where_two_ladders_differ_is_said_by_names_and_never_by_keys(): void
    {
        $ours = json_decode((string) file_get_contents($this->library->path('ladders/discus.json')), true);
        $theirs = $ours;
        $theirs['rungs'][1]['blocks'][2]['effort'] = 0.75;
        $theirs['rungs'][1]['teaching']['set_up'] = 'Another ring.';
        $theirs['rungs'][2]['gate']['target_rate'] = 0.9;
        $theirs['faults'][0]['picture'] = 'over-rope';
        $theirs['seated']['without'] = ['tall'];
        $theirs['rungs'] = [$theirs['rungs'][1], $theirs['rungs'][0], ...array_slice($theirs['rungs'], 2)];
        unset($theirs['tags'][2]);
        $theirs['tags'] = array_values($theirs['tags']);
        $words = new LadderChangeWording($ours, $theirs);
        $said = [];
        foreach (LadderChanges::between($ours, $theirs) as $change) {
            $place = $words->place($change);
            $said[$place] = [$words->value($change, $change->before), $words->value($change, $change->after)];
            $this->assertDoesNotMatchRegularExpression('/[_{}\[\]]|\*/', $place);
        }
        $names = array_column($ours['rungs'], 'name');
        $tall = array_column($ours['checkpoints'], 'name', 'id')['tall'];
        $this->assertSame($tall, $said['From a chair, not looked at'][1]);
        $this->assertStringStartsWith("{$tall}; ", (string) $said['From a chair, not looked at'][0]);
        $this->assertArrayHasKey("Rung “{$names[1]}”, set-up", $said);
        $this->assertSame('Another ring.', $said["Rung “{$names[1]}”, set-up"][1]);
        $this->assertSame('90 %', $said["Rung “{$names[2]}”, gate, share good"][1]);
        $this->assertSame('over-rope', $said["Fault “{$ours['faults'][0]['name']}”, what the drill looks like"][1]);
        $this->assertStringStartsWith("{$names[1]}, {$names[0]}", (string) $said['Rungs, order'][1]);
        $tag = $ours['tags'][2];
        $this->assertSame([rtrim("{$tag['name']}. {$tag['means']}", '.').'.', null], $said["Tag “{$tag['name']}”"]);
    }

    public function test_how_many_are_missing_is_said_of_days_only_where_one_day_is_not_enough(): void
    {
        $on = Day::of('2027-05-18');
        $missing = fn (int $sessions, int $seen): string => Wording::missing(GateResult::of(
            new Gate(minReps: 8, minSessions: $sessions),
            $on,
            new GateEvidence(
                array_fill(0, $seen, new JudgedRep(Instant::of('2027-05-17T10:00:00Z'), 'yesterday', true)),
                [new DaySoreness($on, Moment::Morning, 0)], Word::Full, true, true, null,
            ),
        ), new Gate(minReps: 8, minSessions: $sessions), Word::Full)[0];
        $this->assertSame('8 judged reps', $missing(1, 0));
        $this->assertSame('8 judged reps, over 2 days', $missing(2, 0));
        $this->assertSame('3 more judged reps', $missing(1, 5));
        $this->assertSame('3 more judged reps, on another day', $missing(2, 5));
        $this->assertSame('3 more judged reps, over 2 more days', $missing(3, 5));
        $this->assertSame('good again on a second day, then it counts as learnt', $missing(2, 9));
    }

    public function test_every_way_of_feeding_and_every_tempo_has_words(): void
    {
        $this->assertNull(LadderWording::manner(null));
        foreach (Feed::cases() as $feed) {
            foreach ([...Tempo::cases(), null] as $tempo) {
                $counts = $tempo === Tempo::Counted ? ['one', 'two'] : [];
                $manner = new Manner(feed: $feed, varied: $feed !== Feed::None, tempo: $tempo, counts: $counts);
                $said = LadderWording::manner($manner);
                $this->assertSame($feed === Feed::None && $tempo === null, $said === null, "{$feed->value} {$tempo?->value}");
                $this->assertSame($feed !== Feed::None, str_contains((string) $said, ', varied'));
            }
        }
    }

    public function test_a_search_says_how_it_was_understood(): void
    {
        $this->assertSame([], LadderWording::wanted(DrillWanted::of('elbow drops')));
        $said = LadderWording::wanted(DrillWanted::of('sore wrist, no partner, indoors'));
        $this->assertStringContainsString('wrist', $said[0]);
        $this->assertSame(['Alone.', 'Nothing that needs a sector.'], array_slice($said, 1));
    }

    public function test_what_is_asked_for_at_least_is_never_rounded_down(): void
    {
        $this->assertSame('30 %', ThrowWording::least(25.0, 50.0), 'half of the longest');
        $this->assertSame('31 %', ThrowWording::least(25.05, 50.0), 'a hand’s breadth more');
        $this->assertSame('100 %', ThrowWording::least(51.0, 50.0));
        $this->assertSame('79.96 %', Wording::percentBeside(0.7996, 0.8), 'not 80 %: 80 % is needed');
        $this->assertSame('80 %', Wording::percentBeside(0.8, 0.8));
        $this->assertSame('81 %', Wording::percentBeside(0.8149, 0.8));
    }

    public function test_every_flag_of_a_squads_hour_is_a_sentence_with_its_numbers(): void
    {
        $words = new StationWording(['hall' => 'Hall', 'field' => 'Field'], ['javelin' => 'Javelin', 'jump' => 'Jump']);
        $flags = [
            'nobody', 'no_space', 'no_balls', 'no_adult', 'time', 'hard_floor', 'one_way', 'unwatched', 'little', 'idle_adult',
            'ends_early',
        ];
        foreach ($flags as $code) {
            $said = $words->flag(new StationFlag($code, 'field', 'javelin', 3.0, 2.0));
            $this->assertMatchesRegularExpression('/^[A-Z0-9].*\.$/u', $said, $code);
            $this->assertDoesNotMatchRegularExpression('/[{}_]|  /', $said, $code);
        }
        $this->assertStringContainsString('sector', $words->flag(new StationFlag('no_space', null, 'javelin', 60.0, null)));
        $this->assertStringContainsString('1 place at once', $words->flag(new StationFlag('idle_adult', null, null, 1.0, 2.0)));
        $this->assertNull($words->wouldHelp(null));
    }

    public function test_who_has_agreed_to_what_and_how_is_one_sentence(): void
    {
        $on = Day::of('2027-05-20');
        $paper = fn (?string $second): string => FilmWording::consent(
            FilmConsent::GUARDIAN, 'A. Parent', false, $second, FilmConsent::MEASURE, true, $on, null,
        );
        $this->assertSame(
            'A. Parent (guardian), Thu 20 May, to measuring and to single pictures, on paper, seen by B. Witness.',
            $paper('B. Witness'),
        );
        $this->assertStringContainsString('enter it again', $paper(null), 'a paper nobody saw signed is none');
        $gone = FilmWording::consent(FilmConsent::ATHLETE, 'Noor', true, null, FilmConsent::SEND, false, $on, $on->plus(1));
        $this->assertSame(
            'Noor (the athlete), Thu 20 May, to a clip being sent in, on a page of their own. Withdrawn on Fri 21 May.', $gone,
        );
    }

    public function test_a_measured_figure_never_looks_surer_than_it_is(): void
    {
        foreach (FrameFigure::cases() as $figure) {
            $this->assertNotSame('', FilmWording::figure($figure));
            $this->assertStringContainsString(' ± ', FilmWording::value($figure, 93.4, 0.0));
            $this->assertStringNotContainsString('± 0', str_replace('± 0.01', '', FilmWording::value($figure, 93.4, 0.0)));
        }
        $this->assertSame('turned out of the picture by about 45°: reads wrong', FilmWording::turned(43.1));
    }

    public function test_tags_are_told_with_their_counts_and_only_those_that_were_seen(): void
    {
        $tags = [new Tag('low', 'Low', 'The {throwing} hand comes late'), new Tag('high', 'High', 'No push')];
        $said = JudgingWording::tags($tags, ['a' => ['low'], 'b' => ['low', 'gone'], 'c' => []], Handedness::Left);
        $this->assertSame(['Low, 2 times: The left hand comes late'], $said);
        $this->assertSame([], JudgingWording::tags($tags, [], Handedness::Left));
        $this->assertSame(['High, 1 time: No push'], JudgingWording::tags($tags, ['a' => ['high']], Handedness::Right));
    }

    public function test_first_and_latest_alike_are_not_made_a_difference(): void
    {
        $same = CheckpointProgress::of(array_map(fn (int $day): array => [$day, 4, 5], range(1, 6)));
        $this->assertNotNull($same);
        $this->assertStringEndsWith('right then and now.', JudgingWording::progress($same));
    }
}
