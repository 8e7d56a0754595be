<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\RepLog;
use App\Sessions\FitSheet;
use App\Sessions\Sheet;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\SeasonAsk;
use Database\Factories\AthleteFactory;
use Database\Factories\PlacementFactory;
use Database\Factories\SheetBlockFactory;
use Database\Factories\SheetFactory;
use Database\Factories\TrainingSessionFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is measured at full effort, when it is due, and what comes of it. */
#[Group('once')]
final class TestDaysTest extends TestCase
{
    private Day $today;

    private Athlete $athlete;

    private string $address;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->today = $this->coach()->workspace->today();
        $this->athlete = $this->athlete('Tomas');
        $this->address = "/api/athletes/{$this->athlete->id}/tests";
    }

    public function test_a_longest_throw_written_down_prices_every_throw_and_sets_the_next_test(): void
    {
        DB::table('skill_marks')->where('athlete_id', $this->athlete->id)->delete();
        $tests = $this->getJson($this->address)->assertOk()->json('tests');
        $this->assertSame(['javelin', 'longest_throw_m', 'm', []], [
            $tests[0]['skill'], $tests[0]['measures'], $tests[0]['unit'], $tests[0]['measured'],
        ]);
        $this->assertStringContainsString('Not measured yet', $tests[0]['due']);
        $mark = ['skill' => 'javelin', 'longest_throw_m' => 38.5, 'reference_speed_ms' => null, 'measured_on' => $this->today->iso()];
        $this->postJson("/api/athletes/{$this->athlete->id}/marks", $mark)->assertOk();
        $after = $this->getJson($this->address)->json('tests.0');
        $this->assertSame(38.5, $after['measured'][0]['value']);
        $this->assertStringStartsWith('Due from', $after['due']);
        $this->assertFalse($after['lapsed']);
        // Nobody can say it of a day to come.
        $tomorrow = ['measured_on' => $this->today->plus(1)->iso()] + $mark;
        $this->postJson("/api/athletes/{$this->athlete->id}/marks", $tomorrow)->assertStatus(422);
        $this->travel(220)->days();
        $late = $this->getJson($this->address)->json('tests.0');
        $this->assertTrue($late['lapsed']);
    }

    public function test_a_side_that_falls_behind_is_said_once_both_are_known_and_a_measurement_sent_twice_is_kept_once(): void
    {
        $grip = fn (string $side, float $kg): array => [
            'id' => (string) Str::uuid7(), 'what' => 'grip_kg', 'side' => $side, 'value' => $kg, 'measured_on' => $this->today->iso(),
        ];
        $left = $grip('left', 31.0);
        $this->postJson("{$this->address}/measures", $left)->assertOk();
        $side = $this->postJson("{$this->address}/measures", $left)->assertOk()->json('sides.0');
        $this->assertCount(1, $side['measured']);
        $this->assertNull($side['differs'], 'Unknown of the right.');
        $right = $grip('right', 40.0);
        $side = $this->postJson("{$this->address}/measures", $right)->json('sides.0');
        $this->assertStringContainsString('The left is 23 % behind. Ask a clinician', $side['differs']);
        $side = $this->postJson("{$this->address}/measures/{$right['id']}/withdraw")->assertOk()->json('sides.0');
        $this->assertNull($side['differs']);
        $this->postJson("{$this->address}/measures/{$right['id']}/withdraw")->assertNotFound();
        // Of somebody else.
        $other = "/api/athletes/{$this->athlete('Mira')->id}/tests/measures";
        $this->postJson("{$other}/{$left['id']}/withdraw")->assertNotFound();
        $this->postJson($other, $left)->assertStatus(409);
        $this->assertSame(1, DB::table('body_measures')->whereNull('withdrawn_at')->count());
        $none = ['side' => null] + $grip('left', 30.0);
        $this->postJson("{$this->address}/measures", $none)->assertStatus(422)->assertJsonPath('errors.side.0', 'Say which side.');
        $this->postJson("{$this->address}/measures", $grip('left', 0.0))->assertStatus(422);
    }

    public function test_a_season_with_test_days_puts_one_on_the_calendar_and_on_the_day_it_waits_for_the_word_full(): void
    {
        $athlete = $this->ready();
        // Never today: on the day itself a test waits for the word.
        $days = array_map(fn (int $after): int => SeasonAsk::weekday($this->today->plus($after)->ordinal), [1, 3, 5]);
        $season = $this->postJson("/api/athletes/{$athlete->id}/seasons", [
            'ladder' => 'javelin-throw', 'goal_rung' => null, 'goal_on' => $this->today->plus(84)->iso(), 'weekdays' => $days,
            'minutes' => null, 'moves' => [], 'off' => [], 'tests' => true,
        ])->assertOk()->json();
        $this->assertSame([true, 'longest throw'], [$season['tests'], $season['tested']]);
        $days = collect($season['weeks'])->flatMap(fn (array $week): array => $week['days'])->where('emphasis', 'test');
        $this->assertNotEmpty($days);
        $this->assertSame('Test day: longest throw', $days->first()['title']);

        $sheet = Sheet::query()->where('season_id', $season['id'])->where('pace->emphasis', 'test')->firstOrFail();
        $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->assertJsonPath('broken', []);
        $titles = $sheet->blocks()->orderBy('position')->pluck('title')->all();
        $this->assertContains('Longest throw, measured', $titles);
        $this->assertSame(0, $sheet->blocks()->where('judged', true)->count());

        // On the day, and nobody has checked in: it waits.
        $this->travelTo("{$sheet->day()->iso()} 12:00:00");
        FitSheet::now($sheet->refresh());
        $this->assertNotContains('Longest throw, measured', $sheet->blocks()->pluck('title')->all());
        $this->getJson("/api/sheets/{$sheet->id}")->assertSee('it waits for the word Full');
        $this->assertFalse($this->getJson("/api/sheets/{$sheet->id}/after")->json('was_test'));
        $nothing = ['reports' => [$this->report('none', null, 'muscle', 0)]];
        $this->postJson("/api/athletes/{$athlete->id}/reports", $nothing)->assertNoContent();
        FitSheet::now($sheet->refresh());
        $this->assertContains('Longest throw, measured', $sheet->blocks()->pluck('title')->all());
        $this->assertTrue($this->getJson("/api/sheets/{$sheet->id}/after")->json('was_test'));
        // What is not judged is counted all the same.
        $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk();
        $this->getJson("/api/sessions/{$sheet->training_session_id}")->assertOk();
    }

    /** A grown thrower on the javelin’s last rung, who came near full effort some days ago. */
    private function ready(): Athlete
    {
        $squad = $this->coach()->visibleSquads()->firstOrFail();
        $athlete = AthleteFactory::new()->createOne([
            'workspace_id' => $squad->workspace_id, 'birth_date' => $this->today->plus(-366 * 24)->iso(), 'throwing_side' => 'right',
        ]);
        $athlete->squads()->attach($squad->id, ['position' => 99]);
        $ladder = app(Library::class)->ladder('javelin-throw');
        $rung = $ladder->rungs[count($ladder->rungs) - 1];
        $on = ['ladder' => 'javelin-throw', 'rung' => $rung->id];
        PlacementFactory::new()->create(['athlete_id' => $athlete->id, 'entered_on' => $this->today->plus(-40)->iso()] + $on);
        $own = $rung->ownDose();
        for ($ago = 3; $ago < 40; $ago += 3) {
            $day = $this->today->plus(-$ago);
            $sheet = SheetFactory::new()->createOne([
                'athlete_id' => $athlete->id, 'state' => 'finished', 'held_on' => $day->iso(),
                'training_session_id' => TrainingSessionFactory::new(['squad_id' => $squad->id, 'held_on' => $day->iso()]),
            ] + $on);
            $block = SheetBlockFactory::new()->dosed($own)->createOne(['sheet_id' => $sheet->id, 'effort' => 0.85]);
            $set = new WorkSet($day, $sheet->id, $own->skill, 12, 0.85, $own->object->implement, $own->distanceM);
            $price = (new SetCost(new AthleteProfile(null)))->of($set);
            DB::table('work_sets')->insert(
                RepLog::row($athlete->id, $set, 'counted', $own->object->id, $block->id) + DailyTotals::toColumns($price),
            );
            DailyTotals::refresh($athlete->id, $day->iso());
        }

        return $athlete->refresh();
    }
}
