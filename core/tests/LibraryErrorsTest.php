<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\LimitReader;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\LadderReader;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\RuleSetReader;
use Augendo\Core\Returning\ProgrammeReader;
use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A library file with a mistake in it: the place and what would be right, and nothing half read. */
final class LibraryErrorsTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../library';

    /** @return iterable<string, array{Closure(\stdClass): mixed, string, string}> */
    public static function ladderMistakes(): iterable
    {
        yield 'a misspelt key' => [fn ($l) => $l->rungs[0]->goall = 'x', '/rungs/0/goall', 'goall'];
        yield 'a missing name' => [function ($l) {
            unset($l->rungs[1]->name);
        }, '/rungs/1/name', 'missing'];
        yield 'a skill nobody knows' => [fn ($l) => $l->skill = 'yodel', '/skill', 'yodel'];
        yield 'an object nobody has' => [fn ($l) => $l->rungs[0]->blocks[0]->object = 'anvil', '/rungs/0/blocks/0/object', 'anvil'];
        yield 'a fault of no checkpoint' => [fn ($l) => $l->faults[0]->checkpoint = 'nose', '/faults/0/checkpoint', 'nose'];
        yield 'a rung that names a fault nobody described' => [fn ($l) => $l->rungs[0]->faults[0] = 'nose', '/rungs/0/faults/0', 'nose'];
        yield 'more effort than all' => [fn ($l) => $l->rungs[0]->blocks[0]->effort = 2, '/rungs/0/blocks/0/effort', 'outside 0 to 1'];
        yield 'a least above the asked' => [
            fn ($l) => $l->rungs[0]->blocks[0]->effort_min = 0.99,
            '/rungs/0/blocks/0/effort_min',
            'above the asked',
        ];
        yield 'repetitions in words' => [fn ($l) => $l->rungs[0]->blocks[0]->reps = 'ten', '/rungs/0/blocks/0/reps', 'whole number'];
        yield 'a distance of nothing' => [
            fn ($l) => $l->rungs[0]->blocks[0]->distance_m = 0,
            '/rungs/0/blocks/0/distance_m',
            'not above 0',
        ];
        yield 'a rung nobody judges' => [
            fn ($l) => array_map(fn ($b) => $b->judged = false, $l->rungs[0]->blocks),
            '/rungs/0/blocks',
            'judged',
        ];
        yield 'no rungs' => [fn ($l) => $l->rungs = [], '/rungs', 'at least one rung'];
        yield 'a gate that asks for more than all' => [
            fn ($l) => $l->rungs[0]->gate = (object) ['target_rate' => 1.2],
            '/rungs/0/gate/target_rate',
            'outside',
        ];
        yield 'a gate that is sure beyond doubt' => [
            fn ($l) => $l->rungs[0]->gate = (object) ['confidence' => 1],
            '/rungs/0/gate/confidence',
            'strictly between',
        ];
    }

    /** @param  Closure(\stdClass): mixed  $break */
    #[DataProvider('ladderMistakes')]
    public function test_a_mistake_in_a_ladder(Closure $break, string $path, string $said): void
    {
        $library = new Library(self::FOLDER);
        $file = json_decode((string) file_get_contents(self::FOLDER.'/ladders/volleyball-float-serve.json'));
        $break($file);
        $reader = new LadderReader($library->skills(), $library->objects(), $library->figures());
        $this->assertRefused(fn () => $reader->read(new Node($file)), $path, $said);
    }

    /** @return iterable<string, array{Closure(\stdClass): mixed, string, string}> */
    public static function limitMistakes(): iterable
    {
        yield 'no source' => [function ($r) {
            unset($r->source);
        }, '/source', 'missing'];
        yield 'a limit below nothing' => [fn ($r) => $r->limits[0]->by_age[0]->max = -5, '/limits/0/max', 'outside'];
        yield 'ages the wrong way round' => [
            fn ($r) => $r->limits[0]->by_age[0]->ages = [9, 5],
            '/limits/0/by_age/0/ages',
            'hold for nobody',
        ];
        yield 'two of a name' => [fn ($r) => $r->limits[] = clone $r->limits[0], '/limits', 'Two limits'];
        yield 'a kind nobody knows' => [fn ($r) => $r->limits[0]->kind = 'roof', '/limits/0/kind', 'roof'];
        yield 'a window of no days' => [fn ($r) => $r->limits[0]->window = (object) ['days' => 0], '/limits/0/window/days', 'outside'];
        yield 'a family nobody knows' => [
            fn ($r) => $r->limits[0]->filter = (object) ['families' => ['juggle']],
            '/limits/0/filter/families/0',
            'juggle',
        ];
    }

    /** @param  Closure(\stdClass): mixed  $break */
    #[DataProvider('limitMistakes')]
    public function test_a_mistake_in_a_rule_set(Closure $break, string $path, string $said): void
    {
        $file = json_decode((string) file_get_contents(self::FOLDER.'/rule-sets/starter.json'));
        $break($file);
        $this->assertRefused(
            fn () => (new RuleSetReader(new LimitReader(array_keys((new Library(self::FOLDER))->skills()))))->read(new Node($file)),
            $path,
            $said,
        );
    }

    /** @return iterable<string, array{Closure(\stdClass): mixed, string, string}> */
    public static function programmeMistakes(): iterable
    {
        yield 'no stages' => [fn ($p) => $p->stages = [], '/stages', 'at least one stage'];
        yield 'a way back without a clearance' => [
            fn ($p) => $p->stages[0]->needs_clearance = false,
            '/stages/0/needs_clearance',
            'without a clearance',
        ];
        yield 'no cautions' => [function ($p) {
            unset($p->cautions);
        }, '/cautions', 'missing'];
        yield 'a channel nobody has' => [fn ($p) => $p->channel = 'tail', '/channel', 'tail'];
        yield 'forty repetitions at full effort' => [function ($p) {
            [$p->stages[1]->effort, $p->stages[1]->sets, $p->stages[1]->reps] = [1.0, 4, 10];
        }, '/stages/1/reps', 'under 40'];
        yield 'a stage passed no times' => [fn ($p) => $p->stages[1]->passes = 0, '/stages/1/passes', 'outside'];
        yield 'a gap that runs backwards' => [fn ($p) => $p->stages[1]->min_gap_days = -1, '/stages/1/min_gap_days', 'outside'];
        yield 'a third leg' => [fn ($p) => $p->stages[1]->legs = 3, '/stages/1/legs', 'outside'];
        yield 'further than the longest throw' => [fn ($p) => $p->stages[1]->distance_share = 1.1, '/stages/1/distance_share', 'outside'];
        yield 'a criterion that asks for nothing' => [
            fn ($p) => $p->stages[1]->criteria = [(object) ['id' => 'x', 'label' => 'X', 'unit' => 'kg', 'at_least' => 0]],
            '/stages/1/criteria/0/at_least',
            'outside',
        ];
        yield 'a criterion without a unit' => [
            fn ($p) => $p->stages[1]->criteria = [(object) ['id' => 'x', 'label' => 'X', 'at_least' => 0.9]],
            '/stages/1/criteria/0/unit',
            'missing',
        ];
    }

    /** @param  Closure(\stdClass): mixed  $break */
    #[DataProvider('programmeMistakes')]
    public function test_a_mistake_in_a_return_programme(Closure $break, string $path, string $said): void
    {
        $file = json_decode((string) file_get_contents(self::FOLDER.'/returns/landings.json'));
        $break($file);
        $this->assertRefused(fn () => ProgrammeReader::read(new Node($file)), $path, $said);
    }

    private function assertRefused(callable $read, string $path, string $said): void
    {
        try {
            $read();
        } catch (CaseError $error) {
            $this->assertStringStartsWith($path, $error->path, $error->getMessage());
            $this->assertStringContainsString($said, $error->getMessage());

            return;
        }
        $this->fail("The mistake at {$path} was not seen.");
    }
}
