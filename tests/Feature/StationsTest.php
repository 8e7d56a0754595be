<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Sessions\Sheet;
use App\Sessions\Stations;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Augendo\Core\Load\Surface;
use Carbon\Carbon;
use Database\Factories\PlacementFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A squad's hour on its page and courtside: who is where when, who helps, what finds no place. */
#[Group('once')]
final class StationsTest extends TestCase
{
    private TrainingSession $session;

    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->today = $this->coach()->workspace->today();
        $squad = $this->smallSquad('Mira', 'Dario', 'Noor', 'Tomas');
        // A day on which nothing else is planned takes the doses as the rungs ask for them.
        $taken = TrainingSession::query()->pluck('held_on')->map(fn (string $on): string => substr($on, 0, 10))->all();
        $free = array_values(array_filter(
            array_map(fn (int $i): string => $this->today->plus($i)->iso(), range(1, 13)),
            fn (string $day): bool => ! in_array($day, $taken, true),
        ));
        $this->postJson("/api/squads/{$squad->id}/sessions", [
            'day' => $free[0], 'starts_at' => '23:30', 'title' => 'Side by side', 'minutes' => 90,
        ])->assertOk();
        $this->session = TrainingSession::query()->where('title', 'Side by side')->firstOrFail();
    }

    public function test_everybody_is_once_in_each_round_and_does_each_dose_once_in_its_order(): void
    {
        $view = $this->shown();
        $this->assertCount(4, $view['members']);
        $this->assertNotSame([], $view['rounds']);
        $doses = [];
        foreach ($view['rounds'] as $round) {
            $in = array_merge(...array_map(fn (array $place): array => $place['athletes'], $round['places']));
            $ids = [...array_column($in, 'athlete_id'), ...array_column($round['off'], 'athlete_id')];
            sort($ids);
            $this->assertSame($this->ids($view), $ids);
            foreach ($in as $each) {
                $this->assertSame($each['task'] === 'works', $each['doses'] !== []);
                $doses[$each['athlete_id']] = [...$doses[$each['athlete_id']] ?? [], ...$each['doses']];
            }
        }
        foreach ($view['members'] as $member) {
            $asked = Stations::open($this->session, $this->coach())->placedDoses(Sheet::query()->findOrFail($member['sheet_id']));
            $this->assertSame(count($asked), count($doses[$member['athlete']['id']] ?? []) + count($member['left_out']));
        }
        $this->assertContains('one_way', array_column($view['flags'], 'code'), 'Tomas throws a javelin');
    }

    public function test_somebody_late_joins_after_a_warm_up_of_their_own_and_somebody_absent_is_nowhere(): void
    {
        $view = $this->shown();
        $mira = $this->athlete('Mira')->id;
        $dario = $this->athlete('Dario')->id;
        $after = $this->keep($view, ['absent' => [$dario], 'late' => [['athlete' => $mira, 'minutes' => 15]]]);
        $this->assertNotContains($dario, $this->ids($after));
        $this->assertSame([$dario], array_column($after['absent'], 'id'));
        foreach ($after['rounds'] as $round) {
            $in = array_merge(...array_map(fn (array $place): array => array_column($place['athletes'], 'athlete_id'), $round['places']));
            $minutes = (int) Carbon::parse($round['starts_at'])->diffInMinutes(Carbon::parse('23:30'), true) % 1440;
            $this->assertTrue(! in_array($mira, $in, true) || $minutes % 1410 >= 15, json_encode($round));
        }
    }

    public function test_what_flies_far_goes_indoors_and_a_coachs_own_doses_say_what_they_need(): void
    {
        $view = $this->shown();
        $tomas = Sheet::query()->where('training_session_id', $this->session->id)
            ->where('athlete_id', $this->athlete('Tomas')->id)->firstOrFail();
        $far = fn (): bool => $tomas->blocks()->where('reps', '>', 0)->where('object', 'like', 'javelin%')->exists();
        $this->assertTrue($far());
        $hall = array_map(fn (array $space): array => [...$space, 'sector' => false], $view['spaces']);
        $after = $this->keep($view, ['spaces' => $hall]);
        $this->assertFalse($far(), 'no javelin in a hall');
        $this->assertTrue($tomas->blocks()->where('title', 'like', '%into a net%')->where('judged', false)->exists());
        $this->assertSame([], collect($after['members'])->firstWhere('athlete.given_name', 'Tomas')['left_out']);
        $said = implode(' ', $this->getJson("/api/sheets/{$tomas->id}")->assertOk()->json('trims'));
        $this->assertStringContainsString('is done indoors. It does not count on the rung.', $said);

        // Another skill of theirs is offered in its place: the hall holds a serve, and no discus.
        foreach (['discus' => 'standing', 'volleyball-float-serve' => 'line'] as $ladder => $rung) {
            PlacementFactory::new()->create(['athlete_id' => $tomas->athlete_id, 'ladder' => $ladder, 'rung' => $rung]);
        }
        Carbon::setTestNow(Carbon::parse("{$this->session->held_on} 08:00", 'Europe/Lisbon'));
        $this->assertTrue(collect($this->shown()['members'])->firstWhere('athlete.given_name', 'Tomas')['swap']);
        $offer = $this->getJson("/api/sheets/{$tomas->id}/swap")->assertOk()->json();
        $this->assertStringStartsWith('No space holds', end($offer['why']), json_encode($offer['why']));
        $judged = array_filter($offer['lines'], fn (array $line): bool => $line['judged']);
        $this->assertSame(['Volleyball, 270 g'], array_values(array_unique(array_column($judged, 'object'))), json_encode($offer));
        $this->postJson("/api/sessions/{$this->session->id}/undo")->assertOk();
        $this->assertTrue($far(), 'and back to the field');

        // What a coach set by hand stays, and what it needs is said.
        $tomas->refresh()->update(['edited' => true]);
        $view = $this->shown();
        $after = $this->keep($view, ['spaces' => $hall]);
        $this->assertTrue($far());
        $left = collect($after['members'])->firstWhere('athlete.given_name', 'Tomas')['left_out'];
        $this->assertStringEndsWith('no space can hold it.', $left[0]);
        $this->assertStringContainsString('needs a sector', collect($after['flags'])->firstWhere('code', 'no_space')['sentence']);
        $this->putJson("/api/sessions/{$this->session->id}", [
            ...$this->kept($after), 'spaces' => [[...$hall[0], 'lanes' => 0]],
        ])->assertStatus(422)->assertJsonPath('errors', ['spaces.0.lanes' => ['A space has 1 to 60 lanes: so many work side by side.']]);
    }

    public function test_landings_are_priced_by_the_spaces_somebody_may_be_sent_to(): void
    {
        $noor = Sheet::query()->where('training_session_id', $this->session->id)
            ->where('athlete_id', $this->athlete('Noor')->id)->firstOrFail();
        $view = $this->shown();
        $floors = fn (?string ...$of): array => array_map(
            fn (array $space, int $i): array => [...$space, 'surface' => $of[$i % count($of)]],
            $view['spaces'], array_keys($view['spaces']),
        );
        $landed = fn (): array => $noor->blocks()->where('kind', 'whole')->pluck('surface')
            ->map(fn (?Surface $of): ?string => $of?->value)->unique()->values()->all();
        $view = $this->keep($view, ['spaces' => $floors('hard', 'soft')]);
        $this->assertSame(['soft'], $landed(), 'nobody lands on a hard floor while there is another');
        $view = $this->keep($view, ['spaces' => $floors('hard')]);
        $this->assertSame(['hard'], $landed());
        $this->assertContains('hard_floor', array_column($view['flags'], 'code'));
    }

    public function test_courtside_knows_the_rounds_of_each_one(): void
    {
        $members = $this->keep($this->shown(), [])['members'];
        Carbon::setTestNow(Carbon::parse("{$this->session->held_on} 08:00", 'Europe/Lisbon'));
        foreach ($members as $member) {
            $pack = $this->getJson("/api/sheets/{$member['sheet_id']}/courtside")->assertOk()->json();
            $view = $this->shown();
            $this->assertCount(count($view['rounds']), $pack['rotation']['rounds']);
            $this->assertSame(0, $pack['rotation']['rounds'][0]['starts_min']);
            $this->assertSame(array_column($view['rounds'], 'minutes'), array_column($pack['rotation']['rounds'], 'minutes'));
            foreach ($view['rounds'] as $i => $round) {
                $off = array_column($round['off'], 'then', 'athlete_id')[$member['athlete']['id']] ?? null;
                $what = $pack['rotation']['rounds'][$i]['what'];
                $off === null
                    ? $this->assertStringContainsString(': ', $what)
                    : $this->assertSame(implode(', ', $off) ?: 'Rest', $what);
            }
        }
    }

    public function test_another_phone_hears_of_what_was_counted_and_reported_at_the_line(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $session = $sheet->training_session_id;
        $heard = fn (?string $device): array => collect($this->getJson(
            "/api/sessions/{$session}/heard".($device === null ? '' : "?device={$device}"),
        )->assertOk()->json())->firstWhere('sheet_id', $sheet->id);
        $tap = $this->tap($block, 1);
        $before = $heard($tap['device']);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$tap]])->assertOk();
        $this->assertSame($before, $heard($tap['device']), 'one’s own tap is no news');
        $this->assertSame($before['others'] + 1, $heard((string) Str::uuid())['others']);
        $this->assertGreaterThan($before['others'], $heard(null)['others'], 'whoever does not say who they are hears of all');
        $this->assertSame($heard(null), $heard('nobody'), 'nor does whoever says something that is no device');
        $this->getJson("/api/sessions/{$session}/heard?device[]=x")->assertStatus(422);
        $this->postJson("/api/athletes/{$sheet->athlete_id}/reports", ['reports' => [$this->report('shoulder', 'right', 'joint', 6)]])
            ->assertSuccessful();
        $this->assertNotSame($before['health'], $heard($tap['device'])['health']);
        $pack = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json();
        $this->assertSame($heard(null)['health'], $pack['health']);
        $this->assertSame([$session, $heard(null)['others']], [$pack['session_id'], count($pack['events'])]);
        $this->assertContains(true, array_column($pack['blocks'], 'warm_up'));
    }

    public function test_a_sore_arm_feeds_nobody(): void
    {
        $dario = $this->athlete('Dario');
        Carbon::setTestNow(Carbon::parse("{$this->session->held_on} 08:00", 'Europe/Lisbon'));
        $this->postJson("/api/athletes/{$dario->id}/reports", ['reports' => [$this->report('shoulder', 'right', 'joint', 6)]])
            ->assertSuccessful();
        foreach ($this->shown()['rounds'] as $round) {
            foreach (array_merge(...array_map(fn (array $place): array => $place['athletes'], $round['places'])) as $each) {
                $this->assertTrue($each['athlete_id'] !== $dario->id || $each['task'] === 'works', 'he helps nobody');
            }
        }
    }

    public function test_stations_kept_by_an_earlier_version_become_spaces_and_back(): void
    {
        $station = [
            'id' => 'whole', 'title' => 'Court', 'kinds' => ['whole'], 'length_m' => 18, 'capacity' => 5, 'needs_adult' => true,
            'surface' => 'firm', 'gloves' => false, 'balls_each' => 3,
        ];
        $old = ['minutes' => 60, 'adults' => 1, 'balls' => 9, 'stations' => [$station], 'absent' => [], 'late' => []];
        $row = DB::table('training_sessions')->where('id', $this->session->id);
        $row->update(['stations' => json_encode([...$old, 'before' => $old])]);
        $migration = require database_path('migrations/2026_11_27_000012_spaces_of_sessions.php');
        $migration->up();
        $this->assertEquals(
            [['id' => 'whole', 'title' => 'Court', 'length_m' => 18, 'lanes' => 5, 'surface' => 'firm', 'sector' => false]],
            $this->shown()['spaces'],
        );
        $this->postJson("/api/sessions/{$this->session->id}/undo")->assertOk()->assertJsonPath('spaces.0.lanes', 5);
        $migration->down();
        $kept = json_decode((string) $row->value('stations'), true);
        $this->assertSame([5, 'Court'], [$kept['stations'][0]['capacity'], $kept['stations'][0]['title']]);
        $migration->up();
    }

    /** @return array<string, mixed> */
    private function shown(): array
    {
        return $this->getJson("/api/sessions/{$this->session->id}")->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $view
     * @return array<string, mixed> as it is kept
     */
    private function kept(array $view): array
    {
        return [
            ...array_intersect_key($view, array_flip(['version', 'minutes', 'adults', 'balls', 'spaces'])),
            'absent' => array_column($view['absent'], 'id'), 'late' => [],
        ];
    }

    /**
     * @param  array<string, mixed>  $view
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function keep(array $view, array $with): array
    {
        return $this->putJson("/api/sessions/{$this->session->id}", [...$this->kept($view), ...$with])->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $view
     * @return list<string>
     */
    private function ids(array $view): array
    {
        $ids = array_map(fn (array $member): string => $member['athlete']['id'], $view['members']);
        sort($ids);

        return $ids;
    }
}
