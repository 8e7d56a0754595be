<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Squad;
use App\Sessions\SessionChange;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Carbon\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What was done and nobody counted, and what was counted wrong: the record is made true, and says that it was. */
#[Group('once')]
final class LateTest extends TestCase
{
    private Day $today;

    private Squad $squad;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->today = $this->coach()->workspace->today();
        $this->squad = $this->smallSquad('Mira');
    }

    public function test_a_session_of_an_earlier_day_is_entered_late_and_counts_on_its_day(): void
    {
        $day = $this->freeDay();
        $sheet = $this->late($day);
        $asked = $sheet->blocks->where('judged', true)->firstOrFail();
        $this->assertSame($asked->asked_sets * $asked->asked_reps, $asked->reps, 'As the rung asks: what that day held is over.');
        $after = fn (): array => $this->getJson("/api/sheets/{$sheet->id}/after")->assertOk()->json();
        $this->assertTrue($after()['entered_late']);
        $totals = ['athlete_id' => $sheet->athlete_id, 'day' => $day->iso()];
        $arm = fn (): float => (float) DB::table('daily_totals')->where($totals)->sum('arm');
        $before = $arm();
        $this->enter($sheet, [$asked->id => 21], ['minutes' => 50, 'session_rpe' => 4])->assertNoContent();
        $this->assertGreaterThan($before, $arm());
        $view = $after();
        $this->assertSame(
            ['finished', 21, 0, 0, ''],
            [$view['sheet']['state'], $view['sheet']['done_reps'], $view['observed'], $view['unobserved'], $view['strip']],
            'Load, and no evidence of anything: not even of having been looked at.',
        );
        $this->assertStringContainsString('0 → 21', $view['corrections'][0]['sentence']);
        $corrected = $this->getJson("/api/today?squad={$this->squad->id}")->json('corrected');
        $this->assertSame([], $corrected, 'More than was counted gives nobody room.');
        $rows = collect($this->getJson("/api/calendar?squad={$this->squad->id}&from={$day->iso()}&to={$day->iso()}")->json('sessions'));
        $row = $rows->firstWhere('title', 'Forgotten');
        $this->assertSame([true, true, 21], [$row['entered_late'], $row['counted'], $row['done_reps']]);
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_written_down_on_the_wrong_day_and_moved_ahead_it_is_a_plan_like_any_other(): void
    {
        $sheet = $this->late($this->freeDay());
        $mira = $this->athlete('Mira');
        $this->postJson("/api/athletes/{$mira->id}/restrictions", [
            'id' => (string) Str::uuid7(), 'covers' => 'all', 'from_day' => $this->today->iso(), 'none_until' => null,
            'until_day' => $this->today->plus(20)->iso(), 'effort_max' => 0.4, 'reps_a_day' => 12, 'clinician_name' => 'Dr. Reed',
            'note' => null,
        ])->assertOk();
        $session = TrainingSession::query()->findOrFail($sheet->training_session_id);
        $to = array_values(array_filter(
            array_map(fn (int $ahead): Day => $this->today->plus($ahead), range(1, 12)),
            fn (Day $day): bool => ! Sheet::query()->where('athlete_id', $mira->id)->where('held_on', $day->iso())->exists(),
        ))[0];
        $this->postJson("/api/sessions/{$session->id}/change", [
            'version' => $session->version, 'scope' => 'one', 'day' => $to->iso(), 'starts_at' => $session->starts_at,
            'title' => $session->title, 'minutes' => null, 'place' => null,
        ])->assertOk();
        $this->assertFalse($session->refresh()->entered_late);
        $this->assertSame([], $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('broken'));
        $change = SessionChange::query()->latest('id')->value('id');
        $this->postJson("/api/session-changes/{$change}/take-back")->assertNoContent();
        $this->assertTrue($session->refresh()->entered_late, 'and back it is what it was');
    }

    public function test_counted_late_it_is_evidence_as_any_other(): void
    {
        $sheet = $this->late($this->freeDay());
        $block = $this->judgedBlock($sheet);
        $at = fn (int $seq): string => Carbon::parse("{$sheet->day()->iso()} 18:00", 'Europe/Lisbon')->addSeconds($seq)->toIso8601String();
        $taps = array_map(fn (int $seq): array => $this->tap($block, $seq, ['at' => $at($seq)]), range(1, 6));
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $taps])->assertOk()->assertJsonCount(6, 'kept');
        $this->assertSame(6, $this->getJson("/api/sheets/{$sheet->id}/after")->json('good'));
    }

    public function test_fewer_than_were_counted_needs_a_reason_and_stands_on_today_for_a_week(): void
    {
        $done = ['athlete_id' => $this->athlete('Mira')->id, 'state' => 'finished'];
        $sheet = Sheet::query()->where($done)->latest('held_on')->firstOrFail();
        $block = $this->judgedBlock($sheet);
        $count = fn (): int => (int) DB::table('work_sets')->where('block_id', $block->id)->sum('reps');
        $before = $count();
        $this->assertGreaterThan(5, $before);
        $this->enter($sheet, [$block->id => $before - 5])->assertStatus(422)->assertJsonStructure(['errors' => ['reason']]);
        $this->assertSame($before, $count());
        $entry = ['id' => (string) Str::uuid7(), 'reason' => 'The last five were Ilse’s'];
        $this->enter($sheet, [$block->id => $before - 5], $entry)->assertNoContent();
        $this->enter($sheet, [$block->id => $before - 5], $entry)->assertNoContent();
        $this->assertSame($before - 5, $count());
        $this->assertSame(
            $before, DB::table('rep_events')->where('block_id', $block->id)->where('kind', 'rep')->count(), 'The taps stay as they were.',
        );
        $shown = $this->getJson("/api/today?squad={$this->squad->id}")->json('corrected');
        $this->assertSame(['The last five were Ilse’s', $this->coach()->name], [$shown[0]['reason'], $shown[0]['by']]);
        $this->assertStringContainsString("{$before} → ".($before - 5), $shown[0]['sentence']);
        $this->assertSame(1, DB::table('activity_log')->where('description', 'counts lowered')->count());
        Carbon::setTestNow(Carbon::now()->addDays(8));
        $this->assertSame([], $this->getJson("/api/today?squad={$this->squad->id}")->json('corrected'));
        $this->enter($sheet, [$block->id => $before], ['reason' => null])->assertNoContent();
        $this->assertSame($before, $count());
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_what_cannot_be_is_refused_with_the_place(): void
    {
        $sheet = $this->late($this->freeDay());
        $block = $this->judgedBlock($sheet);
        $this->enter($sheet, [$block->id => 501])->assertStatus(422);
        $this->enter($sheet, [(string) Str::uuid7() => 5])->assertNotFound();
        $ahead = Sheet::query()->where('held_on', '>', $this->today->iso())->where('state', 'planned')->firstOrFail();
        $this->enter($ahead, [])->assertStatus(409)->assertJsonPath('title', 'Not today');
        $squad = $this->squad;
        $given = ['starts_at' => '09:00', 'title' => 'Long ago'];
        $this->postJson("/api/squads/{$squad->id}/sessions", ['day' => $this->today->plus(-61)->iso(), ...$given])->assertStatus(422);
        $this->postJson("/api/squads/{$squad->id}/sessions", [
            'day' => $this->today->plus(-3)->iso(), 'until' => $this->today->plus(20)->iso(), 'weekdays' => [1], ...$given,
        ])->assertStatus(422)->assertJsonStructure(['errors' => ['day']]);
    }

    private function freeDay(): Day
    {
        for ($day = $this->today->plus(-2); ; $day = $day->plus(-1)) {
            if (TrainingSession::query()->where('held_on', $day->iso())->doesntExist()) {
                return $day;
            }
        }
    }

    /** Mira's sheet of a session entered late. */
    private function late(Day $day): Sheet
    {
        $squad = $this->squad;
        $given = ['day' => $day->iso(), 'starts_at' => '18:00', 'title' => 'Forgotten'];
        $this->postJson("/api/squads/{$squad->id}/sessions", $given)->assertOk();
        $mira = $this->athlete('Mira')->id;

        return Sheet::query()->with('blocks')->where('athlete_id', $mira)->where('held_on', $day->iso())->firstOrFail();
    }

    /**
     * @param  array<string, int>  $counts  by block
     * @param  array<string, mixed>  $with
     */
    private function enter(Sheet $sheet, array $counts, array $with = []): TestResponse
    {
        return $this->postJson("/api/sheets/{$sheet->id}/counts", [
            'id' => (string) Str::uuid7(), 'reason' => null, 'minutes' => null, 'session_rpe' => null,
            'blocks' => array_map(fn (string $id, int $reps): array => ['id' => $id, 'reps' => $reps], array_keys($counts), $counts),
            ...$with,
        ]);
    }
}
