<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\Intake;
use App\People\Role;
use App\Sessions\FitTheDay;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\UsualWeek;
use Augendo\Core\Load\WorkSet;
use Carbon\Carbon;
use Database\Factories\AthleteFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class IntakeTest extends TestCase
{
    private const EMPTY = [
        'sports' => null,
        'past_injuries' => null,
        'emergency_contact' => null,
        'emergency_plan' => null,
        'usual_work' => null,
        'usual_week_signed_by' => null,
        'usual_week_on' => null,
        'consent_record_by' => null,
        'consent_record_on' => null,
    ];

    public function test_whom_to_call_is_taken_along_courtside_and_a_stale_intake_is_refused(): void
    {
        $mira = $this->athlete('Mira');
        $save = fn (int $version, array $with) => $this->actingAs($this->coach())->putJson(
            "/api/athletes/{$mira->id}/intake",
            ['version' => $version, ...self::EMPTY, ...$with],
        );
        $save(
            1,
            ['emergency_contact' => 'Aunt, 555 0199', 'emergency_plan' => 'Inhaler in the red bag'],
        )->assertOk()->assertJsonPath('version', 2);
        $save(1, ['emergency_contact' => 'other'])->assertStatus(409)->assertJsonPath('version', 2);
        $this->assertStringContainsString(
            "Aunt, 555 0199\nInhaler in the red bag",
            $this->getJson("/api/sheets/{$this->sheetOf('Mira')->id}/courtside")->json('emergency'),
        );
        $save(
            2,
            ['usual_work' => [['skill' => 'float-serve', 'reps' => 100, 'felt' => 'hard']]],
        )->assertStatus(422)->assertJsonStructure(['errors' => ['usual_week_signed_by']]);
        $save(2, ['consent_record_by' => 'A parent', 'consent_record_on' => '2099-01-01'])->assertStatus(422);
    }

    public function test_a_usual_week_is_said_in_repetitions_and_enters_as_four_weeks_before_the_record(): void
    {
        $squad = $this->smallSquad();
        $new = AthleteFactory::new()->create(['workspace_id' => $squad->workspace_id, 'birth_date' => '2009-01-01']);
        $squad->athletes()->attach($new->id, ['position' => 1]);
        $today = $this->coach()->workspace->today();
        $declared = fn (): array => array_map(floatval(...), (array) DB::table('work_sets')
            ->where('athlete_id', $new->id)
            ->where('source', 'declared')
            ->selectRaw('coalesce(sum(arm), 0) as arm, coalesce(sum(landings), 0) as landings, count(distinct day) as days')
            ->first());
        $said = [['skill' => 'overhand-throw', 'reps' => 60, 'felt' => 'hard'], ['skill' => 'jump', 'reps' => 30, 'felt' => 'easy']];
        $view = $this->declare($new, 0, $said)->assertOk()->json();
        $this->assertSame($said, $view['usual_work']);
        $skills = app(Library::class)->skills();
        $price = new SetCost(new AthleteProfile(Day::of('2009-01-01')));
        $week = UsualWeek::ofWork([
            WorkSet::ordinarily($today, '', $skills['overhand-throw'], 60, 0.95), WorkSet::ordinarily($today, '', $skills['jump'], 30, 0.4),
        ], $price);
        $this->assertEqualsWithDelta(4 * 0.8 * $week['arm'], $declared()['arm'], 1e-9);
        $this->assertEqualsWithDelta(4 * 0.8 * $week['landings'], $declared()['landings'], 1e-9);
        $this->assertStringContainsString(Wording::number($week['arm']).' arm units', $view['usual_week']);
        $before = $declared();
        $this->declare($new, 1, null)->assertOk();
        $this->assertSame($before, $declared(), 'not said anew, it stays');
        $until = fn (): string => substr((string) DB::table('work_sets')->where('athlete_id', $new->id)->max('day'), 0, 10);
        $now = Carbon::now();
        Carbon::setTestNow($now->copy()->addDays(40));
        $revision = DB::table('athletes')->where('id', $new->id)->value('revision');
        FitTheDay::dispatchSync($squad->workspace_id);
        $this->declare($new, 2, null)->assertOk();
        $this->assertSame([$today->plus(-1)->iso(), $before], [$until(), $declared()], 'nothing done for weeks is nothing done');
        $this->assertLessThanOrEqual($revision + 1, DB::table('athletes')->where('id', $new->id)->value('revision'));
        Carbon::setTestNow($now);

        // However much somebody says, half of what the starter allows a week is the most that counts.
        $this->declare($new, 3, [['skill' => 'pitch', 'reps' => 3000, 'felt' => null]])->assertOk();
        $this->postJson("/api/athletes/{$new->id}/intake/usual-week/confirm")->assertOk();
        $most = UsualWeek::mostDeclared(app(Library::class)->ruleSet('starter')->limits, $new->ageOn($today), Measure::Arm);
        $this->assertEqualsWithDelta(4 * $most, $declared()['arm'], 1e-9);

        // After two weeks the record speaks: little was done, and no more than that counts of the weeks before it.
        $first = $today->plus(-14);
        $this->postJson("/api/athletes/{$new->id}/logged-work", [
            'id' => (string) Str::uuid7(), 'day' => $first->iso(), 'source' => 'here', 'skill' => 'overhand-throw', 'reps' => 10,
            'felt' => 'hard', 'distance_m' => null, 'side' => 'dominant',
        ])->assertNoContent();
        app(Intake::class)->declareAgain($new, $first->plus(13));
        $this->assertEqualsWithDelta(4 * $most, $declared()['arm'], 1e-9);
        FitTheDay::dispatchSync($squad->workspace_id);
        $done = (float) DB::table('work_sets')->where('athlete_id', $new->id)->where('source', 'here')->sum('arm');
        $this->assertEqualsWithDelta(4 * $done / 2, $declared()['arm'], 1e-9);
        $this->assertSame(28.0, $declared()['days']);
        $this->declare($new, 4, [])->assertOk()->assertJsonPath('usual_week', null);
        $this->assertSame(0.0, $declared()['days']);
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_a_usual_week_far_off_what_was_declared_before_counts_once_somebody_says_that_it_is_right(): void
    {
        $squad = $this->smallSquad();
        $new = AthleteFactory::new()->create(['workspace_id' => $squad->workspace_id, 'birth_date' => '2005-01-01']);
        $squad->athletes()->attach($new->id, ['position' => 1]);
        $serves = fn (int $reps): array => [['skill' => 'float-serve', 'reps' => $reps, 'felt' => 'middling']];
        $counted = fn (): float => (float) DB::table('work_sets')->where('athlete_id', $new->id)->where('source', 'declared')->sum('arm');
        $this->declare($new, 0, $serves(40))->assertOk()->assertJsonPath('usual_week_doubt', null);
        $small = $counted();
        $doubt = $this->declare($new, 1, $serves(80))->assertOk()->json('usual_week_doubt');
        $this->assertStringContainsString('the smaller counts', $doubt);
        $this->assertEqualsWithDelta($small, $counted(), 1e-9);
        // Saved again for another reason, it is still asked about.
        $this->assertSame($doubt, $this->declare($new, 2, null)->json('usual_week_doubt'));
        $confirm = "/api/athletes/{$new->id}/intake/usual-week/confirm";
        $this->actingAs($this->person(Role::Assistant))->postJson($confirm)->assertStatus(403);
        $this->actingAs($this->coach())->postJson($confirm)->assertOk()->assertJsonPath('usual_week_doubt', null);
        $this->assertEqualsWithDelta(2 * $small, $counted(), 1e-9);
        $this->postJson($confirm)->assertStatus(409);
    }

    /** @param  list<array<string, mixed>>|null  $work */
    private function declare(Athlete $athlete, int $version, ?array $work): TestResponse
    {
        return $this->actingAs($this->coach())->putJson("/api/athletes/{$athlete->id}/intake", [
            'version' => $version, ...self::EMPTY, 'usual_work' => $work, 'usual_week_signed_by' => 'A parent',
            'usual_week_on' => '2026-09-01',
        ]);
    }

    public function test_growing_fast_makes_the_limits_tighter_at_once(): void
    {
        $ilse = $this->athlete('Ilse');
        $max = fn (): float => collect(
            $this->actingAs($this->coach())->getJson("/api/athletes/{$ilse->id}")->json('tapes'),
        )->firstWhere('label', 'Arm load, seven days')['max'];
        $before = $max();
        $today = $this->coach()->workspace->today();
        $this->postJson(
            "/api/athletes/{$ilse->id}/heights",
            ['id' => (string) Str::uuid7(), 'measured_on' => $today->iso(), 'height_cm' => 160],
        )->assertOk()->assertJsonPath('growing_fast', true);
        $this->assertEqualsWithDelta(0.8 * $before, $max(), 1e-9);
        $this->postJson(
            "/api/athletes/{$ilse->id}/heights",
            ['id' => (string) Str::uuid7(), 'measured_on' => $today->iso(), 'height_cm' => 16],
        )->assertStatus(422);
        $this->assertTrue(collect($this->getJson('/api/today')->json('rows'))->isNotEmpty());
    }

    public function test_only_a_clinician_sets_a_known_condition_and_it_counts_as_reduced(): void
    {
        $noor = $this->athlete('Noor');
        $condition = [
            'id' => (string) Str::uuid7(),
            'site' => 'knee',
            'side' => 'left',
            'kind' => 'joint',
            'up_to_score' => 3,
            'until_day' => $this->coach()->workspace->today()->plus(60)->iso(),
            'note' => null,
        ];
        $this->actingAs($this->coach())->postJson("/api/athletes/{$noor->id}/conditions", $condition)->assertForbidden();
        $this->assertSame('none', $this->getJson("/api/athletes/{$noor->id}")->json('word'));
        $this->actingAs($this->person(Role::Clinician))
            ->postJson("/api/athletes/{$noor->id}/conditions", ['up_to_score' => 8] + $condition)
            ->assertStatus(422);
        $this->postJson("/api/athletes/{$noor->id}/conditions", $condition)->assertOk();
        $this->assertSame('reduced', $this->getJson("/api/athletes/{$noor->id}")->json('word'));
    }

    public function test_an_answer_on_the_wrong_name_can_be_taken_back_but_a_referral_cannot(): void
    {
        $jonah = $this->athlete('Jonah');
        $send = fn (array $report) => $this
            ->actingAs($this->coach())
            ->postJson("/api/athletes/{$jonah->id}/reports", ['reports' => [$report]])
            ->assertNoContent();
        $send($report = $this->report('none', null, 'muscle', 0));
        $this->assertSame($report['id'], $this->row('Jonah')['report_id']);
        $this->actingAs($this->person(Role::Assistant))->postJson("/api/reports/{$report['id']}/withdraw")->assertStatus(422);
        $this->actingAs($this->coach())->postJson("/api/reports/{$report['id']}/withdraw")->assertNoContent();
        $this->assertSame(['unknown', null], [$this->row('Jonah')['word'], $this->row('Jonah')['answered_at']]);
        $send($numb = $this->report('hand', 'left', 'numb', 2));
        $this->postJson("/api/reports/{$numb['id']}/withdraw")->assertStatus(422)->assertJsonPath('title', 'It stays');
        $send($late = $this->report('none', null, 'muscle', 0));
        $this->travel(16)->minutes();
        $this->postJson("/api/reports/{$late['id']}/withdraw")->assertStatus(422)->assertJsonPath('title', 'Too late to take back');
    }

    public function test_a_persons_data_is_given_whole_and_erased_with_the_totals_kept_honest(): void
    {
        $noor = $this->athlete('Noor');
        $total = fn (): float => (float) DB::table('daily_totals')->sum('landings');
        $before = $total();
        $data = $this->actingAs($this->person(Role::Guardian))->getJson("/api/athletes/{$noor->id}/export")->assertOk()->json();
        $this->assertSame('Haddad', $data['athlete']['family_name']);
        foreach (['soreness_reports', 'sheets', 'rep_events', 'work_sets', 'placements', 'heights', 'intakes'] as $table) {
            $this->assertNotSame([], $data[$table], $table);
        }
        $this->actingAs($this->coach())
            ->postJson("/api/athletes/{$noor->id}/erase", ['name' => 'Noor'])
            ->assertStatus(422)
            ->assertJsonPath('title', 'Nothing was erased');
        $sheets = DB::table('sheets')->where('athlete_id', $noor->id)->pluck('id');
        $this->assertGreaterThan(0, DB::table('rep_events')->whereIn('sheet_id', $sheets)->update(['note' => 'Noor said so']));
        $this->postJson("/api/athletes/{$noor->id}/erase", ['name' => 'Noor Haddad'])->assertNoContent();
        $this->assertSame(0, DB::table('rep_events')->whereIn('sheet_id', $sheets)->whereNotNull('note')->count());
        $this->getJson("/api/athletes/{$noor->id}")->assertNotFound();
        $this->assertEqualsWithDelta($before, $total(), 1e-9);
        foreach (['soreness_reports', 'decisions', 'placements', 'heights', 'intakes', 'links', 'wellness'] as $table) {
            $this->assertSame(0, DB::table($table)->where('athlete_id', $noor->id)->count(), $table);
        }
        foreach (DB::table('athletes')->where('id', $noor->id)->first() as $column => $value) {
            $this->assertStringNotContainsString('Noor', (string) $value, $column);
        }
        $this->assertContains('data erased', collect($this->getJson('/api/people')->json('audit'))->pluck('what')->all());
    }

    public function test_signing_out_everywhere_else_leaves_this_place(): void
    {
        $coach = $this->coach();
        DB::table('sessions')->insert([
            'id' => 'phone',
            'user_id' => $coach->id,
            'user_agent' => 'Mozilla/5.0 (Android 14) Firefox/130.0',
            'payload' => '',
            'last_activity' => time(),
        ]);
        $places = $this->actingAs($coach)->getJson('/api/me/places')->assertOk()->json();
        $this->assertContains('Firefox on Android', array_column($places, 'browser'));
        $this->assertNotContains('phone', array_column($places, 'id'), 'The id of a session opens it, so it is never shown.');
        $this->postJson('/api/me/places/end-others')->assertOk();
        $this->assertDatabaseMissing('sessions', ['id' => 'phone']);
    }

    /** @return array<string, mixed> */
    private function row(string $name): array
    {
        return collect($this->actingAs($this->coach())->getJson('/api/roll-call')->json('rows'))->firstWhere('athlete.given_name', $name);
    }
}
