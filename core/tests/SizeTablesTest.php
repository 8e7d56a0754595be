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
        $thrown = fn (LibraryObject $named): string => $profile->objectFor($sizes->skills[0], $named, Day::of(self::ON))->id;
        $this->assertSame($expected, [$thrown($lighter), $thrown($sizes->meant)]);
    }

    public function test_what_a_ladder_of_ones_own_names_as_heavier_stands_but_for_the_young(): void
    {
        $heavy = $this->library->objects()['javelin-800'];
        $thrown = fn (AthleteProfile $profile): string => $profile->objectFor('javelin', $heavy, Day::of(self::ON))->id;
        $this->assertSame('javelin-800', $thrown($this->profile(30)));
        $this->assertSame('javelin-800', $thrown($this->profile(30, null, ['javelin' => 'javelin-700'])));
        $this->assertSame('javelin-500', $thrown($this->profile(13)));
    }

    public function test_what_is_none_of_the_sizes_stays_and_so_does_all_where_no_table_is(): void
    {
        $socks = $this->library->objects()['rolled-socks'];
        $full = $this->library->objects()['javelin-600'];
        $child = $this->profile(9);
        $this->assertSame($socks, $child->objectFor('discus', $socks, Day::of(self::ON)));
        $this->assertSame($full, $child->objectFor('racket-serve', $full, Day::of(self::ON)), 'a skill without a table');
        $this->assertSame($full, (new AthleteProfile(null))->objectFor('javelin', $full, Day::of(self::ON)));
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
        $thrown = fn (string $table, int $age): string => $own->tables[$table]->own($age, null, null)->id;
        $this->assertSame(
            ['javelin-500', 'javelin-700', 'javelin-800', 'shot'],
            [$thrown('javelin', 13), $thrown('javelin', 17), $thrown('javelin', 18), $thrown('shot', 18)],
        );
        $this->assertSame('Our federation, 2027', $own->source);
        $ofSkill = $own->ofSkill('javelin') ?? throw new \LogicException;
        $this->assertSame('javelin-800', $ofSkill->grown->id, 'by the skill it is the same');
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
        yield 'sizes are the library’s' => [$javelin('sizes', [
            'ball-javelin-400', 'javelin-500', 'javelin-600', 'javelin-700', 'javelin-800', 'shot',
        ]), '/sizes'];
        yield 'the heavier first' => [$javelin('sizes', ['javelin-600', 'javelin-500']), '/sizes/1'];
        yield 'no size' => [$javelin('sizes', []), '/sizes'];
        yield 'a skill of another table' => [$javelin('skills', ['javelin', 'handball-jump-throw']), '/skills'];
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
        $file['tables'] = ['boomerang' => [...$file['tables']['javelin'], 'name' => 'Boomerang']];
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

    /** @return array<string, mixed> */
    private function file(): array
    {
        return json_decode((string) file_get_contents($this->library->path('sizes.json')), true);
    }

    /** @param  array<string, mixed>  $file */
    private function ofClub(array $file): SizeTables
    {
        return SizeTables::ofClub(
            Node::parse((string) json_encode($file)), $this->library->skills(), $this->library->objects(), $this->library->sizes(),
        );
    }

    /** @param  array<string, string>  $chosen */
    private function profile(?int $age, ?float $spanCm = null, array $chosen = []): AthleteProfile
    {
        $born = $age === null ? null : Day::of((2027 - $age).'-01-02');

        return new AthleteProfile($born, handSpanCm: $spanCm, sizes: $this->library->sizes(), ownSizes: $chosen);
    }
}
