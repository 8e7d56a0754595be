<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Sessions\FitTheDay;
use App\Sessions\SessionChange;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\WeeklyDays;
use Carbon\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** The life of a session: planned, repeated, moved, changed, called off, deleted, and each of them taken back. */
#[Group('once')]
final class CalendarTest extends TestCase
{
    private int $squad;

    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->squad = $this->smallSquad('Mira', 'Dario', 'Noor')->id;
        $this->today = $this->coach()->workspace->today();
    }

    public function test_six_weeks_stand_on_the_calendar_and_get_their_sheets_when_their_day_comes_near(): void
    {
        $holiday = ['from' => $this->today->plus(14)->iso(), 'to' => $this->today->plus(20)->iso()];
        $given = $this->weekly(42, without: [$holiday]);
        $made = $this->plan($given)->assertOk()->json();
        $this->assertSame(10, $made['sessions'], 'Two a week in six weeks, one week of holidays left out.');
        $this->assertSame($made['change_id'], $this->plan($given)->assertOk()->json('change_id'), 'Sent twice, planned once.');
        $rows = $this->sessions();
        $this->assertCount(10, $rows);
        $near = array_filter($rows, fn (array $row): bool => $row['day'] < $this->today->plus(14)->iso());
        foreach ($rows as $row) {
            $isNear = in_array($row, $near, true);
            $this->assertSame([$isNear, true], [$row['planned_reps'] !== null && $row['athletes'] > 0, $row['repeats']], $row['day']);
            $this->assertTrue($row['day'] < $holiday['from'] || $row['day'] > $holiday['to']);
        }
        $this->assertSame(array_sum(array_column($near, 'athletes')), $made['sheets']);

        $day = array_values(array_diff(array_column($rows, 'day'), array_column($near, 'day')))[0];
        Carbon::setTestNow(Carbon::parse("{$day} 06:00", 'Europe/Lisbon')->subDays(13));
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $come = collect($this->sessions())->firstWhere('day', $day);
        $this->assertSame(array_values($near)[0]['athletes'], $come['athletes'], 'Coming twice, the job makes each sheet once.');
        $this->assertGreaterThan(0, $come['planned_reps']);
    }

    public function test_what_would_be_made_is_shown_and_not_kept(): void
    {
        $before = $this->counted();
        $given = ['starts_at' => '19:30', 'title' => 'Serves', 'minutes' => 75, ...$this->weekly(20)];
        $view = $this->postJson("/api/squads/{$this->squad}/sessions/preview", $given)->assertOk()->json();
        $this->assertSame($before, $this->counted());
        $this->assertNotEmpty($view['sheets']);
        $dario = collect($view['sheets'])->firstWhere('name', 'Dario Nwosu');
        $this->assertGreaterThan(0, $dario['reps']);
        $this->plan($this->weekly(20))->assertOk();
        $sheet = $this->sheetsOf($this->sessionOn($view['days'][0]))->firstWhere('athlete_id', $this->athlete('Dario')->id);
        $this->assertSame($dario['reps'], (int) $sheet->blocks()->sum('reps'), 'What was shown is what is kept.');
    }

    public function test_one_of_a_series_is_moved_and_the_series_after_it_leaves_it_alone(): void
    {
        $this->plan($this->weekly(30))->assertOk();
        $rows = $this->sessions();
        [$second, $third] = [$rows[1], $rows[2]];
        $to = Day::of($second['day'])->plus(1)->iso();
        $moved = $this->change($second, ['day' => $to, 'starts_at' => '20:30'])->assertOk()->json();
        $session = TrainingSession::query()->findOrFail($second['id']);
        $this->assertSame([$to, '20:30', true], [$session->day()->iso(), $session->starts_at, $session->own]);
        $days = $this->sheetsOf($session)->map(fn (Sheet $sheet): string => $sheet->day()->iso());
        $this->assertSame([$to], $days->unique()->values()->all());
        $this->assertSame($second['day'], collect($this->sessions())->firstWhere('id', $second['id'])['moved_from']);
        $this->change($second, ['day' => $to])->assertStatus(409)->assertJsonPath('title', 'Changed meanwhile');

        $this->change($rows[0], ['starts_at' => '19:15', 'title' => 'Early'], 'after')->assertOk();
        $after = collect($this->sessions());
        $this->assertSame('20:30', $after->firstWhere('id', $second['id'])['starts_at'], 'Changed on its own, it stays.');
        $this->assertSame('Early', $after->firstWhere('id', $third['id'])['title']);
        $this->assertCount(count($rows), $after);

        $this->takeBack($moved['id'])->assertNoContent();
        $this->takeBack($moved['id'])->assertNoContent();
        $session->refresh();
        $this->assertSame([$second['day'], '19:30', false], [$session->day()->iso(), $session->starts_at, $session->own]);
    }

    public function test_where_a_session_is_moved_to_a_seasons_own_one_gives_way_and_nobody_is_in_two_at_once(): void
    {
        $this->plan(['day' => $this->today->plus(3)->iso()])->assertOk();
        $this->plan(['day' => $this->today->plus(2)->iso(), 'title' => 'Early'])->assertOk();
        [$early, $serves] = $this->sessions();
        $clash = $this->change($serves, ['day' => $early['day'], 'starts_at' => '20:00'])->assertStatus(422);
        $this->assertStringContainsString('is in “Early” at 19:30 that day', $clash->json('detail'));
        // Two skills of one athlete share the minutes, and minutes that are lifted are lifted.
        $sheet = fn (): Sheet => $this->sheetsOf(TrainingSession::query()->findOrFail($serves['id']))
            ->firstWhere('athlete_id', $this->athlete('Dario')->id);
        $this->assertSame(['minutes' => 75], $sheet()->pace);
        $this->change($serves, ['minutes' => 40])->assertOk();
        $this->assertSame(['minutes' => 40], $sheet()->pace);
        $this->change(['version' => $serves['version'] + 1] + $serves, ['minutes' => null])->assertOk();
        $this->assertNull($sheet()->pace);

        // Mira's season has a session of its own on one of the next days.
        $extra = TrainingSession::query()->where('extra', true)->where('held_on', '>', $this->today->iso());
        $own = $extra->orderBy('held_on')->firstOrFail();
        $mira = ['athlete_id' => $this->athlete('Mira')->id, 'held_on' => $own->day()->iso(), 'state' => 'planned'];
        $this->assertSame(1, Sheet::query()->where($mira)->count());
        $row = collect($this->sessions())->firstWhere('id', $serves['id']);
        $moved = $this->change($row, ['day' => $own->day()->iso(), 'starts_at' => '17:00'])->assertOk()->json('id');
        $this->assertSame([$serves['id']], Sheet::query()->where($mira)->pluck('training_session_id')->all());
        $this->takeBack($moved)->assertNoContent();
        $this->assertSame([$own->id], Sheet::query()->where($mira)->pluck('training_session_id')->all());
    }

    public function test_called_off_nothing_of_it_is_planned_and_the_calendar_says_why(): void
    {
        $this->plan($this->weekly(20))->assertOk();
        $row = $this->sessions()[0];
        $sheet = $this->sheetsOf(TrainingSession::query()->findOrFail($row['id']))->firstWhere('athlete_id', $this->athlete('Mira')->id);
        $planned = fn (): array => $this->getJson("/api/athletes/{$sheet->athlete_id}")->json('sheets');
        $this->assertContains($sheet->id, array_column($planned(), 'id'));
        $off = $this->postJson("/api/sessions/{$row['id']}/call-off", ['scope' => 'one', 'reason' => 'The hall is flooded'])->assertOk();
        $this->assertStringContainsString('The hall is flooded', $off->json('sentence'));
        $this->assertNotContains($sheet->id, array_column($planned(), 'id'));
        $shown = collect($this->sessions())->firstWhere('id', $row['id']);
        $this->assertSame(['called_off', 'The hall is flooded', 0], [$shown['state'], $shown['reason'], $shown['athletes']]);
        $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertStatus(409);
        $dose = [...$sheet->blocks()->firstOrFail()->only(['id', 'sets', 'reps', 'effort', 'distance_m'])];
        $this->putJson("/api/sheets/{$sheet->id}", ['version' => $sheet->fresh()?->version, 'blocks' => [$dose]])
            ->assertStatus(409)->assertJsonPath('title', 'Closed');
        $this->postJson("/api/sessions/{$row['id']}/call-off", ['scope' => 'one', 'reason' => 'Again'])->assertStatus(409);

        $this->takeBack($off->json('id'))->assertNoContent();
        $this->assertSame('planned', $sheet->fresh()?->state);
        $this->assertContains($sheet->id, array_column($planned(), 'id'));

        $gone = $this->postJson("/api/sessions/{$row['id']}/call-off", ['scope' => 'after', 'reason' => null])->assertOk();
        $this->assertSame([], $this->sessions());
        $this->getJson("/api/sessions/{$row['id']}")->assertNotFound();
        $this->takeBack($gone->json('id'))->assertNoContent();
        $this->assertContains($row['id'], array_column($this->sessions(), 'id'));
    }

    public function test_what_was_counted_is_closed_and_neither_moved_nor_taken_away(): void
    {
        $planned = $this->plan(['day' => $this->today->iso()])->assertOk()->json('change_id');
        $session = $this->sessionOn($this->today->iso());
        $row = collect($this->sessions())->firstWhere('id', $session->id);
        $sheet = $this->sheetsOf($session)->firstWhere('athlete_id', $this->athlete('Mira')->id);
        $tap = $this->tap($sheet->blocks()->where('reps', '>', 0)->firstOrFail(), 1);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$tap]])->assertOk();

        $this->change($row, ['day' => $this->today->plus(1)->iso()])->assertStatus(409)->assertJsonPath('title', 'Counted already');
        $this->postJson("/api/sessions/{$session->id}/call-off", ['scope' => 'one', 'reason' => null])->assertStatus(409);
        $this->takeBack($planned)->assertStatus(422)->assertJsonPath('title', 'Too late to take back');
        $this->postJson("/api/sessions/{$session->id}/athletes/take-out", ['athlete_id' => $sheet->athlete_id])->assertStatus(409);
        // Its name may change all the same.
        $this->change($row, ['title' => 'Renamed'])->assertOk();

        $this->postJson("/api/sessions/{$session->id}/close", ['version' => $session->fresh()?->version])->assertNoContent();
        $this->assertSame('finished', $sheet->fresh()?->state);
        $this->assertSame(1, $this->sheetsOf($session)->where('state', '!=', Sheet::CALLED_OFF)->count());
        $this->assertSame(1, collect($this->sessions())->firstWhere('id', $session->id)['done_reps']);
    }

    public function test_taps_made_without_a_connection_bring_back_what_was_called_off(): void
    {
        $this->plan(['day' => $this->today->iso()])->assertOk();
        $session = $this->sessionOn($this->today->iso());
        $sheet = $this->sheetsOf($session)->firstWhere('athlete_id', $this->athlete('Mira')->id);
        $off = $this->postJson("/api/sessions/{$session->id}/call-off", ['scope' => 'one', 'reason' => 'Rain'])->assertOk()->json('id');
        $tap = $this->tap($sheet->blocks()->where('reps', '>', 0)->firstOrFail(), 1);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$tap]])->assertOk();
        $this->assertSame('running', $sheet->fresh()?->state);
        $this->assertSame(1, (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'));
        $this->assertFalse($session->fresh()?->isOff());
        $this->takeBack($off)->assertStatus(422);
    }

    public function test_one_more_and_one_less(): void
    {
        $this->plan(['day' => $this->today->plus(3)->iso()])->assertOk();
        $session = $this->sessionOn($this->today->plus(3)->iso());
        $mira = $this->athlete('Mira')->id;
        $out = $this->postJson("/api/sessions/{$session->id}/athletes/take-out", ['athlete_id' => $mira])->assertOk()->json();
        $this->assertStringContainsString('Mira taken out', $out['sentence']);
        $in = fn (): array => collect($this->getJson("/api/sessions/{$session->id}")->json('members'))
            ->pluck('athlete.id')->all();
        $this->assertNotContains($mira, $in());
        $notIn = collect($this->getJson("/api/sessions/{$session->id}")->json('life.not_in'));
        $this->assertSame($mira, $notIn->firstWhere('given_name', 'Mira')['id']);
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertNotContains($mira, $in(), 'Taken out, she stays out.');
        $this->postJson("/api/sessions/{$session->id}/athletes", ['athlete_id' => $mira])->assertOk();
        $this->assertContains($mira, $in());
        $this->postJson("/api/sessions/{$session->id}/athletes", ['athlete_id' => $mira])
            ->assertStatus(409)->assertJsonPath('detail', 'Mira is in this session already.');
        $this->takeBack($out['id'])->assertStatus(422)->assertJsonPath('title', 'Too late to take back');
        $this->postJson("/api/sessions/{$session->id}/athletes", ['athlete_id' => (string) Str::uuid7()])->assertNotFound();
    }

    public function test_whoever_is_new_joins_the_session_of_that_hour_and_nobody_is_in_two_at_once(): void
    {
        $day = $this->today->plus(3)->iso();
        $this->plan(['day' => $day])->assertOk();
        $id = (string) Str::uuid7();
        $person = ['given_name' => 'Tove', 'family_name' => 'Lindqvist', 'birth_date' => '2013-02-28', 'throwing_side' => 'left'];
        $this->postJson("/api/squads/{$this->squad}/athletes", ['id' => $id, 'turn_direction' => null, ...$person])->assertOk();
        $this->postJson("/api/athletes/{$id}/placements", ['ladder' => 'javelin-throw', 'rung' => 'hold'])->assertOk();
        // Placed, she is in what is planned; planned for once more, the hour has nobody who is new.
        $this->assertSame([$id], $this->sheetsOf($this->sessionOn($day))->where('athlete_id', $id)->pluck('athlete_id')->all());
        $this->plan(['day' => $day])->assertStatus(422);
        $this->assertSame(1, TrainingSession::query()->where('held_on', $day)->where('title', 'Serves')->count());
        // A quarter of an hour later they are all still in it.
        $clash = $this->plan(['day' => $day, 'starts_at' => '19:45'])->assertStatus(422);
        $this->assertStringContainsString('Tove is in another session at that hour', $clash->json('detail'));
    }

    public function test_a_week_is_copied_and_left_alone_where_something_is(): void
    {
        $this->plan(['day' => $this->today->plus(1)->iso()])->assertOk();
        $monday = WeeklyDays::monday($this->today->plus(8));
        $week = ['id' => (string) Str::uuid7(), 'week' => $monday->iso()];
        $copied = $this->postJson("/api/squads/{$this->squad}/sessions/copy-week", $week)->assertOk()->json();
        $this->assertSame($copied['change_id'], $this->postJson("/api/squads/{$this->squad}/sessions/copy-week", $week)->json('change_id'));
        $this->assertNotNull(collect($this->sessions())->firstWhere('day', $this->today->plus(8)->iso()));
        $again = $this->postJson("/api/squads/{$this->squad}/sessions/copy-week", ['id' => (string) Str::uuid7()] + $week);
        $again->assertStatus(422);
        $this->assertStringContainsString('there is a session at that hour already', $again->json('detail'));
        $this->takeBack($copied['change_id'])->assertNoContent();
        $this->assertNull(collect($this->sessions())->firstWhere('day', $this->today->plus(8)->iso()));
    }

    public function test_a_venue_is_said_once_and_used_by_every_session_that_names_it(): void
    {
        $venue = [
            'id' => (string) Str::uuid7(), 'name' => 'Hall A', 'length_m' => 12, 'width_m' => 9.5, 'floor' => 'sprung', 'balls' => 14,
            'objects' => null,
        ];
        $this->putJson('/api/venues', $venue)->assertOk()->assertJsonPath('0.balls', 14);
        $this->putJson('/api/venues', [...$venue, 'balls' => 16])->assertOk()->assertJsonCount(1)->assertJsonPath('0.balls', 16);
        $this->putJson('/api/venues', [...$venue, 'id' => (string) Str::uuid7()])->assertStatus(409)
            ->assertJsonPath('errors.name.0', 'This name is taken.');
        $field = [...$venue, 'id' => (string) Str::uuid7(), 'name' => 'Field', 'floor' => 'firm', 'length_m' => null];
        $this->putJson('/api/venues', $field)->assertOk();
        $this->postJson("/api/squads/{$this->squad}/sessions", [
            'day' => $this->today->plus(5)->iso(), 'starts_at' => '09:00', 'title' => 'In the hall', 'place' => 'Hall A',
        ])->assertOk();
        $session = TrainingSession::query()->where('title', 'In the hall')->firstOrFail();
        $this->assertSame('sprung', $session->floor);
        $view = $this->getJson("/api/sessions/{$session->id}")->assertOk()->json();
        $this->assertSame(16, $view['balls']);
        $this->assertNotSame([], $view['spaces']);
        foreach ($view['spaces'] as $space) {
            $this->assertLessThanOrEqual(12, $space['length_m'], 'no space is longer than the hall');
            $this->assertLessThanOrEqual(3, $space['lanes'], 'nor wider');
            $this->assertFalse($space['sector']);
        }
        $this->postJson("/api/sessions/{$session->id}/change", [
            'version' => $session->version, 'scope' => 'one', 'day' => $session->day()->iso(), 'starts_at' => '09:00',
            'title' => 'In the hall', 'minutes' => null, 'place' => 'Field',
        ])->assertSuccessful();
        $this->assertSame('firm', $session->refresh()->floor);
        $change = SessionChange::query()->latest('id')->value('id');
        $this->postJson("/api/session-changes/{$change}/take-back")->assertSuccessful();
        $this->assertSame(['sprung', 'Hall A'], [$session->refresh()->floor, $session->place]);
        $this->postJson("/api/venues/{$venue['id']}/remove")->assertOk()->assertJsonCount(1);
        $this->assertSame('sprung', $session->refresh()->floor, 'what was planned stays as it was');
        $this->actingAs($this->person(Role::Assistant))->putJson('/api/venues', $venue)->assertForbidden();
    }

    public function test_who_only_runs_sessions_sees_the_calendar_and_changes_nothing(): void
    {
        $this->plan($this->weekly(30))->assertOk();
        $row = $this->sessions()[0];
        $this->actingAs($this->person(Role::Assistant));
        $this->assertNotEmpty($this->sessions());
        $this->assertSame([], $this->getJson("/api/calendar?squad={$this->squad}")->json('changes'));
        $this->change($row, ['title' => 'Mine'])->assertForbidden();
        $this->actingAs($this->person(Role::Guardian));
        $this->assertSame([1], array_unique(array_column($this->sessions(), 'athletes')), 'A guardian sees the sessions of their child.');
    }

    public function test_what_cannot_be_is_refused_with_the_field(): void
    {
        $wrong = [
            'until' => $this->today->plus(-1)->iso(), 'weekdays' => [8], 'starts_at' => '25:00', 'title' => '',
            'place' => str_repeat('x', 81),
            'without' => [['from' => 'soon', 'to' => 'later']],
        ];
        foreach ($wrong as $field => $value) {
            $answer = $this->plan([...$this->weekly(20), $field => $value])->assertStatus(422);
            $this->assertStringStartsWith($field, (string) array_key_first($answer->json('errors')));
        }
        $this->plan([...$this->weekly(20), 'until' => $this->today->plus(800)->iso()])->assertStatus(422);
    }

    /** @param  list<array{from: string, to: string}>  $without */
    private function weekly(int $days, array $without = []): array
    {
        return [
            'id' => (string) Str::uuid7(), 'day' => $this->today->plus(1)->iso(), 'until' => $this->today->plus($days)->iso(),
            'weekdays' => [
                SeasonAsk::weekday($this->today->ordinal + 2),
                SeasonAsk::weekday($this->today->ordinal + 5),
            ],
            'without' => $without, 'place' => 'Hall A',
        ];
    }

    /** @param  array<string, mixed>  $with */
    private function plan(array $with): TestResponse
    {
        return $this->postJson("/api/squads/{$this->squad}/sessions", [
            'starts_at' => '19:30', 'title' => 'Serves', 'minutes' => 75, ...$with,
        ]);
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  array<string, mixed>  $with
     */
    private function change(array $row, array $with, string $scope = 'one'): TestResponse
    {
        return $this->postJson("/api/sessions/{$row['id']}/change", [
            'version' => $row['version'], 'scope' => $scope, 'day' => $row['day'], 'starts_at' => $row['starts_at'],
            'title' => $row['title'], 'minutes' => $row['minutes'], 'place' => $row['place'], ...$with,
        ]);
    }

    private function takeBack(string $id): TestResponse
    {
        return $this->postJson("/api/session-changes/{$id}/take-back");
    }

    /** @return list<array<string, mixed>> those planned by the test, not by the squad's story */
    private function sessions(): array
    {
        $span = "squad={$this->squad}&from=".$this->today->iso().'&to='.$this->today->plus(60)->iso();

        return array_values(array_filter(
            $this->getJson("/api/calendar?{$span}")->assertOk()->json('sessions'),
            fn (array $row): bool => in_array($row['title'], ['Serves', 'Early', 'Renamed'], true),
        ));
    }

    private function sessionOn(string $day): TrainingSession
    {
        return TrainingSession::query()->where('held_on', $day)->where('title', 'Serves')->firstOrFail();
    }

    /** @return Collection<int, Sheet> */
    private function sheetsOf(TrainingSession $session): Collection
    {
        return Sheet::query()->where('training_session_id', $session->id)->get();
    }

    /** @return list<int> */
    private function counted(): array
    {
        return array_map(
            fn (string $table): int => DB::table($table)->count(),
            ['training_sessions', 'sheets', 'sheet_blocks', 'session_changes', 'activity_log'],
        );
    }
}
