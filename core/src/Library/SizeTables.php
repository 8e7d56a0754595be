<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Load\Skill;

/** What is thrown at which age and by which hand: as it ships, or as a club’s own code has it. */
final readonly class SizeTables
{
    /** What a club's own document has besides. */
    private const OF_A_DOCUMENT = ['id', 'version'];

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
        $file->keys(['source', 'tables'], ['$schema', ...self::OF_A_DOCUMENT]);
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
     * A club’s own code: its ages and hands. What there is to throw, and what ladders mean by it, is the library’s; a table that the
     * club’s own does not have, because it ships since then, holds as it ships.
     *
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryObject>  $objects
     *
     * @throws CaseError
     */
    public static function ofClub(Node $file, array $skills, array $objects, self $shipped): self
    {
        $own = self::of($file, $skills, $objects);
        foreach ($own->tables as $id => $mine) {
            $place = $file->get('tables')->get($id);
            $there = $shipped->tables[$id] ?? throw $place->outOfRange("The library has no table “{$id}”.");
            foreach (['name', 'skills', 'sizes', 'meant'] as $key) {
                if ($mine->{$key} != $there->{$key}) {
                    throw $place->get($key)->outOfRange('This is the library’s: ages and hands can be changed.');
                }
            }
        }
        $tables = [...$shipped->tables, ...$own->tables];

        return new self($tables, array_map(fn (SizeTable $table): SizeTable => $tables[$table->id], $shipped->bySkill), $own->source);
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
        $node->keys(['name', 'skills', 'sizes', 'meant', 'ages', 'grown', 'hands']);
        $sizes = [];
        foreach ($node->get('sizes')->items() as $each) {
            $size = LadderReader::reference($each, $objects, 'object');
            if (isset($sizes[$size->id]) || end($sizes) !== false && end($sizes)->massKg > $size->massKg) {
                throw $each->outOfRange('Each size stands here once, the smallest first.');
            }
            $sizes[$size->id] = $size;
        }
        $size = fn (Node $n): LibraryObject => LadderReader::reference($n, $sizes, 'size');

        return new SizeTable(
            id: $id,
            name: $node->get('name')->string(),
            skills: array_map(fn (Node $n): string => LadderReader::reference($n, $skills, 'skill')->id, $node->get('skills')->items()),
            sizes: array_values($sizes) ?: throw $node->get('sizes')->outOfRange('One size at least is needed.'),
            meant: $size($node->get('meant')),
            ages: self::growing($node->get('ages'), 'to_age', fn (Node $n): int => $n->int(3, 120), $sizes),
            grown: $size($node->get('grown')),
            hands: self::growing($node->get('hands'), 'below_cm', fn (Node $n): float => $n->number(5.0, 35.0), $sizes),
        );
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
