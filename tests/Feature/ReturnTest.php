<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Returns\PlayReturn;
use App\Sessions\Sheet;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class ReturnTest extends TestCase
{
    public function test_the_board_says_what_is_awaited_from_whom(): void
    {
        $board = collect($this->actingAs($this->coach())->getJson('/api/returns')->assertOk()->json())->keyBy('athlete.given_name');
        $this->assertSame(
            ['repeat', 'the session', 'coach', 3],
            [$board['Luca']['action'], $board['Luca']['awaited'], $board['Luca']['awaited_from'], $board['Luca']['stage']],
        );
        $this->assertSame(
            ['clear', 'clearance', 'clinician', 6],
            [$board['Henrike']['action'], $board['Henrike']['awaited'], $board['Henrike']['awaited_from'], $board['Henrike']['stage']],
        );
    }

    public function test_nobody_passes_a_missing_clearance_and_a_measurement_still_asked_for(): void
    {
        $return = $this->returnOf('Henrike');
        $this->actingAs($this->coach());
        foreach (['advance', 'start', 'done', 'clear'] as $action) {
            $this->act($return, 'accept', ['action' => $action, 'stage' => 5])->assertStatus($action === 'clear' ? 422 : 409);
        }
        $this->act(
            $return,
            'clearances',
            ['through_stage' => null, 'clinician_name' => '', 'clinician_role' => 'x', 'document_date' => $this->today()],
        )->assertStatus(422);
        $this->act(
            $return,
            'clearances',
            ['through_stage' => 99, 'clinician_name' => 'Dr. A', 'clinician_role' => 'x', 'document_date' => $this->today()],
        )
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['through_stage']]);
        $this->actingAs($this->person(Role::Clinician));
        $this->act(
            $return,
            'clearances',
            [
                'through_stage' => null,
                'clinician_name' => 'Somebody Else',
                'clinician_role' => 'Sports physician',
                'document_date' => $this->today(),
            ],
        )->assertOk()->assertJsonPath('ref.action', 'start');
        $this->assertStringContainsString('Dr. Samira Lund', $this->getJson("/api/returns/{$return->id}")->json('clearances.0'));
    }

    public function test_the_stage_takes_the_place_of_the_ladder_and_its_session_becomes_an_attempt(): void
    {
        $luca = $this->athlete('Luca');
        $sheet = $this->sheetOf('Luca');
        $this->assertSame([2, 'Full motion, easy'], [$sheet->return_stage, $this->judgedBlock($sheet)->title]);
        $this->assertSame(0.45, round((float) $this->judgedBlock($sheet)->effort, 4));
        $this->actingAs($this->coach());
        $this->trained($sheet, 20);
        $view = $this->getJson("/api/returns/{$sheet->return_id}")->assertOk()->json();
        $this->assertSame('wait', $view['ref']['action']);
        $this->assertStringContainsString('completed', $view['attempts'][0]['sentence']);
        $this->assertSame(
            0,
            DB::table('rep_strips')->where('athlete_id', $luca->id)->where('rung', 'line')->where('day', $this->today())->count(),
            'The stage is no evidence for the ladder.',
        );

        $this->travel(1)->days();
        $this->postJson(
            "/api/athletes/{$luca->id}/reports",
            ['reports' => [$this->report('shoulder', 'right', 'muscle', 1, 'morning')]],
        )->assertNoContent();
        $this->getJson("/api/returns/{$sheet->return_id}")->assertJsonPath('ref.action', 'advance')->assertJsonPath('action_stage', 3);
        $return = $this->returnOf('Luca');
        $this->act($return, 'accept', ['action' => 'advance', 'stage' => 4])->assertStatus(409);
        $this->act($return, 'accept', ['action' => 'advance', 'stage' => 3])->assertOk()->assertJsonPath('ref.stage', 4);
        $this->assertNotNull(
            Sheet::query()->where('athlete_id', $luca->id)->where('return_stage', 3)->first(),
            'What is planned ahead follows the stage.',
        );
    }

    public function test_who_did_not_check_in_moves_no_stage(): void
    {
        $sheet = $this->sheetOf('Luca');
        DB::table('soreness_reports')->where('athlete_id', $sheet->athlete_id)->where('day', $this->today())->delete();
        $this->actingAs($this->coach());
        $before = $this->returnOf('Luca')->attempts()->count();
        $this->trained($sheet, 20);
        $this->assertSame($before, $this->returnOf('Luca')->attempts()->count());
    }

    public function test_pain_at_work_stops_the_return_until_a_clearance_dated_after_it(): void
    {
        $sheet = $this->sheetOf('Luca');
        $this->actingAs($this->coach());
        $this->trained(
            $sheet,
            6,
            fn () => $this->postJson(
                "/api/athletes/{$sheet->athlete_id}/reports",
                ['reports' => [$this->report('shoulder', 'right', 'sharp', 5, 'during')]],
            )->assertNoContent(),
        );
        $return = $this->returnOf('Luca');
        $this->getJson("/api/returns/{$return->id}")->assertJsonPath('ref.action', 'stop');
        $clear = fn () => $this->act(
            $return,
            'clearances',
            [
                'through_stage' => null,
                'clinician_name' => 'Dr. Odile Ferrand',
                'clinician_role' => 'Sports physician',
                'document_date' => $this->today(),
            ],
        );
        $clear()->assertOk()->assertJsonPath('ref.action', 'stop');
        $this->travel(1)->days();
        $clear()->assertOk()->assertJsonPath('ref.action', 'step_back');
    }

    public function test_arriving_reduced_means_the_stage_before_unscaled_and_none_means_wait(): void
    {
        $sheet = $this->sheetOf('Luca');
        $this->actingAs($this->coach());
        $this->postJson(
            "/api/athletes/{$sheet->athlete_id}/reports",
            ['reports' => [$this->report('shoulder', 'right', 'muscle', 3)]],
        )->assertNoContent();
        $this->assertSame([1, 16], [$sheet->refresh()->return_stage, (int) $this->judgedBlock($sheet)->reps]);
        $this->postJson(
            "/api/athletes/{$sheet->athlete_id}/reports",
            ['reports' => [$this->report('shoulder', 'right', 'muscle', 6)]],
        )->assertNoContent();
        $this->assertNull($sheet->refresh()->return_stage);
        $this->assertStringContainsString('the word is None', implode(' ', $this->getJson("/api/sheets/{$sheet->id}")->json('trims')));
        // The other shoulder is not the returning one.
        $this->postJson(
            "/api/athletes/{$this->athlete('Henrike')->id}/reports",
            ['reports' => [$this->report('none', null, 'muscle', 0)]],
        )->assertNoContent();
    }

    public function test_a_missed_morning_may_be_entered_for_forty_eight_hours(): void
    {
        $return = $this->returnOf('Luca');
        $attempt = $return->attempts()->get()->last();
        $attempt->update(['morning_entered' => null]);
        DB::table('soreness_reports')->where('athlete_id', $return->athlete_id)->where('moment', 'morning')->delete();
        $this->actingAs($this->coach());
        $enter = fn (int $score): TestResponse => $this->postJson(
            "/api/returns/{$return->id}/attempts/{$attempt->id}/morning",
            ['score' => $score],
        );
        $this->getJson("/api/returns/{$return->id}")
            ->assertJsonPath('ref.action', 'wait')
            ->assertJsonPath('attempts.0.may_enter_morning', true);
        $enter(11)->assertStatus(422);
        $enter(1)->assertOk()->assertJsonPath('ref.action', 'repeat');
        $attempt->update(['morning_entered' => null]);
        $this->travel(3)->days();
        $enter(1)->assertStatus(422)->assertJsonPath('title', 'Too late');
    }

    public function test_opening_a_return_needs_the_right_programme(): void
    {
        $mira = $this->athlete('Mira');
        $this->actingAs($this->coach());
        $open = fn (array $with): TestResponse => $this->postJson(
            "/api/athletes/{$mira->id}/returns",
            [
                'id' => (string) Str::uuid7(),
                'programme' => 'serves-effort-first',
                'ladder' => 'volleyball-float-serve',
                'site' => 'shoulder',
                'side' => 'right',
                ...$with,
            ],
        );
        $open(['programme' => 'landings'])->assertStatus(422)->assertJsonPath('title', 'Another programme is needed');
        $open(['site' => 'head'])->assertStatus(422);
        $open([])->assertOk()->assertJsonPath('ref.action', 'clear');
        $open([])->assertStatus(409)->assertJsonPath('title', 'Already on the way back');
        $this->assertSame(
            0,
            (int) $this->sheetOf('Mira')->blocks()->sum('reps'),
            'Nothing that loads the shoulder is planned without a clearance.',
        );

    }

    public function test_the_weeks_after_a_return_stay_lighter(): void
    {
        $return = $this->returnOf('Luca');
        $return->update(['state' => 'done', 'ended_on' => $this->today()]);
        $tapes = collect($this->actingAs($this->coach())->getJson("/api/athletes/{$return->athlete_id}")->json('tapes'));
        $this->assertNotNull($after = $tapes->firstWhere('label', 'Week 1 after the return'));
        $this->assertTrue($after['hard']);
        $this->assertStringContainsString('Week 1 after the return', $this->getJson("/api/returns/{$return->id}")->json('after'));
    }

    public function test_a_session_of_its_own_is_planned_once_and_a_return_is_closed_with_a_reason(): void
    {
        $return = $this->returnOf('Luca');
        $this->actingAs($this->coach());
        $day = $this->coach()->workspace->today()->plus(2)->iso();
        $plan = fn (string $on): TestResponse => $this->act($return, 'sheets', ['day' => $on]);
        $first = $plan($day)->assertOk()->json('id');
        $this->assertSame($first, $plan($day)->json('id'));
        $plan('2020-01-01')->assertStatus(422);
        $this->act($return, 'close', ['reason' => 'short'])->assertStatus(422);
        $this->act($return, 'close', ['reason' => 'Moves away; the new club goes on with the printed programme.'])
            ->assertOk()
            ->assertJsonPath('ref.state', 'closed');
        $this->assertNull($this->sheetOf('Luca')->refresh()->return_id);
    }

    public function test_a_programme_is_edited_as_a_copy_with_versions_and_a_running_return_keeps_its_own(): void
    {
        $this->actingAs($this->coach());
        $shipped = collect($this->getJson('/api/programmes')->assertOk()->json())->firstWhere('id', 'serves-effort-first');
        $definition = $shipped['definition'];
        $definition['name'] = 'Serves, our way';
        $definition['stages'][0]['reps'] = 6;
        $save = fn (array $definition, int $version): TestResponse => $this->postJson(
            '/api/programmes',
            ['version' => $version, 'definition' => $definition],
        );
        $own = collect($save($definition, 0)->assertOk()->json())->firstWhere('own', true);
        $this->assertSame(['Serves, our way', 1, 6], [$own['name'], $own['version'], $own['definition']['stages'][0]['reps']]);

        $broken = $own['definition'];
        $broken['stages'][7]['reps'] = 40;
        $save($broken, 1)->assertStatus(422)->assertJsonPath(
            'errors./stages/7/reps.0',
            fn (string $said): bool => str_contains($said, 'under 40'),
        );
        $unsafe = $own['definition'];
        $unsafe['stages'][0]['needs_clearance'] = false;
        $save($unsafe, 1)->assertStatus(422);

        $this->postJson(
            "/api/athletes/{$this->athlete('Mira')->id}/returns",
            [
                'id' => (string) Str::uuid7(),
                'programme' => $own['id'],
                'ladder' => 'volleyball-float-serve',
                'site' => 'shoulder',
                'side' => 'right',
            ],
        )->assertOk();
        $later = $own['definition'];
        $later['stages'][0]['reps'] = 4;
        $save($later, 1)->assertOk();
        $save($later, 1)->assertStatus(409)->assertJsonPath('version', 2);
        $this->assertStringStartsWith('2 × 6', $this->getJson("/api/returns/{$this->returnOf('Mira')->id}")->json('stages.0.dose'));
    }

    /** @param  array<string, mixed>  $body */
    private function act(PlayReturn $return, string $path, array $body): TestResponse
    {
        return $this->postJson("/api/returns/{$return->id}/{$path}", ['id' => (string) Str::uuid7(), ...$body]);
    }

    private function returnOf(string $name): PlayReturn
    {
        return PlayReturn::query()->where('athlete_id', $this->athlete($name)->id)->latest('opened_on')->firstOrFail();
    }

    private function today(): string
    {
        return $this->coach()->workspace->today()->iso();
    }

    /** The judged block done with so many good repetitions, and the session finished. */
    private function trained(Sheet $sheet, int $reps, ?callable $meanwhile = null): void
    {
        $block = $this->judgedBlock($sheet->refresh());
        $this->postJson(
            "/api/sheets/{$sheet->id}/events",
            ['events' => array_map(fn (int $i): array => $this->tap($block, $i), range(0, $reps - 1))],
        )->assertOk()->assertJsonCount($reps, 'kept');
        $meanwhile === null || $meanwhile();
        $this->postJson("/api/sheets/{$sheet->id}/finish", ['minutes' => 30, 'session_rpe' => 3])->assertNoContent();
    }
}
