<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Health\AbsenceKind;
use App\Limits\AthleteLoads;
use App\People\Role;
use App\Seasons\Fixture;
use App\Sessions\FitTheDay;
use Augendo\Core\Day;
use Augendo\Core\Load\Measure;
use Augendo\Core\Planning\Silence;
use Database\Factories\AbsenceFactory;
use Database\Factories\FixtureFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What somebody did elsewhere: asked once a week, one tap for as usual, and silence counts as usual. */
#[Group('once')]
final class ElsewhereTest extends TestCase
{
    private Athlete $mira;

    private Day $today;

    private Day $week;

    private Fixture $training;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->mira = $this->athlete('Mira');
        $this->today = $this->coach()->workspace->today();
        $this->week = Silence::weekAsked($this->today);
        $this->training = $this->elsewhere($this->week->plus(1));
    }

    public function test_until_somebody_tells_it_stands_as_expected_and_is_asked_for(): void
    {
        $this->assertSame(30.0, $this->load($this->week->plus(1)));
        $asked = $this->asked();
        $this->assertSame([$this->week->iso(), null], [$asked['week'], $asked['told']]);
        $this->assertStringContainsString('School handball: 30 × handball standing throw, middling', $asked['usual'][0]);
        $this->assertContains('handball-standing-throw', array_column($asked['skills'], 'id'));
        $this->assertSame(0, $this->recorded(), 'it is load, and no record yet');
    }

    public function test_one_tap_for_as_usual_and_it_is_the_record(): void
    {
        $answer = $this->answer('usual');
        $this->tell($answer)->assertNoContent();
        $this->tell($answer)->assertNoContent();
        $this->assertSame([30, 30.0], [$this->recorded(), $this->load($this->week->plus(1))]);
        $this->assertSame(['usual', []], [$this->asked()['told'], $this->asked()['usual']]);
        $this->tell($this->answer('nothing'))->assertStatus(409);
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_nothing_was_done_and_nothing_counts(): void
    {
        $this->tell($this->answer('nothing'))->assertNoContent();
        $this->assertSame([0, 0.0], [$this->recorded(), $this->load($this->week->plus(1))]);
    }

    public function test_something_else_was_done_on_other_days(): void
    {
        $entry = [
            'id' => (string) Str::uuid7(), 'day' => $this->week->plus(4)->iso(), 'skill' => 'overhand-throw', 'reps' => 12, 'felt' => null,
        ];
        $this->tell($this->answer('other'))->assertStatus(422)->assertJsonStructure(['errors' => ['entries']]);
        $this->tell($this->answer('other', [[...$entry, 'day' => $this->week->plus(7)->iso()]]))->assertStatus(422);
        $this->tell($this->answer('usual', [$entry]))->assertStatus(422);
        $this->tell($this->answer('other', [$entry]))->assertNoContent();
        $this->assertSame([0.0, 12.0], [$this->load($this->week->plus(1)), $this->load($this->week->plus(4))]);
        $gone = [...$this->answer('nothing'), 'week' => $this->week->plus(-7)->iso()];
        $this->tell($gone)->assertStatus(422)->assertJsonPath('title', 'Too late');
    }

    public function test_it_is_told_on_the_personal_page_by_whoever_holds_the_link_and_of_nobody_else(): void
    {
        $token = $this->postJson("/api/athletes/{$this->mira->id}/links", ['label' => 'phone'])->json('token');
        $page = $this->getJson('/api/link/check-in', ['X-Link-Token' => $token])->assertOk()->json('elsewhere');
        $this->assertCount(1, $page['usual']);
        $told = $this->postJson('/api/link/elsewhere', $this->answer('usual'), ['X-Link-Token' => $token])->assertOk();
        $this->assertSame('usual', $told->json('elsewhere.told'));
        $this->assertNull(DB::table('weeks_elsewhere')->where('athlete_id', $this->mira->id)->value('told_by'));
        $this->postJson('/api/link/elsewhere', $this->answer('usual'), ['X-Link-Token' => 'no such link'])->assertNotFound();
        $this->actingAs($this->stranger(Role::Coach));
        $this->tell($this->answer('nothing'))->assertNotFound();
    }

    public function test_silence_counts_as_usual_and_what_is_counted_later_takes_its_place(): void
    {
        $old = $this->elsewhere($this->today->plus(-Silence::ASKED_DAYS - 1));
        $still = $this->elsewhere($this->today->plus(-Silence::ASKED_DAYS));
        $match = FixtureFactory::new()->create([
            'squad_id' => $this->squadId(), 'held_on' => $this->today->plus(-20)->iso(), 'created_by' => $this->coach()->id,
        ]);
        $match->update(['lined_up' => true]);
        $match->lineUps()->create(['athlete_id' => $this->mira->id, 'doses' => $match->doses]);
        $before = [$this->load($old->day()), $this->load($match->day())];
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $estimated = fn (): array => DB::table('work_sets')->where('athlete_id', $this->mira->id)->where('estimated', true)
            ->orderBy('day')->pluck('reps')->map(intval(...))->all();
        $this->assertSame([35, 30], $estimated());
        $this->assertSame($before, [$this->load($old->day()), $this->load($match->day())], 'the same load, now on record');
        $this->assertSame(30.0, $this->load($still->day()), 'still asked for');
        $sets = $this->getJson("/api/athletes/{$this->mira->id}/days/{$match->day()->iso()}")->assertOk()->json('sets');
        $this->assertTrue(collect($sets)->firstWhere('source', 'match')['estimated'], 'and says that it is an estimate');

        // An estimate of a match goes with real counts, or with its line-up; one of training elsewhere when it was not held.
        $entry = fn (string $source): string => (string) DB::table('work_sets')->where('athlete_id', $this->mira->id)
            ->where('estimated', true)->where('source', $source)->value('client_id');
        $back = fn (string $source) => $this->postJson(
            "/api/athletes/{$this->mira->id}/logged-work/{$entry($source)}/take-back", ['reason' => 'It was not held'],
        );
        $back('match')->assertStatus(422)->assertJsonPath('title', 'It stays');
        $back('other club')->assertNoContent();
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertSame([[35], 0.0], [$estimated(), $this->load($old->day())], 'not taken for granted again');

        $this->postJson("/api/athletes/{$this->mira->id}/logged-work", [
            'id' => (string) Str::uuid7(), 'day' => $match->day()->iso(), 'source' => 'match', 'skill' => 'float-serve', 'reps' => 18,
            'felt' => 'hard', 'distance_m' => null, 'side' => 'dominant', 'fixture' => $match->id,
        ])->assertNoContent();
        $this->assertSame([], $estimated());
        $this->assertSame(18.0, $this->load($match->day()));
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_who_was_not_in_a_match_did_not_do_what_it_was_taken_to_be(): void
    {
        $match = FixtureFactory::new()->create([
            'squad_id' => $this->squadId(), 'held_on' => $this->today->plus(-20)->iso(), 'created_by' => $this->coach()->id,
        ]);
        $match->update(['lined_up' => true]);
        $match->lineUps()->create(['athlete_id' => $this->mira->id, 'doses' => $match->doses]);
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertSame(35.0, $this->load($match->day()));
        $this->putJson("/api/fixtures/{$match->id}/line-up", ['athletes' => [], 'reason' => 'She had flu'])->assertOk();
        $this->assertSame(0.0, $this->load($match->day()));
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_who_was_away_was_not_there(): void
    {
        $this->postJson("/api/athletes/{$this->mira->id}/absences", [
            'id' => (string) Str::uuid7(), 'kind' => 'travel', 'fever' => false, 'note' => null,
            'from_day' => $this->week->iso(), 'until_day' => $this->week->plus(3)->iso(),
        ])->assertOk();
        $this->assertSame([[], 0.0], [$this->asked()['usual'], $this->load($this->week->plus(1))]);
    }

    public function test_a_cold_keeps_nobody_away_and_an_absence_of_long_ago_is_not_forgotten(): void
    {
        $of = ['id' => (string) Str::uuid7(), 'athlete_id' => $this->mira->id];
        $cold = $this->training->day();
        AbsenceFactory::new()->create([
            ...$of, 'kind' => AbsenceKind::Ill, 'fever' => false, 'from_day' => $cold->iso(), 'until_day' => $cold->iso(),
        ]);
        $this->assertSame([1, 30.0], [count($this->asked()['usual']), $this->load($cold)], 'with a cold one comes and does less');
        $long = $this->elsewhere($this->today->plus(-29));
        AbsenceFactory::new()->create([
            'athlete_id' => $this->mira->id, 'kind' => AbsenceKind::Travel, 'fever' => false,
            'from_day' => $long->day()->iso(), 'until_day' => $long->day()->iso(),
        ]);
        $this->assertSame(0.0, $this->load($long->day()));
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertSame(0.0, $this->load($long->day()));
    }

    private function elsewhere(Day $on): Fixture
    {
        return FixtureFactory::new()->elsewhere($this->mira, 'School handball', 'handball-standing-throw', 30)->create([
            'squad_id' => $this->squadId(), 'held_on' => $on->iso(), 'created_by' => $this->coach()->id,
        ]);
    }

    private function squadId(): int
    {
        return (int) DB::table('athlete_squad')->where('athlete_id', $this->mira->id)->value('squad_id');
    }

    /** @return array<string, mixed> */
    private function asked(): array
    {
        return $this->getJson("/api/athletes/{$this->mira->id}")->assertOk()->json('elsewhere');
    }

    /**
     * @param  list<array<string, mixed>>  $entries
     * @return array<string, mixed>
     */
    private function answer(string $answer, array $entries = []): array
    {
        return ['id' => (string) Str::uuid7(), 'week' => $this->week->iso(), 'answer' => $answer, 'entries' => $entries];
    }

    /** @param  array<string, mixed>  $answer */
    private function tell(array $answer): TestResponse
    {
        return $this->postJson("/api/athletes/{$this->mira->id}/weeks-elsewhere", $answer);
    }

    /** Repetitions of a day, on record or standing as expected, beside those of the squad that are told of it. */
    private function load(Day $on): float
    {
        $load = app(AthleteLoads::class)->for([$this->mira], $this->today)[$this->mira->id];
        $own = DB::table('work_sets')->where('athlete_id', $this->mira->id)->where('day', $on->iso())
            ->whereNotIn('source', ['match', 'other club'])->sum('reps');

        return array_sum(array_map(
            fn ($set): float => ($set->cost[Measure::Reps->value] ?? 0.0) + ($set->cost[Measure::Shadow->value] ?? 0.0),
            $load->record->setsOn($on->ordinal),
        )) - (float) $own;
    }

    private function recorded(): int
    {
        return (int) DB::table('work_sets')->where('athlete_id', $this->mira->id)->where('source', 'other club')->sum('reps');
    }
}
