<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Squad;
use App\Limits\AthleteLoads;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class RosterTest extends TestCase
{
    private const PERSON = [
        'given_name' => 'Tove',
        'family_name' => 'Lindqvist',
        'birth_date' => '2013-02-28',
        'throwing_side' => 'left',
        'turn_direction' => null,
    ];

    public function test_a_coach_starts_from_nothing_and_trains_today(): void
    {
        $this->actingAs($this->coach());
        $squad = $this->postJson('/api/squads', ['name' => 'Beginners', 'school' => 'strict'])->assertOk()->json('id');
        $this->plan($squad)->assertStatus(422)->assertJsonPath('title', 'Nobody to plan for');
        $id = (string) Str::uuid7();
        $add = fn (): TestResponse => $this->postJson("/api/squads/{$squad}/athletes", ['id' => $id, ...self::PERSON]);
        $add()->assertOk()->assertJsonPath('name', 'Tove Lindqvist');
        $add()->assertOk();
        $this->assertCount(1, $this->getJson("/api/today?squad={$squad}")->json('rows'), 'Sent twice, added once.');
        $this->plan($squad)->assertStatus(422)->assertJsonPath('detail', 'Tove stands on no ladder yet.');

        $this->postJson("/api/athletes/{$id}/placements", ['ladder' => 'javelin-throw', 'rung' => 'no-such'])->assertStatus(422);
        $this->postJson("/api/athletes/{$id}/placements", ['ladder' => 'javelin-throw', 'rung' => 'hold'])
            ->assertOk()
            ->assertJsonCount(1, 'ladders');
        $this->postJson("/api/athletes/{$id}/placements", ['ladder' => 'javelin-throw', 'rung' => 'kneel'])->assertStatus(409);
        $this->plan($squad)->assertOk()->assertJsonPath('sheets', 1)->assertJsonPath('left_out', []);
        $this->plan($squad)->assertStatus(422)->assertJsonPath('detail', 'Everybody is in the session of that hour already.');

        $row = $this->getJson("/api/today?squad={$squad}")->json('rows.0');
        $this->assertSame(['unknown', 'planned'], [$row['word'], $row['sheet']['state']]);
        $this->postJson(
            "/api/athletes/{$id}/reports",
            ['reports' => [$this->report('none', null, 'muscle', 0, 'morning')]],
        )->assertNoContent();
        $this->getJson("/api/athletes/{$id}")->assertJsonPath('word', 'full');
        $text = collect($this->getJson("/api/sheets/{$row['sheet']['id']}")->assertOk()->json('blocks'))->pluck('text')->implode(' ');
        $this->assertStringNotContainsString('{', $text, 'Text mirrors for a left-hander.');
    }

    public function test_nobody_begins_further_up_a_ladder_without_what_it_builds_on(): void
    {
        $this->actingAs($this->coach());
        $squad = $this->postJson('/api/squads', ['name' => 'Beginners', 'school' => 'strict'])->assertOk()->json('id');
        $id = (string) Str::uuid7();
        $this->postJson("/api/squads/{$squad}/athletes", ['id' => $id, ...self::PERSON])->assertOk();
        $place = fn (string $ladder, string $rung): TestResponse => $this->postJson(
            "/api/athletes/{$id}/placements", ['ladder' => $ladder, 'rung' => $rung],
        );
        $place('pitch', 'batter')
            ->assertStatus(409)
            ->assertJsonPath('title', 'Something comes first')
            ->assertJsonPath('detail', fn (string $detail): bool => str_contains(
                $detail, '“Overhand throw” above “Match ball at distance”',
            ));
        $place('overhand-throw', 'distance')->assertOk();
        $place('pitch', 'batter')->assertStatus(409);
        $start = fn (string $ladder): TestResponse => $this->postJson("/api/athletes/{$id}/placing/{$ladder}/start");
        $start('pitch')->assertStatus(409)->assertJsonPath('title', 'Something comes first');
        $place('pitch', 'catch-play')->assertOk();
        $place('racket-serve', 'full')->assertOk();
        $place('serve-placement', 'second')->assertOk();
    }

    public function test_what_cannot_be_is_refused_with_the_field(): void
    {
        $this->actingAs($this->coach());
        $squad = Squad::query()->firstOrFail()->id;
        foreach (['birth_date' => '2099-01-01', 'given_name' => '', 'throwing_side' => 'both', 'id' => 'x'] as $field => $value) {
            $this->postJson("/api/squads/{$squad}/athletes", [$field => $value] + ['id' => (string) Str::uuid7(), ...self::PERSON])
                ->assertStatus(422)
                ->assertJsonStructure(['errors' => [$field]]);
        }
        $this->plan($squad, ['day' => '2020-01-01'])->assertStatus(422)->assertJsonStructure(['errors' => ['day']]);
        $this->postJson(
            "/api/athletes/{$this->athlete('Tomas')->id}/marks",
            ['skill' => 'javelin', 'longest_throw_m' => null, 'reference_speed_ms' => null, 'measured_on' => '2026-01-01'],
        )->assertStatus(422);
    }

    public function test_a_longer_throw_makes_the_same_distance_cheaper_and_a_changed_school_changes_the_words(): void
    {
        $this->actingAs($this->coach());
        $tomas = $this->athlete('Tomas');
        $today = $this->coach()->workspace->today();
        $javelin = app(Library::class)->skills()['javelin'];
        $set = WorkSet::ordinarily($today, 'ten throws of 22 m', $javelin, 10, 0.5, 22.0);
        $price = fn (): float => app(AthleteLoads::class)->for([$tomas], $today)[$tomas->id]->price->of($set)->cost['arm'];
        $before = $price();
        $this->postJson(
            "/api/athletes/{$tomas->id}/marks",
            [
                'skill' => 'javelin',
                'longest_throw_m' => 38.0,
                'reference_speed_ms' => null,
                'measured_on' => $this->coach()->workspace->today()->iso(),
            ],
        )->assertOk();
        $this->assertSame($before, $price(), 'The longest stays the longest.');
        $this->postJson(
            "/api/athletes/{$tomas->id}/marks",
            [
                'skill' => 'javelin',
                'longest_throw_m' => 24.0,
                'reference_speed_ms' => null,
                'measured_on' => $this->coach()->workspace->today()->iso(),
            ],
        )->assertOk();
        $this->assertGreaterThan($before, $price(), 'One far below the others may be right: until somebody says so, it counts.');

        $squad = Squad::query()->firstOrFail();
        $word = fn (): string => collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Dario')['word'];
        $this->assertSame('full', $word());
        $this->putJson("/api/squads/{$squad->id}", ['name' => $squad->name, 'school' => 'strict'])->assertOk();
        $this->assertSame('reduced', $word());
    }

    public function test_work_nobody_planned_takes_from_what_is_left_and_can_be_taken_back(): void
    {
        $this->actingAs($this->coach());
        $mira = $this->athlete('Mira');
        $left = fn (): array => $this->getJson("/api/athletes/{$mira->id}/headroom?skill=float-serve&reps=40")->assertOk()->json();
        $cell = fn (array $grid, float $effort): array => collect($grid['rows'])->firstWhere('effort', $effort)['cells'][0];
        $before = $left();
        $entry = [
            'id' => (string) Str::uuid7(),
            'day' => $this->coach()->workspace->today()->iso(),
            'source' => 'match',
            'skill' => 'spike',
            'reps' => 60,
            'felt' => 'hard',
            'distance_m' => null,
            'side' => 'dominant',
        ];
        $log = fn (array $with = []): TestResponse => $this->postJson("/api/athletes/{$mira->id}/logged-work", $with + $entry);
        $log()->assertNoContent();
        $log()->assertNoContent();
        $after = $left();
        $this->assertCount(1, $after['logged'], 'Sent twice, logged once.');
        $this->assertEqualsWithDelta(60 * 0.9 * (0.86 + 0.14 * 0.8), $after['logged'][0]['arm'], 1e-9, 'hard is 95 %, a spike costs 0.9');
        $this->assertSame($cell($before, 1)['reps'] - 60, $cell($after, 1)['reps'], 'One arm: the spikes take from the serves.');
        $this->assertNotNull($cell($after, 1)['fits_on']);
        $log(['id' => (string) Str::uuid7(), 'felt' => null, 'reps' => 20])->assertNoContent();
        $this->assertStringContainsString('counted as full', implode(array_column($left()['logged'], 'sentence')));
        $back = "/api/athletes/{$mira->id}/logged-work/{$entry['id']}/take-back";
        $this->postJson($back)->assertStatus(422)->assertJsonStructure(['errors' => ['reason']]);
        $this->postJson($back, ['reason' => 'Entered for Mira, it was Yuna'])->assertNoContent();
        $this->postJson($back, ['reason' => 'Entered for Mira, it was Yuna'])->assertNotFound();
        $this->assertCount(1, $left()['logged']);
        $log(['id' => (string) Str::uuid7(), 'source' => 'here', 'reps' => 4])->assertNoContent();
        $this->assertStringContainsString('Here, beside the plan: 4', implode(array_column($left()['logged'], 'sentence')));
        $wrong = ['source' => 'nowhere', 'reps' => -3, 'day' => '2099-01-01', 'felt' => 'brutal', 'skill' => 'yodel', 'id' => 'x'];
        foreach ($wrong as $field => $value) {
            $log([$field => $value])->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
        }
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    /** The grid says the same as planning would: one more than is left breaks a hard limit, what is left does not. */
    public function test_what_the_grid_says_is_left_is_what_may_be_planned(): void
    {
        $this->actingAs($this->coach());
        $tomas = $this->athlete('Tomas');
        $grid = $this->getJson("/api/athletes/{$tomas->id}/headroom?skill=javelin&reps=60")->assertOk()->json();
        $this->assertCount(6, $grid['rows'][0]['cells'], 'A thrower with a longest throw has distances.');
        foreach ($grid['rows'] as $row) {
            $reps = array_column($row['cells'], 'reps');
            $sorted = $reps;
            rsort($sorted);
            $this->assertSame($sorted, $reps, 'Further is never more.');
            foreach ($row['cells'] as $cell) {
                $this->assertNotSame([], $cell['binding']);
                $this->assertTrue(
                    $cell['reps'] >= 60
                        ? $cell['fits_on'] === $this->coach()->workspace->today()->iso()
                        : $cell['fits_on'] !== $this->coach()->workspace->today()->iso(),
                );
            }
        }
    }

    /** @param  array<string, string>  $with */
    private function plan(int $squad, array $with = []): TestResponse
    {
        return $this->postJson(
            "/api/squads/{$squad}/sessions",
            ['day' => $this->coach()->workspace->today()->iso(), 'starts_at' => '18:30', 'title' => 'First evening', ...$with],
        );
    }
}
