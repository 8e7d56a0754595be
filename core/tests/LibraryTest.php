<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use PHPUnit\Framework\TestCase;

final class LibraryTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../library';

    public function test_every_shipped_file_can_be_used_and_every_rung_leads_on(): void
    {
        $library = new Library(self::FOLDER);
        $this->assertSame([], $library->problems());
        foreach ($library->ladderIds() as $id) {
            $ladder = $library->ladder($id);
            foreach ($ladder->rungs as $i => $rung) {
                $this->assertSame($ladder->rungs[$i + 1] ?? null, $ladder->after($rung->id));
                $this->assertNotSame([], $rung->faults, "{$id}/{$rung->id}");
                $this->assertTrue($rung->ownDose()->judged);
                // Never more than a quarter of the effort more from one rung to the next.
                $next = $ladder->after($rung->id)?->ownDose();
                $this->assertLessThanOrEqual(0.25 + 1e-9, ($next->effort ?? 0) - $rung->ownDose()->effort, "{$id}/{$rung->id}");
            }
        }
    }

    public function test_text_mirrors_with_the_throwing_side(): void
    {
        $this->assertSame('left hand back, right foot first', Handedness::Left->mirror('{throwing} hand back, {front} foot first'));
        foreach ((new Library(self::FOLDER))->ladderIds() as $id) {
            $text = (string) file_get_contents(self::FOLDER."/ladders/{$id}.json");
            $this->assertDoesNotMatchRegularExpression(
                '/\b(left|right) (hand|arm|foot|leg|shoulder|elbow|hip|knee)\b/i',
                $text,
                "{$id} names a side; write {throwing} or {front}",
            );
        }
    }

    public function test_a_broken_file_is_named_with_the_place_and_the_others_still_work(): void
    {
        $folder = sys_get_temp_dir().'/augendo-library-'.uniqid();
        mkdir("{$folder}/ladders", 0700, true);
        foreach (
            [
                'skills.json',
                'objects.json',
                'figures.json',
                'drills.json',
                'doses.json',
                'sizes.json',
                'tests.json',
                'balls.json',
                'courts.json',
                'ladders/javelin-throw.json',
                'ladders/block-jump-landing.json',
            ] as $file
        ) {
            copy(self::FOLDER."/{$file}", "{$folder}/{$file}");
        }
        $broken = json_decode((string) file_get_contents("{$folder}/ladders/javelin-throw.json"));
        $broken->rungs[2]->blocks[1]->effort = 1.4;
        file_put_contents("{$folder}/ladders/javelin-throw.json", json_encode($broken));
        file_put_contents("{$folder}/ladders/torn.json", '{"id": "torn", ');
        $library = new Library($folder);

        $problems = array_map(fn (LibraryProblem $problem): array => [$problem->libraryFile, $problem->path], $library->problems());
        $this->assertSame([['ladders/javelin-throw.json', '/rungs/2/blocks/1/effort'], ['ladders/torn.json', '']], $problems);
        $this->assertSame('block-jump-landing', $library->ladder('block-jump-landing')->id);
        $this->expectExceptionMessage('1.4 is outside 0 to 1');
        $library->ladder('javelin-throw');
    }

    public function test_where_the_outcome_is_ignored_is_what_the_file_says(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $both = [];
        foreach ($library->ladderIds() as $id) {
            $file = json_decode((string) file_get_contents($library->path("ladders/{$id}.json")), true);
            foreach ($library->ladder($id)->rungs as $i => $rung) {
                $this->assertSame($file['rungs'][$i]['outcome'] === 'ignored', $rung->outcomeIgnored, "{$id} {$rung->id}");
                $both[(int) $rung->outcomeIgnored] = true;
            }
        }
        $this->assertCount(2, $both);
    }
}
