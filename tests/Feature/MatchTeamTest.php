<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Limits\AthleteLoads;
use App\Returns\PlayReturn;
use App\Seasons\Fixture;
use App\Seasons\Fixtures;
use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Measure;
use Database\Factories\FixtureFactory;
use Database\Factories\PlayReturnFactory;
use Database\Factories\ReturnAttemptFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Who plays, what it takes of each, and what nobody counted. */
#[Group('once')]
final class MatchTeamTest extends TestCase
{
    private int $squad;

    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->squad = $this->smallSquad('Mira', 'Dario', 'Luca')->id;
        $this->today = $this->coach()->workspace->today();
    }

    public function test_only_who_is_lined_up_is_charged_and_keeps_the_day_before_free(): void
    {
        $match = $this->match(3);
        [$mira, $dario] = [$this->athlete('Mira')->id, $this->athlete('Dario')->id];
        $this->assertSame([35.0, 35.0], [$this->planned($mira, 3), $this->planned($dario, 3)], 'nobody has said: everybody');
        $team = $this->getJson("/api/fixtures/{$match->id}/team")->assertOk()->json();
        $this->assertSame([false, [true, true, true]], [$team['lined_up'], array_column($team['players'], 'plays')]);
        $this->lineUp($match, [$mira])->assertOk()->assertJsonPath('lined_up', true);
        $this->assertSame([35.0, 0.0], [$this->planned($mira, 3), $this->planned($dario, 3)]);
        $this->lineUp($match, [])->assertOk();
        $this->assertSame([0.0, 0.0], [$this->planned($mira, 3), $this->planned($dario, 3)]);
        $plan = $this->getJson("/api/plan?squad={$this->squad}")->assertOk()->json('fixtures');
        $this->assertSame(0, collect($plan)->firstWhere('id', $match->id)['players']);
    }

    public function test_what_each_is_expected_to_do_comes_from_their_own_last_matches(): void
    {
        $mira = $this->athlete('Mira')->id;
        foreach ([-20 => 40, -12 => 51] as $days => $reps) {
            $this->played($mira, $days, $reps);
        }
        $match = $this->match(4);
        $expected = collect($this->lineUp($match, [$mira])->assertOk()->json('players'))->firstWhere('athlete.id', $mira)['expected'];
        $this->assertSame(['float-serve' => 46], $expected, '(40 + 51) / 2, rounded up');
        $this->assertSame(46.0, $this->planned($mira, 4));
    }

    public function test_a_match_nobody_counted_is_load_until_somebody_says_what_it_took(): void
    {
        $match = $this->match(-2);
        [$mira, $dario] = [$this->athlete('Mira')->id, $this->athlete('Dario')->id];
        $free = $this->armOn($dario, -2);
        $this->assertGreaterThan($this->armOn($mira, -2, counted: true), $this->armOn($mira, -2), 'as expected, until it is counted');
        $this->lineUp($match, [$mira])->assertOk();
        $this->assertGreaterThan($this->armOn($dario, -2), $free, 'who did not play is not charged');
        $before = $this->armOn($mira, -2);
        $this->played($mira, -2, 10);
        $this->assertLessThan($before, $this->armOn($mira, -2));
        $team = $this->getJson("/api/fixtures/{$match->id}/team")->assertOk()->json('players');
        $this->assertSame(['float-serve' => 10], collect($team)->firstWhere('athlete.id', $mira)['counted']);
    }

    public function test_of_two_matches_on_a_day_each_is_counted_for_itself(): void
    {
        [$first, $second] = [$this->match(-1), $this->match(-1)];
        $second->update(['starts_at' => '18:00', 'title' => 'The second']);
        $mira = $this->athlete('Mira')->id;
        $team = fn (Fixture $match): array => collect($this->getJson("/api/fixtures/{$match->id}/team")->assertOk()->json('players'))
            ->firstWhere('athlete.id', $mira)['counted'];
        $today = "/api/today?squad={$this->squad}";
        $asked = fn (): array => array_column($this->getJson($today)->assertOk()->json('uncounted'), 'players', 'title');
        $both = $this->armOn($mira, -1);
        $this->played($mira, -1, 12, $second->id);
        $this->assertSame([[], ['float-serve' => 12]], [$team($first), $team($second)]);
        $this->assertSame(['Home match' => 3, 'The second' => 2], $asked());
        $one = $this->armOn($mira, -1);
        $this->assertLessThan($both, $one);
        $this->played($mira, -1, 20);
        $this->assertSame(['float-serve' => 20], $team($first), 'the other, where nobody said which');
        $this->assertSame(['float-serve' => 12], $team($second));
        $this->assertSame(['Home match' => 2, 'The second' => 2], $asked());
        $next = $this->match(4);
        $expected = collect($this->lineUp($next, [$mira])->assertOk()->json('players'))->firstWhere('athlete.id', $mira)['expected'];
        $this->assertSame(['float-serve' => 16], $expected, '(12 + 20) / 2, not 32');
    }

    public function test_who_begins_a_way_back_leaves_the_line_ups_that_load_it(): void
    {
        $match = $this->match(5);
        [$mira, $dario] = [$this->athlete('Mira'), $this->athlete('Dario')];
        $this->lineUp($match, [$mira->id, $dario->id])->assertOk();
        $this->postJson("/api/athletes/{$mira->id}/returns", [
            'id' => (string) Str::uuid7(), 'programme' => 'serves-effort-first', 'ladder' => 'volleyball-float-serve', 'site' => 'shoulder',
            'side' => 'right',
        ])->assertOk();
        $this->assertSame([$dario->id], $match->lineUps()->pluck('athlete_id')->all());
        $this->assertSame(0.0, $this->planned($mira->id, 5));
    }

    public function test_nobody_on_a_way_back_is_lined_up_and_nobody_of_another_squad(): void
    {
        $match = $this->match(3);
        $this->lineUp($match, [$this->athlete('Luca')->id])->assertStatus(422)->assertSee('way back');
        $this->lineUp($match, [$this->athlete('Noor')->id])->assertStatus(422);
        $this->assertFalse($match->refresh()->lined_up);
        $jumps = $this->match(5, 'jump');
        $this->lineUp($jumps, [$this->athlete('Luca')->id])->assertOk();
    }

    public function test_a_match_forgotten_is_declared_afterwards_stands_as_expected_and_loosens_nothing(): void
    {
        $mira = $this->athlete('Mira')->id;
        $before = $this->expected($mira, -2);
        $days = fn (): array => (new Fixtures([$mira], $this->today))->matchDays($mira);
        $matchDays = $days();
        $this->declare(['day' => $this->today->plus(-2)->iso(), 'weeks' => 2])
            ->assertStatus(422)->assertJsonStructure(['errors' => ['weeks']]);
        $this->declare(['day' => $this->today->plus(-15)->iso()])->assertStatus(422)->assertJsonStructure(['errors' => ['day']]);
        $this->declare(['day' => $this->today->plus(-2)->iso(), 'kind' => 'elsewhere'])->assertStatus(422);
        $plan = $this->declare(['id' => $id = (string) Str::uuid7(), 'day' => $this->today->plus(-2)->iso()])->assertOk();
        $this->assertSame($this->today->plus(-14)->iso(), $plan->json('matches_from'));
        $this->assertSame($before + 25.0, $this->expected($mira, -2), 'it is load at once');
        $this->assertSame($matchDays, $days(), 'and no day of a match to rest and streak');
        $this->assertContains($id, array_column($this->getJson("/api/today?squad={$this->squad}")->json('uncounted'), 'id'));
        $this->declare(['day' => $this->today->iso()])->assertOk();
        $this->assertContains($this->today->ordinal, $days(), 'declared on its day it is one');
    }

    public function test_who_is_taken_out_of_a_match_that_is_over_is_with_a_reason_and_today_says_so(): void
    {
        $mira = $this->athlete('Mira')->id;
        $match = $this->match(-2);
        $out = fn (?string $why) => $this->putJson("/api/fixtures/{$match->id}/line-up", ['athletes' => [], 'reason' => $why]);
        $this->lineUp($match, [$mira])->assertOk();
        $players = $this->getJson("/api/fixtures/{$match->id}/team")->assertOk()->json('players');
        $this->assertSame([null], array_values(array_unique(array_column($players, 'blocked'))), 'played is played, on a way back too');
        $this->postJson("/api/fixtures/{$match->id}/remove")->assertStatus(422)->assertJsonPath('title', 'It stays');
        $out(null)->assertStatus(422)->assertJsonStructure(['errors' => ['reason']]);
        $this->assertSame([$mira], $match->refresh()->players());
        $out('She sat on the bench')->assertOk();
        $said = $this->getJson("/api/today?squad={$this->squad}")->assertOk()->json('corrected');
        $this->assertStringContainsString('not in the match after all: 35 → 0 repetitions.', $said[0]['sentence']);
        $this->assertSame('She sat on the bench', $said[0]['reason']);
    }

    /** @param  array<string, mixed>  $with */
    private function declare(array $with): TestResponse
    {
        return $this->postJson("/api/squads/{$this->squad}/fixtures", [
            'id' => (string) Str::uuid7(), 'kind' => 'match', 'athlete_id' => null, 'weeks' => 1, 'starts_at' => '15:00',
            'title' => 'Forgotten cup', 'doses' => [['skill' => 'float-serve', 'reps' => 25, 'felt' => 'hard']], ...$with,
        ]);
    }

    /** Repetitions that count for a day, on record or standing as expected. */
    private function expected(string $athlete, int $days): float
    {
        $load = app(AthleteLoads::class)->for([Athlete::query()->findOrFail($athlete)], $this->today)[$athlete];
        $sets = $load->record->setsOn($this->today->plus($days)->ordinal);

        return array_sum(array_map(fn (CostedSet $set): float => $set->cost[Measure::Reps->value] ?? 0.0, $sets));
    }

    public function test_on_the_stage_that_is_match_play_a_match_is_open_again_and_only_there(): void
    {
        $match = $this->match(5);
        $luca = $this->athlete('Luca');
        $return = PlayReturn::query()->where('athlete_id', $luca->id)->where('state', 'open')->firstOrFail();
        $last = count($return->programmeAsOpened()->stages) - 1;
        $return->update(['stage' => $last - 1]);
        $this->lineUp($match, [$luca->id])->assertStatus(422)->assertSee('its stages decide');
        $return->update(['stage' => $last]);
        $this->lineUp($match, [$luca->id])->assertOk();
        $this->assertGreaterThan(0.0, $this->planned($luca->id, 5));

        // On the day itself the stage has to be due: too soon after its last pass it is not.
        $return->attempts()->delete();
        ReturnAttemptFactory::new()->create([
            'return_id' => $return->id, 'day' => $this->today->plus(-1)->iso(), 'stage' => $last, 'morning_entered' => 0,
            'recorded_by' => $this->coach()->id,
        ]);
        $this->lineUp($this->match(0), [$luca->id])->assertStatus(422)->assertSee('not due today');

        // A second way back, on another ladder, waits for its own stages.
        PlayReturnFactory::new()->create([
            'athlete_id' => $luca->id, 'ladder' => 'block-jump-landing', 'programme' => $return->programme, 'site' => $return->site,
            'definition' => $return->definition, 'stage' => 0, 'opened_by' => $this->coach()->id,
        ]);
        $this->lineUp($this->match(6), [$luca->id])->assertStatus(422)->assertSee('its stages decide');
    }

    private function match(int $days, string $skill = 'float-serve'): Fixture
    {
        return FixtureFactory::new()->create([
            'squad_id' => $this->squad, 'held_on' => $this->today->plus($days)->iso(), 'created_by' => $this->coach()->id,
            'doses' => [['skill' => $skill, 'reps' => 35, 'felt' => 'hard']],
        ]);
    }

    /** @param  list<string>  $ids */
    private function lineUp(Fixture $match, array $ids): TestResponse
    {
        return $this->putJson("/api/fixtures/{$match->id}/line-up", ['athletes' => $ids]);
    }

    private function played(string $athlete, int $days, int $reps, ?string $match = null): void
    {
        $this->postJson("/api/athletes/{$athlete}/logged-work", [
            'id' => (string) Str::uuid7(), 'day' => $this->today->plus($days)->iso(), 'source' => 'match', 'skill' => 'float-serve',
            'reps' => $reps, 'felt' => 'hard', 'distance_m' => null, 'side' => 'dominant',
            'fixture' => $match,
        ])->assertSuccessful();
    }

    /** Repetitions of matches that are planned for a day. */
    private function planned(string $athlete, int $days): float
    {
        $day = new \App\Athletes\AthleteDay($this->named($athlete), $this->today);
        $sum = 0.0;
        foreach ($day->load->plansOn($this->today->plus($days)) as $set) {
            $sum += str_starts_with($set->session, 'match ') ? $set->cost['reps'] : 0.0;
        }

        return $sum;
    }

    /** @param  bool  $counted  only what is on record */
    private function armOn(string $athlete, int $days, bool $counted = false): float
    {
        $on = $this->today->plus($days);

        return $counted
            ? (float) DB::table('daily_totals')->where('athlete_id', $athlete)->where('day', $on->iso())->sum('arm')
            : (new \App\Athletes\AthleteDay($this->named($athlete), $this->today))->load->record
                ->wholeSeries(\Augendo\Core\Load\Measure::Arm)->on($on->ordinal);
    }

    private function named(string $id): Athlete
    {
        return \App\Athletes\Athlete::query()->findOrFail($id);
    }
}
