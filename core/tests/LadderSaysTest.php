<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Day;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\DrillAbout;
use Augendo\Core\Library\DrillCard;
use Augendo\Core\Library\DrillReader;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\LadderChanges;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Tags, faults that come together, a club's own drills, and who has changed what of a copy. */
final class LadderSaysTest extends TestCase
{
    private const DRILL = [
        'id' => 'towel', 'version' => 1, 'name' => 'Towel whip', 'about' => 'practice', 'with' => 'partner',
        'purpose' => 'The elbow leads.',
        'mends' => 'Elbow behind', 'cue' => 'Whip it', 'stop' => 'When it is silent.',
        'dose' => [
            'block' => 'part', 'title' => 'Towel whip', 'text' => 'Whip a towel at a rail.', 'skill' => 'handball-standing-throw',
            'object' => 'handball-2', 'sets' => 2, 'reps' => 6, 'effort' => 0.3,
        ],
    ];

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $put = fn (string $list, int $at, string $key, mixed $value): \Closure => fn (array $file): array => array_replace_recursive(
            $file, [$list => [$at => [$key => $value]]],
        );
        yield 'a tag nobody wrote' => [$put('rungs', 1, 'tags', ['low', 'spun']), '/rungs/1/tags/1'];
        yield 'a tag that tells nothing' => [$put('tags', 0, 'means', null), '/tags/0/means'];
        yield 'two tags of one name' => [$put('tags', 1, 'id', 'low'), '/tags/1/id'];
        yield 'a pair with a fault below it' => [$put('faults', 0, 'pair', ['flat', 'pulls']), '/faults/0/pair/0'];
        yield 'a pair of one' => [$put('faults', 3, 'pair', ['jumps']), '/faults/3/pair'];
        yield 'a pair with itself twice' => [$put('faults', 3, 'pair', ['jumps', 'jumps']), '/faults/3/pair'];
        yield 'a pair with nobody' => [$put('faults', 3, 'pair', ['jumps', 'nobody']), '/faults/3/pair/1'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $change */
    #[DataProvider('wrong')]
    public function test_what_leads_nowhere_is_refused_with_its_place(callable $change, string $place): void
    {
        try {
            $this->library->readLadder(Node::parse(json_encode($change($this->discus()), JSON_THROW_ON_ERROR)));
            $this->fail('refused');
        } catch (CaseError $refused) {
            $this->assertSame($place, $refused->path);
        }
    }

    public function test_a_rung_has_the_tags_it_names_and_the_pairs_of_its_faults(): void
    {
        $discus = $this->library->ladder('discus');
        $this->assertSame(['low', 'high', 'fouled'], array_column($discus->tags, 'id'));
        $this->assertSame(['low', 'high'], array_column($discus->rung('standing')->tags ?? [], 'id'));
        $this->assertSame([], $discus->rung('slings')->tags ?? null);
        $overhead = $this->library->ladder('overhead');
        $this->assertSame(['low-far' => ['low', 'far']], $overhead->rung('cone')?->pairs());
        $this->assertSame([], $overhead->rung('pose')?->pairs());
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                $faults = array_column($rung->faults, 'id');
                foreach ($rung->pairs() as $pair => $parts) {
                    $this->assertSame([], array_diff($parts, $faults), "{$id}, {$rung->id}: both of “{$pair}” can be tapped there");
                }
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongDrills(): iterable
    {
        $dose = self::DRILL['dose'];
        yield 'without a name' => [['name' => '  '] + self::DRILL, '/name'];
        yield 'about nothing we know' => [['about' => 'dancing'] + self::DRILL, '/about'];
        yield 'for a skill there is not' => [self::DRILL + ['for' => ['overhand-throw', 'juggling']], '/for/1'];
        yield 'with an object there is not' => [['dose' => ['object' => 'moon'] + $dose] + self::DRILL, '/dose/object'];
        yield 'harder than hard' => [['dose' => ['effort' => 1.2] + $dose] + self::DRILL, '/dose/effort'];
        yield 'as evidence of a rung' => [['dose' => $dose + ['judged' => true]] + self::DRILL, '/dose/judged'];
        yield 'with a word nobody reads' => [self::DRILL + ['colour' => 'red'], '/colour'];
    }

    /** @param  array<string, mixed>  $drill */
    #[DataProvider('wrongDrills')]
    public function test_a_drill_that_cannot_be_is_refused_with_its_place(array $drill, string $place): void
    {
        try {
            $this->drill($drill);
            $this->fail('refused');
        } catch (CaseError $refused) {
            $this->assertSame($place, $refused->path);
        }
    }

    public function test_a_drill_of_our_own_is_looked_up_by_all_it_says_and_put_on_a_sheet_by_a_coach_alone(): void
    {
        $drill = $this->drill(self::DRILL);
        $this->assertSame(['towel', DrillAbout::Practice, DrillWith::Partner], [$drill->id, $drill->about, $drill->with]);
        [$card] = DrillCard::all([], [$drill]);
        $this->assertSame('Towel whip', $card->title);
        foreach (['towel', 'elbow behind', 'whip it', 'the elbow leads', 'rail'] as $word) {
            $this->assertStringContainsString($word, $card->words());
        }
        $this->assertSame(['When it is silent.', []], [$card->stop, $card->ladders]);
        $this->assertFalse($drill->isFree(), 'it is thrown: nobody does it between turns');
        $this->assertFalse($drill->about->isOffered(), 'nor where the work of the day is taken away');
        $offered = array_filter(DrillAbout::cases(), fn (DrillAbout $about): bool => $about->isOffered());
        $this->assertSame(
            [DrillAbout::Footwork, DrillAbout::Rehearsal, DrillAbout::Scoring, DrillAbout::Strategy], array_values($offered),
        );
    }

    public function test_a_drill_is_done_with_the_object_of_the_age_and_the_hand(): void
    {
        $on = Day::of('2027-05-18');
        $object = fn (?string $born, ?float $span): string => $this->drill(self::DRILL)
            ->forAthlete(
                new AthleteProfile($born === null ? null : Day::of($born), handSpanCm: $span, sizes: $this->library->sizes()), $on,
            )->dose->object->id;
        $this->assertSame(['handball-1', 'handball-2', 'handball-1', 'handball-1', 'soft-ball'], [
            $object(null, null), $object('2000-01-01', null), $object('2017-01-01', null), $object(null, 16.0), $object('2017-01-01', 13.0),
        ]);
    }

    public function test_who_has_changed_what_of_a_copy_is_told_place_by_place(): void
    {
        $begun = $this->discus();
        [$ours, $theirs] = [$begun, $begun];
        $ours['name'] = 'Ours';
        $ours['summary'] = 'Ours as well.';
        $theirs['summary'] = 'New there.';
        $theirs['rungs'][0]['goal'] = 'New goal';
        $this->assertSame(
            ['/name' => 'ours', '/summary' => 'both', '/rungs/slings/goal' => 'theirs'], LadderChanges::since($begun, $ours, $theirs),
        );
        $this->assertSame([], LadderChanges::since($begun, $begun, $begun));
        $this->assertSame(['/name' => 'both'], LadderChanges::since(
            ['name' => 'a'], ['name' => 'b'], ['name' => 'b'],
        ), 'both did the same');
    }

    /** @param  array<string, mixed>  $drill */
    private function drill(array $drill): Drill
    {
        $reader = new DrillReader($this->library->skills(), $this->library->objects(), $this->library->figures());

        return $reader->own(Node::parse(json_encode($drill, JSON_THROW_ON_ERROR)));
    }

    /** @return array<string, mixed> */
    private function discus(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/../../library/ladders/discus.json'), true, 512, JSON_THROW_ON_ERROR);
    }
}
