<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Records\AthletesChanged;
use App\Returns\PlayReturn;
use App\Seasons\Season;
use App\Sessions\FitTheDay;
use App\Sessions\KeepRows;
use App\Sessions\RefitSheets;
use App\Sessions\Sheet;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use RuntimeException;
use Tests\TestCase;

/** One change, one consequence: what follows a write, when its job dies, runs twice or late; and looking writes nothing. */
#[Group('once')]
final class ConsequenceTest extends TestCase
{
    public function test_looking_writes_nothing(): void
    {
        Queue::fake();
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Mira');
        // A day after the sheets were fitted, with nothing kept: everything has to be worked out.
        DB::table('kept_rows')->delete();
        DB::table('sheets')->where('state', 'planned')->update(['fitted_on' => null]);
        $athlete = "athletes/{$sheet->athlete_id}";
        $season = Season::query()->firstOrFail()->id;
        $return = PlayReturn::query()->firstOrFail()->id;
        $written = [];
        DB::listen(function (object $query) use (&$written): void {
            if (preg_match('/^\s*(insert|update|delete|replace)\b/i', $query->sql) === 1) {
                $written[] = $query->sql;
            }
        });
        foreach ([
            'me', 'today', 'roll-call', 'gates', 'plan', 'limits', 'rule-sets', 'library', 'programmes', 'returns', 'people',
            $athlete, "{$athlete}/load", "{$athlete}/scores", "{$athlete}/homework", "{$athlete}/what-helped", "{$athlete}/intake",
            "{$athlete}/schools", 'squads/1/schools', 'squads/1/what-helped', 'drills?words=sore+wrist',
            "{$athlete}/match", "sheets/{$sheet->id}", "sheets/{$sheet->id}/courtside", "sheets/{$sheet->id}/after",
            "sessions/{$sheet->training_session_id}", "seasons/{$season}", "returns/{$return}",
        ] as $path) {
            $this->getJson("/api/{$path}")->assertOk();
            $this->assertSame([], $written, $path);
        }
        Queue::assertPushed(KeepRows::class);
        Queue::assertPushed(RefitSheets::class, fn (RefitSheets $job): bool => $job->athleteId === $sheet->athlete_id);
    }

    public function test_a_sheet_of_the_day_is_shown_as_it_will_be_kept(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Yuna');
        DB::table('sheets')->where('id', $sheet->id)->update(['fitted_on' => null]);
        Queue::fake();
        $looked = $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json();
        $taken = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json();
        (new RefitSheets($sheet->athlete_id))->handle();
        $kept = $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json();
        $this->assertSame($kept, $looked);
        $this->assertSame(array_column($kept['blocks'], 'id'), array_column($looked['blocks'], 'id'));
        // A tap on what was taken along finds its block, though nothing had been kept when it was taken.
        DB::table('sheets')->where('id', $sheet->id)->update(['fitted_on' => null]);
        $block = $this->judgedBlock($sheet->refresh());
        $this->assertContains($block->id, array_column($taken['blocks'], 'id'));
        $tap = $this->tap($block, 0);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$tap]])->assertOk()->assertJsonPath('kept', [$tap['id']]);
    }

    public function test_the_job_twice_or_late_changes_nothing_that_stands(): void
    {
        $sheet = $this->sheetOf('Mira');
        AthletesChanged::one($sheet->athlete_id, $this->coach()->workspace->today());
        $version = $sheet->refresh()->version;
        $this->assertFalse($sheet->stale);
        (new RefitSheets($sheet->athlete_id))->handle();
        $this->assertSame($version, $sheet->refresh()->version);
        // Late: somebody started in between, and what is under way is not planned anew.
        $sheet->update(['stale' => true, 'state' => 'running']);
        (new RefitSheets($sheet->athlete_id))->handle();
        $this->assertSame($version, $sheet->refresh()->version);
        // Of somebody who is gone.
        (new RefitSheets('01a58947-3d78-71e5-9eb1-dd429c84fc33'))->handle();
        KeepRows::dispatchSync(999_999);
        FitTheDay::dispatchSync(999_999);
    }

    public function test_a_job_that_dies_half_way_leaves_marks_that_the_next_one_finds(): void
    {
        $mira = $this->athlete('Mira');
        Queue::fake();
        AthletesChanged::many([$mira], $this->coach()->workspace->today());
        $waiting = fn (): int => Sheet::waiting([$mira->id], $this->coach()->workspace->today())->count();
        $this->assertGreaterThan(1, $before = $waiting());
        $died = 0;
        Sheet::updating(function () use (&$died): void {
            if ($died++ === 1) {
                throw new RuntimeException('The machine went down.');
            }
        });
        try {
            (new RefitSheets($mira->id))->handle();
            $this->fail('It did not die.');
        } catch (RuntimeException) {
            $this->assertSame($before - 1, $waiting());
        }
        Sheet::flushEventListeners();
        (new RefitSheets($mira->id))->handle();
        $this->assertSame(0, $waiting());
    }

    public function test_a_change_takes_the_kept_row_away_at_once(): void
    {
        $this->actingAs($this->coach());
        $mira = $this->athlete('Mira');
        $this->getJson('/api/today')->assertOk();
        $this->assertSame(1, DB::table('kept_rows')->where('athlete_id', $mira->id)->where('screen', 'today')->count());
        Queue::fake();
        $revision = $mira->refresh()->revision;
        $this->postJson("/api/athletes/{$mira->id}/reports", ['reports' => [$this->report('shoulder', 'right', 'muscle', 6)]])
            ->assertNoContent();
        $this->assertGreaterThan($revision, $mira->refresh()->revision);
        $row = collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.id', $mira->id);
        $this->assertSame('none', $row['word']);
    }

    public function test_after_midnight_the_day_is_fitted_and_its_rows_are_kept_before_anybody_looks(): void
    {
        $workspace = $this->coach()->workspace;
        $this->travel(1)->days();
        $today = $workspace->today();
        $ids = DB::table('athletes')->where('workspace_id', $workspace->id)->pluck('id')->all();
        FitTheDay::dispatchSync($workspace->id);
        $this->assertSame(0, Sheet::waiting($ids, $today)->count());
        $kept = DB::table('kept_rows')->count();
        $this->assertGreaterThan(5, $kept);
        Queue::fake();
        $this->actingAs($this->coach())->getJson('/api/today')->assertOk();
        Queue::assertNothingPushed();
    }
}
