<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gates\Decision;
use App\People\Role;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A session ends for all of them once, and those who stay on their rung are decided together. */
#[Group('once')]
final class SquadAfterTest extends TestCase
{
    private string $session;

    /** @var list<Sheet> */
    private array $sheets = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        foreach (['Mira', 'Yuna', 'Dario', 'Kaito', 'Luca'] as $name) {
            $sheet = $this->sheetOf($name);
            $block = $sheet->blocks()->where('reps', '>', 0)->where('judged', true)->firstOrFail();
            $taps = array_map(fn (int $i): array => $this->tap($block, $i, [
                'verdict' => $i % 2 === 0 ? 'good' : 'not_good', 'fault' => null,
            ]), range(1, 4));
            $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $taps])->assertOk();
            $this->sheets[$name] = $sheet->refresh();
        }
        $this->session = $this->sheets['Mira']->training_session_id;
    }

    public function test_it_ends_for_all_who_were_counted_and_for_some_otherwise(): void
    {
        $before = $this->after();
        $this->assertSame(5, $before['open']);
        $this->assertCount(5, $before['rows']);
        $in = TrainingSession::query()->findOrFail($this->session)->sheets()->count();
        $this->assertCount($in - 5, $before['not_counted']);
        $given = [
            'minutes' => 70, 'session_rpe' => 6,
            'differs' => [['sheet_id' => $this->sheets['Yuna']->id, 'minutes' => 40, 'session_rpe' => null]],
        ];
        $this->postJson("/api/sessions/{$this->session}/finish", $given)->assertNoContent();
        $now = fn (string $name): array => array_values($this->sheets[$name]->refresh()->only(['state', 'minutes', 'session_rpe']));
        $this->assertSame(['finished', 70, 6], $now('Mira'));
        $this->assertSame(['finished', 40, null], $now('Yuna'));
        // Sent again, and with other numbers: whoever is finished keeps theirs, but for those named again.
        $this->postJson("/api/sessions/{$this->session}/finish", [
            ...$given, 'minutes' => 5, 'differs' => [['sheet_id' => $this->sheets['Yuna']->id, 'minutes' => 45, 'session_rpe' => 3]],
        ])->assertNoContent();
        $this->assertSame([['finished', 70, 6], ['finished', 45, 3]], [$now('Mira'), $now('Yuna')]);
        $this->assertSame(0, $this->after()['open']);
        $planned = Sheet::query()->where('training_session_id', $this->session)->where('state', 'planned')->count();
        $this->assertSame($in - 5, $planned, 'who was not counted is not finished');
        $this->postJson("/api/sessions/{$this->session}/finish", [...$given, 'minutes' => 0])->assertStatus(422)
            ->assertJsonPath('errors.minutes', fn (array $of): bool => $of !== []);
    }

    public function test_those_who_stay_on_their_rung_are_decided_together_and_nobody_else(): void
    {
        $rows = collect($this->after()['rows'])->keyBy('athlete.given_name');
        $this->assertSame('return', $rows['Luca']['group']);
        $this->assertFalse($rows['Luca']['together']);
        $all = $rows->map(fn (array $row): array => [
            'id' => (string) Str::uuid7(), 'athlete_id' => $row['athlete']['id'], 'revision' => $row['revision'],
        ]);
        $together = $rows->where('together', true);
        $this->assertGreaterThan(1, $together->count());
        $first = (string) $together->keys()->first();
        // Something of the first one arrives after the page was drawn.
        $this->postJson("/api/athletes/{$rows[$first]['athlete']['id']}/reports", [
            'reports' => [$this->report('none', null, 'muscle', 0, 'after')],
        ])->assertSuccessful();
        $answer = $this->postJson("/api/sessions/{$this->session}/decisions", ['decisions' => $all->values()->all()])->assertOk()->json();
        $this->assertSame($together->count() - 1, $answer['kept']);
        $this->assertEqualsCanonicalizing(
            [...$rows->where('together', false)->keys()->all(), $first],
            $answer['changed'],
            'advance, step back, a way back and what changed meanwhile are looked at one by one',
        );
        $this->assertSame($answer['kept'], Decision::query()->whereIn('id', $all->pluck('id'))->where('action', 'repeat')->count());
        $again = $this->postJson("/api/sessions/{$this->session}/decisions", ['decisions' => $all->values()->all()])->assertOk()->json();
        $this->assertSame($answer['kept'], $again['kept'], 'sent twice, decided once');
        $this->assertSame($answer['kept'], Decision::query()->whereIn('id', $all->pluck('id'))->count());
        foreach ($this->after()['rows'] as $row) {
            $name = $row['athlete']['given_name'];
            $this->assertSame(in_array($name, $answer['changed'], true) ? null : 'repeat', $row['decided'], $name);
        }
    }

    public function test_the_fault_that_several_had_is_said_once_with_its_cue_and_those_who_had_it_most_first(): void
    {
        $this->assertNull($this->after()['shared'], 'no fault was named yet');
        $faults = fn (string $name): array => array_column(
            $this->getJson("/api/sheets/{$this->sheets[$name]->id}/courtside")->assertOk()->json('faults'), null, 'name',
        );
        $both = array_values(array_intersect(array_keys($faults('Mira')), array_keys($faults('Yuna'))))[0];
        foreach (['Mira' => 2, 'Yuna' => 3] as $name => $times) {
            $block = $this->judgedBlock($this->sheets[$name]);
            $taps = array_map(fn (int $i): array => $this->tap($block, 10 + $i, [
                'verdict' => 'not_good', 'fault' => $faults($name)[$both]['id'],
            ]), range(1, $times));
            $this->postJson("/api/sheets/{$this->sheets[$name]->id}/events", ['events' => $taps])->assertOk();
        }
        $shared = $this->after()['shared'];
        $this->assertSame([$both, ['Yuna', 'Mira'], 5], [$shared['name'], $shared['who'], $shared['times']]);
        $this->assertContains($shared['cue'], [$faults('Mira')[$both]['cue'], $faults('Yuna')[$both]['cue']]);
        $this->assertNotSame('', $shared['drill']);
    }

    public function test_what_is_counted_is_not_entered_again_from_paper(): void
    {
        $paper = fn () => collect($this->getJson("/api/sessions/{$this->session}/paper")->assertOk()->json())->keyBy('athlete.given_name');
        $rows = $paper();
        $this->assertTrue($rows['Mira']['counted']);
        $name = (string) $rows->filter(fn (array $row): bool => ! $row['counted'] && $row['blocks'] !== [])->keys()->first();
        $row = $rows[$name];
        $this->assertNotContains(0, array_column($row['blocks'], 'planned'));
        $given = [
            'id' => (string) Str::uuid7(), 'reason' => 'Paper', 'minutes' => null, 'session_rpe' => null,
            'blocks' => array_map(fn (array $block): array => ['id' => $block['id'], 'reps' => $block['planned']], $row['blocks']),
        ];
        $done = fn (): int => (int) DB::table('work_sets')->where('session', $row['sheet_id'])->sum('reps');
        foreach ([$given, $given, [...$given, 'id' => (string) Str::uuid7()]] as $sent) {
            $this->postJson("/api/sheets/{$row['sheet_id']}/counts", $sent)->assertNoContent();
            $this->assertSame(array_sum(array_column($row['blocks'], 'planned')), $done(), 'entered twice it is there once');
        }
        $this->assertTrue($paper()[$name]['counted']);
        $after = $this->getJson("/api/sheets/{$row['sheet_id']}/after")->assertOk()->json();
        $this->assertSame([0, 'Paper'], [$after['observed'], $after['corrections'][0]['reason']], 'load, and no evidence');
        $this->actingAs($this->person(Role::Assistant))->getJson("/api/sessions/{$this->session}/paper")->assertForbidden();
    }

    public function test_what_was_ticked_as_judged_is_evidence_and_what_nobody_judges_has_no_good_ones(): void
    {
        $rows = collect($this->getJson("/api/sessions/{$this->session}/paper")->assertOk()->json());
        $row = $rows->first(fn (array $each): bool => ! $each['counted'] && in_array(true, array_column($each['blocks'], 'judged'), true));
        $send = fn (array $blocks): TestResponse => $this->postJson("/api/sheets/{$row['sheet_id']}/counts", [
            'id' => (string) Str::uuid7(), 'reason' => 'Paper', 'minutes' => null, 'session_rpe' => null, 'blocks' => $blocks,
        ]);
        $ticked = fn (bool $judged): array => collect($row['blocks'])->where('judged', $judged)
            ->map(fn (array $block): array => ['id' => $block['id'], 'reps' => 6, 'good' => 4])->values()->all();
        $send([['id' => $row['blocks'][0]['id'], 'reps' => 3, 'good' => 4]])->assertUnprocessable();
        $send($ticked(false))->assertUnprocessable()
            ->assertJsonPath('detail', fn (string $why): bool => str_contains($why, 'is not judged'));
        $send($ticked(true))->assertNoContent();
        $after = $this->getJson("/api/sheets/{$row['sheet_id']}/after")->assertOk()->json();
        $judged = count($ticked(true));
        $this->assertSame([6 * $judged, 'Paper'], [$after['observed'], $after['corrections'][0]['reason']]);
        $send([['id' => $ticked(true)[0]['id'], 'reps' => 8, 'good' => 8]])->assertUnprocessable();
    }

    public function test_who_came_is_a_list_with_the_sessions_before(): void
    {
        $this->postJson("/api/sessions/{$this->session}/finish", [
            'minutes' => 70, 'session_rpe' => null,
            'differs' => [['sheet_id' => $this->sheets['Yuna']->id, 'minutes' => 40, 'session_rpe' => null]],
        ])->assertNoContent();
        $attendance = $this->after()['attendance'];
        $this->assertSame($this->session, $attendance['sessions'][count($attendance['sessions']) - 1]['session_id']);
        $days = array_column($attendance['sessions'], 'day');
        $this->assertSame($days, array_values(collect($days)->sort()->all()), 'the earliest first');
        $rows = $attendance['rows'];
        $mark = fn (string $name): ?string => collect($rows)->firstWhere('athlete.given_name', $name)['marks'][count($days) - 1];
        $this->assertSame(['came', 'left_early'], [$mark('Mira'), $mark('Yuna')]);
        foreach ($rows as $row) {
            $this->assertCount(count($days), $row['marks']);
            $there = array_filter($row['marks'], fn (?string $each): bool => in_array($each, ['came', 'late', 'left_early'], true));
            $this->assertSame(count($there), $row['there']);
            $this->assertLessThanOrEqual($row['of'], $row['there']);
        }
        $this->assertContains('not_counted', array_map(fn (array $row): ?string => $row['marks'][count($days) - 1], $rows));
    }

    public function test_the_coach_decides_and_whoever_runs_it_finishes(): void
    {
        $this->actingAs($this->person(Role::Assistant));
        $this->assertFalse($this->after()['decides']);
        $this->postJson("/api/sessions/{$this->session}/finish", ['minutes' => 60, 'session_rpe' => null, 'differs' => []])
            ->assertNoContent();
        $one = ['id' => (string) Str::uuid7(), 'athlete_id' => $this->sheets['Yuna']->athlete_id, 'revision' => 1];
        $this->postJson("/api/sessions/{$this->session}/decisions", ['decisions' => [$one]])->assertForbidden();
        $this->actingAs($this->person(Role::Guardian));
        $this->getJson("/api/sessions/{$this->session}/after")->assertForbidden();
    }

    /** @return array<string, mixed> */
    private function after(): array
    {
        return $this->getJson("/api/sessions/{$this->session}/after")->assertOk()->json();
    }
}
