<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Limits\AthleteLoads;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\SetCost;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What a distance asks of a throw, and why serves miss: from the record, inside what the rung and the word allow. */
#[Group('once')]
final class ThrowAndServeTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
    }

    public function test_a_distance_says_what_it_asks_and_a_throw_is_not_saved_as_easier(): void
    {
        $tomas = $this->athlete('Tomas');
        $ask = fn (array $with): array => $this->getJson("/api/athletes/{$tomas->id}/throw-check?".http_build_query([
            'skill' => 'javelin', 'object' => 'javelin-600', 'distance_m' => 24.5, 'effort' => 0.5, ...$with,
        ]))->assertOk()->json();
        $check = $ask([]);
        $this->assertSame([41, null, []], [$check['longest_m'], $check['by_speed'], $check['arcs']], 'a javelin flies on its attitude');
        $this->assertEqualsWithDelta(0.4, $check['least_effort'], 0.01);
        $this->assertStringContainsString('24.5 m asks for at least 40 %', $check['said']);
        $far = $ask(['distance_m' => 50]);
        $this->assertTrue($far['out_of_reach']);
        $unknown = $ask(['skill' => 'overhand-throw', 'object' => 'match-ball']);
        $this->assertNull($unknown['least_effort']);
        $this->assertStringContainsString('test it first', $unknown['said']);
        $this->postJson("/api/athletes/{$tomas->id}/marks", [
            'skill' => 'overhand-throw', 'longest_throw_m' => 36, 'reference_speed_ms' => null,
            'measured_on' => $this->coach()->workspace->today()->iso(),
        ])->assertOk();
        $ball = $ask(['skill' => 'overhand-throw', 'object' => 'match-ball', 'distance_m' => 30]);
        $this->assertSame(['Flattest', 'Highest', 'Least speed'], array_column($ball['arcs'], 'name'));
        $this->assertGreaterThan($ball['by_speed'], $ball['by_distance'], 'the larger of the two stands');
        $this->assertSame($ball['by_distance'], $ball['least_effort']);
        $this->assertFalse($ball['measured']);
        $this->getJson("/api/athletes/{$tomas->id}/throw-check?skill=jump&object=body&distance_m=3&effort=0.5")->assertNotFound();
        $this->getJson("/api/athletes/{$tomas->id}/throw-check?skill=javelin&object=javelin-600&distance_m=-3&effort=0.5")
            ->assertStatus(422)
            ->assertJsonPath('errors.distance_m.0', 'A throw goes 1 to 120 m.');
    }

    public function test_half_effort_from_afar_cannot_be_written_by_accident(): void
    {
        $sheet = $this->sheetOf('Tomas');
        $shown = $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json();
        $blocks = array_map(fn (array $block): array => [
            'id' => $block['id'], 'sets' => $block['sets'], 'reps' => $block['reps'], 'effort' => $block['effort'],
            'distance_m' => $block['distance_m'],
        ], $shown['blocks']);
        $i = array_search('javelin', array_map(
            fn (array $block): ?string => $block['reps'] > 0 && $block['distance_m'] !== null ? $block['skill'] : null, $shown['blocks'],
        ), true);
        $this->assertNotFalse($i);
        $this->assertMatchesRegularExpression('/m asks for at least \d+ %/', $shown['blocks'][$i]['throw_asks']);
        $blocks[$i] = [...$blocks[$i], 'reps' => 1, 'sets' => 1, 'effort' => 0.5, 'distance_m' => 38];
        $refused = $this->putJson("/api/sheets/{$sheet->id}", ['version' => $shown['version'], 'blocks' => $blocks])->assertStatus(422);
        $this->assertStringContainsString('38 m asks for at least', $refused->json('detail'));
        $this->assertStringContainsString('Throw from 28.5 m or nearer, or ask for more.', $refused->json('detail'));
        $blocks[$i]['distance_m'] = 28;
        $this->putJson("/api/sheets/{$sheet->id}", ['version' => $shown['version'], 'blocks' => $blocks])->assertOk();
    }

    public function test_where_only_a_speed_is_known_what_it_carries_says_what_is_no_easy_throw(): void
    {
        $id = $this->athlete('Tomas')->id;
        $this->assertSame([], $this->carries('Tomas'), 'a longest throw is the better witness');
        $this->postJson("/api/athletes/{$id}/marks", [
            'skill' => 'overhand-throw', 'longest_throw_m' => null, 'reference_speed_ms' => 18.0,
            'measured_on' => $this->coach()->workspace->today()->iso(),
        ])->assertOk();
        $carries = $this->carries('Tomas')['overhand-throw'];
        // Without air 18 m/s carry 33.0 m; a light ball is held back more than a match ball.
        $this->assertLessThan(33.1, $carries['match-ball']);
        $this->assertGreaterThan(22.0, $carries['match-ball']);
        $this->assertLessThan($carries['match-ball'], $carries['soft-ball']);
        $price = new SetCost(app(AthleteLoads::class)->profiles([$this->athlete('Tomas')], $this->coach()->workspace->today())[$id]);
        $skill = app(Library::class)->skills()['overhand-throw'];
        $far = 0.8 * $carries['match-ball'];
        $this->assertTrue($price->isCalledTooEasy($skill, 'match-ball', 0.5, $far));
        $this->assertFalse($price->isCalledTooEasy($skill, 'match-ball', 0.75, $far));
        $this->assertFalse($price->isCalledTooEasy($skill, 'discus', 0.5, $far), 'what flies on its attitude is told by its longest alone');
    }

    public function test_a_club_puts_the_numbers_of_balls_and_nets_right_and_a_mistake_has_its_place(): void
    {
        $tomas = $this->athlete('Tomas');
        $this->postJson("/api/athletes/{$tomas->id}/marks", [
            'skill' => 'overhand-throw', 'longest_throw_m' => 36, 'reference_speed_ms' => null,
            'measured_on' => $this->coach()->workspace->today()->iso(),
        ])->assertOk();
        $least = fn (): float => $this->getJson(
            "/api/athletes/{$tomas->id}/throw-check?skill=overhand-throw&object=match-ball&distance_m=30&effort=0.5",
        )->assertOk()->json('least_speed_ms');
        $before = $least();
        $file = $this->getJson('/api/flight/balls')->assertOk()->assertJsonPath('version', 0)->json('definition');
        $file['balls']['match-ball']['drag_coefficient'] = 0.9;
        $save = fn (string $kind, array $definition, int $version): TestResponse => $this->postJson(
            "/api/flight/{$kind}", ['definition' => $definition, 'version' => $version],
        );
        $save('balls', $file, 0)->assertOk()->assertJsonPath('version', 1)->assertJsonPath('own', true);
        $this->assertGreaterThan($before + 1.0, $least(), 'more air asks for more speed');
        $save('balls', $file, 0)->assertStatus(409)->assertJsonPath('version', 1);
        foreach ([['drag_coefficient', -1], ['diameter_m', 0], ['source', 7]] as [$key, $value]) {
            $wrong = $file;
            $wrong['balls']['match-ball'][$key] = $value;
            $save('balls', $wrong, 1)->assertStatus(422)->assertJsonStructure(['errors' => ["/balls/match-ball/{$key}"]]);
        }
        // One that ships since the club's own was saved is as it ships, and can be put right.
        unset($file['balls']['handball-3']);
        $save('balls', $file, 1)->assertOk()->assertJsonPath('definition.balls.handball-3.drag_coefficient', 0.45);

        $dario = $this->athlete('Dario');
        $window = "/api/athletes/{$dario->id}/serve-window?court=racket&skill=racket-serve";
        $serve = fn (string $asked): array => $this->getJson("{$window}&{$asked}")->assertOk()->json('asked');
        $low = $serve('box=left-box&across_m=-0.5');
        $wide = $serve('box=left-box&across_m=-3');
        $this->assertTrue($low['net_hangs']);
        $this->assertSame(0.961, $low['net_height_m'], '1.5 m from the middle: 0.914 m and 0.3 of the way to 1.07 m');
        $this->assertNotEquals($low['net_height_m'], $wide['net_height_m']);
        $courts = $this->getJson('/api/flight/courts')->assertOk()->json('definition');
        $courts['courts']['racket']['net_sag']['middle_m'] = 0.8;
        $save('courts', $courts, 0)->assertOk();
        $this->assertLessThan($low['net_height_m'], $serve('box=left-box&across_m=-0.5')['net_height_m']);
        $courts['courts']['racket']['net_sag']['middle_m'] = 2;
        $save('courts', $courts, 1)->assertStatus(422)->assertJsonStructure(['errors' => ['/courts/racket/net_sag']]);
        $courts['courts']['racket']['net_sag']['middle_m'] = 0.9;
        $courts['courts']['racket']['half_width_m'] = 3;
        $save('courts', $courts, 1)->assertStatus(422)->assertJsonStructure(['errors' => ['/courts/racket/half_width_m']]);
        $this->getJson('/api/flight/moons')->assertNotFound();
        $this->actingAs($this->stranger(Role::Coach))->getJson('/api/flight/balls')->assertOk()->assertJsonPath('version', 0);
    }

    public function test_a_serve_is_as_fast_as_it_was_measured_of_late_not_as_its_fastest(): void
    {
        $dario = $this->athlete('Dario');
        $asked = fn (): array => $this->getJson("/api/athletes/{$dario->id}/serve-window")->assertOk()->json('asked');
        $rows = DB::table('work_sets')
            ->where(['athlete_id' => $dario->id, 'skill' => 'float-serve', 'side' => 'dominant'])
            ->orderByDesc('day')
            ->limit(6)
            ->pluck('id');
        $today = $this->coach()->workspace->today()->iso();
        $this->assertCount(6, $rows);
        foreach ([15.0, 15.4, 15.2, 19.0, 15.1] as $i => $speed) {
            $this->assertNotSame('gun', $asked()['speed_from'], 'too few');
            DB::table('work_sets')->where('id', $rows[$i])->update(['speed_ms' => $speed, 'day' => $today]);
        }
        $this->assertEquals(['gun', 5, 15.2], [$asked()['speed_from'], $asked()['speed_serves'], $asked()['speed_ms']]);
    }

    /** @return array<string, array<string, float>> */
    private function carries(string $name): array
    {
        $athlete = $this->athlete($name);

        return app(AthleteLoads::class)->profiles([$athlete], $this->coach()->workspace->today())[$athlete->id]->carriesM;
    }

    public function test_why_serves_miss_and_what_would_bring_them_in(): void
    {
        $dario = $this->athlete('Dario');
        $look = fn (array $asked): array => $this->getJson("/api/athletes/{$dario->id}/serve-window?".http_build_query($asked))
            ->assertOk()->json();
        $plain = $look([]);
        $this->assertSame(['volleyball', 'float-serve', 0], [$plain['asked']['court'], $plain['asked']['skill'], $plain['asked']['in']]);
        $this->assertStringContainsString('Count ten serves', $plain['no_advice']);
        $counted = ['speed_ms' => 19, 'topspin_rpm' => 600, 'in' => 7, 'net' => 3, 'long' => 4];
        $told = $look($counted);
        $this->assertNull($told['two'], 'one try');
        $this->assertEqualsWithDelta(0.25, $told['misses']['net'], 0.05);
        $this->assertEqualsWithDelta(0.5, $told['share'], 0.1, 'what was counted is what the window makes of it');
        if ($told['no_advice'] === null) {
            $this->assertTrue($told['cheapest']['reaches'] ?? false);
            $this->assertGreaterThan($told['less_pace'][0]['share'], $told['less_pace'][2]['share']);
        }
        $this->assertNull($look([...$counted, 'topspin_rpm' => 0])['misses']['left'], 'without spin it drifts by itself');
        $two = $look(['court' => 'racket', 'skill' => 'racket-serve', 'box' => 'left-box', 'speed_ms' => 38, 'topspin_rpm' => 1200,
            'across_m' => -0.5, 'height_m' => 2.6, 'in' => 11, 'net' => 5, 'long' => 4]);
        $this->assertStringContainsString('Double faults', $two['two']['said']);
        $low = $look(['height_m' => 1, 'speed_ms' => 60]);
        $this->assertNull($low['up_deg'], 'a net higher than the contact, and far too fast');
        $this->assertStringContainsString('nothing is over the net and in', $low['no_advice']);
        $wrong = ['court' => 'moon', 'box' => 'attic', 'contact_m' => 12, 'speed_ms' => 0, 'topspin_rpm' => 9000, 'in' => -1];
        foreach ($wrong as $name => $value) {
            $this->getJson("/api/athletes/{$dario->id}/serve-window?{$name}={$value}")
                ->assertStatus(422)
                ->assertJsonStructure(['errors' => [$name]]);
        }
        $this->actingAs($this->stranger(Role::Coach))->getJson("/api/athletes/{$dario->id}/serve-window")->assertNotFound();
    }

    public function test_a_target_goes_on_the_next_sheet_instead_of_serves_and_only_where_the_rung_lets_it(): void
    {
        $mira = $this->athlete('Mira');
        $change = ['skill' => 'float-serve', 'topspin_now_rpm' => 0, 'pace' => 0.9, 'topspin_rpm' => 0, 'higher_m' => 0, 'aimed' => 1];
        $this->postJson("/api/athletes/{$mira->id}/serve-target", ['sheet_id' => $this->sheetOf('Mira')->id, ...$change])
            ->assertStatus(409)
            ->assertJsonPath('title', 'Not today');
        $dario = $this->athlete('Dario');
        $id = $this->getJson("/api/athletes/{$dario->id}/serve-window")->assertOk()->json('sheet_id');
        $this->assertNotNull($id);
        $before = Sheet::query()->findOrFail($id);
        $reps = $before->blocks->sum('reps');
        $put = fn (array $with = []): TestResponse => $this->postJson(
            "/api/athletes/{$dario->id}/serve-target", ['sheet_id' => $id, ...$change, ...$with],
        );
        $put(['sheet_id' => (string) Str::uuid7()])->assertNotFound();
        $put(['pace' => 1.4])->assertStatus(422);
        $put(['topspin_rpm' => 400])->assertStatus(409);
        $put()->assertNoContent();
        $after = $this->getJson("/api/sheets/{$id}")->assertOk()->json();
        $this->assertSame($reps, array_sum(array_column($after['blocks'], 'reps')), 'no serve more than before');
        $isIt = fn (array $block): bool => str_contains(implode(' ', $block['trims']), 'serve window');
        $target = array_values(array_filter($after['blocks'], $isIt));
        $this->assertCount(1, $target);
        $this->assertSame('target', $target[0]['kind']);
        $this->assertSame(['From the serve window: aim at the middle of the window, 90 % of the pace.'], $target[0]['trims']);
        $put()->assertStatus(409);
        DB::table('sheets')->where('id', $id)->update(['state' => 'running']);
        $put()->assertStatus(409)->assertJsonPath('title', 'Not added');
        $this->assertNotSame($id, $this->getJson("/api/athletes/{$dario->id}/serve-window")->json('sheet_id'));
    }
}
