<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Courtside\RepLog;
use App\People\Role;
use App\People\User;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Carbon\Carbon;
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

/** The work of the day is taken away, and what is left is taken up in one touch. */
#[Group('once')]
final class SwapTest extends TestCase
{
    private Athlete $athlete;

    private User $coach;

    private Sheet $sheet;

    public function test_a_sore_wrist_before_the_session_swaps_the_serve_for_the_other_ladder_and_all_of_it_is_taken_back(): void
    {
        $this->serverWhoJumps();
        $this->assertNull($this->look()['swap'], 'nothing was taken away');
        $this->sore('wrist', 'right', 'joint', 3);
        $before = $this->look();
        $this->assertSame('due', $before['swap']['state']);
        $offer = $this->getJson("/api/sheets/{$this->sheet->id}/swap")->assertOk()->json();
        $this->assertSame([], $offer['asks'], 'told just now');
        $this->assertContains('Volleyball, 270 g', $offer['objects_out']);
        $this->assertStringContainsString('judged as ever', $offer['instead']);

        $body = ['id' => (string) Str::uuid7(), 'version' => $offer['version']];
        $taken = $this->postJson("/api/sheets/{$this->sheet->id}/swap", $body)->assertOk()->json();
        $this->assertNotSame($this->sheet->id, $taken['id']);
        $this->assertSame(['taken', $body['id']], [$taken['swap']['state'], $taken['swap']['change_id']]);
        $this->assertSame('jump-landing', $taken['rung']['ladder_id'] ?? $taken['rung']['ladder']);
        $this->assertSame(array_column($offer['lines'], 'title'), array_column($taken['blocks'], 'title'), 'what was offered is there');
        $judged = array_filter($taken['blocks'], fn (array $block): bool => $block['judged']);
        $this->assertSame(['jump'], array_values(array_unique(array_column($judged, 'skill'))), 'only the ladder that leads is judged');
        $this->assertSame(Sheet::CALLED_OFF, $this->sheet->refresh()->state);
        $again = $this->postJson("/api/sheets/{$this->sheet->id}/swap", $body)->assertOk()->json('id');
        $this->assertSame($taken['id'], $again, 'sent twice, done once');
        $this->assertSame(2, Sheet::query()->where('athlete_id', $this->athlete->id)->count());
        $this->postJson("/api/sheets/{$taken['id']}/swap", ['id' => (string) Str::uuid7(), 'version' => $taken['version']])
            ->assertJsonPath('detail', 'The work of this session stands: there is nothing to swap.');
        $mate = AthleteFactory::new()->in($this->sheet->trainingSession->squad)->create();
        $theirs = SheetFactory::new()->of($mate, $this->sheet->trainingSession)->fitted()->create();
        $this->postJson("/api/sheets/{$theirs->id}/swap", $body)->assertConflict()->assertJsonMissingPath('blocks');

        $this->postJson("/api/session-changes/{$body['id']}/take-back")->assertSuccessful();
        $after = $this->look();
        $this->assertSame(['planned', 'due'], [$after['state'], $after['swap']['state']]);
        $this->assertSame(array_column($before['blocks'], 'title'), array_column($after['blocks'], 'title'));
        $this->assertSame(Sheet::CALLED_OFF, Sheet::query()->findOrFail($taken['id'])->state);
    }

    public function test_a_coachs_own_doses_come_back_as_they_were(): void
    {
        $this->serverWhoJumps();
        $doses = array_map(fn (array $block): array => [
            ...array_intersect_key($block, array_flip(['id', 'sets', 'effort', 'distance_m'])),
            'reps' => min(5, $block['reps']),
        ], $this->look()['blocks']);
        $this->putJson("/api/sheets/{$this->sheet->id}", ['version' => $this->look()['version'], 'blocks' => $doses])->assertOk();
        $this->sore('wrist', 'right', 'joint', 3);
        $body = ['id' => (string) Str::uuid7(), 'version' => $this->look()['version']];
        $rows = DB::table('sheet_blocks')->where('sheet_id', $this->sheet->id)->orderBy('position')->get()->all();
        $this->postJson("/api/sheets/{$this->sheet->id}/swap", $body)->assertOk();
        $this->postJson("/api/session-changes/{$body['id']}/take-back")->assertSuccessful();
        $this->assertSame(['planned', true], [$this->sheet->refresh()->state, $this->sheet->edited]);
        $this->assertEquals($rows, DB::table('sheet_blocks')->where('sheet_id', $this->sheet->id)->orderBy('position')->get()->all());
    }

    public function test_how_it_is_now_is_asked_first_and_the_answer_counts(): void
    {
        // What was told forty minutes ago was told today.
        Carbon::setTestNow(Carbon::now('Europe/Lisbon')->setTime(12, 0));
        $this->serverWhoJumps();
        $this->sore('wrist', 'right', 'joint', 3, minutesAgo: 40);
        $offer = $this->getJson("/api/sheets/{$this->sheet->id}/swap")->assertOk()->json();
        $this->assertSame([['wrist', 'right', 'joint', 3, 'before']], array_map(
            fn (array $ask): array => [$ask['site'], $ask['side'], $ask['kind'], $ask['score'], $ask['moment']], $offer['asks'],
        ));
        $body = ['id' => (string) Str::uuid7(), 'version' => $offer['version']];
        $this->postJson("/api/sheets/{$this->sheet->id}/swap", $body)
            ->assertConflict()->assertJsonPath('type', fn (string $type): bool => str_ends_with($type, 'ask-first'));
        $this->assertSame('planned', $this->sheet->refresh()->state);
        $this->sore('wrist', 'right', 'joint', 3);
        $body['version'] = $this->look()['version'];
        $this->postJson("/api/sheets/{$this->sheet->id}/swap", $body)->assertOk();
    }

    public function test_what_was_done_before_it_hurt_stays_and_what_is_left_goes_beside_it(): void
    {
        $this->serverWhoJumps();
        $this->countReps($this->judgedBlock($this->sheet), 6);
        $this->sore('wrist', 'right', 'joint', 3, moment: 'during');
        $shown = $this->look();
        $this->assertSame(['running', 'due'], [$shown['state'], $shown['swap']['state']]);
        $taken = $this->takeUp();
        $this->assertNotSame($this->sheet->id, $taken['id'], 'the other ladder has a sheet of its own');
        $serve = $this->look();
        $this->assertSame('running', $serve['state']);
        $this->assertSame([], $serve['broken'], 'what is done is done');
        $this->assertSame(6, array_sum(array_column($serve['blocks'], 'reps')), 'nothing more of it');
        $this->assertSame(6, (int) DB::table('work_sets')->where('session', $this->sheet->id)->sum('reps'));
        $this->countReps($this->judgedBlock(Sheet::query()->findOrFail($taken['id'])), 3);
        $this->assertSame(3, (int) DB::table('work_sets')->where('session', $taken['id'])->sum('reps'));
        $marks = (string) DB::table('rep_strips')->where('sheet_id', $taken['id'])->value('marks');
        $this->assertSame(3, strlen($marks), 'evidence of the jump');
        foreach ([$this->sheet->id, $taken['id']] as $id) {
            $this->postJson("/api/sheets/{$id}/finish", ['minutes' => 30, 'session_rpe' => 4])->assertSuccessful();
        }
    }

    public function test_whoever_climbs_one_ladder_goes_on_on_the_same_sheet(): void
    {
        $this->serverWhoJumps(jumps: false);
        $block = $this->judgedBlock($this->sheet);
        $this->countReps($block, 6);
        $this->sore('wrist', 'right', 'joint', 3, moment: 'during');
        $taken = $this->takeUp();
        $this->assertSame([$this->sheet->id, 'running', 'taken'], [$taken['id'], $taken['state'], $taken['swap']['state']]);
        $this->assertSame([], $taken['broken']);
        $byTitle = array_column($taken['blocks'], null, 'title');
        $this->assertSame(6, $byTitle[$block->title]['reps']);
        $kept = SheetBlock::query()->where('sheet_id', $this->sheet->id)->orderBy('position')->pluck('position')->all();
        $this->assertSame(range(0, count($kept) - 1), $kept, 'no place is left out');
        $this->assertSame($block->title, $taken['blocks'][0]['title'], 'first what was done');
        $this->assertSame(0, $taken['blocks'][count($kept) - 1]['reps'], 'last what is out');
        $drills = array_filter($taken['blocks'], fn (array $each): bool => in_array('A drill.', $each['trims'], true));
        $this->assertContains('Warm-up without the arm', array_column($drills, 'title'));
        $this->assertSame(['footwork'], array_values(array_unique(array_column($drills, 'skill'))), 'said beside the drills');
        $this->assertArrayHasKey('Warm-up without the arm', $byTitle);
        $foot = SheetBlock::query()->where('sheet_id', $this->sheet->id)->where('skill', 'footwork')->where('reps', '>', 0)->firstOrFail();
        $this->countReps($foot, 4);
        $this->assertSame(10, (int) DB::table('work_sets')->where('session', $this->sheet->id)->sum('reps'));
        $this->assertSame(6, strlen((string) DB::table('rep_strips')->where('sheet_id', $this->sheet->id)->value('marks')));
        $rows = $this->worked();
        app(RepLog::class)->derive($this->sheet->refresh());
        $this->assertEquals($rows, $this->worked());
    }

    public function test_a_swap_in_a_session_under_way_is_taken_back_until_somebody_counts_in_it(): void
    {
        $this->serverWhoJumps(jumps: false);
        $this->countReps($this->judgedBlock($this->sheet), 6);
        $this->sore('wrist', 'right', 'joint', 3, moment: 'during');
        $doses = fn (): array => DB::table('sheet_blocks')->where('sheet_id', $this->sheet->id)->orderBy('position')->get()->all();
        $before = $doses();
        $work = $this->worked();
        $back = fn (string $change): TestResponse => $this->postJson("/api/session-changes/{$change}/take-back");
        $back($this->takeUp()['swap']['change_id'])->assertSuccessful();
        $this->assertEquals($before, $doses(), 'as it was, block by block');
        $this->assertSame(['running', 'due', null], [
            $this->look()['state'], $this->look()['swap']['state'], $this->look()['swap']['change_id'],
        ]);
        $this->assertEquals($work, $this->worked(), 'what was done is done');

        $again = $this->takeUp();
        $version = $this->look()['version'];
        $same = array_map(fn (array $block): array => array_intersect_key(
            $block, array_flip(['id', 'sets', 'reps', 'effort', 'distance_m']),
        ), $this->look()['blocks']);
        $this->putJson("/api/sheets/{$this->sheet->id}", ['version' => $version, 'blocks' => $same])->assertOk();
        $back($again['swap']['change_id'])->assertUnprocessable()->assertJsonPath(
            'detail', 'The sheet was changed or finished since. Change its doses instead.',
        );
    }

    public function test_what_was_counted_of_a_swap_under_way_keeps_it(): void
    {
        $this->serverWhoJumps(jumps: false);
        $this->countReps($this->judgedBlock($this->sheet), 6);
        $this->sore('wrist', 'right', 'joint', 3, moment: 'during');
        $taken = $this->takeUp();
        $foot = SheetBlock::query()->where('sheet_id', $this->sheet->id)->where('skill', 'footwork')->where('reps', '>', 0)->firstOrFail();
        $this->countReps($foot, 2);
        $this->postJson("/api/session-changes/{$taken['swap']['change_id']}/take-back")->assertUnprocessable();
        $this->assertSame(2, (int) DB::table('work_sets')->where('block_id', $foot->id)->sum('reps'));
    }

    public function test_a_sheet_that_was_taken_out_is_nowhere_at_the_line(): void
    {
        $this->serverWhoJumps();
        $this->sore('wrist', 'right', 'joint', 3);
        $taken = $this->takeUp();
        $there = $this->getJson("/api/sheets/{$taken['id']}/courtside")->assertOk()->json('neighbours');
        $this->assertSame([$taken['id']], array_column($there, 'sheet_id'));
        $session = $this->getJson("/api/sessions/{$this->sheet->training_session_id}")->assertOk()->json('members');
        $this->assertSame([[$taken['id'], false]], array_map(fn (array $each): array => [$each['sheet_id'], $each['swap']], $session));
    }

    public function test_who_waits_for_a_clinician_is_given_nothing_that_loads_the_body(): void
    {
        $this->serverWhoJumps();
        $this->sore('elbow', 'right', 'swelling', 5);
        $offer = $this->getJson("/api/sheets/{$this->sheet->id}/swap")->assertOk()->json();
        $this->assertStringContainsString('clinician', $offer['instead']);
        $this->assertNotSame([], $offer['lines']);
        $taken = $this->takeUp();
        $this->assertSame(0, array_sum(array_column($taken['blocks'], 'reps')));
        $this->assertStringNotContainsString('Jump', implode(' ', array_column($taken['blocks'], 'title')));
    }

    public function test_a_stale_look_changes_nothing_and_only_who_runs_the_session_swaps(): void
    {
        $this->serverWhoJumps();
        $this->sore('wrist', 'right', 'joint', 3);
        $body = ['id' => (string) Str::uuid7(), 'version' => $this->look()['version'] + 1];
        $this->postJson("/api/sheets/{$this->sheet->id}/swap", $body)->assertConflict();
        $this->assertSame('planned', $this->sheet->refresh()->state);
        $helper = UserFactory::new()->in($this->athlete->workspace)->create(['role' => Role::Assistant]);
        $helper->squads()->attach($this->sheet->trainingSession->squad_id);
        $taken = $this->actingAs($helper)->postJson("/api/sheets/{$this->sheet->id}/swap", [
            'id' => (string) Str::uuid7(), 'version' => $this->sheet->version,
        ])->assertOk()->json();
        $this->actingAs($this->coach())->postJson("/api/session-changes/{$taken['swap']['change_id']}/take-back")->assertNotFound();
        $this->actingAs($helper)->postJson("/api/session-changes/{$taken['swap']['change_id']}/take-back")->assertSuccessful();
    }

    public function test_work_that_stands_is_not_swapped(): void
    {
        $this->serverWhoJumps();
        $this->postJson("/api/sheets/{$this->sheet->id}/swap", ['id' => (string) Str::uuid7(), 'version' => $this->look()['version']])
            ->assertJsonPath('detail', 'The work of this session stands: there is nothing to swap.');
    }

    private function serverWhoJumps(bool $jumps = true): void
    {
        $squad = SquadFactory::new()->create();
        $this->athlete = AthleteFactory::new()->in($squad)->create();
        PlacementFactory::new()->create(['athlete_id' => $this->athlete->id, 'rung' => 'line']);
        if ($jumps) {
            PlacementFactory::new()->create(['athlete_id' => $this->athlete->id, 'ladder' => 'jump-landing', 'rung' => 'stick']);
        }
        $session = TrainingSessionFactory::new()->create(['squad_id' => $squad->id]);
        $this->coach = UserFactory::new()->in($this->athlete->workspace)->create();
        $this->sheet = SheetFactory::new()->of($this->athlete, $session)->fitted()->create();
        $this->actingAs($this->coach->refresh());
        $this->sore('none', null, 'muscle', 0, minutesAgo: 50);
    }

    private function sore(string $site, ?string $side, string $kind, int $score, string $moment = 'before', int $minutesAgo = 0): void
    {
        $report = $this->report($site, $side, $kind, $score, $moment);
        $report['at'] = Carbon::now('Europe/Lisbon')->subMinutes($minutesAgo)->toIso8601String();
        $this->postJson("/api/athletes/{$this->athlete->id}/reports", ['reports' => [$report]])->assertSuccessful();
    }

    /** @return list<object> the load of the sheet, block by block */
    private function worked(): array
    {
        return DB::table('work_sets')
            ->where('session', $this->sheet->id)
            ->orderBy('block_id')
            ->get(['block_id', 'reps', 'arm'])
            ->all();
    }

    /** @return array<string, mixed> */
    private function look(): array
    {
        return $this->getJson("/api/sheets/{$this->sheet->id}")->assertOk()->json();
    }

    /** @return array<string, mixed> */
    private function takeUp(): array
    {
        return $this->postJson("/api/sheets/{$this->sheet->id}/swap", [
            'id' => (string) Str::uuid7(), 'version' => $this->look()['version'],
        ])->assertOk()->json();
    }

    private function countReps(SheetBlock $block, int $reps): void
    {
        $taps = array_map(fn (int $i): array => $this->tap($block, $i), range(1, $reps));
        $this->postJson("/api/sheets/{$block->sheet_id}/events", ['events' => $taps])->assertOk()->assertJsonCount($reps, 'kept');
    }
}
