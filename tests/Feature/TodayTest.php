<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Squad;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Tests\TestCase;

final class TodayTest extends TestCase
{
    public function test_the_demo_shows_every_state(): void
    {
        $rows = collect($this->actingAs($this->coach())->getJson('/api/today')->assertOk()->json('rows'))->keyBy('athlete.given_name');
        foreach (['Mira' => 'full', 'Yuna' => 'reduced', 'Noor' => 'none', 'Sofie' => 'refer', 'Jonah' => 'unknown'] as $name => $word) {
            $this->assertSame($word, $rows[$name]['word'], $name);
        }
        foreach (['Mira' => 'advance', 'Ilse' => 'collect', 'Kaito' => 'step_back', 'Sofie' => 'pause', 'Pia' => 'repeat'] as $name => $decision) {
            $this->assertSame($decision, $rows[$name]['gate']['decision'], $name);
        }
        $this->assertTrue($rows['Tomas']['near']);
    }

    public function test_the_number_of_queries_does_not_grow_with_the_squad(): void
    {
        $squad = Squad::query()->firstOrFail();
        $count = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->actingAs($this->coach())->getJson('/api/today')->assertOk();

            return count(DB::getQueryLog());
        };
        $whole = $count();
        $this->assertLessThan(25, $whole);
        $squad->athletes()->detach($squad->athletes()->limit(9)->pluck('athletes.id'));
        $this->assertSame($whole, $count());
    }

    public function test_an_unreadable_ladder_file_is_named_and_the_rest_of_the_squad_is_served(): void
    {
        $folder = sys_get_temp_dir().'/augendo-library-'.uniqid();
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
        $this->getJson("/api/sheets/{$this->sheetOf('Tomas')->id}")->assertStatus(503)->assertSee('Mend the file');
        File::deleteDirectory($folder);
    }

    public function test_every_number_opens_to_the_sets_behind_it(): void
    {
        $tomas = $this->athlete('Tomas');
        $tape = collect($this->actingAs($this->coach())->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Tomas')['tape'];
        $why = $this->getJson("/api/athletes/{$tomas->id}/limits/".rawurlencode($tape['limit_id']))->assertOk()->json();
        $this->assertEqualsWithDelta($tape['used'], array_sum(array_column($why['rows'], 'amount')), 1e-6);
        $this->getJson("/api/athletes/{$tomas->id}/limits/no-such-limit")->assertNotFound();
        $this->getJson("/api/athletes/{$tomas->id}/limits/".rawurlencode($tape['limit_id']).'?day=yesterday')->assertStatus(422);
    }
}
