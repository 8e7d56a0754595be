<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Squad;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Limits\StepLimit;
use Carbon\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is not known counts as the worst it could be, what hurts holds whatever clock it was told by, and every screen shows one number. */
final class StrictestCaseTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
    }

    public function test_a_red_flag_told_from_a_clock_ahead_refers_at_once(): void
    {
        $ravi = $this->athlete('Ravi');
        $word = fn (): string => collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Ravi')['word'];
        $this->assertSame('full', $word());
        $ahead = ['at' => Carbon::now('+13:00')->subMinutes(5)->toIso8601String()];
        $this->postJson(
            "/api/athletes/{$ravi->id}/reports",
            ['reports' => [[...$this->report('head', null, 'head', 6), ...$ahead]]],
        )->assertNoContent();
        $this->assertSame('refer', $word());
        // One that does not refer holds today as well.
        $noor = $this->athlete('Mira');
        $this->postJson(
            "/api/athletes/{$noor->id}/reports",
            ['reports' => [[...$this->report('shoulder', 'right', 'sharp', 2), ...$ahead]]],
        )->assertNoContent();
        $this->assertSame('none', collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Mira')['word']);
    }

    public function test_three_sore_days_that_refer_do_so_until_the_place_is_reported_on_again(): void
    {
        $this->travelTo(Carbon::parse('2027-05-20 09:00', 'Europe/Lisbon'));
        $ravi = $this->athlete('Ravi');
        foreach (['2027-04-10', '2027-04-11', '2027-04-12'] as $day) {
            DB::table('soreness_reports')->insert([
                'id' => (string) Str::uuid7(),
                'athlete_id' => $ravi->id,
                'at' => "{$day}T08:00:00+01:00",
                'day' => $day,
                'moment' => 'morning',
                'site' => 'elbow',
                'side' => 'right',
                'kind' => 'joint',
                'score' => 4,
                'refers' => false,
                'reported_by' => $this->coach()->id,
                'received_at' => Carbon::now(),
            ]);
        }
        $day = fn (): AthleteDay => new AthleteDay($ravi, $this->coach()->workspace->today());
        $this->assertSame('refer', $day()->readiness->channels['arm']->value, 'five weeks later, with nothing said of the elbow since');
        $this->assertCount(1, $day()->readiness->openReferrals);
        $this->postJson("/api/athletes/{$ravi->id}/reports", ['reports' => [$this->report('elbow', 'right', 'joint', 0)]])
            ->assertNoContent();
        $this->assertSame('full', $day()->readiness->channels['arm']->value);
    }

    public function test_a_clearance_lowers_a_referral_and_nothing_else(): void
    {
        $this->travelTo(Carbon::parse('2027-05-20 09:00', 'Europe/Lisbon'));
        $yuna = $this->athlete('Yuna');
        $this->postJson(
            "/api/athletes/{$yuna->id}/reports",
            ['reports' => [$this->report('elbow', 'right', 'joint', 4), $this->report('wrist', 'right', 'skin', 0)]],
        )->assertNoContent();
        $this->travel(5)->minutes();
        $this->actingAs($this->person(Role::Clinician))->postJson(
            "/api/athletes/{$yuna->id}/clearances",
            [
                'id' => (string) Str::uuid7(),
                'sites' => null,
                'clinician_name' => 'x',
                'clinician_role' => 'physician',
                'document_date' => '2027-05-20',
                'note' => null,
            ],
        )->assertNoContent();
        $channels = (new AthleteDay($yuna, $this->coach()->workspace->today()))->readiness->channels;
        $this->assertSame(['none', 'full'], [$channels['arm']->value, $channels['hand']->value]);
    }

    public function test_who_is_not_checked_in_trains_no_harder_for_an_older_referral(): void
    {
        $jonah = $this->athlete('Jonah');
        $this->postJson("/api/athletes/{$jonah->id}/placements", ['ladder' => 'volleyball-float-serve', 'rung' => 'line'])->assertOk();
        DB::table('soreness_reports')->insert([
            'id' => (string) Str::uuid7(),
            'athlete_id' => $jonah->id,
            'at' => $this->coach()->workspace->today()->plus(-3)->iso().'T08:00:00+01:00',
            'day' => $this->coach()->workspace->today()->plus(-3)->iso(),
            'moment' => 'during',
            'site' => 'ankle',
            'side' => 'left',
            'kind' => 'swelling',
            'score' => 3,
            'refers' => true,
            'reported_by' => $this->coach()->id,
            'received_at' => Carbon::now(),
        ]);
        $squad = Squad::query()->firstOrFail();
        $this->postJson(
            "/api/squads/{$squad->id}/sessions",
            [
                'day' => $this->coach()->workspace->today()->iso(),
                'starts_at' => '19:00',
                'title' => 'Serves',
                'minutes' => null,
                'ladders' => ['volleyball-float-serve'],
            ],
        )->assertOk();
        $sheet = Sheet::query()
            ->where('athlete_id', $jonah->id)
            ->where('ladder', 'volleyball-float-serve')
            ->where('held_on', $this->coach()->workspace->today()->iso())
            ->firstOrFail();
        foreach ($sheet->blocks->where('reps', '>', 0) as $block) {
            $this->assertLessThanOrEqual(0.5, $block->effort, $block->title);
        }
        $plans = $sheet->blocks->map(
            fn ($block): array => [
                'id' => $block->id,
                'sets' => $block->sets,
                'reps' => $block->reps,
                'effort' => $block->judged ? 0.7 : $block->effort,
                'distance_m' => $block->distance_m,
            ],
        )->all();
        $this->putJson("/api/sheets/{$sheet->id}", ['version' => $sheet->version, 'blocks' => $plans])->assertStatus(422);
    }

    public function test_after_pitching_all_overhead_work_waits_and_after_other_hard_work_easy_rehearsal_stays(): void
    {
        $this->travelTo(Carbon::parse('2027-05-20 14:00', 'Europe/Lisbon'));
        $child = $this->newcomer('2014-01-10');
        $log = fn (string $day, string $skill, int $reps, string $felt) => $this->postJson(
            "/api/athletes/{$child->id}/logged-work",
            [
                'id' => (string) Str::uuid7(),
                'day' => $day,
                'at' => null,
                'source' => 'home',
                'skill' => $skill,
                'reps' => $reps,
                'felt' => $felt,
                'distance_m' => null,
                'side' => 'dominant',
            ],
        )->assertStatus(204);
        $left = fn (string $skill): array => collect(
            $this->getJson("/api/athletes/{$child->id}/headroom?skill={$skill}")->assertOk()->json('rows'),
        )->flatMap(fn (array $row): array => array_column($row['cells'], 'reps'))->all();
        $log('2027-05-19', 'pitch', 20, 'easy');
        $this->assertSame(
            [0],
            array_values(array_unique($left('overhand-throw'))),
            'twenty pitches yesterday, and nothing overhead today, however easy',
        );
        DB::table('work_sets')->where('athlete_id', $child->id)->delete();
        DB::table('daily_totals')->where('athlete_id', $child->id)->delete();
        $log('2027-05-19', 'overhand-throw', 45, 'hard');
        $reps = $left('overhand-throw');
        $this->assertContains(0, $reps, 'hard throws wait');
        $this->assertGreaterThan(0, max($reps), 'easy ones do not');
    }

    public function test_who_has_no_record_starts_from_the_strictest_step_and_the_dose_of_a_long_break(): void
    {
        $adult = $this->newcomer('1995-01-10');
        $day = new AthleteDay($adult, $this->coach()->workspace->today());
        $steps = array_filter(
            $day->limits->on($day->on, $day->load->record),
            fn ($limit): bool => $limit instanceof StepLimit
                && $limit->isHard()
                && $limit->measure?->value === 'arm'
                && $limit->appliesAt(32),
        );
        $this->assertNotSame([], $steps);
        foreach ($steps as $step) {
            $this->assertSame(60.0, $step->floor);
        }
        $this->postJson("/api/athletes/{$adult->id}/placements", ['ladder' => 'volleyball-float-serve', 'rung' => 'line'])->assertOk();
        $squad = $adult->squads()->firstOrFail();
        $this->postJson(
            "/api/squads/{$squad->id}/sessions",
            [
                'day' => $day->on->iso(),
                'starts_at' => '19:00',
                'title' => 'Serves',
                'minutes' => null,
                'ladders' => ['volleyball-float-serve'],
            ],
        )->assertOk();
        $this->postJson(
            "/api/athletes/{$adult->id}/reports",
            ['reports' => [$this->report('none', null, 'muscle', 0, 'morning')]],
        )->assertNoContent();
        $sheet = Sheet::query()->where('athlete_id', $adult->id)->firstOrFail();
        $judged = $this->judgedBlock($sheet);
        $this->assertLessThanOrEqual(0.6 * $judged->asked_sets * $judged->asked_reps, $judged->reps);
        $this->assertStringContainsString(
            'no such work on record yet',
            (string) json_encode($this->getJson("/api/sheets/{$sheet->id}")->json()),
        );
    }

    public function test_who_may_still_grow_and_was_not_measured_lately_counts_as_growing_fast(): void
    {
        $growing = fn (Athlete $athlete): bool => $this->getJson("/api/athletes/{$athlete->id}/intake")->assertOk()->json('growing_fast');
        $child = $this->newcomer($this->coach()->workspace->today()->plus(-13 * 366)->iso());
        $height = fn (int $daysAgo, float $cm) => $this->postJson(
            "/api/athletes/{$child->id}/heights",
            [
                'id' => (string) Str::uuid7(),
                'measured_on' => $this->coach()->workspace->today()->plus(-$daysAgo)->iso(),
                'height_cm' => $cm,
            ],
        )->assertOk();
        $this->assertTrue($growing($child));
        $height(210, 150.0);
        $height(5, 150.4);
        $this->assertTrue($growing($child), '205 days apart say nothing of now');
        $height(60, 150.3);
        $this->assertFalse($growing($child));
        $height(5, 150.2);
        $this->assertFalse($growing($child), 'two within four weeks say nothing more');
        $answer = $height(4, 168.0);
        $this->assertTrue($growing($child), 'one far off is asked about, and the faster growth counts');
        $doubted = collect($answer->json('heights'))->firstWhere('doubt', '!=', null);
        $this->assertStringContainsString('168', $doubted['text']);
        $this->postJson("/api/athletes/{$child->id}/heights/{$doubted['id']}/withdraw")->assertOk();
        $this->assertFalse($growing($child));
        $taken = collect($this->getJson("/api/athletes/{$child->id}/intake")->json('heights'))->firstWhere('id', $doubted['id']);
        $this->assertStringContainsString('Taken back by Anneke Duarte', $taken['withdrawn']);
        $this->assertFalse($growing($this->newcomer('1990-01-01')), 'who is grown up does not');
    }

    #[Group('once')]
    public function test_a_longest_throw_can_be_taken_back_and_lapses(): void
    {
        $tomas = $this->athlete('Tomas');
        $on = $this->coach()->workspace->today();
        $profile = fn () => (new AthleteDay($tomas, $on))->load->profile;
        $mark = fn (float $m, int $daysAgo) => $this->postJson(
            "/api/athletes/{$tomas->id}/marks",
            ['skill' => 'javelin', 'longest_throw_m' => $m, 'reference_speed_ms' => null, 'measured_on' => $on->plus(-$daysAgo)->iso()],
        )->assertOk();
        $this->assertSame(41.0, $profile()->longestThrowM['javelin']);
        $answer = $mark(410.0 / 4, 0);
        $this->assertSame(41.0, $profile()->longestThrowM['javelin'], 'one far off counts for nothing while it would make throws cheaper');
        $id = collect($answer->json('marks'))->firstWhere('doubt', '!=', null)['id'];
        $this->postJson("/api/athletes/{$tomas->id}/marks/{$id}/confirm")->assertOk();
        $this->assertSame(102.5, $profile()->longestThrowM['javelin']);
        $this->postJson("/api/athletes/{$tomas->id}/marks/{$id}/withdraw")->assertOk();
        $this->assertSame(41.0, $profile()->longestThrowM['javelin']);
        DB::table('skill_marks')->where('athlete_id', $tomas->id)->update(['measured_on' => $on->plus(-201)->iso()]);
        $this->assertSame(['javelin'], $profile()->lapsedThrows);
        $load = (new AthleteDay($tomas, $on))->load;
        $easy = $load->price->of(
            new \Augendo\Core\Load\WorkSet(
                $on, 's', app(\Augendo\Core\Library\Library::class)->skills()['javelin'], 1, 0.4,
                \Augendo\Core\Load\Implement::Standard, 10.0,
            ),
        );
        $this->assertSame(
            [1.0, 1.2],
            [$easy->cost['high_reps'], $easy->cost['arm']],
            'until one is measured again every throw at a distance counts as full',
        );
    }

    #[Group('once')]
    public function test_landings_are_priced_by_the_floor_they_were_made_on_and_one_nobody_named_is_hard(): void
    {
        $squad = Squad::query()->firstOrFail();
        $sheet = $this->sheetOf('Jonah');
        $this->postJson(
            "/api/athletes/{$sheet->athlete_id}/reports",
            ['reports' => [$this->report('none', null, 'muscle', 0, 'morning')]],
        )->assertNoContent();
        $block = $this->judgedBlock($sheet->refresh());
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 1), $this->tap($block, 2)]])->assertOk();
        $landed = fn (): float => round((float) DB::table('work_sets')->where('session', $sheet->id)->sum('landings'), 6);
        $sprung = $landed();
        $this->putJson("/api/sessions/{$sheet->training_session_id}/floor", ['floor' => 'hard'])
            ->assertOk()
            ->assertJsonPath('floor', 'hard');
        $this->assertSame(round($sprung * 1.25 / 0.8, 6), $landed(), 'what was landed already is priced anew');
        $this->putJson("/api/sessions/{$sheet->training_session_id}/floor", ['floor' => 'wet'])->assertStatus(422);
        $this->putJson("/api/sessions/{$sheet->training_session_id}/floor", ['floor' => null])->assertOk();
        $this->assertSame($sprung, $landed(), 'the floor of the squad’s usual hall');
        $this->putJson("/api/squads/{$squad->id}", ['name' => $squad->name, 'school' => null, 'floor' => null])->assertOk();
        $ahead = Sheet::query()
            ->where('athlete_id', $sheet->athlete_id)
            ->where('held_on', '>', $this->coach()->workspace->today()->iso())
            ->orderBy('held_on')
            ->firstOrFail();
        $this->assertNull($this->judgedBlock($ahead)->surface);
        $this->assertStringContainsString(
            'landings count as on a hard one',
            (string) json_encode($this->getJson("/api/sheets/{$ahead->id}")->json(), JSON_UNESCAPED_UNICODE),
        );
        // Whoever jumps to serve, spike or throw lands as a jumper does.
        $session = $this->getJson("/api/sessions/{$sheet->training_session_id}")->json();
        $this->assertNotSame([], $session['spaces']);
    }

    public function test_courtside_today_and_the_sheet_show_one_number_whatever_else_is_planned(): void
    {
        $sheet = $this->sheetOf('Mira');
        $squad = Squad::query()->firstOrFail();
        foreach ([1, 2] as $i) {
            $this->postJson(
                "/api/squads/{$squad->id}/fixtures",
                [
                    'id' => (string) Str::uuid7(),
                    'kind' => 'match',
                    'athlete_id' => $sheet->athlete_id,
                    'day' => $this->coach()->workspace->today()->iso(),
                    'weeks' => 1,
                    'starts_at' => "1{$i}:00",
                    'title' => "Match {$i}",
                    'doses' => [['skill' => 'float-serve', 'reps' => 40, 'felt' => 'hard']],
                ],
            )->assertOk();
        }
        $sheet->refresh();
        $block = $this->judgedBlock($sheet);
        $today = collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Mira')['headroom'];
        $shown = collect($this->getJson("/api/sheets/{$sheet->id}")->json('blocks'))->firstWhere('id', $block->id);
        $pack = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json();
        $dose = collect($pack['blocks'])->firstWhere('id', $block->id)['doses'][0];
        $bounds = array_column($pack['bounds'], 'remaining', 'limit_id');
        $perRep = collect($dose['costs'])->where('side', $block->side->value)->where('per_rep', '>', 0);
        $left = (int) floor($perRep->map(fn (array $cost): float => $bounds[$cost['limit_id']] / $cost['per_rep'])->min() + 1e-9);
        $planned = (int) $sheet->blocks->sum('reps');
        $this->assertSame((int) $today, $shown['headroom'], "Today says “{$today}”");
        // Courtside counts down from before the first repetition: what is left is left beside the sheet's own doses.
        $costs = collect($pack['blocks'])->flatMap(
            fn (array $each): array => array_map(
                fn (array $cost): array => [
                    $cost['limit_id'],
                    $cost['per_rep'] * array_sum($each['reps_by_set']),
                    $cost['side'],
                    $each['side'],
                ],
                $each['doses'][0]['costs'],
            ),
        )->filter(fn (array $cost): bool => $cost[2] === $cost[3]);
        $after = $perRep->map(
            fn (array $cost): float => ($bounds[$cost['limit_id']] - $costs->where(0, $cost['limit_id'])->sum(1)) / $cost['per_rep'],
        )->min();
        $this->assertSame($shown['headroom'], (int) floor($after + 1e-9), "{$planned} planned, {$left} before them");

        // In the first match, what the second and the session hold is not left; what the first itself holds is.
        $match = $this->getJson("/api/athletes/{$sheet->athlete_id}/match")->assertOk()->json();
        $serve = collect(collect($match['skills'])->firstWhere('id', 'float-serve')['costs']);
        $inMatch = array_column($match['bounds'], 'remaining', 'limit_id');
        $mostInMatch = (int) floor(
            $serve->where('per_rep', '>', 0)->map(fn (array $cost): float => $inMatch[$cost['limit_id']] / $cost['per_rep'])->min() + 1e-9,
        );
        DB::table('fixtures')->where('title', 'Match 2')->delete();
        \App\Records\AthletesChanged::one($sheet->athlete_id);
        $alone = array_column($this->getJson("/api/athletes/{$sheet->athlete_id}/match")->json('bounds'), 'remaining', 'limit_id');
        $mostAlone = (int) floor(
            $serve->where('per_rep', '>', 0)->map(fn (array $cost): float => $alone[$cost['limit_id']] / $cost['per_rep'])->min() + 1e-9,
        );
        $this->assertSame($mostAlone - 40, $mostInMatch, 'the second match holds forty');
    }

    public function test_a_sore_part_is_offered_no_hold_either(): void
    {
        $jonah = $this->athlete('Jonah');
        $this->postJson("/api/athletes/{$jonah->id}/reports", ['reports' => [$this->report('knee', 'left', 'joint', 3)]])
            ->assertNoContent();
        $sheet = $this->getJson('/api/sheets/'.$this->sheetOf('Jonah')->id)->assertOk();
        $kept = collect($sheet->json('blocks'))
            ->filter(fn (array $block): bool => $block['reps'] > 0 || ! $block['counted'])
            ->pluck('title')
            ->all();
        $this->assertNotContains('Landing pose', $kept);
        $this->assertContains('Cool down', $kept);
    }

    public function test_reports_are_in_order_of_the_instant_not_of_their_text(): void
    {
        $this->travelTo(Carbon::parse('2028-10-29 12:00', 'Europe/Lisbon'));
        $ravi = $this->athlete('Ravi');
        // The hour that comes twice: 01:50 of summer time is before 01:10 of winter time.
        $first = [...$this->report('shoulder', 'right', 'muscle', 4), 'at' => '2028-10-29T01:50:00+01:00'];
        $second = [...$this->report('shoulder', 'right', 'muscle', 0), 'at' => '2028-10-29T01:10:00+00:00'];
        $this->postJson("/api/athletes/{$ravi->id}/reports", ['reports' => [$second, $first]])->assertNoContent();
        $row = collect($this->getJson('/api/roll-call')->json('rows'))->firstWhere('athlete.given_name', 'Ravi');
        $this->assertSame(['reduced', '01:10'], [$row['word'], $row['answered_at']], 'it eased: the later one says nothing sore');
    }

    public function test_numbness_swelling_locking_and_head_knocks_are_no_known_condition(): void
    {
        $yuna = $this->athlete('Yuna');
        $this->actingAs($this->person(Role::Clinician));
        foreach (['numb', 'swelling', 'locking', 'head', 'joint'] as $kind) {
            $this->postJson(
                "/api/athletes/{$yuna->id}/conditions",
                [
                    'id' => (string) Str::uuid7(),
                    'site' => 'knee',
                    'side' => 'left',
                    'kind' => $kind,
                    'up_to_score' => 3,
                    'until_day' => $this->coach()->workspace->today()->plus(9)->iso(),
                    'note' => null,
                ],
            )->assertStatus($kind === 'joint' ? 200 : 422);
        }
    }

    private function newcomer(string $birth): Athlete
    {
        $id = (string) Str::uuid7();
        $squad = Squad::query()->firstOrFail();
        $this->postJson(
            "/api/squads/{$squad->id}/athletes",
            [
                'id' => $id,
                'given_name' => 'New'.substr($id, -4),
                'family_name' => 'Comer',
                'birth_date' => $birth,
                'throwing_side' => 'right',
                'turn_direction' => null,
            ],
        )->assertOk();

        return Athlete::query()->findOrFail($id);
    }
}
