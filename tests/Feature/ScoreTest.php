<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Sessions\Sheet;
use Database\Factories\PlacementFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class ScoreTest extends TestCase
{
    public function test_scores_are_kept_once_and_held_against_the_athletes_own_past(): void
    {
        $this->actingAs($this->coach());
        $yuna = $this->athlete('Yuna');
        $add = fn (string $kind, array $seen, ?float $goal = null, ?string $id = null): TestResponse => $this->postJson(
            "/api/athletes/{$yuna->id}/scores",
            [
                'id' => $id ?? (string) Str::uuid7(),
                'kind' => $kind,
                'name' => 'Evening',
                'goal' => $goal,
                'ladder' => null,
                'counted' => false,
                'skill' => 'float-serve',
                'seen' => $seen,
            ],
        );
        $zones = fn (int $hits): array => [
            'points_each' => 5,
            'zones' => array_chunk(array_map(fn (int $i): bool => $i < $hits, range(0, 19)), 5),
        ];
        $id = (string) Str::uuid7();
        $add('target_round', $zones(12), 75, $id)->assertOk();
        $add('target_round', $zones(12), 75, $id)->assertOk()->assertJsonCount(1, 'series.0.scores');
        $view = $add('target_round', $zones(16), 75)->assertOk();
        $this->assertSame(
            ['80 points', '80 points', '75 points', true],
            [
                $view->json('series.0.best'),
                $view->json('series.0.last'),
                $view->json('series.0.goal'),
                $view->json('series.0.goal_reached'),
            ],
        );
        $this->assertSame([60, 80], $view->json('series.0.trend'));

        $add('clear_targets', ['throws' => 9, 'targets' => 3])->assertOk();
        $view = $add('clear_targets', ['throws' => 12, 'targets' => 3])->assertOk();
        $cleared = collect($view->json('series'))->firstWhere('kind', 'clear_targets');
        $this->assertSame(['9 throws', '12 throws', true], [$cleared['best'], $cleared['last'], $cleared['less_is_better']]);

        $view = $add('grouping', ['points' => [[0.5, -0.2], [0.4, 0.1], [0.6, 0.0], [0.55, 0.2], [0.45, -0.1], [0.5, 0.0]]])->assertOk();
        $grouping = collect($view->json('series'))->firstWhere('kind', 'grouping');
        $this->assertStringContainsString('Tends right', $grouping['grouping']['sentence']);
        $this->assertCount(5, $grouping['grouping']['ellipses']);

        $add('clear_targets', ['throws' => 2, 'targets' => 3])->assertStatus(422)->assertJsonPath(
            'detail',
            '3 targets cannot be cleared with 2 throws.',
        );
        $add('target_round', ['zones' => []])->assertStatus(422);
        $add('serve_game', [])->assertStatus(422);
        // A score moves no gate.
        $gates = fn (): array => collect($this->getJson('/api/gates')->json('rows'))->firstWhere('athlete.given_name', 'Yuna')['gate'];
        $before = $gates();
        $add('target_round', $zones(20))->assertOk();
        $this->assertSame($before, $gates());
    }

    public function test_a_score_is_load_once_and_goes_with_the_score(): void
    {
        $this->actingAs($this->coach());
        $yuna = $this->athlete('Yuna');
        $today = $this->coach()->workspace->today()->iso();
        $reps = fn (): int => (int) DB::table('daily_totals')->where('athlete_id', $yuna->id)->where('day', $today)->sum('count_reps');
        $path = "/api/athletes/{$yuna->id}/scores";
        $round = fn (array $with): TestResponse => $this->postJson($path, [
            'id' => (string) Str::uuid7(), 'kind' => 'serve_game', 'name' => 'Game', 'goal' => null,
            'ladder' => 'volleyball-float-serve', 'counted' => false,
            // Two first serves in, one second in, one double fault: six serves.
            'seen' => ['points' => [[true, null], [true, null], [false, true], [false, false]]], ...$with,
        ]);
        $before = $reps();
        $id = (string) Str::uuid7();
        $round(['id' => $id])->assertOk()->assertJsonPath('series.0.scores.0.load_reps', 6);
        $round(['id' => $id])->assertOk();
        $this->assertSame($before + 6, $reps(), 'Sent twice, load once.');
        $sheet = $this->sheetOf('Yuna');
        $this->assertSame($sheet->id, DB::table('work_sets')->where('client_id', $id)->value('session'), 'Of the session of the day.');

        // What is tapped afterwards leaves it as it is; what was tapped before is not counted once more.
        $block = $this->judgedBlock($sheet);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 1), $this->tap($block, 2)]])->assertOk();
        $this->assertSame($before + 8, $reps());
        $this->getJson($path)->assertJsonPath('ladders.0.tapped_today', 2);
        $round(['counted' => true])->assertOk()->assertJsonPath('series.0.scores.0.load_reps', 0);
        $this->assertSame($before + 8, $reps());

        $round(['ladder' => null])->assertStatus(422)->assertJsonStructure(['errors' => ['skill']]);
        $round(['ladder' => null, 'skill' => 'javelin'])->assertOk();
        $this->assertSame($before + 14, $reps());
        $this->assertNull(DB::table('work_sets')->where('skill', 'javelin')->where('source', 'score')->value('effort'), 'Not known: full.');

        $this->postJson("{$path}/{$id}/withdraw")->assertStatus(422)->assertJsonStructure(['errors' => ['reason']]);
        $this->assertSame($before + 14, $reps());
        $why = ['reason' => 'It was Mira’s round'];
        $this->postJson("{$path}/{$id}/withdraw", $why)->assertOk();
        $this->postJson("{$path}/{$id}/withdraw", $why)->assertOk();
        $this->assertSame($before + 8, $reps());
        // It gives room: Today says so for a week, with the reason, once.
        $today = fn (): array => $this->getJson('/api/today')->assertOk()->json('corrected');
        $this->assertCount(1, $today());
        $this->assertStringContainsString('a score taken back: 6 → 0 repetitions.', $today()[0]['sentence']);
        $this->assertSame([null, 'It was Mira’s round'], [$today()[0]['sheet_id'], $today()[0]['reason']]);
        $this->assertSame(1, DB::table('activity_log')->where('description', 'score taken back')->count());
        $this->postJson("{$path}/".Str::uuid7().'/withdraw', $why)->assertNotFound();
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_where_the_outcome_must_be_ignored_it_is_neither_scored_nor_shown(): void
    {
        $this->actingAs($this->coach());
        $kaito = $this->athlete('Kaito');
        $serve = 'volleyball-float-serve';
        $path = "/api/athletes/{$kaito->id}/scores";
        $row = fn (?string $ladder): array => [
            'id' => (string) Str::uuid7(),
            'kind' => 'in_a_row',
            'name' => 'Evening',
            'goal' => null,
            'ladder' => $ladder,
            'counted' => true,
            'seen' => ['attempts' => [true, true, false]],
        ];
        $this->getJson($path)->assertJsonPath('ladders.0.ignored_on', 'Half motion to the wall');
        $this->postJson($path, $row($serve))->assertStatus(422)->assertJsonPath('title', 'Not scored yet');
        $this->postJson($path, $row('javelin-throw'))->assertStatus(422)->assertJsonPath('title', 'Not on this ladder');
        $this->postJson($path, $row(null))->assertOk()->assertJsonCount(1, 'series');
        // Where it counts, it is scored; after a step back it is put away until it counts again.
        $stand = fn (string $rung) => PlacementFactory::new()->create([
            'athlete_id' => $kaito->id,
            'ladder' => $serve,
            'rung' => $rung,
            'entered_on' => now()->toDateString(),
            'entered_at' => now()->toIso8601String(),
        ]);
        $stand('thirds');
        $this->postJson($path, $row($serve))
            ->assertOk()
            ->assertJsonPath('ladders.0.ignored_on', null)
            ->assertJsonCount(2, 'series')
            ->assertJsonPath('hidden', 0);
        $this->travel(1)->minutes();
        $stand('line');
        $this->getJson($path)->assertJsonCount(1, 'series')->assertJsonPath('hidden', 1);
    }

    public function test_the_squad_is_sorted_by_what_a_look_would_decide_and_the_library_reads_for_both_hands(): void
    {
        $this->actingAs($this->coach());
        $rows = collect($this->getJson('/api/gates')->assertOk()->json('rows'));
        $group = fn (string $name): string => $rows->firstWhere('athlete.given_name', $name)['group'];
        $this->assertSame(['ready', 'ready', 'watch', 'rest', 'return'], array_map($group, ['Mira', 'Tomas', 'Ilse', 'Sofie', 'Luca']));
        $watched = $rows->where('group', 'watch')->map(fn (array $row): float => $row['opens'] + $row['steps_back'])->values()->all();
        $sorted = $watched;
        rsort($sorted);
        $this->assertSame($sorted, $watched);
        $this->assertSame(range(0, count($rows) - 1), $rows->keys()->all());

        $this->assertGreaterThanOrEqual(20, count($this->getJson('/api/library')->assertOk()->json()));
        $page = fn (string $hand): string => (string) $this->getJson("/api/library/overhand-throw?hand={$hand}")->assertOk()->getContent();
        $this->assertStringContainsString('Left foot steps to the target', $page('right'));
        $this->assertStringContainsString('Right foot steps to the target', $page('left'));
        $this->getJson('/api/library/no-such')->assertNotFound();
    }

    public function test_a_round_on_the_block_is_a_score_made_of_its_taps_and_no_load_of_its_own(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Yuna');
        $pack = $this->getJson("/api/sheets/{$sheet->id}/courtside")->json();
        $played = collect($pack['blocks'])->last(fn (array $block): bool => $block['game'] !== null);
        $this->assertSame('volleyball', $played['game']['court']['id']);
        $this->assertNull(collect($pack['blocks'])->firstWhere('warm_up', true)['game'], 'a warm-up is not scored');
        $block = $sheet->blocks()->findOrFail($played['id']);
        $begin = $this->tap($block, 1, [
            'kind' => 'round', 'verdict' => null, 'note' => 'target_round zones=1 balls=4 points=5 on=volleyball:whole goal=15',
        ]);
        // In the middle, into the net, three metres long, near the right line: two of four are in.
        $round = [$begin];
        foreach (['0 0', 'net', '0 7.5', '4.4 1'] as $i => $note) {
            $round[] = $rep = $this->tap($block, 10 + $i, ['verdict' => 'unobserved']);
            $round[] = $this->tap($block, 20 + $i, ['kind' => 'landed', 'verdict' => null, 'target_id' => $rep['id'], 'note' => $note]);
        }
        $this->send($sheet, array_slice($round, 0, 5))->assertOk();
        $scores = fn (): array => $this->getJson("/api/athletes/{$sheet->athlete_id}/scores")->json('series');
        $this->assertSame([], $scores(), 'two of four balls are no round yet');
        $this->send($sheet, $round)->assertOk();
        $this->send($sheet, $round)->assertOk();
        $this->assertSame(['10 points', '15 points', 1], [$scores()[0]['last'], $scores()[0]['goal'], count($scores()[0]['scores'])]);
        $this->assertSame('target_round zones=1 balls=4 points=5 on=volleyball:whole', $scores()[0]['setup']);
        $this->assertSame(0, $scores()[0]['scores'][0]['load_reps'], 'its throws are load by their taps');
        $this->assertSame(4, (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'));
        $game = $this->getJson("/api/sheets/{$sheet->id}/courtside")->json('games.0');
        $this->assertSame(['10 points', 15, []], [$game['best'], $game['goal'], $game['mates']]);
        $after = $this->getJson("/api/sheets/{$sheet->id}/after")->json('rounds.0');
        $this->assertSame(['The whole court', '10 points', '15 points'], [$after['box'], $after['best'], $after['goal']]);
        // One is taken back: three balls are no round, and the score goes with it.
        $back = $this->tap($block, 40, ['kind' => 'withdraw', 'verdict' => null, 'target_id' => $round[1]['id']]);
        $this->send($sheet, [$back])->assertOk();
        $this->assertSame([], $scores());
    }

    public function test_a_round_that_cannot_be_read_keeps_nothing_else_back_and_one_taken_back_stays_so(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Dario');
        $block = $sheet->blocks()->where('kind', 'target')->firstOrFail();
        $round = fn (int $seq, ?string $note): array => $this->tap($block, $seq, ['kind' => 'round', 'verdict' => null, 'note' => $note]);
        $sent = [$round(1, 'in_a_row'), $round(2, 'target_round zones=99 balls=1 points=1'), $round(3, null), $round(4, 'none')];
        $refused = $this->send($sheet, $sent)->assertOk()->json('refused');
        $this->assertSame([$sent[1]['id'], $sent[2]['id']], array_keys($refused));
        $this->assertStringContainsString('“zones” of a round lies between 1 and 12', $refused[$sent[1]['id']]);

        $run = [$round(10, 'in_a_row')];
        foreach (['hit', 'hit', 'long', 'hit'] as $i => $note) {
            $run[] = $rep = $this->tap($block, 11 + $i, ['verdict' => 'unobserved']);
            $run[] = $this->tap($block, 20 + $i, ['kind' => 'landed', 'verdict' => null, 'target_id' => $rep['id'], 'note' => $note]);
        }
        $this->send($sheet, $run)->assertOk();
        $view = $this->getJson("/api/athletes/{$sheet->athlete_id}/scores");
        $this->assertSame('2 in a row', $view->json('series.0.last'));
        $id = $view->json('series.0.scores.0.id');
        $this->postJson("/api/athletes/{$sheet->athlete_id}/scores/{$id}/withdraw", ['reason' => 'wrong athlete'])->assertOk();
        $this->send($sheet, [$this->tap($block, 50)])->assertOk();
        $after = $this->getJson("/api/athletes/{$sheet->athlete_id}/scores")->json('series');
        $this->assertSame([], $after, 'made anew, it stays taken back');
    }

    public function test_squad_mates_see_each_others_best_where_both_sides_show_theirs(): void
    {
        $this->actingAs($this->coach());
        $play = function (string $name, int $hits): void {
            $sheet = $this->sheetOf($name);
            $block = $sheet->blocks()->whereIn('kind', ['target', 'whole'])->orderByDesc('position')->firstOrFail();
            $taps = [$this->tap($block, 1, ['kind' => 'round', 'verdict' => null, 'note' => 'in_a_row'])];
            foreach (range(1, $hits) as $i) {
                $taps[] = $rep = $this->tap($block, 1 + $i, ['verdict' => 'unobserved']);
                $taps[] = $this->tap($block, 30 + $i, ['kind' => 'landed', 'verdict' => null, 'target_id' => $rep['id'], 'note' => 'hit']);
            }
            $this->send($sheet, $taps)->assertOk();
        };
        $play('Yuna', 3);
        $play('Dario', 5);
        $seen = fn (): array => $this->getJson("/api/sheets/{$this->sheetOf('Yuna')->id}/courtside")->json('games.0.mates');
        $this->assertSame([], $seen());
        $this->show('Dario', true);
        $this->assertSame([], $seen(), 'who does not show theirs sees nobody’s');
        $this->show('Yuna', true);
        $this->assertSame(['Dario 5 in a row'], $seen());
        $this->show('Dario', false);
        $this->assertSame([], $seen(), 'taken back');
    }

    public function test_the_serve_window_counts_on_from_what_was_scored_on_its_box(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Yuna');
        $block = $sheet->blocks()->where('kind', 'target')->firstOrFail();
        $taps = [$this->tap($block, 1, ['kind' => 'round', 'verdict' => null, 'note' => 'in_a_row on=volleyball:whole'])];
        foreach (['0 0', '1 1', '0 5', 'net', '-5 0', '5 0', '5 1'] as $i => $note) {
            $taps[] = $rep = $this->tap($block, 2 + $i, ['verdict' => 'unobserved']);
            $taps[] = $this->tap($block, 30 + $i, ['kind' => 'landed', 'verdict' => null, 'target_id' => $rep['id'], 'note' => $note]);
        }
        $this->send($sheet, $taps)->assertOk();
        $asked = fn (string $with = ''): array => $this->getJson(
            "/api/athletes/{$sheet->athlete_id}/serve-window?court=volleyball&box=whole{$with}",
        )->assertOk()->json('asked');
        $ways = ['in', 'net', 'long', 'right', 'left'];
        $this->assertSame([2, 1, 1, 2, 1], array_map(fn (string $way): int => $asked()[$way], $ways));
        $this->assertSame($sheet->day()->iso(), $asked()['scored_since']);
        $this->assertSame([3, 1, 1, 2, 1], array_map(fn (string $way): int => $asked('&in=3')[$way], $ways), 'counted on by hand');
        $this->assertNull($this->getJson(
            "/api/athletes/{$sheet->athlete_id}/serve-window?court=volleyball&box=deep",
        )->assertOk()->json('asked.scored_since'), 'nothing was aimed there');
    }

    /** Said on the athlete's own page. */
    private function show(string $name, bool $shown): void
    {
        $token = $this->postJson("/api/athletes/{$this->athlete($name)->id}/links", ['label' => 'own phone'])->json('token');
        $this->withHeader('X-Link-Token', $token)
            ->putJson('/api/link/shows-scores', ['shown' => $shown])
            ->assertOk()
            ->assertJsonPath('shows_scores', $shown);
    }

    /** @param  list<array<string, mixed>>  $events */
    private function send(Sheet $sheet, array $events): TestResponse
    {
        return $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events]);
    }
}
