<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\User;
use App\Sessions\Sheet;
use Database\Seeders\DemoSeeder;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What somebody meets who starts Augendo with bin/demo. */
#[Group('once')]
final class DemoTest extends TestCase
{
    public function test_today_shows_every_word_and_every_decision_and_no_planned_sheet_is_over_a_limit(): void
    {
        $this->seed(DemoSeeder::class);
        $coach = User::query()->where('email', 'coach@saltmarsh.example')->firstOrFail();
        $rows = collect($this->actingAs($coach)->getJson('/api/today')->assertOk()->json('rows'));
        $this->assertCount(13, $rows);
        $this->assertSame(['full', 'none', 'reduced', 'refer', 'unknown'], $rows->pluck('word')->unique()->sort()->values()->all());
        $this->assertSame(
            ['advance', 'collect', 'pause', 'repeat', 'step_back'],
            $rows->pluck('gate.decision')->filter()->unique()->sort()->values()->all(),
        );
        $this->assertCount(2, $rows->pluck('return')->filter(), 'on the way back');
        $this->assertTrue($rows->contains('near', true), 'near a limit');
        $sheets = Sheet::query()->whereIn('athlete_id', $rows->pluck('athlete.id'))->where('state', 'planned')->with('athlete')->get();
        $this->assertGreaterThanOrEqual(3 * 13, count($sheets));
        foreach ($sheets as $sheet) {
            $this->assertSame([], $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('broken'), $sheet->athlete->name());
        }
        // The calendar: done and planned, weekly, one moved, one called off, matches and training elsewhere.
        $today = $coach->workspace->today();
        $calendar = $this->getJson("/api/calendar?from={$today->plus(-30)->iso()}&to={$today->plus(60)->iso()}")->assertOk()->json();
        $sessions = collect($calendar['sessions']);
        foreach (['counted', 'repeats', 'extra'] as $kind) {
            $this->assertTrue($sessions->contains($kind, true), $kind);
        }
        $this->assertSame(['Thunder over the field'], $sessions->where('state', 'called_off')->pluck('reason')->all());
        $this->assertCount(1, $sessions->whereNotNull('moved_from'));
        $kinds = collect($calendar['fixtures'])->pluck('kind')->unique()->sort()->values()->all();
        $this->assertSame(['beside', 'elsewhere', 'match'], $kinds);
        $this->assertNotEmpty($calendar['changes'], 'something to undo');
    }
}
