<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Squad;
use App\Courtside\EnteredWork;
use App\People\Role;
use App\Seasons\Season;
use App\Seasons\WorkOutSeason;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\SeasonAsk;
use Carbon\Carbon;
use Database\Factories\SorenessReportFactory;
use Database\Factories\SquadFactory;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class SeasonTest extends TestCase
{
    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->today = $this->coach()->workspace->today();
    }

    public function test_a_season_is_looked_at_first_then_kept_and_its_next_two_weeks_are_on_the_calendar(): void
    {
        $athlete = $this->steady();
        $before = Sheet::query()->count();
        $draft = $this->postJson("/api/athletes/{$athlete->id}/seasons/draft", $this->ask())->assertOk();
        $this->assertNull($draft->json('id'));
        $this->assertSame([$before, 1], [Sheet::query()->count(), Season::query()->count()], 'looking keeps nothing');

        $season = $this->postJson("/api/athletes/{$athlete->id}/seasons", $this->ask())->assertOk();
        $this->assertSame(1, $season->json('version'));
        $this->assertFalse($season->json('differs'), 'what was just agreed to is what is planned');
        $this->postJson("/api/athletes/{$athlete->id}/seasons", $this->ask())->assertStatus(409);
        $days = collect($season->json('weeks'))->flatMap(fn (array $week): array => $week['days']);
        $sheets = Sheet::query()->where('season_id', $season->json('id'))->orderBy('held_on')->get();
        $near = $days->where('kind', 'session')->filter(fn (array $day): bool => $day['date'] < $this->today->plus(14)->iso());
        $this->assertSame(
            $near->pluck('date')->values()->all(),
            $sheets->map(fn (Sheet $sheet): string => substr($sheet->held_on, 0, 10))->all(),
        );
        foreach ($sheets as $sheet) {
            $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->assertJsonPath('broken', []);
        }
        $this->assertContains($athlete->id, collect($this->getJson('/api/plan')->assertOk()->json('seasons'))->pluck('athlete.id')->all());

        // No week of the plan stands above what its step limit allows.
        foreach ($season->json('weeks') as $week) {
            $this->assertTrue(
                $week['arm_max'] === null || $week['arm'] <= $week['arm_max'] + 1e-6 || $week['arm_done'] > 0,
                "week {$week['number']}: {$week['arm']} of {$week['arm_max']}",
            );
        }
    }

    public function test_moving_a_session_shows_what_it_does_and_a_stale_save_keeps_both(): void
    {
        $athlete = $this->steady();
        $season = $this->postJson("/api/athletes/{$athlete->id}/seasons", $this->ask())->json();
        $session = collect($season['weeks'])
            ->flatMap(fn (array $week): array => $week['days'])
            ->where('kind', 'session')
            ->where('date', '>', $this->today->plus(7)->iso())
            ->first()['date'];
        $to = Day::of($session)->plus(1)->iso();
        $moved = ['moves' => [['from' => $session, 'to' => $to]], 'version' => 1];
        $preview = $this->postJson("/api/seasons/{$season['id']}/preview", [...$this->ask(), ...$moved])->assertOk();
        $kinds = collect($preview->json('weeks'))->flatMap(fn (array $week): array => $week['days'])->keyBy('date');
        $this->assertSame(['rest', 'session'], [$kinds[$session]['kind'], $kinds[$to]['kind']]);
        $this->assertSame(1, Season::query()->where('athlete_id', $athlete->id)->sole()->version, 'a preview keeps nothing');

        $this->putJson("/api/seasons/{$season['id']}", [...$this->ask(), ...$moved])->assertOk()->assertJsonPath('version', 2);
        $this->assertTrue(
            Sheet::query()->where('athlete_id', $athlete->id)->where('held_on', $to)->exists() || $to >= $this->today->plus(14)->iso(),
        );
        $this->putJson("/api/seasons/{$season['id']}", [...$this->ask(), 'version' => 1])->assertStatus(409)->assertJsonPath('version', 2);
        $this->postJson("/api/seasons/{$season['id']}/preview", [...$this->ask(), 'moves' => [['from' => $session, 'to' => '2020-01-01']]])
            ->assertStatus(422)
            ->assertJsonPath('title', 'Not moved');

        $this->postJson("/api/seasons/{$season['id']}/close")->assertNoContent();
        $this->assertSame(
            0,
            Sheet::query()
                ->where('season_id', $season['id'])
                ->where('state', 'planned')
                ->where('edited', false)
                ->where('held_on', '>=', $this->today->iso())
                ->count(),
        );
    }

    public function test_a_missed_week_is_said_and_planned_forward_without_making_up(): void
    {
        $athlete = $this->steady();
        $season = $this->postJson("/api/athletes/{$athlete->id}/seasons", $this->ask())->json();
        Carbon::setTestNow(Carbon::now()->addDays(9));
        $this->today = $this->coach()->workspace->today();
        $now = $this->getJson("/api/seasons/{$season['id']}")->assertOk();
        $this->assertStringContainsString('missed', (string) $now->json('missed'));
        $this->assertTrue($now->json('differs'));
        $most = fn (TestResponse $view): float => (float) collect($view->json('weeks'))
            ->flatMap(fn (array $week): array => $week['days'])
            ->filter(fn (array $day): bool => $day['date'] >= $this->today->iso() && $day['kind'] === 'session')
            ->max('arm');
        $agreed = collect(Season::query()->where('athlete_id', $athlete->id)->sole()->agreed)->filter(
            fn (array $day, string $date): bool => $date >= $this->today->iso() && ! $day['match'],
        )->max('arm');
        $this->assertLessThanOrEqual($agreed + 1e-3, $most($now), 'nothing is made up on any day');
        $this->putJson("/api/seasons/{$season['id']}", [...$this->ask(), 'goal_on' => $season['goal_on'], 'version' => 1])
            ->assertOk()
            ->assertJsonPath('differs', false);
    }

    #[Group('once')]
    public function test_mornings_that_were_sore_after_much_work_are_told_with_their_counts_and_taken_or_left(): void
    {
        $athlete = $this->steady();
        $serve = app(Library::class)->skills()['float-serve'];
        for ($back = 100; $back > 72; $back -= 2) {
            $isMuch = $back % 4 === 0;
            $day = $this->today->plus(-$back);
            $set = WorkSet::ordinarily($day, "told {$back}", $serve, $isMuch ? 90 : 20, 0.6);
            app(EnteredWork::class)->add($athlete, (string) Str::uuid7(), $set, 'home', 'volleyball');
            foreach ([1, 2] as $after) {
                $isSore = $isMuch && $after === 1;
                SorenessReportFactory::new()->create([
                    'athlete_id' => $athlete->id,
                    'at' => $day->plus($after)->iso().'T08:00:00+00:00',
                    'moment' => 'morning',
                    'site' => $isSore ? 'shoulder' : 'none',
                    'side' => $isSore ? $athlete->throwing_side->value : null,
                    'score' => $isSore ? 4 : 0,
                    'reported_by' => $this->coach()->id,
                ]);
            }
        }
        $ask = [...$this->ask(), 'goal_rung' => 'pace'];
        $draft = fn (array $with): array => $this->postJson("/api/athletes/{$athlete->id}/seasons/draft", [...$ask, ...$with])
            ->assertOk()
            ->json();
        $said = collect($draft([])['suggestions'])->firstWhere('kind', 'units');
        $this->assertNotNull($said, 'told');
        $told = '/^Sore \(arm\) on \d+ of \d+ mornings after more than \d+ units, on \d+ of/';
        $this->assertMatchesRegularExpression($told, $said['evidence']);
        $most = fn (array $season): float => collect($season['weeks'])->flatMap(fn (array $week): array => $week['days'])
            ->where('kind', 'session')
            ->max('arm');
        $this->assertGreaterThan(10.0, $most($draft([])));
        $this->assertLessThan($most($draft([])), $most($draft(['heeded' => ['units' => 8]])), 'seen before it is kept');

        $taken = [...$ask, 'heeded' => ['units' => 8, 'left' => ['reps']]];
        $kept = $this->postJson("/api/athletes/{$athlete->id}/seasons", $taken)->assertOk();
        $kept->assertJsonPath('heeded.units', 8)->assertJsonPath('heeded.left', ['reps'])->assertJsonPath('differs', false);
        $this->putJson("/api/seasons/{$kept->json('id')}", [...$ask, 'heeded' => ['units' => 0.5], 'version' => 1])
            ->assertStatus(422)
            ->assertJsonPath('errors', ['heeded.units' => ['A session costs 1 to 1,000 units.']]);

        // Mornings are health: whoever does not decide sees the plan without them.
        $this->actingAs($this->person(Role::Assistant));
        $this->getJson("/api/seasons/{$kept->json('id')}")->assertOk()->assertJsonPath('suggestions', []);
    }

    public function test_a_match_and_another_club_take_their_part_of_every_plan(): void
    {
        $athlete = $this->steady();
        $squad = $athlete->squads()->firstOrFail();
        $draft = fn (): array => collect(
            $this->postJson("/api/athletes/{$athlete->id}/seasons/draft", $this->ask())->assertOk()->json('weeks'),
        )
            ->flatMap(fn (array $week): array => $week['days'])
            ->keyBy('date')
            ->all();
        $free = $draft();
        $match = $this->today->plus(12)->iso();
        $id = (string) Str::uuid7();
        $add = fn (array $with): TestResponse => $this->postJson(
            "/api/squads/{$squad->id}/fixtures",
            [
                'id' => $id,
                'kind' => 'match',
                'athlete_id' => null,
                'day' => $match,
                'weeks' => 1,
                'starts_at' => '15:00',
                'title' => 'Home match',
                'doses' => [['skill' => 'jump-serve', 'reps' => 60, 'felt' => 'hard']],
                ...$with,
            ],
        );
        $add([])->assertOk()->assertJsonCount(11, 'fixtures');
        $add([])->assertOk()->assertJsonCount(11, 'fixtures');
        $with = $draft();
        $this->assertSame('match', $with[$match]['kind']);
        $this->assertGreaterThan(0, $with[$match]['arm']);

        $handball = (string) Str::uuid7();
        $add([
            'id' => $handball,
            'kind' => 'elsewhere',
            'athlete_id' => $athlete->id,
            'day' => $this->today->plus(1)->iso(),
            'weeks' => 8,
            'title' => 'Handball at school',
            'doses' => [['skill' => 'handball-standing-throw', 'reps' => 60, 'felt' => 'middling']],
        ])->assertOk()->assertJsonCount(19, 'fixtures');
        $two = $draft();
        $ours = fn (array $days): float => collect($days)->where('kind', 'session')->sum(
            fn (array $day): float => str_contains($day['title'], 'then') ? 0 : $day['arm'],
        );
        $this->assertLessThan($ours($free), $ours($two), 'two sports on one arm add up');

        // Once the match is recorded as work, it is no longer planned beside it.
        $load = (new AthleteDay($athlete, $this->today))->load;
        $this->assertNotSame([], array_filter($load->plans, fn ($set): bool => $set->session === "match {$id}"));
        $this->postJson("/api/fixtures/{$id}/remove")->assertOk()->assertJsonCount(18, 'fixtures');
        $this->assertSame(
            [],
            array_filter((new AthleteDay($athlete, $this->today))->load->plans, fn ($set): bool => $set->session === "match {$id}"),
        );
    }

    /** Two planners, one shoulder: what the squad does is the season's training, and what it does not is said to be extra. */
    #[Group('once')]
    public function test_a_season_trains_on_the_days_of_the_squad_and_says_which_of_its_days_are_extra(): void
    {
        $athlete = $this->steady();
        $squad = $this->smallSquad('Ilse');
        [$own, $with] = [$this->today->plus(3), $this->today->plus(5)];
        TrainingSession::query()->where('held_on', '>', $this->today->iso())->delete();
        $plan = fn (array $more): array => $this->postJson("/api/squads/{$squad->id}/sessions", [
            'day' => $with->iso(), 'starts_at' => '18:30', 'title' => 'Evening of the squad', ...$more,
        ])->assertOk()->json();
        $plan([]);
        $ask = [...$this->ask(), 'weekdays' => [SeasonAsk::weekday($own->ordinal)]];
        $season = $this->postJson("/api/athletes/{$athlete->id}/seasons", $ask)->assertOk()->json('id');
        $day = fn (Day $of): array => collect($this->getJson("/api/seasons/{$season}")->assertOk()->json('weeks'))
            ->pluck('days')->flatten(1)->firstWhere('date', $of->iso());
        $this->assertSame(['session', true], [$day($with)['kind'], $day($with)['with_squad']]);
        $this->assertSame(['session', false], [$day($own)['kind'], $day($own)['with_squad']]);
        $sheets = Sheet::query()->where('athlete_id', $athlete->id)->where('held_on', $with->iso())->get();
        $this->assertSame([$season], $sheets->pluck('season_id')->all(), 'One session, one sheet: the season uses it.');

        // The squad comes on its own day, too: the session the season had made for itself is the squad's now.
        $made = $plan(['day' => $own->iso()]);
        $this->assertTrue($day($own)['with_squad']);
        $that = ['athlete_id' => $athlete->id, 'held_on' => $own->iso(), 'state' => 'planned'];
        $this->assertSame(1, Sheet::query()->where($that)->count());
        $this->postJson("/api/session-changes/{$made['change_id']}/take-back")->assertNoContent();
        $this->assertFalse($day($own)['with_squad']);

        // Called off, it is no training day any more, and nothing is put in its place.
        $session = Sheet::query()->where('season_id', $season)->where('held_on', $with->iso())->firstOrFail()->training_session_id;
        $this->postJson("/api/sessions/{$session}/call-off", ['scope' => 'one', 'reason' => 'No hall'])->assertOk();
        $this->assertSame('rest', $day($with)['kind']);

        // A day taken off for her alone leaves the squad's session where it is: it is shown, and priced.
        $plan([]);
        $version = Season::query()->findOrFail($season)->version;
        $this->putJson("/api/seasons/{$season}", [...$ask, 'off' => [$with->iso()], 'version' => $version])->assertOk();
        $this->assertSame(['other', 'Evening of the squad'], [$day($with)['kind'], $day($with)['title']]);
        $this->assertGreaterThan(0, $day($with)['arm']);

        // Another skill on a day of rest is no rest.
        $this->postJson("/api/athletes/{$athlete->id}/placements", ['ladder' => 'javelin-throw', 'rung' => 'kneel'])->assertOk();
        $plan(['day' => $this->today->plus(4)->iso(), 'ladders' => ['javelin-throw']]);
        $other = $day($this->today->plus(4));
        $this->assertSame(['other', 'Evening of the squad'], [$other['kind'], $other['title']]);
        $this->assertGreaterThan(0, $other['reps']);
    }

    public function test_impossible_asks_are_explained_with_the_nearest_plan(): void
    {
        $athlete = $this->steady();
        foreach ([
            // Without days of its own a season has those of the squad; here they are taken off.
            'no_free_day' => ['weekdays' => [], 'off' => array_map(
                fn (int $days): string => $this->today->plus($days)->iso(), range(0, 60),
            )],
            'too_near' => ['goal_on' => $this->today->plus(3)->iso(), 'goal_rung' => 'match', 'weekdays' => [1, 2, 3, 4, 5, 6, 7]],
            'goal_past' => ['goal_on' => $this->today->iso()],
        ] as $code => $with) {
            $view = $this->postJson("/api/athletes/{$athlete->id}/seasons/draft", [...$this->ask(), ...$with])->assertOk();
            $problem = collect($view->json('problems'))->firstWhere('code', $code);
            $this->assertNotNull($problem, $code);
            $this->assertNotSame('', $problem['way_out']);
            $this->assertNotSame(
                [],
                collect($view->json('weeks'))->flatMap(fn (array $week): array => $week['days'])->where('kind', 'session')->all(),
                "{$code}: the nearest plan",
            );
        }
        $short = $this->postJson("/api/athletes/{$athlete->id}/seasons/draft", [...$this->ask(), 'minutes' => 5])->assertOk();
        $this->assertStringContainsString('5 minutes are too few', json_encode($short->json('weeks')));
        $this->postJson("/api/athletes/{$athlete->id}/seasons/draft", [...$this->ask(), 'minutes' => 0])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['minutes']]);
        $empty = SquadFactory::new()->create(['workspace_id' => $this->coach()->workspace_id, 'name' => 'Nobody yet']);
        $this->postJson(
            "/api/squads/{$empty->id}/seasons",
            ['goal_on' => $this->today->plus(40)->iso(), 'weekdays' => [2], 'minutes' => null, 'rungs_up' => 1],
        )->assertStatus(422)->assertJsonPath('title', 'Nobody to plan for');
    }

    #[Group('once')]
    public function test_the_same_season_for_a_whole_squad(): void
    {
        $squad = Squad::query()->firstOrFail();
        $made = $this->postJson(
            "/api/squads/{$squad->id}/seasons",
            ['goal_on' => $this->today->plus(56)->iso(), 'weekdays' => [1, 3, 5], 'minutes' => 75, 'rungs_up' => 1],
        )->assertOk();
        $this->assertSame(Season::query()->count() - 1, $made->json('seasons'));
        $this->assertSame(['Mira has a season already'], $made->json('left_out'));
        $this->assertGreaterThan(8, $made->json('seasons'));
        foreach (Season::query()->with('athlete')->get() as $season) {
            $this->getJson("/api/seasons/{$season->id}")->assertOk();
        }
    }

    #[Group('once')]
    public function test_the_seasons_of_a_squad_are_kept_at_once_and_worked_out_by_the_worker(): void
    {
        $squad = Squad::query()->firstOrFail();
        Queue::fake();
        $before = Sheet::query()->count();
        $made = $this->postJson(
            "/api/squads/{$squad->id}/seasons",
            ['goal_on' => $this->today->plus(28)->iso(), 'weekdays' => [1, 3, 5], 'minutes' => 75, 'rungs_up' => 1],
        )->assertOk()->json('seasons');
        $this->assertSame($before, Sheet::query()->count(), 'Nothing is worked out while the answer is waited for.');
        Queue::assertPushed(WorkOutSeason::class, $made);
        $this->getJson("/api/plan?squad={$squad->id}")->assertOk()->assertJsonPath('working_out', $made);
        $waiting = Season::query()->where('waiting', true)->get()->keyBy('athlete_id');
        [$one, $closed] = [$waiting[$this->steady()->id], $waiting[$this->athlete('Ravi')->id]];
        $this->getJson("/api/seasons/{$one->id}")->assertOk();

        $this->postJson("/api/seasons/{$closed->id}/close")->assertSuccessful();
        app()->call([new WorkOutSeason($closed->id), 'handle']);
        $this->assertSame([], $closed->refresh()->agreed, 'Closed meanwhile, it stays as it was.');

        app()->call([new WorkOutSeason($one->id), 'handle']);
        $kept = $one->refresh()->toArray();
        $this->assertFalse($one->waiting);
        $this->assertNotSame([], $one->agreed);
        $this->assertTrue(Sheet::query()->where('season_id', $one->id)->exists());
        app()->call([new WorkOutSeason($one->id), 'handle']);
        $this->assertSame($kept, $one->refresh()->toArray(), 'Twice changes nothing.');
        $this->getJson("/api/plan?squad={$squad->id}")->assertOk()->assertJsonPath('working_out', $made - 2);
        $this->artisan('augendo:update')->assertSuccessful();
        Queue::assertPushed(WorkOutSeason::class, 2 * $made - 2);
    }

    /** On a serving ladder, on no way back, and calm. */
    private function steady(): Athlete
    {
        return $this->athlete('Ilse');
    }

    /** @return array<string, mixed> */
    private function ask(): array
    {
        return [
            'ladder' => 'volleyball-float-serve',
            'goal_rung' => null,
            'goal_on' => $this->today->plus(70)->iso(),
            'weekdays' => [2, 4, 6],
            'minutes' => null,
            'moves' => [],
            'off' => [],
        ];
    }
}
