<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Courtside\RepLog;
use App\Sessions\Sheet;
use App\Sessions\SheetTemplate;
use Database\Factories\AthleteFactory;
use Database\Factories\PlacementFactory;
use Database\Factories\SheetFactory;
use Database\Factories\SquadFactory;
use Database\Factories\TrainingSessionFactory;
use Database\Factories\UserFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A sheet edited as a whole: blocks added, moved, changed and taken away, and kept for the squad. */
#[Group('once')]
final class SheetEditTest extends TestCase
{
    private Sheet $sheet;

    protected function setUp(): void
    {
        parent::setUp();
        $squad = SquadFactory::new()->create();
        $this->sheet = $this->sheetIn($squad->id, AthleteFactory::new()->in($squad)->create());
        $this->actingAs(UserFactory::new()->in($this->sheet->athlete->workspace)->create());
    }

    public function test_blocks_are_moved_added_and_taken_away_and_the_preview_is_what_is_kept(): void
    {
        $doses = $this->doses();
        $drill = $this->addable('from', 'fault');
        $jump = $this->addable('group', 'Jump and landing, “Up and stick”');
        $new = [
            $doses[1], $doses[0], $this->added($drill), $this->added($jump), ...array_slice($doses, 3),
        ];
        $shown = $this->preview($new)->assertOk()->json();
        $this->assertSame(
            [$this->titles()[1], $this->titles()[0], $drill['title'], $jump['title'], ...array_slice($this->titles(), 3)],
            array_column($shown['blocks'], 'title'),
        );
        $this->assertSame($this->titles(), $this->keptTitles());
        $kept = $this->save($new)->assertOk()->json();
        $this->assertSame($shown['blocks'], $kept['blocks']);
        $this->assertSame($shown['tapes'], $kept['tapes']);
        $byTitle = array_column($kept['blocks'], null, 'title');
        $this->assertFalse($byTitle[$jump['title']]['judged'], 'another ladder is counted, not judged');
        $this->assertStringContainsString('Jump and landing', $byTitle[$jump['title']]['trims'][0]);
        $this->assertNotContains($this->titles()[2], array_keys($byTitle));
        $this->assertSame('due', $kept['swap']['state'], 'nothing judged is left: what else could be done is offered');
    }

    public function test_what_is_added_behind_blocks_that_stay_where_they_are_stands_behind_them(): void
    {
        $drill = $this->addable('from', 'fault');
        $titles = [...$this->titles(), $drill['title']];
        $kept = $this->save([...$this->doses(), $this->added($drill)])->assertOk()->json('blocks');
        $this->assertSame([$titles, $titles], [array_column($kept, 'title'), $this->keptTitles()]);
        $this->assertSame(
            range(0, count($titles) - 1),
            DB::table('sheet_blocks')->where('sheet_id', $this->sheet->id)->orderBy('position')->pluck('position')->all(),
        );
        $this->assertNotSame([], $kept[count($titles) - 1]['trims'], 'what it mends is said beside it');
    }

    public function test_how_a_block_is_done_changes_and_another_object_is_no_evidence(): void
    {
        $doses = $this->doses();
        $judged = $this->judgedPlace();
        $doses[$judged] = [...$doses[$judged], 'sets' => 4, 'rest_s' => 120, 'hold_s' => 2, 'surface' => 'soft'];
        $block = $this->save($doses)->assertOk()->json('blocks')[$judged];
        $this->assertSame([4, 120, 2, true], [$block['sets'], $block['rest_s'], $block['hold_s'], $block['judged']]);
        $doses[$judged]['object'] = 'volleyball-light';
        $block = $this->save($doses)->assertOk()->json('blocks')[$judged];
        $this->assertSame(['volleyball-light', false], [$block['object_id'], $block['judged']]);
        $doses[$judged]['object'] = 'a-cannon-ball';
        $this->save($doses)->assertUnprocessable()
            ->assertJsonPath('errors', fn (array $errors): bool => str_contains((string) json_encode($errors), 'an object of the library'));
    }

    public function test_what_was_counted_stays_and_its_taps_find_it_wherever_it_stands(): void
    {
        $block = $this->judgedBlock($this->sheet);
        $tap = fn (int $i): TestResponse => $this->postJson("/api/sheets/{$this->sheet->id}/events", ['events' => [$this->tap($block, $i)]])
            ->assertOk()->assertJsonCount(1, 'kept');
        $tap(1);
        $doses = $this->doses();
        $place = $this->judgedPlace();
        $without = array_values(array_filter($doses, fn (array $dose): bool => $dose['id'] !== $block->id));
        $this->save($without)->assertConflict()->assertJsonPath('detail', fn (string $said): bool => str_contains($said, 'was counted'));
        $this->save([$doses[$place], ...array_values(array_diff_key($doses, [$place => true]))])->assertOk();
        $tap(2);
        $this->assertSame(2, (int) DB::table('work_sets')->where('block_id', $block->id)->sum('reps'));
        $rows = DB::table('work_sets')->where('session', $this->sheet->id)->get(['block_id', 'reps', 'arm'])->all();
        app(RepLog::class)->derive($this->sheet->refresh());
        $this->assertEquals($rows, DB::table('work_sets')->where('session', $this->sheet->id)->get(['block_id', 'reps', 'arm'])->all());
    }

    public function test_nothing_is_added_over_a_hard_limit_or_from_nowhere_or_twice(): void
    {
        $doses = $this->doses();
        $whole = $this->addable('from', 'rung', judged: true);
        $this->save([...$doses, [...$this->added($whole), 'reps' => 400]])->assertUnprocessable();
        $this->save([...$doses, [...$this->added($whole), 'add' => 'library/of/nobody']])->assertConflict();
        $other = $this->sheetIn($this->sheet->trainingSession->squad_id, AthleteFactory::new()->create());
        $theirs = $other->blocks()->firstOrFail()->id;
        $this->save([...$doses, [...$this->added($whole), 'id' => $theirs]])->assertConflict();
        $this->assertSame($other->id, $other->blocks()->firstOrFail()->sheet_id);
        $this->save([...$doses, $doses[0]])->assertUnprocessable();
        $this->save([])->assertUnprocessable();
        $this->assertSame($this->titles(), $this->keptTitles());
    }

    public function test_a_template_serves_the_squad_and_is_judged_only_on_its_rung(): void
    {
        $doses = $this->doses();
        $doses[0]['reps'] = 4;
        $this->save($doses)->assertOk();
        $body = ['id' => (string) Str::uuid7(), 'name' => 'Short warm-up'];
        $this->postJson("/api/sheets/{$this->sheet->id}/template", $body)->assertNoContent();
        $this->postJson("/api/sheets/{$this->sheet->id}/template", $body)->assertNoContent();
        $this->postJson("/api/sheets/{$this->sheet->id}/template", [...$body, 'id' => (string) Str::uuid7()])->assertNoContent();
        $this->assertSame(1, SheetTemplate::query()->count(), 'the same name is the same template');
        $kept = SheetTemplate::query()->firstOrFail();
        $this->assertStringNotContainsString($this->sheet->athlete->given_name, (string) json_encode($kept->blocks));

        $squad = $this->sheet->trainingSession->squad;
        $on = fn (Squad $of, string $rung): array => array_values(array_filter(
            $this->getJson("/api/sheets/{$this->sheetIn($of->id, AthleteFactory::new()->in($of)->create(), $rung)->id}/addable")->json(),
            fn (array $each): bool => $each['from'] === 'template',
        ));
        $judged = fn (array $found): array => array_filter($found, fn (array $each): bool => $each['judged']);
        $same = $on($squad, 'line');
        $this->assertSame(4, $same[0]['reps']);
        $this->assertNotSame([], $judged($same));
        $higher = $on($squad, 'thirds');
        $this->assertCount(count($same), $higher);
        $this->assertSame([], $judged($higher), 'another rung is judged by its own dose');
        $other = SquadFactory::new()->create(['workspace_id' => $squad->workspace_id]);
        $this->assertSame([], $on($other, 'line'), 'another squad has its own');

        $id = $same[0]['template_id'];
        $removed = fn (Sheet $sheet, bool $out): TestResponse => $this->postJson(
            "/api/sheets/{$sheet->id}/templates/{$id}/removed", ['removed' => $out],
        );
        $removed($this->sheetIn($other->id, AthleteFactory::new()->in($other)->create()), true)->assertNotFound();
        foreach ([true, true, false, true] as $out) {
            $removed($this->sheet, $out)->assertNoContent();
            $this->assertSame($out ? 0 : count($same), count($on($squad, 'line')), 'out of sight, or back again');
        }
        $this->postJson("/api/sheets/{$this->sheet->id}/template", [...$body, 'id' => (string) Str::uuid7()])->assertNoContent();
        $this->assertCount(count($same), $on($squad, 'line'), 'its name kept anew is in sight again');
    }

    private function sheetIn(int $squadId, Athlete $athlete, string $rung = 'line'): Sheet
    {
        PlacementFactory::new()->create(['athlete_id' => $athlete->id, 'rung' => $rung]);
        PlacementFactory::new()->create(['athlete_id' => $athlete->id, 'ladder' => 'jump-landing', 'rung' => 'stick']);
        $session = TrainingSessionFactory::new()->create(['squad_id' => $squadId]);

        return SheetFactory::new()->of($athlete, $session)->fitted()->create(['rung' => $rung]);
    }

    /** @return list<array<string, mixed>> the sheet as it is */
    private function doses(): array
    {
        return array_map(
            fn (array $block): array => array_intersect_key($block, array_flip(['id', 'sets', 'reps', 'effort', 'distance_m'])),
            $this->getJson("/api/sheets/{$this->sheet->id}")->assertOk()->json('blocks'),
        );
    }

    private function judgedPlace(): int
    {
        return (int) array_search($this->judgedBlock($this->sheet)->id, array_column($this->doses(), 'id'), true);
    }

    /** @return list<string> as it was fitted */
    private function titles(): array
    {
        return $this->sheet->blocks->pluck('title')->all();
    }

    /** @return list<string> */
    private function keptTitles(): array
    {
        return DB::table('sheet_blocks')->where('sheet_id', $this->sheet->id)->orderBy('position')->pluck('title')->all();
    }

    /** @return array<string, mixed> the first that is so */
    private function addable(string $what, string $is, bool $judged = false): array
    {
        foreach ($this->getJson("/api/sheets/{$this->sheet->id}/addable")->assertOk()->json() as $each) {
            if ($each[$what] === $is && $each['judged'] === $judged && $each['reps'] > 0) {
                return $each;
            }
        }
        $this->fail("nothing of {$is} may be added");
    }

    /**
     * @param  array<string, mixed>  $found
     * @return array<string, mixed>
     */
    private function added(array $found): array
    {
        return [
            'id' => (string) Str::uuid7(), 'add' => $found['key'],
            ...array_intersect_key($found, array_flip(['sets', 'reps', 'effort', 'distance_m'])),
        ];
    }

    /** @param  list<array<string, mixed>>  $blocks */
    private function preview(array $blocks): TestResponse
    {
        return $this->postJson("/api/sheets/{$this->sheet->id}/preview", ['version' => $this->sheet->version, 'blocks' => $blocks]);
    }

    /** @param  list<array<string, mixed>>  $blocks */
    private function save(array $blocks): TestResponse
    {
        return $this->putJson("/api/sheets/{$this->sheet->id}", ['version' => $this->sheet->refresh()->version, 'blocks' => $blocks]);
    }
}
