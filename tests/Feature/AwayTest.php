<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\AthleteDay;
use App\Health\Absence;
use App\Health\Incident;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Day;
use Augendo\Core\Planning\WeeklyDays;
use Database\Factories\FixtureFactory;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Days away, illness, what a clinician restricts, what happened: every plan knows of it, and each is taken back by whoever may. */
#[Group('once')]
final class AwayTest extends TestCase
{
    private Day $today;

    private string $dario;

    private int $squad;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->squad = $this->smallSquad('Dario')->id;
        $this->today = $this->coach()->workspace->today();
        $this->dario = $this->athlete('Dario')->id;
    }

    public function test_nothing_is_planned_while_somebody_is_away_and_it_comes_back_with_them(): void
    {
        $sheet = $this->planned(3);
        $before = $this->reps($sheet);
        $this->assertGreaterThan(0, $before);
        $id = (string) Str::uuid7();
        $away = ['id' => $id, 'kind' => 'travel', 'from_day' => $this->iso(2), 'until_day' => $this->iso(4)];
        $this->away($away)->assertOk();
        $this->away($away)->assertOk()->assertJsonCount(1, 'absences');
        $this->assertSame(0, $this->reps($sheet));
        $view = $this->getJson("/api/sheets/{$sheet}")->assertOk()->json();
        $this->assertStringContainsString('way until', json_encode($view, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR));
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(2)])->assertOk();
        $this->assertSame($before, $this->reps($sheet), 'back a day earlier');
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(1)])->assertStatus(422);
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(9)])->assertOk();
        $this->assertSame(0, $this->reps($sheet));
        $this->post_("absences/{$id}/take-back")->assertOk()->assertJsonCount(0, 'absences');
        $this->assertSame($before, $this->reps($sheet));
    }

    public function test_a_fever_is_over_when_somebody_says_so_and_not_by_the_calendar(): void
    {
        $sheet = $this->planned(0);
        $id = (string) Str::uuid7();
        $this->reported();
        $this->away(['id' => $id, 'kind' => 'ill', 'fever' => true, 'from_day' => $this->iso(-5), 'until_day' => $this->iso(-3)])
            ->assertOk()
            ->assertJsonPath('absences.0.open', true);
        $this->assertSame(['none', 0], [$this->row()['word'], $this->reps($sheet)]);
        $this->assertSame('Ill: not today', $this->row()['gate']['headline']);
        $this->assertStringContainsString('Nobody has said yet', $this->row()['away']);
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(1)])->assertStatus(422);
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(-1)])->assertOk();
        $this->assertSame(['none', null], [$this->row()['word'], $this->row()['away']], 'a whole day without one first');
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(-3)])->assertOk();
        $this->assertSame('unknown', $this->row()['word']);
        $reps = $this->reps($sheet);
        $this->assertGreaterThan(0, $reps);
        $this->post_("absences/{$id}/end", ['last_day' => $this->iso(-5)])->assertOk();
        $this->assertSame('reduced', $this->row()['word']);
        Absence::query()->whereKey($id)->update(['entered_at' => now()->subHour()]);
        $this->post_("absences/{$id}/take-back")->assertJsonPath('title', 'Too late to take back');
    }

    public function test_a_fever_answered_at_the_check_in_has_its_way_back(): void
    {
        $ill = fn (string $how) => $this->post_('wellness', [
            'id' => (string) Str::uuid7(), 'at' => now('Europe/Lisbon')->toIso8601String(), 'ill' => $how,
        ])->assertNoContent();
        $absences = fn (): array => $this->getJson("/api/athletes/{$this->dario}/away-and-hurt")->assertOk()->json('absences');
        $ill('fever');
        $ill('fever');
        $this->assertSame([true], array_column($absences(), 'open'));
        $this->assertSame('none', $this->row()['word']);
        $ill('no');
        $this->assertSame([], $absences(), 'it turned out to be none');
        $ill('cold');
        $this->reported();
        $this->assertSame('reduced', $this->row()['word'], 'a cold is light work');
        $ill('fever');
        $this->assertSame('none', $this->row()['word']);

        $this->travel(1)->days();
        $this->reported();
        $this->assertSame('none', $this->row()['word'], 'nothing sore is no word about the fever');
        $ill('fever');
        $this->travel(1)->days();
        $this->reported();
        $before = $this->post_("absences/{$absences()[0]['id']}/end", ['last_day' => $this->iso(-2)])->assertStatus(422);
        $this->assertStringContainsString('fever was reported', $before->json('detail'));
        $ill('no');
        $this->assertSame(['none', false], [$this->row()['word'], $absences()[0]['open']], 'a whole day without one first');
        foreach (['unknown', 'unknown', 'reduced', 'reduced', 'full'] as $word) {
            $this->travel(1)->days();
            $this->reported();
            $this->assertSame($word, $this->row()['word'], now()->toDateString());
        }
    }

    public function test_who_is_away_plays_in_no_match(): void
    {
        $match = FixtureFactory::new()->create([
            'squad_id' => $this->squad, 'held_on' => $this->iso(4), 'created_by' => $this->coach()->id,
        ]);
        $load = fn (): int => count((new AthleteDay($this->athlete('Dario'), $this->today))->load->plansOn($this->today->plus(4)));
        $before = $load();
        $this->away(['id' => (string) Str::uuid7(), 'kind' => 'travel', 'from_day' => $this->iso(3), 'until_day' => $this->iso(5)])
            ->assertOk();
        $this->assertLessThan($before, $load());
        $this->putJson("/api/fixtures/{$match->id}/line-up", ['athletes' => [$this->dario]])->assertStatus(422)->assertSee('Travel');
    }

    public function test_while_somebody_is_ill_the_days_after_are_planned_as_it_is_expected_to_go(): void
    {
        [$ill, $rest, $back, $later] = [$this->planned(2), $this->planned(3), $this->planned(6), $this->planned(9)];
        $this->assertGreaterThan(0.75, $this->hardest($later));
        $days = ['from_day' => $this->iso(0), 'until_day' => $this->iso(2)];
        $this->away(['id' => (string) Str::uuid7(), 'kind' => 'ill', 'fever' => true, ...$days])->assertOk();
        $this->assertSame([0, 0], [$this->reps($ill), $this->reps($rest)]);
        $this->assertGreaterThan(0, $this->reps($back));
        $this->assertLessThanOrEqual(0.75, $this->hardest($back), 'light on the fourth day after it');
        $this->assertGreaterThan(0.75, $this->hardest($later));
    }

    public function test_what_a_clinician_restricts_binds_every_plan_and_only_a_clinician_lifts_it(): void
    {
        [$near, $far] = [$this->planned(2), $this->planned(9)];
        $this->assertGreaterThan(0.6, $this->hardest($far));
        $id = (string) Str::uuid7();
        $given = [
            'id' => $id, 'covers' => 'overhead', 'from_day' => $this->iso(0), 'none_until' => $this->iso(5), 'until_day' => $this->iso(20),
            'effort_max' => 0.4, 'reps_a_day' => 12, 'clinician_name' => 'Dr. Kim Reed', 'note' => null,
        ];
        $this->post_('restrictions', [...$given, 'until_day' => $this->iso(3)])->assertStatus(422);
        $this->post_('restrictions', [...$given, 'effort_max' => null, 'reps_a_day' => null])->assertStatus(422);
        $this->post_('restrictions', $given)->assertOk()->assertJsonPath('restrictions.0.clinician_name', 'Dr. Kim Reed');
        $this->assertSame(0, $this->reps($near));
        $this->assertLessThanOrEqual(0.4, $this->hardest($far));
        $this->assertLessThanOrEqual(12, $this->reps($far));
        $left = $this->getJson("/api/athletes/{$this->dario}/headroom?skill=float-serve&reps=10")->assertOk()->json('rows.0.cells.0');
        $this->assertSame([0, true], [$left['reps'], $left['fits_on'] >= $this->iso(6)]);

        $this->travel(1)->hours();
        $this->post_("restrictions/{$id}/lift")->assertStatus(422)->assertJsonPath('title', 'It stays');
        $this->actingAs($this->person(Role::Assistant));
        $this->post_("restrictions/{$id}/lift")->assertForbidden();
        $this->person(Role::Clinician)->boundAthletes()->attach($this->dario);
        $this->actingAs($this->person(Role::Clinician));
        $this->post_("restrictions/{$id}/lift")->assertOk()->assertJsonPath('restrictions.0.open', false);
        $this->actingAs($this->coach());
        $this->assertGreaterThan(0.6, $this->hardest($far));
    }

    public function test_a_head_knock_opens_an_incident_that_closes_only_when_all_is_done(): void
    {
        $this->post_('reports', ['reports' => [$this->report('head', null, 'head', 4, 'during')]])->assertNoContent();
        $this->post_('reports', ['reports' => [$this->report('head', null, 'head', 2, 'after')]])->assertNoContent();
        $incident = Incident::query()->where('athlete_id', $this->dario)->sole();
        $this->assertSame(1, $this->row()['incidents']);
        $this->post_("incidents/{$incident->id}/close")->assertStatus(422)->assertSee('who was told');
        $entry = ['id' => (string) Str::uuid7(), 'kind' => 'told', 'at' => now()->toIso8601String(), 'who' => null, 'text' => 'By phone'];
        $this->post_("incidents/{$incident->id}/entries", $entry)->assertStatus(422)->assertJsonPath('errors.who.0', 'Say who.');
        $this->post_("incidents/{$incident->id}/entries", [...$entry, 'who' => 'his sister'])->assertOk();
        $this->post_("incidents/{$incident->id}/entries", [...$entry, 'who' => 'his sister'])->assertOk()
            ->assertJsonCount(1, 'incidents.0.entries');
        $this->post_("incidents/{$incident->id}/close")->assertStatus(422)->assertSee('clearance');
        $this->travel(1)->minutes();
        $this->post_('clearances', [
            'id' => (string) Str::uuid7(), 'sites' => null, 'clinician_name' => 'Dr. Kim Reed', 'clinician_role' => 'Physician',
            'document_date' => $this->iso(0), 'note' => null,
        ])->assertNoContent();
        $closed = $this->post_("incidents/{$incident->id}/close")->assertOk()->json('incidents.0');
        $this->assertNotNull($closed['closed_at']);
        $this->assertStringContainsString('his sister', $closed['text']);
        $this->post_("incidents/{$incident->id}/entries", [...$entry, 'id' => (string) Str::uuid7(), 'who' => 'x'])->assertStatus(422);
    }

    public function test_the_week_on_one_page_says_what_the_other_pages_say(): void
    {
        $this->planned(0);
        $monday = WeeklyDays::monday($this->today);
        $nth = $this->today->ordinal - $monday->ordinal;
        $week = $this->getJson("/api/week?squad={$this->squad}")->assertOk()->json();
        $this->assertSame([$monday->iso(), 7], [$week['monday'], count($week['rows'][0]['days'])]);
        $day = $week['rows'][0]['days'][$nth];
        $all = Sheet::query()->where('athlete_id', $this->dario)->where('held_on', $this->iso(0))->pluck('id')->all();
        $this->assertEqualsCanonicalizing($all, array_column($day['sheets'], 'id'));
        $planned = array_sum(array_map(fn (string $id): int => (int) Sheet::query()->findOrFail($id)->blocks()->sum('reps'), $all));
        $this->assertSame($planned, $day['planned_reps']);
        $this->assertGreaterThan($day['done_share'], $day['share']);
        $this->assertLessThanOrEqual(1.0, $day['share']);
        $this->away(['id' => (string) Str::uuid7(), 'kind' => 'exams', 'from_day' => $this->iso(0), 'until_day' => $this->iso(0)])
            ->assertOk();
        $away = $this->getJson("/api/week?squad={$this->squad}&day={$this->iso(0)}")->assertOk()->json("rows.0.days.{$nth}");
        $this->assertSame([0, true], [$away['planned_reps'], str_starts_with($away['away'], 'Exams')]);
        $this->getJson("/api/week?squad={$this->squad}&day=nonsense")->assertStatus(422);
    }

    public function test_a_head_knock_written_down_as_an_incident_is_a_referral_as_well(): void
    {
        $this->reported();
        $fall = ['id' => (string) Str::uuid7(), 'kind' => 'fall', 'at' => now('Europe/Lisbon')->toIso8601String(), 'what' => 'Slipped'];
        $this->post_('incidents', $fall)->assertOk();
        $this->assertNotSame('refer', $this->row()['word']);
        $head = [...$fall, 'id' => (string) Str::uuid7(), 'kind' => 'head', 'what' => 'Ran into the post'];
        $this->post_('incidents', $head)->assertOk();
        $this->post_('incidents', $head)->assertOk()->assertJsonCount(2, 'incidents');
        $this->assertSame(['refer', 1, 2], [$this->row()['word'], $this->row()['referrals'], $this->row()['incidents']]);
    }

    public function test_one_of_another_athlete_is_not_there(): void
    {
        $id = (string) Str::uuid7();
        $this->away(['id' => $id, 'kind' => 'holiday', 'from_day' => $this->iso(1), 'until_day' => $this->iso(2)])->assertOk();
        $mira = $this->athlete('Mira')->id;
        $this->postJson("/api/athletes/{$mira}/absences/{$id}/take-back")->assertNotFound();
    }

    /** @param  array<string, mixed>  $given */
    private function away(array $given): TestResponse
    {
        return $this->post_('absences', ['fever' => false, 'note' => null, ...$given]);
    }

    /** @param  array<string, mixed>  $given */
    private function post_(string $what, array $given = []): TestResponse
    {
        return $this->postJson("/api/athletes/{$this->dario}/{$what}", $given);
    }

    private function reported(): void
    {
        $this->post_('reports', ['reports' => [$this->report('none', null, 'muscle', 0, 'morning')]])->assertNoContent();
    }

    private function planned(int $days): string
    {
        $this->postJson("/api/squads/{$this->squad}/sessions", [
            'id' => (string) Str::uuid7(), 'day' => $this->iso($days), 'starts_at' => '23:30', 'title' => 'Serves', 'minutes' => 75,
        ])->assertOk();

        return Sheet::query()->where('athlete_id', $this->dario)->where('held_on', $this->iso($days))
            ->whereHas('trainingSession', fn ($session) => $session->where('squad_id', $this->squad))->sole()->id;
    }

    /** @return array<string, mixed> */
    private function row(): array
    {
        $rows = $this->getJson("/api/today?squad={$this->squad}")->assertOk()->json('rows');

        return collect($rows)->firstWhere('athlete.id', $this->dario);
    }

    private function reps(string $sheet): int
    {
        return (int) Sheet::query()->findOrFail($sheet)->blocks()->where('object', '!=', 'nothing')->sum('reps');
    }

    private function hardest(string $sheet): float
    {
        return (float) Sheet::query()->findOrFail($sheet)->blocks()->where('reps', '>', 0)->max('effort');
    }

    private function iso(int $days): string
    {
        return $this->coach()->workspace->today()->plus($days)->iso();
    }
}
