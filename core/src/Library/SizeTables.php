<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Skill;

/** What is thrown at which age and by which hand: as it ships, or as a club’s own code has it. */
final readonly class SizeTables
{
    /** What a club's own document has besides. */
    private const OF_A_DOCUMENT = ['id', 'version'];

    /** What a club's own code may say of a table. */
    public const CHANGED = ['ages', 'grown', 'hands'];

    /**
     * @param  array<string, SizeTable>  $tables  by id
     * @param  array<string, SizeTable>  $bySkill
     * @param  string  $source  who says so
     */
    private function __construct(public array $tables, private array $bySkill, public string $source) {}

    /**
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryObject>  $objects
     *
     * @throws CaseError
     */
    public static function of(Node $file, array $skills, array $objects): self
    {
        $file->keys(['source', 'tables'], ['$schema']);
        $tables = $bySkill = [];
        foreach ($file->get('tables')->entries() as $id => $node) {
            $tables[$id] = $table = self::table($id, $node, $skills, $objects);
            foreach ($table->skills as $at => $skill) {
                if (isset($bySkill[$skill])) {
                    throw $node->get('skills')->items()[$at]->outOfRange("“{$skill}” has a table already: {$bySkill[$skill]->name}.");
                }
                $bySkill[$skill] = $table;
            }
        }

        return new self($tables, $bySkill, $file->get('source')->string());
    }

    /**
     * A club's own code: its ages and hands. What there is to throw, and what ladders mean by it, stays the library's, also where it ships
     * with more since; a table that the club's own does not have holds as it ships.
     *
     * @throws CaseError
     */
    public static function ofClub(Node $file, self $shipped): self
    {
        $file->keys(['source', 'tables'], ['$schema', ...self::OF_A_DOCUMENT]);
        $tables = $shipped->tables;
        foreach ($file->get('tables')->entries() as $id => $node) {
            $there = $shipped->tables[$id] ?? throw $node->outOfRange("The library has no table “{$id}”.");
            $tables[$id] = $there->with(self::changed($node->keys(self::CHANGED), array_column($there->sizes, null, 'id')));
        }

        $bySkill = array_map(fn (SizeTable $table): SizeTable => $tables[$table->id], $shipped->bySkill);

        return new self($tables, $bySkill, $file->get('source')->string());
    }

    /** What an athlete throws where a ladder names an object; as named where no table says otherwise. */
    public function objectFor(string $skill, LibraryObject $named, AthleteProfile $profile, Day $on): LibraryObject
    {
        $table = $this->ofSkill($skill);

        return $table === null ? $named : $table->inPlaceOf($named, $table->of($profile, $on)->thrown());
    }

    public function ofSkill(string $skill): ?SizeTable
    {
        return $this->bySkill[$skill] ?? null;
    }

    /** @return array<string, LibraryObject> what a ladder takes, by id: in every size it may be thrown in */
    public function objectsOf(Ladder $ladder): array
    {
        $objects = [];
        foreach ($ladder->rungs as $rung) {
            foreach ([...$rung->blocks, ...($rung->indoor === null ? [] : [$rung->indoor])] as $block) {
                $table = $this->ofSkill($block->skill->id);
                $sizes = $table?->size($block->object->id) === null ? [$block->object] : $table->sizes;
                $objects += array_column(array_filter($sizes, fn (LibraryObject $size): bool => $size->massKg !== null), null, 'id');
            }
        }

        return $objects;
    }

    /**
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryObject>  $objects
     *
     * @throws CaseError
     */
    private static function table(string $id, Node $node, array $skills, array $objects): SizeTable
    {
        $node->keys(['name', 'skills', 'sizes', 'meant', ...self::CHANGED]);
        $sizes = [];
        foreach ($node->get('sizes')->items() as $each) {
            $size = LadderReader::reference($each, $objects, 'object');
            if (isset($sizes[$size->id]) || end($sizes) !== false && end($sizes)->massKg > $size->massKg) {
                throw $each->outOfRange('Each size stands here once, the smallest first.');
            }
            $sizes[$size->id] = $size;
        }

        return new SizeTable(
            ...self::changed($node, $sizes),
            id: $id,
            name: $node->get('name')->string(),
            skills: array_map(fn (Node $n): string => LadderReader::reference($n, $skills, 'skill')->id, $node->get('skills')->items()),
            sizes: array_values($sizes) ?: throw $node->get('sizes')->outOfRange('One size at least is needed.'),
            meant: LadderReader::reference($node->get('meant'), $sizes, 'size'),
        );
    }

    /**
     * What a club may change of a table.
     *
     * @param  array<string, LibraryObject>  $sizes  the smallest first
     * @return array{ages: list<array{int, LibraryObject}>, grown: LibraryObject, hands: list<array{float, LibraryObject}>}
     *
     * @throws CaseError
     */
    private static function changed(Node $node, array $sizes): array
    {
        return [
            'ages' => self::growing($node->get('ages'), 'to_age', fn (Node $n): int => $n->int(3, 120), $sizes),
            'grown' => LadderReader::reference($node->get('grown'), $sizes, 'size'),
            'hands' => self::growing($node->get('hands'), 'below_cm', fn (Node $n): float => $n->number(5.0, 35.0), $sizes),
        ];
    }

    /**
     * Rows whose sizes grow with what they go by.
     *
     * @template T of int|float
     *
     * @param  callable(Node): T  $read
     * @param  array<string, LibraryObject>  $sizes  the smallest first
     * @return list<array{T, LibraryObject}>
     *
     * @throws CaseError
     */
    private static function growing(Node $node, string $by, callable $read, array $sizes): array
    {
        $order = array_flip(array_keys($sizes));
        $rows = [];
        foreach ($node->items() as $each) {
            $each->keys([$by, 'object']);
            $row = [$read($each->get($by)), LadderReader::reference($each->get('object'), $sizes, 'size')];
            $before = end($rows);
            if ($before !== false && ($before[0] >= $row[0] || $order[$before[1]->id] > $order[$row[1]->id])) {
                throw $each->outOfRange('Rows go from the smallest up: nobody gets a smaller one for an older age or a larger hand.');
            }
            $rows[] = $row;
        }

        return $rows;
    }
}
