<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Limits\AthleteLoads;
use App\People\Role;
use App\Seasons\Fixture;
use App\Sessions\FitTheDay;
use Augendo\Core\Day;
use Augendo\Core\Load\Measure;
use Augendo\Core\Planning\Silence;
use Database\Factories\FixtureFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Strength, bands and sprints share the arm and the landings with the sessions: planned, ticked, and silence counts as planned. */
#[Group('once')]
final class WorkBesideTest extends TestCase
{
    private Athlete $mira;

    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->mira = $this->athlete('Mira');
        $this->today = $this->coach()->workspace->today();
    }

    public function test_it_is_declared_for_weeks_costs_arm_and_landings_and_gives_nobody_a_throw(): void
    {
        $squad = DB::table('athlete_squad')->where('athlete_id', $this->mira->id)->value('squad_id');
        $plan = $this->postJson("/api/squads/{$squad}/fixtures", [
            'id' => (string) Str::uuid7(), 'kind' => 'beside', 'athlete_id' => $this->mira->id, 'day' => $this->today->plus(2)->iso(),
            'weeks' => 3, 'starts_at' => '18:00', 'title' => 'Strength', 'doses' => [
                ['skill' => 'presses-and-pulls', 'reps' => 30, 'felt' => 'hard'], ['skill' => 'sprint', 'reps' => 6, 'felt' => null],
            ],
        ])->assertOk();
        $this->assertContains('sprint', array_column($plan->json('beside'), 'id'));
        $this->assertNotContains('sprint', array_column($plan->json('skills'), 'id'), 'no match is made of sprints');
        $this->assertCount(3, array_filter($plan->json('fixtures'), fn (array $each): bool => $each['title'] === 'Strength'));
        $planned = app(AthleteLoads::class)->for([$this->mira], $this->today)[$this->mira->id]->plansOn($this->today->plus(2));
        $beside = array_filter($planned, fn ($set): bool => in_array($set->skill, ['presses-and-pulls', 'sprint'], true));
        $sum = fn (Measure $measure): float => array_sum(array_map(fn ($set): float => $set->cost[$measure->value], $beside));
        // 30 × (0.86 + (0.95 − 0.75) / 0.25 × 0.14) × 0.3; six sprints of three landings on a floor nobody named.
        $this->assertEqualsWithDelta([30 * 0.972 * 0.3, 6 * 3 * 1.25], [$sum(Measure::Arm), $sum(Measure::Landings)], 1e-9);
        $rules = $this->getJson("/api/athletes/{$this->mira->id}/load")->assertOk();
        $this->assertContains('beside', array_column($rules->json('events'), 'kind'));
    }

    public function test_done_is_the_record_once_and_not_done_is_nothing(): void
    {
        [$done, $not] = [$this->strength($this->today->plus(-1)), $this->strength($this->today->plus(-3))];
        $this->assertEqualsCanonicalizing([$done->id, $not->id], array_column($this->due(), 'id'));
        $this->assertSame([24.0, 24.0], [$this->load($done->day()), $this->load($not->day())], 'until somebody tells it stands as planned');
        $id = (string) Str::uuid7();
        $this->tell($done, true, $id)->assertNoContent();
        $this->tell($done, true, $id)->assertNoContent();
        $this->tell($not, false)->assertNoContent();
        $this->assertSame([], $this->due());
        $this->assertSame([24, 24.0, 0.0], [$this->recorded(), $this->load($done->day()), $this->load($not->day())]);
        $this->tell($done, false)->assertStatus(422);
        $this->tell($not, true)->assertNoContent();
        $this->assertSame(48, $this->recorded());
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_taken_back_it_is_not_taken_for_granted_again(): void
    {
        $done = $this->strength($this->today);
        $this->tell($done, true)->assertNoContent();
        $entry = DB::table('work_sets')->where('source', 'beside')->value('client_id');
        $back = "/api/athletes/{$this->mira->id}/logged-work/{$entry}/take-back";
        $this->postJson($back, ['reason' => 'Wrong athlete.'])->assertNoContent();
        $this->assertSame([0, 0.0, []], [$this->recorded(), $this->load($done->day()), $this->due()]);
        $this->assertStringContainsString(
            'strength, bands or sprints taken back',
            $this->getJson('/api/today?squad='.$done->squad_id)->assertOk()->content(),
        );
    }

    public function test_of_two_kinds_of_work_one_is_taken_back_and_the_other_stays_done(): void
    {
        $both = $this->strength($this->today);
        $both->update(['doses' => [...$both->doses, ['skill' => 'sprint', 'reps' => 6, 'felt' => 'hard']]]);
        $this->tell($both, true)->assertNoContent();
        foreach (['sprint' => true, 'presses-and-pulls' => false] as $skill => $stands) {
            $entry = DB::table('work_sets')->where('source', 'beside')->where('skill', $skill)->value('client_id');
            $back = "/api/athletes/{$this->mira->id}/logged-work/{$entry}/take-back";
            $this->postJson($back, ['reason' => 'Not that one.'])->assertNoContent();
            $this->assertSame($stands, (bool) DB::table('work_beside')->where('fixture_id', $both->id)->value('done'), $skill);
        }
        $this->assertSame([0, []], [$this->recorded(), $this->due()]);
    }

    public function test_what_nobody_tells_of_counts_as_it_was_planned(): void
    {
        $long = $this->strength($this->today->plus(-Silence::ASKED_DAYS - 1));
        $this->tell($long, false)->assertStatus(422)->assertJsonPath('title', 'Too late');
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertSame([24, 24.0], [$this->recorded(), $this->load($long->day())]);
        $this->tell($this->strength($this->today->plus(1)), true)->assertStatus(422);
    }

    public function test_it_is_ticked_on_the_personal_page_of_that_athlete_and_of_nobody_else(): void
    {
        $strength = $this->strength($this->today);
        $token = $this->postJson("/api/athletes/{$this->mira->id}/links", ['label' => 'phone'])->json('token');
        $other = $this->postJson("/api/athletes/{$this->athlete('Yuna')->id}/links", ['label' => 'phone'])->json('token');
        $this->nobodySignedIn();
        $body = ['id' => (string) Str::uuid7(), 'fixture' => $strength->id, 'done' => true];
        $this->postJson('/api/link/work-beside', $body, ['X-Link-Token' => $other])->assertNotFound();
        $this->postJson('/api/link/work-beside', $body)->assertNotFound();
        $page = $this->getJson('/api/link/check-in', ['X-Link-Token' => $token])->assertOk()->json('beside');
        $this->assertSame([$strength->id, 'Strength'], [$page[0]['id'], $page[0]['title']]);
        $this->postJson('/api/link/work-beside', $body, ['X-Link-Token' => $token])->assertOk()->assertJsonPath('beside', []);
        $this->assertSame(24, $this->recorded());
    }

    public function test_too_sore_it_is_left_out_today_and_a_second_persons_match_is_not_ticked(): void
    {
        $strength = $this->strength($this->today);
        $sore = $this->report('elbow', $this->mira->throwing_side->value, 'sharp', 6);
        $this->postJson("/api/athletes/{$this->mira->id}/reports", ['reports' => [$sore]])->assertSuccessful();
        $due = $this->due();
        $this->assertSame('Leave it out today: too sore for this.', $due[0]['not_today']);
        $match = FixtureFactory::new()->create([
            'squad_id' => $strength->squad_id, 'held_on' => $this->today->iso(), 'created_by' => $this->coach()->id,
        ]);
        $this->tell($match, true)->assertNotFound();
        $this->actingAs($this->person(Role::Clinician));
        $this->tell($strength, true)->assertNotFound();
    }

    private function strength(Day $on): Fixture
    {
        return FixtureFactory::new()->elsewhere($this->mira, 'Strength', 'presses-and-pulls', 24)->create([
            'kind' => Fixture::BESIDE, 'held_on' => $on->iso(), 'created_by' => $this->coach()->id,
            'squad_id' => DB::table('athlete_squad')->where('athlete_id', $this->mira->id)->value('squad_id'),
        ]);
    }

    /** @return list<array<string, mixed>> */
    private function due(): array
    {
        return $this->getJson("/api/athletes/{$this->mira->id}")->assertOk()->json('beside');
    }

    private function tell(Fixture $fixture, bool $done, ?string $id = null): TestResponse
    {
        return $this->postJson("/api/athletes/{$this->mira->id}/work-beside", [
            'id' => $id ?? (string) Str::uuid7(), 'fixture' => $fixture->id, 'done' => $done,
        ]);
    }

    /** Repetitions of a day that are strength, on record or standing as planned. */
    private function load(Day $on): float
    {
        $load = app(AthleteLoads::class)->for([$this->mira], $this->today)[$this->mira->id];
        $sets = array_filter(
            [...$load->record->setsOn($on->ordinal), ...$load->plansOn($on)],
            fn ($set): bool => $set->skill === 'presses-and-pulls',
        );

        return array_sum(array_map(fn ($set): float => $set->cost[Measure::Reps->value], $sets));
    }

    private function recorded(): int
    {
        return (int) DB::table('work_sets')->where('athlete_id', $this->mira->id)->where('source', 'beside')->sum('reps');
    }
}
