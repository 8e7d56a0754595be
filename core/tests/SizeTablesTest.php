<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\SizeTables;
use Augendo\Core\Load\AthleteProfile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SizeTablesTest extends TestCase
{
    private const ON = '2027-05-18';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    /** @return iterable<string, array{string, int|null, float|null, string|null, list<string>}> */
    public static function athletes(): iterable
    {
        // What comes of the light and of the full one of the ladder.
        yield 'a child' => ['javelin', 9, null, null, ['ball-javelin-400', 'ball-javelin-400']];
        yield 'the last year of a row' => ['javelin', 13, null, null, ['ball-javelin-400', 'javelin-500']];
        yield 'grown' => ['javelin', 14, null, null, ['javelin-500', 'javelin-600']];
        yield 'an age nobody knows' => ['javelin', null, null, null, ['ball-javelin-400', 'ball-javelin-400']];
        yield 'an age that makes no difference' => ['one-hand-ball', null, null, null, ['rolled-socks', 'match-ball']];
        yield 'chosen for a man' => ['javelin', 30, null, 'javelin-800', ['javelin-700', 'javelin-800']];
        yield 'chosen for a child, whatever the age' => ['javelin', 12, null, 'javelin-600', ['javelin-500', 'javelin-600']];
        yield 'chosen, and gone from the library' => ['javelin', 30, null, 'javelin-900', ['javelin-500', 'javelin-600']];
        yield 'a man at the shot' => ['shot', 30, null, 'shot-7260', ['shot-6000', 'shot-7260']];
        yield 'a small hand' => ['discus', 30, 16.9, null, ['discus-light', 'discus-light']];
        yield 'a hand that spans as much as is asked' => ['discus', 30, 17.0, null, ['discus-light', 'discus']];
        yield 'a large hand makes nobody older' => ['discus', 12, 24.0, null, ['discus-light', 'discus-light']];
        yield 'what was chosen goes before the hand' => ['discus', 30, 16.0, 'discus', ['discus-light', 'discus']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('athletes')]
    public function test_an_athlete_throws_their_own_and_one_size_lighter_where_the_ladder_does(
        string $table, ?int $age, ?float $spanCm, ?string $chosen, array $expected,
    ): void {
        $sizes = $this->library->sizes()->tables[$table];
        $lighter = $sizes->sizes[(int) array_search($sizes->meant, $sizes->sizes, true) - 1];
        $profile = $this->profile($age, $spanCm, $chosen === null ? [] : [$table => $chosen]);
        $this->assertSame($expected, array_map(
            fn (LibraryObject $named): string => $this->thrown($sizes->skills[0], $named, $profile)->id, [$lighter, $sizes->meant],
        ));
    }

    public function test_what_a_ladder_of_ones_own_names_as_heavier_stands_but_for_the_young(): void
    {
        $heavy = $this->library->objects()['javelin-800'];
        $thrown = fn (AthleteProfile $profile): string => $this->thrown('javelin', $heavy, $profile)->id;
        $this->assertSame('javelin-800', $thrown($this->profile(30)));
        $this->assertSame('javelin-800', $thrown($this->profile(30, null, ['javelin' => 'javelin-700'])));
        $this->assertSame('javelin-500', $thrown($this->profile(13)));
    }

    public function test_what_is_none_of_the_sizes_stays_and_so_does_all_where_no_table_is(): void
    {
        $socks = $this->library->objects()['rolled-socks'];
        $full = $this->library->objects()['javelin-600'];
        $child = $this->profile(9);
        $this->assertSame($socks, $this->thrown('discus', $socks, $child));
        $this->assertSame($full, $this->thrown('racket-serve', $full, $child), 'a skill without a table');
        $dose = $this->library->ladder('javelin-throw')->rung('five-step')?->ownDose() ?? throw new \LogicException;
        $this->assertSame($dose->object, $dose->forAthlete(new AthleteProfile(null), Day::of(self::ON))->object, 'no tables at all');
    }

    public function test_more_than_the_table_has_is_told_for_the_age_and_for_the_hand(): void
    {
        $heavier = fn (string $table, AthleteProfile $profile): bool => $this->library->sizes()->tables[$table]
            ->of($profile, Day::of(self::ON))->isHeavier();
        $this->assertFalse($heavier('javelin', $this->profile(30)));
        $this->assertFalse($heavier('javelin', $this->profile(30, null, ['javelin' => 'javelin-600'])), 'chosen, and the same');
        $this->assertFalse($heavier('javelin', $this->profile(30, null, ['javelin' => 'javelin-500'])));
        $this->assertTrue($heavier('javelin', $this->profile(13, null, ['javelin' => 'javelin-600'])));
        $this->assertTrue($heavier('discus', $this->profile(30, 16.0, ['discus' => 'discus'])));
        $this->assertTrue($heavier('javelin', $this->profile(null, null, ['javelin' => 'javelin-500'])), 'nobody knows the age');
    }

    public function test_every_object_of_a_ladder_that_has_sizes_is_the_one_that_is_meant_or_smaller(): void
    {
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                foreach ($rung->blocks as $block) {
                    $table = $this->library->sizes()->ofSkill($block->skill->id);
                    $size = $table?->size($block->object->id);
                    if ($table !== null && $size !== null) {
                        $this->assertLessThanOrEqual($table->meant->massKg, $size->massKg, "{$id} {$rung->id} {$block->title}");
                    }
                }
            }
        }
    }

    public function test_a_club_writes_its_own_ages_and_what_it_does_not_say_is_as_it_ships(): void
    {
        $file = $this->file();
        $file['source'] = 'Our federation, 2027';
        $file['tables']['javelin']['grown'] = 'javelin-800';
        $file['tables']['javelin']['ages'][] = ['to_age' => 17, 'object' => 'javelin-700'];
        unset($file['tables']['shot']);
        $own = $this->ofClub($file);
        $thrown = fn (string $table, int $age): string => $own->tables[$table]->of($this->profile($age), Day::of(self::ON))->thrown()->id;
        $this->assertSame(
            ['javelin-500', 'javelin-700', 'javelin-800', 'shot'],
            [$thrown('javelin', 13), $thrown('javelin', 17), $thrown('javelin', 18), $thrown('shot', 18)],
        );
        $this->assertSame('Our federation, 2027', $own->source);
        $this->assertSame('javelin-800', $own->ofSkill('javelin')?->grown->id, 'by the skill it is the same');
        $this->assertSame($this->library->sizes()->tables['javelin']->sizes, $own->tables['javelin']->sizes, 'what there is');
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $javelin = fn (string $key, mixed $value): callable => function (array $file) use ($key, $value): array {
            $file['tables']['javelin'][$key] = $value;

            return $file;
        };
        $row = fn (int $age, string $object): array => ['to_age' => $age, 'object' => $object];
        yield 'smaller for being older' => [$javelin('ages', [$row(11, 'javelin-500'), $row(13, 'ball-javelin-400')]), '/ages/1'];
        yield 'an age twice' => [$javelin('ages', [$row(11, 'javelin-500'), $row(11, 'javelin-500')]), '/ages/1'];
        yield 'an age of nobody' => [$javelin('ages', [$row(1, 'javelin-500')]), '/ages/0/to_age'];
        yield 'another kind of object' => [$javelin('grown', 'shot'), '/grown'];
        yield 'sizes are the library’s' => [$javelin('sizes', ['javelin-500']), '/tables/javelin/sizes'];
        yield 'a hand as wide as a door' => [$javelin('hands', [['below_cm' => 60, 'object' => 'javelin-500']]), '/hands/0/below_cm'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $made */
    #[DataProvider('wrong')]
    public function test_a_table_that_cannot_be_is_refused_with_its_place(callable $made, string $place): void
    {
        try {
            $this->ofClub($made($this->file()));
            $this->fail('It was taken.');
        } catch (CaseError $refused) {
            $this->assertStringContainsString($place, $refused->path);
        }
    }

    public function test_a_table_nobody_ships_is_refused(): void
    {
        $file = $this->file();
        $file['tables'] = ['boomerang' => $file['tables']['javelin']];
        $this->expectExceptionMessage('The library has no table “boomerang”.');
        $this->ofClub($file);
    }

    public function test_what_a_ladder_takes_is_told_in_every_size(): void
    {
        $ids = fn (string $ladder): array => array_keys($this->library->sizes()->objectsOf($this->library->ladder($ladder)));
        $this->assertEqualsCanonicalizing([
            'ball-javelin-400', 'javelin-500', 'javelin-600', 'javelin-700', 'javelin-800', 'tennis-ball', 'soft-ball',
        ], $ids('javelin-throw'));
        $this->assertSame([], $ids('jump-landing'), 'nothing is thrown');
        $this->assertSame(['racket-ball'], $ids('racket-serve'));
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function wrongLibraries(): iterable
    {
        $javelin = fn (string $key, mixed $value): callable => function (array $file) use ($key, $value): array {
            $file['tables']['javelin'][$key] = $value;

            return $file;
        };
        yield 'the heavier first' => [$javelin('sizes', ['javelin-600', 'javelin-500']), '/sizes/1'];
        yield 'no size' => [$javelin('sizes', []), '/javelin/'];
        yield 'a skill of another table' => [$javelin('skills', ['javelin', 'handball-jump-throw']), '/skills'];
        yield 'an object nobody has' => [$javelin('sizes', ['javelin-500', 'javelin-900']), '/sizes/1'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $made */
    #[DataProvider('wrongLibraries')]
    public function test_a_library_that_cannot_be_is_refused_with_its_place(callable $made, string $place): void
    {
        $file = json_decode((string) file_get_contents($this->library->path('sizes.json')), true);
        try {
            SizeTables::of(Node::parse((string) json_encode($made($file))), $this->library->skills(), $this->library->objects());
            $this->fail('It was taken.');
        } catch (CaseError $refused) {
            $this->assertStringContainsString($place, $refused->path);
        }
    }

    private function thrown(string $skill, LibraryObject $named, AthleteProfile $profile): LibraryObject
    {
        return $this->library->sizes()->objectFor($skill, $named, $profile, Day::of(self::ON));
    }

    /** @return array<string, mixed> what a club may say, as the library says it */
    private function file(): array
    {
        $file = json_decode((string) file_get_contents($this->library->path('sizes.json')), true);
        $changed = fn (array $table): array => array_intersect_key($table, ['ages' => 1, 'grown' => 1, 'hands' => 1]);

        return ['source' => $file['source'], 'tables' => array_map($changed, $file['tables'])];
    }

    /** @param  array<string, mixed>  $file */
    private function ofClub(array $file): SizeTables
    {
        return SizeTables::ofClub(Node::parse((string) json_encode($file)), $this->library->sizes());
    }

    /** @param  array<string, string>  $chosen */
    private function profile(?int $age, ?float $spanCm = null, array $chosen = []): AthleteProfile
    {
        $born = $age === null ? null : Day::of((2027 - $age).'-01-02');

        return new AthleteProfile($born, handSpanCm: $spanCm, sizes: $this->library->sizes(), ownSizes: $chosen);
    }
}
