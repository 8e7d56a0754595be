<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Squad;
use App\Sessions\KeepRows;
use App\Sessions\TodayScreen;
use Database\Factories\AthleteFactory;
use Database\Factories\SquadFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class TodayTest extends TestCase
{
    public function test_every_state_is_shown(): void
    {
        $rows = collect($this->actingAs($this->coach())->getJson('/api/today')->assertOk()->json('rows'))->keyBy('athlete.given_name');
        foreach (['Mira' => 'full', 'Yuna' => 'reduced', 'Noor' => 'none', 'Sofie' => 'refer', 'Jonah' => 'unknown'] as $name => $word) {
            $this->assertSame($word, $rows[$name]['word'], $name);
        }
        foreach (
            [
                'Mira' => 'advance', 'Ilse' => 'collect', 'Kaito' => 'step_back', 'Sofie' => 'pause', 'Pia' => 'repeat',
            ] as $name => $decision
        ) {
            $this->assertSame($decision, $rows[$name]['gate']['decision'], $name);
        }
        $this->assertTrue($rows['Tomas']['near']);
    }

    public function test_the_number_of_queries_does_not_grow_with_the_squad(): void
    {
        // What a look leaves to the worker is no part of the look.
        Queue::fake();
        $squad = Squad::query()->firstOrFail();
        $count = function (): int {
            DB::table('kept_rows')->delete();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->actingAs($this->coach())->getJson('/api/today')->assertOk();

            return count(DB::getQueryLog());
        };
        $whole = $count();
        $this->assertLessThan(55, $whole);
        $squad->athletes()->detach($squad->athletes()->limit(9)->pluck('athletes.id'));
        $this->assertSame($whole, $count());
    }

    public function test_an_unreadable_ladder_file_is_named_and_the_rest_of_the_squad_is_served(): void
    {
        $folder = $this->folder();
        File::copyDirectory(base_path('library'), $folder);
        File::put("{$folder}/ladders/javelin-throw.json", '{"id": "javelin-throw",');
        config(['app.library' => $folder]);
        $this->app->forgetScopedInstances();
        $today = $this->actingAs($this->coach())->getJson('/api/today')->assertOk()->json();
        $this->assertSame('ladders/javelin-throw.json', $today['problems'][0]['file']);
        $rows = collect($today['rows'])->keyBy('athlete.given_name');
        $this->assertStringContainsString('library/ladders/javelin-throw.json cannot be read', $rows['Tomas']['headroom']);
        $this->assertNull($rows['Tomas']['gate']);
        $this->assertSame('advance', $rows['Mira']['gate']['decision']);
        $gates = $this->getJson('/api/gates')->assertOk()->json();
        $this->assertSame('ladders/javelin-throw.json', $gates['problems'][0]['file']);
        $this->assertContains('Mira', array_column(array_column($gates['rows'], 'athlete'), 'given_name'));
        $this->assertNotContains('javelin-throw', array_column(array_column($gates['rows'], 'rung'), 'ladder'));
        $this->getJson("/api/sheets/{$this->sheetOf('Tomas')->id}")->assertStatus(503)->assertSee('Mend the file');
    }

    public function test_a_good_rate_opens_to_its_repetitions_and_seven_days_to_their_days(): void
    {
        $this->actingAs($this->coach());
        foreach (['Mira', 'Kaito', 'Pia'] as $name) {
            $page = $this->getJson("/api/athletes/{$this->athlete($name)->id}")->assertOk()->json();
            $ladder = $page['ladders'][0];
            $looked = array_filter($ladder['sessions'], fn (array $session): bool => $session['counts']);
            $marks = implode('', array_column($looked, 'marks'));
            $this->assertSame($ladder['gate']['observed'], strlen((string) preg_replace('/u/i', '', $marks)), $name);
            $this->assertSame($ladder['gate']['good'], strlen((string) preg_replace('/[^g]/i', '', $marks)), $name);
            $week = array_filter($page['days'], fn (array $day): bool => $day['date'] <= $page['date']);
            $sum = array_sum(array_column(array_slice($week, -7), 'arm'));
            $this->assertEqualsWithDelta($page['statistics']['acute'], $sum, 1e-6, $name);
        }
    }

    public function test_every_number_opens_to_the_sets_behind_it(): void
    {
        $tomas = $this->athlete('Tomas');
        $tape = collect(
            $this->actingAs($this->coach())->getJson('/api/today')->json('rows'),
        )->firstWhere('athlete.given_name', 'Tomas')['tape'];
        $why = $this->getJson("/api/athletes/{$tomas->id}/limits/".rawurlencode($tape['limit_id']))->assertOk()->json();
        $this->assertEqualsWithDelta($tape['used'], array_sum(array_column($why['rows'], 'amount')), 1e-6);
        $this->getJson("/api/athletes/{$tomas->id}/limits/no-such-limit")->assertNotFound();
        $this->getJson("/api/athletes/{$tomas->id}/limits/".rawurlencode($tape['limit_id']).'?day=yesterday')->assertStatus(422);
    }

    /** Rows are kept between requests; whatever is written, what is served is what would be worked out anew. */
    #[Group('once')]
    public function test_a_kept_row_is_never_stale(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $doses = fn (): array => $sheet->blocks()->get()->map(
            fn ($each): array => [
                'id' => $each->id,
                'sets' => $each->sets,
                'reps' => max(0, $each->reps - 1),
                'effort' => $each->effort,
                'distance_m' => $each->distance_m,
            ],
        )->all();
        $writes = [
            'report' => fn () => $this->postJson(
                "/api/athletes/{$sheet->athlete_id}/reports",
                ['reports' => [$this->report('shoulder', 'right', 'muscle', 3)]],
            ),
            'fit' => fn () => $this->postJson("/api/sheets/{$sheet->id}/fit", ['version' => $sheet->refresh()->version]),
            'doses' => fn () => $this->putJson("/api/sheets/{$sheet->id}", ['version' => $sheet->refresh()->version, 'blocks' => $doses()]),
            'taps' => fn () => $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 0)]]),
            'finish' => fn () => $this->postJson("/api/sheets/{$sheet->id}/finish", ['minutes' => 40]),
            'decision' => fn () => $this->postJson(
                "/api/athletes/{$sheet->athlete_id}/decisions",
                ['id' => (string) Str::uuid7(), 'ladder' => 'volleyball-float-serve', 'rung' => 'line', 'action' => 'step_back'],
            ),
            'refer' => fn () => $this->postJson(
                "/api/athletes/{$sheet->athlete_id}/reports",
                ['reports' => [$this->report('knee', 'left', 'locking', 3)]],
            ),
            'clearance' => fn () => $this->travel(2)->minutes() ?? $this->postJson("/api/athletes/{$sheet->athlete_id}/clearances", [
                'id' => (string) Str::uuid7(), 'sites' => null, 'clinician_name' => 'Dr. Odile Ferrand',
                'clinician_role' => 'Physician', 'document_date' => $this->coach()->workspace->today()->iso(),
            ]),
            'rebuild' => fn () => $this->artisan('augendo:rebuild'),
        ];
        $last = $this->getJson('/api/today')->json('rows');
        foreach ($writes as $name => $write) {
            $answer = $write();
            if ($answer instanceof TestResponse) {
                $answer->assertSuccessful();
            }
            $served = $this->getJson('/api/today')->json('rows');
            if (! in_array($name, ['fit', 'rebuild'], true)) {
                $this->assertNotEquals($last, $served, $name);
            }
            DB::table('kept_rows')->delete();
            $this->assertEquals($last = $this->getJson('/api/today')->json('rows'), $served, $name);
        }
        $this->assertNotEquals($last, $this->travel(1)->days() ?? $this->getJson('/api/today')->json('rows'), 'A new day.');
    }

    #[Group('once')]
    public function test_rows_that_are_not_kept_are_worked_out_a_few_at_a_time_whoever_may_do_least_first(): void
    {
        Queue::fake();
        $coach = $this->coach();
        $squad = SquadFactory::new()->for($coach->workspace)->create();
        $athletes = AthleteFactory::new()->count(26)->for($coach->workspace)->create();
        foreach ($athletes as $place => $athlete) {
            $squad->athletes()->attach($athlete->id, ['position' => $place]);
        }
        $hurt = $athletes[25];
        $this->actingAs($coach)->postJson(
            "/api/athletes/{$hurt->id}/reports",
            ['reports' => [$this->report('knee', 'left', 'locking', 3)]],
        )->assertSuccessful();
        $address = "/api/today?squad={$squad->id}";
        $look = $this->getJson($address)->assertOk()->json();
        $this->assertCount(TodayScreen::ROWS_AT_ONCE, $look['rows']);
        $this->assertCount(6, $look['waiting']);
        $this->assertSame('refer', collect($look['rows'])->firstWhere('athlete.id', $hurt->id)['word'], 'Whoever may do least first.');
        $this->assertDatabaseEmpty('kept_rows');

        $waiting = implode(',', array_column($look['waiting'], 'athlete_id'));
        $asked = "{$waiting},{$this->athlete('Mira')->id}";
        $rest = $this->getJson("/api/today/rows?squad={$squad->id}&athletes={$asked}")->assertOk()->json('rows');
        $byId = collect([...$look['rows'], ...$rest])->keyBy('athlete.id');
        $this->assertCount(26, $byId, 'Everybody once, and nobody of another squad.');
        $this->app->call([new KeepRows($squad->id), 'handle']);
        $whole = $this->getJson($address)->json();
        $this->assertSame([], $whole['waiting']);
        $this->assertSame($whole['order'], array_column(array_column($whole['rows'], 'athlete'), 'id'));
        $this->assertSame($whole['order'], $look['order']);
        foreach ($whole['rows'] as $row) {
            $this->assertEquals($row, $byId[$row['athlete']['id']]);
        }
    }
}
