<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gates\Decision;
use App\Gates\Placement;
use App\People\Role;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Database\Factories\PlacementFactory;
use Database\Factories\SheetFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class SeeingTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
    }

    public function test_a_verdict_follows_from_the_checkpoints_and_not_seen_is_no_pass(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $asked = array_column($this->getJson("/api/sheets/{$sheet->id}/courtside")->json('checkpoints'), 'id');
        $all = fn (string $word): array => array_fill_keys($asked, $word);
        $taps = [
            // The device says good; one checkpoint was not seen.
            $this->tap($block, 1, ['seen' => array_slice($all('right'), 1)]),
            $this->tap($block, 2, ['verdict' => 'unobserved', 'seen' => $all('right')]),
            $this->tap($block, 3, ['seen' => [$asked[0] => 'wrong'] + $all('right')]),
            $this->tap($block, 4),
            $this->tap($block, 5, ['verdict' => 'not_good', 'fault' => $this->faultOf($sheet, $asked[1])]),
        ];
        $taps[] = $this->tap(
            $block,
            6,
            ['kind' => 'correct', 'target_id' => $taps[3]['id'], 'verdict' => 'good', 'seen' => [$asked[0] => 'wrong']],
        );
        $this->send($sheet, $taps)->assertOk()->assertJsonCount(6, 'kept');
        $strip = DB::table('rep_strips')->where('sheet_id', $sheet->id)->first();
        $this->assertSame('ugbbb', strtolower($strip->marks));
        $counts = json_decode($strip->checkpoints, true);
        $this->assertSame(
            [1, 3],
            $counts[$asked[0]],
            'right in the second; wrong in the third and the corrected fourth; not seen in the first and fifth',
        );
        $this->assertSame([3, 4], $counts[$asked[1]], 'a named fault is a checkpoint seen wrong');
        $this->send($sheet, [$this->tap($block, 7, ['seen' => [$asked[0] => 'perhaps']])])
            ->assertOk()
            ->assertJsonCount(0, 'kept')
            ->assertJsonCount(1, 'refused');
    }

    public function test_the_dose_can_be_moved_courtside_as_far_as_the_limits_and_the_word_go(): void
    {
        foreach (['Mira', 'Yuna', 'Luca', 'Tomas'] as $name) {
            $sheet = $this->sheetOf($name);
            $pack = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json();
            foreach ($pack['blocks'] as $block) {
                [$planned] = $block['doses'];
                $this->assertSame([$block['effort'], $block['distance_m']], [$planned['effort'], $planned['distance_m']]);
                foreach ($block['doses'] as $dose) {
                    $this->assertLessThanOrEqual($name === 'Yuna' ? 0.75 : 1.0, $dose['effort'], "{$name}: the word caps the effort");
                    $sheet->return_stage === null || $this->assertTrue(
                        $dose['effort'] <= $planned['effort'] && $dose['distance_m'] <= $planned['distance_m'],
                        "{$name}: a stage goes no further than it says",
                    );
                }
                // Harder work costs more of every limit it touches.
                $arm = fn (array $dose): float => array_sum(
                    array_column(
                        array_filter(
                            $dose['costs'],
                            fn (array $cost): bool => $cost['side'] === 'dominant' && str_starts_with($cost['limit_id'], 'arm-day'),
                        ),
                        'per_rep',
                    ),
                );
                $sorted = collect($block['doses'])->where('distance_m', $block['distance_m'])->sortBy('effort')->values()->map($arm)->all();
                $this->assertSame(collect($sorted)->sort()->values()->all(), $sorted);
            }
        }
        $this->postJson('/api/me/pace', ['pace_m' => 9])->assertStatus(422);
        $this->postJson('/api/me/pace', ['pace_m' => 1.0])->assertNoContent();
        $whole = collect(
            $this->getJson("/api/sheets/{$this->sheetOf('Mira')->id}/courtside")->assertJsonPath('pace_m', 1)->json('blocks'),
        )->firstWhere('judged', true);
        $this->assertContains($whole['distance_m'] - 2.0, array_map(floatval(...), array_column($whole['doses'], 'distance_m')));
        // What is tapped at another dose is kept, and costs, at that dose.
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $this->send($sheet, [$this->tap($block, 1, ['effort' => 0.4]), $this->tap($block, 2)])->assertOk();
        $this->assertEqualsCanonicalizing(
            [0.4, (float) $block->effort],
            DB::table('work_sets')->where('session', $sheet->id)->pluck('effort')->map(fn ($effort): float => (float) $effort)->all(),
        );
    }

    public function test_how_a_set_felt_is_told_beside_what_was_asked(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $this->send(
            $sheet,
            [
                $this->tap($block, 1),
                $this->tap($block, 2, ['kind' => 'felt', 'verdict' => null, 'effort' => 0.5]),
                $this->tap($block, 3, ['kind' => 'felt', 'verdict' => null, 'effort' => 0.9]),
            ],
        )->assertOk()->assertJsonCount(3, 'kept');
        $this->assertSame(1, (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'), 'felt is no repetition');
        $felt = $this->getJson("/api/sheets/{$sheet->id}/after")->json('felt');
        $this->assertSame(["{$block->title}, set 1: asked ".round(100 * $block->effort).' %, felt 90 %.'], $felt);
    }

    public function test_where_they_landed_becomes_a_grouping_of_the_repetitions_that_stand(): void
    {
        $sheet = $this->sheetOf('Yuna');
        $block = $this->judgedBlock($sheet);
        $reps = array_map(fn (int $i): array => $this->tap($block, $i), range(1, 4));
        $places = array_map(
            fn (int $i): array => $this->tap(
                $block,
                10 + $i,
                [
                    'kind' => 'landed',
                    'verdict' => null,
                    'target_id' => $reps[$i]['id'],
                    'note' => [0 => '1 0', 1 => '1.2 0.1', 2 => '0.8 -0.1', 3 => '-9 9'][$i],
                ],
            ),
            range(0, 3),
        );
        $this->send(
            $sheet,
            [...$reps, ...$places, $this->tap($block, 30, ['kind' => 'withdraw', 'verdict' => null, 'target_id' => $reps[3]['id']])],
        )->assertOk()->assertJsonCount(9, 'kept');
        $grouping = $this->getJson("/api/sheets/{$sheet->id}/after")->json('grouping');
        $this->assertSame(['1 0', '1.2 0.1', '0.8 -0.1'], $grouping['points']);
        $this->assertEqualsWithDelta(1.0, $grouping['across_m'], 1e-9);
        $this->send(
            $sheet,
            [$this->tap($block, 40, ['kind' => 'landed', 'verdict' => null, 'target_id' => $reps[0]['id'], 'note' => 'over there'])],
        )->assertOk()->assertJsonCount(1, 'refused');
    }

    public function test_two_devices_that_differ_are_shown_and_nothing_is_dropped(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $mine = array_map(fn (int $i): array => $this->tap($block, $i), range(1, 4));
        $this->send($sheet, $mine);
        $this->assertSame([], $this->getJson("/api/sheets/{$sheet->id}/after")->json('conflicts'));
        $other = '7c9e6679-7425-40de-944b-e07fc1f90ae7';
        $this->send($sheet, [$this->tap($block, 10, ['kind' => 'correct', 'target_id' => $mine[3]['id'], 'verdict' => 'not_good'])]);
        $this->assertSame([], $this->getJson("/api/sheets/{$sheet->id}/after")->json('conflicts'), 'one word is no conflict');
        $this->actingAs($this->person(Role::Assistant));
        $this->send(
            $sheet,
            [$this->tap($block, 12, ['kind' => 'withdraw', 'target_id' => $mine[3]['id'], 'verdict' => null, 'device' => $other])],
        );
        // One after the other, a set each, is no conflict; side by side in one set is.
        $this->send($sheet, [$this->tap($block, 5, ['set_no' => 2, 'device' => $other]), $this->tap($block, 6, ['set_no' => 3])]);
        $this->send($sheet, [$this->tap($block, 2, ['device' => $other]), $this->tap($block, 3, ['device' => $other])]);
        $conflicts = $this->getJson("/api/sheets/{$sheet->id}/courtside")->json('conflicts');
        $this->assertCount(2, $conflicts);
        $this->assertStringContainsString('two words', $conflicts[0]);
        $this->assertStringContainsString($this->coach()->name, $conflicts[0]);
        $this->assertStringContainsString('3 by ', $conflicts[1]);
        $this->assertSame($conflicts, $this->getJson("/api/sheets/{$sheet->id}/after")->json('conflicts'));
        $this->assertSame(
            7,
            (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'),
            'all count until somebody undoes them',
        );
    }

    public function test_a_second_pair_of_eyes_counts_nothing_and_tells_whether_both_see_the_same(): void
    {
        $sheet = $this->sheetOf('Tomas');
        $block = $this->judgedBlock($sheet);
        $fault = $this->faultOf($sheet, null);
        $this->send(
            $sheet,
            array_map(
                fn (int $i): array => $this->tap($block, $i, $i % 4 === 0 ? ['verdict' => 'not_good', 'fault' => $fault] : []),
                range(1, 12),
            ),
        );
        $before = [
            DB::table('work_sets')->where('session', $sheet->id)->sum('reps'),
            DB::table('rep_strips')->where('sheet_id', $sheet->id)->value('marks'),
        ];
        $this->actingAs($this->person(Role::Assistant));
        $along = fn (int $n): array => array_map(
            fn (int $i): array => $this->tap(
                $block,
                $i,
                [
                    'kind' => 'second',
                    'device' => '7c9e6679-7425-40de-944b-e07fc1f90ae7',
                    'verdict' => $i % 2 === 0 ? 'not_good' : 'good',
                    'fault' => $i % 2 === 0 ? $fault : null,
                ],
            ),
            range(1, $n),
        );
        $eleven = $along(11);
        $this->send($sheet, $eleven)->assertJsonCount(11, 'kept');
        $this->assertSame(
            $before,
            [
                DB::table('work_sets')->where('session', $sheet->id)->sum('reps'),
                DB::table('rep_strips')->where('sheet_id', $sheet->id)->value('marks'),
            ],
        );
        $this->actingAs($this->coach());
        $ladder = fn (): array => $this->getJson("/api/athletes/{$sheet->athlete_id}")->json('ladders.0');
        $this->assertNull($ladder()['agreement'], 'eleven against twelve: which is which cannot be known');
        $this->actingAs($this->person(Role::Assistant));
        $this->send(
            $sheet,
            [
                $this->tap(
                    $block,
                    12,
                    ['kind' => 'second', 'device' => '7c9e6679-7425-40de-944b-e07fc1f90ae7', 'verdict' => 'not_good', 'fault' => $fault],
                ),
            ],
        );
        $this->actingAs($this->coach());
        $this->assertStringContainsString('Two people judged 9 of 12 repetitions alike.', $ladder()['agreement']);
        $row = collect($this->getJson('/api/gates')->json('agreements'))->first();
        $this->assertSame('Anneke Duarte and Felix Moreau', $row['who']);
        $this->assertGreaterThan(12, $row['both'], 'with what the two judged before');
    }

    public function test_match_ready_is_said_after_varied_practice_on_two_days_a_week_apart(): void
    {
        $mira = $this->athlete('Mira');
        $ladder = app(Library::class)->ladder('volleyball-float-serve');
        $ready = fn (): ?array => $this->getJson("/api/athletes/{$mira->id}")->json('ladders.0.match_ready');
        $this->assertNull($ready(), 'the outcome is not looked at on this rung');
        $this->decide($mira->id, 'line', 'match_ready')->assertStatus(422)->assertJsonPath('title', 'Not yet');
        PlacementFactory::new()->create([
            'athlete_id' => $mira->id,
            'ladder' => $ladder->id,
            'rung' => 'match',
            'entered_on' => '2020-01-01',
            'entered_at' => now()->toIso8601String(),
        ]);
        $this->assertSame(
            ['held' => 'pass', 'varied' => 'short', 'apart' => 'short'],
            array_slice(array_column($ready()['criteria'], 'verdict', 'name'), 0, 3),
        );
        $sheet = Sheet::query()->where('athlete_id', $mira->id)->where('state', 'finished')->firstOrFail();
        $varied = function (int $ago, string $marks) use ($mira, $sheet): void {
            $day = $this->coach()->workspace->today()->plus(-$ago);
            $at = SheetFactory::new()->create([
                ...collect($sheet->getAttributes())->except(['id', 'trims', 'pace', 'focus'])->all(),
                'trims' => [],
                'rung' => 'match',
                'held_on' => $day->iso(),
                'state' => 'finished',
            ]);
            DB::table('rep_strips')->insert([
                'sheet_id' => $at->id,
                'athlete_id' => $mira->id,
                'ladder' => 'volleyball-float-serve',
                'rung' => 'match',
                'day' => $day->iso(),
                'last_at' => "{$day->iso()}T18:00:00+00:00",
                'marks' => $marks,
                'varied' => $marks,
            ]);
        };
        $varied(9, 'ggggggbg');
        $varied(5, 'gggggggg');
        $this->decide($mira->id, 'match', 'match_ready')->assertStatus(422)->assertSee('two days a week apart', false);
        $varied(2, 'ggggggug');
        $this->assertTrue($ready()['open']);
        $this->assertNull($ready()['since']);
        $this->decide($mira->id, 'match', 'match_ready')->assertNoContent();
        $decision = Decision::query()->where('action', 'match_ready')->firstOrFail();
        $this->assertCount(6, $decision->evidence['match']['criteria']);
        $this->assertStringContainsString('Anneke', (string) $ready()['since']);
        $this->assertNotNull(collect($this->getJson('/api/gates')->json('rows'))->firstWhere('athlete.id', $mira->id)['match_ready']);
        // A step back takes it back.
        $this->travel(1)->minutes();
        $this->decide($mira->id, 'match', 'pause')->assertNoContent();
        $this->assertNull($ready()['since']);
    }

    public function test_nobody_on_the_way_back_is_match_ready(): void
    {
        $luca = $this->athlete('Luca');
        PlacementFactory::new()->create([
            'athlete_id' => $luca->id,
            'ladder' => 'volleyball-float-serve',
            'rung' => 'match',
            'entered_on' => '2020-01-01',
            'entered_at' => now()->toIso8601String(),
        ]);
        $criteria = array_column($this->getJson("/api/athletes/{$luca->id}")->json('ladders.0.match_ready.criteria'), 'verdict', 'name');
        $this->assertSame('fail', $criteria['clearance']);
        $this->decide($luca->id, 'match', 'match_ready')->assertStatus(422)->assertSee('clearance', false);
    }

    public function test_soreness_that_grew_while_working_stands_in_the_summary(): void
    {
        $sheet = $this->sheetOf('Yuna');
        $report = fn (string $side, int $score, string $moment) => $this->postJson(
            "/api/athletes/{$sheet->athlete_id}/reports",
            ['reports' => [$this->report('shoulder', $side, 'muscle', $score, $moment)]],
        )->assertNoContent();
        $grew = fn (): array => $this->getJson("/api/sheets/{$sheet->id}/after")->json('grew');
        $report('right', 4, 'during');
        $this->assertSame([], $grew(), 'four in the morning, four now');
        $report('left', 1, 'during');
        $this->assertSame(['Left shoulder, muscle ache 1, while working'], $grew());
        $this->assertContains(
            ['site' => 'shoulder', 'side' => 'left', 'kind' => 'muscle', 'score' => 1],
            $this->getJson("/api/sheets/{$sheet->id}/courtside")->json('reported'),
        );
    }

    public function test_a_newcomers_rung_is_found_ten_judged_repetitions_at_a_time(): void
    {
        $ravi = $this->athlete('Ravi');
        $rungs = array_map(fn (Rung $rung): string => $rung->id, app(Library::class)->ladder('overhand-throw')->rungs);
        $stands = fn (): string => (string) Placement::standing()
            ->where('athlete_id', $ravi->id)
            ->where('ladder', 'overhand-throw')
            ->orderByDesc('entered_at')
            ->orderByDesc('id')
            ->value('rung');
        $on = fn (): TestResponse => $this->postJson("/api/athletes/{$ravi->id}/placing/overhand-throw/on");
        $sheet = $this->postJson("/api/athletes/{$ravi->id}/placing/overhand-throw/start")->assertOk()->json('sheet_id');
        $this->postJson("/api/athletes/{$ravi->id}/placing/overhand-throw/start")->assertStatus(409);
        $this->look($sheet, 9, 9);
        $on()->assertStatus(422)->assertJsonPath('title', 'Not enough seen');
        $this->look($sheet, 1, 0);
        $this->getJson("/api/sheets/{$sheet}/after")->assertJsonPath('placing.next', 'look');
        $second = $on()->assertOk()->json('sheet_id');
        $this->assertNotSame($sheet, $second);
        $this->assertSame($rungs[1], $stands());
        $this->look($second, 10, 10);
        $third = $on()->assertOk()->json('sheet_id');
        $this->look($third, 4, 1);
        $this->getJson("/api/sheets/{$third}/after")->assertJsonPath('placing.next', 'place');
        $on()->assertOk()->assertJsonPath('sheet_id', null);
        $this->assertSame($rungs[1], $stands(), 'the last with eight of ten');
        $on()->assertStatus(422)->assertJsonPath('title', 'Nobody is being placed');
        // What was seen while looking is no evidence for the gate: that begins now.
        $ladder = collect($this->getJson("/api/athletes/{$ravi->id}")->json('ladders'))->firstWhere('id', 'overhand-throw');
        $this->assertSame([0, null], [$ladder['gate']['observed'], $ladder['placing']]);
    }

    public function test_progress_sets_first_looks_against_the_latest_by_checkpoint(): void
    {
        $pia = $this->athlete('Pia');
        $ladder = $this->getJson("/api/athletes/{$pia->id}")->json('ladders.0');
        $this->assertNotSame([], $ladder['progress']['rows']);
        foreach ($ladder['progress']['rows'] as $row) {
            $this->assertGreaterThan(0, $row['first_seen']);
            $this->assertLessThanOrEqual($row['latest_seen'] ?? 0, $row['latest_right'] ?? 0);
        }
        // Worse, then much better, in sessions of their own.
        DB::table('rep_strips')->where('athlete_id', $pia->id)->delete();
        foreach ([[60, 3, 12], [40, 6, 12], [3, 12, 12]] as [$ago, $right, $seen]) {
            $sheet = Sheet::query()
                ->where('athlete_id', $pia->id)
                ->where('state', 'finished')
                ->skip((int) DB::table('rep_strips')->where('athlete_id', $pia->id)->count())
                ->firstOrFail();
            $day = $this->coach()->workspace->today()->plus(-$ago)->iso();
            DB::table('rep_strips')->insert([
                'sheet_id' => $sheet->id,
                'athlete_id' => $pia->id,
                'ladder' => 'javelin-throw',
                'rung' => 'kneel',
                'day' => $day,
                'last_at' => "{$day}T18:00:00+00:00",
                'marks' => '',
                'checkpoints' => json_encode(['elbow' => [$right, $seen]], JSON_THROW_ON_ERROR),
            ]);
        }
        $rows = $this->getJson("/api/athletes/{$pia->id}")->json('ladders.0.progress.rows');
        $this->assertCount(1, $rows);
        $this->assertSame(
            ['better', 3, 12, 12, 12],
            [$rows[0]['says'], $rows[0]['first_right'], $rows[0]['first_seen'], $rows[0]['latest_right'], $rows[0]['latest_seen']],
        );
    }

    public function test_a_match_is_counted_against_what_the_limits_leave_today(): void
    {
        $tomas = $this->athlete('Tomas');
        $this->getJson("/api/athletes/{$this->athlete('Luca')->id}/match")
            ->assertOk()
            ->assertJsonPath('skills.0.blocked', 'On the way back: its stages decide when a match is due.');
        foreach (['Yuna' => 'reduced', 'Jonah' => 'not checked in', 'Noor' => 'none', 'Sofie' => 'refer'] as $name => $word) {
            $why = $this->getJson("/api/athletes/{$this->athlete($name)->id}/match")->assertOk()->json('skills.0.blocked');
            $this->assertStringContainsString('Not today: a match asks for everything', (string) $why, "{$name}: {$word}");
        }
        $pack = $this->getJson("/api/athletes/{$tomas->id}/match")->assertOk()->assertJsonPath('effort', 0.95)->json();
        [$skill] = $pack['skills'];
        $left = fn (array $pack): int => (int) min(array_map(function (array $cost) use ($pack): float {
            return floor((collect($pack['bounds'])->firstWhere('limit_id', $cost['limit_id'])['remaining'] + 1e-9) / $cost['per_rep']);
        }, array_filter($pack['skills'][0]['costs'], fn (array $cost): bool => $cost['per_rep'] > 0)));
        $before = $left($pack);
        $this->assertGreaterThan(3, $before);
        $this->postJson(
            "/api/athletes/{$tomas->id}/logged-work",
            [
                'id' => (string) Str::uuid7(),
                'day' => $pack['date'],
                'source' => 'match',
                'skill' => $skill['id'],
                'reps' => 3,
                'felt' => 'hard',
                'distance_m' => null,
                'side' => 'dominant',
            ],
        )->assertNoContent();
        $after = $this->getJson("/api/athletes/{$tomas->id}/match")->assertJsonCount(1, 'logged')->json();
        $this->assertSame($before - 3, $left($after), 'a repetition costs what the pack said');
    }

    /** @param  list<array<string, mixed>>  $events */
    private function send(Sheet $sheet, array $events): TestResponse
    {
        return $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events]);
    }

    private function look(string $sheetId, int $reps, int $good): void
    {
        $this->travel(1)->minutes();
        $sheet = Sheet::query()->findOrFail($sheetId);
        $block = $sheet->blocks()->where('judged', true)->firstOrFail();
        assert($block instanceof SheetBlock);
        $this->send(
            $sheet,
            array_map(fn (int $i): array => $this->tap($block, $i, $i <= $good ? [] : ['verdict' => 'not_good']), range(1, $reps)),
        )->assertOk()->assertJsonCount($reps, 'kept');
    }

    /** A fault of the sheet's rung that cannot hurt, of one checkpoint or of any. */
    private function faultOf(Sheet $sheet, ?string $checkpoint): string
    {
        foreach (app(Library::class)->ladder($sheet->ladder)->rung($sheet->rung)->faults ?? [] as $fault) {
            if (! $fault->safety && ($checkpoint === null || $fault->checkpoint === $checkpoint)) {
                return $fault->id;
            }
        }

        return 'none';
    }

    private function decide(string $athlete, string $rung, string $action): TestResponse
    {
        return $this->postJson(
            "/api/athletes/{$athlete}/decisions",
            ['id' => (string) Str::uuid7(), 'ladder' => 'volleyball-float-serve', 'rung' => $rung, 'action' => $action, 'reason' => null],
        );
    }
}
