<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\AthleteDay;
use App\Athletes\Squad;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Limits\CapLimit;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class RuleSetTest extends TestCase
{
    private Squad $squad;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->squad = Squad::query()->firstOrFail();
    }

    /** What the editor makes (tests/Device/limitKinds.test.ts) can be used as it is. */
    public function test_a_limit_of_every_kind_with_all_it_can_say_is_read_and_replayed(): void
    {
        $starter = $this->getJson('/api/rule-sets')->assertOk()->json('0.definition');
        $limits = json_decode((string) file_get_contents(base_path('tests/examples/limit-kinds.json')), true);
        $this->assertEqualsCanonicalizing(
            ['cap', 'level', 'rest', 'streak', 'step', 'ratio'], array_values(array_unique(array_column($limits, 'kind'))),
        );
        foreach ($limits as $limit) {
            $definition = [...$starter, 'name' => 'Drawn', 'limits' => [$limit]];
            $this->postJson("/api/squads/{$this->squad->id}/rule-set/compare", ['days' => 28, 'definition' => $definition])
                ->assertOk()->assertJsonPath('then', 'Drawn');
        }
    }

    public function test_a_copy_is_edited_compared_on_the_real_record_and_then_put_in_force(): void
    {
        $starter = $this->getJson('/api/rule-sets')->assertOk()->assertJsonPath('0.own', false)->json('0.definition');
        $strict = $this->scaled($starter, 'Harbour code', 'arm-week', 0.1);
        $compare = fn (array $definition) => $this->postJson(
            "/api/squads/{$this->squad->id}/rule-set/compare",
            ['days' => 28, 'definition' => $definition],
        )->assertOk();
        $same = $compare($starter);
        foreach ($same->json('rows') as $row) {
            $this->assertSame($row['now_days'], $row['then_days'], 'the set in force against itself');
        }
        $tighter = $compare($strict);
        $this->assertGreaterThan(array_sum($same->json('rows.*.then_days')), array_sum($tighter->json('rows.*.then_days')));
        $this->assertStringContainsString('Harbour code', $tighter->json('sentence'));
        // What is planned ahead holds under the rules it was fitted to; under tighter ones it is said what would be trimmed.
        $this->assertSame([], array_merge(...$same->json('rows.*.coming')));
        $this->assertStringContainsString('Everything planned ahead holds', $same->json('ahead'));
        $this->assertNotSame([], array_merge(...$tighter->json('rows.*.coming')));
        $this->assertStringContainsString('would be trimmed to fit “Harbour code”', $tighter->json('ahead'));
        $this->assertSame('starter', $this->squad->refresh()->rule_set, 'looking changes nothing');

        $this->postJson('/api/rule-sets', ['version' => 0, 'definition' => $strict])->assertOk();
        $own = collect($this->getJson('/api/rule-sets')->json())->firstWhere('own', true);
        $this->assertSame([1, 'Harbour code'], [$own['version'], $own['name']]);
        $mira = $this->athlete('Mira');
        $max = fn (): float => $this->cap('arm-week', 'Mira');
        $before = $max();
        $reps = fn (): int => (int) Sheet::query()
            ->where('athlete_id', $mira->id)
            ->where('held_on', '>=', $this->coach()->workspace->today()->iso())
            ->where('state', 'planned')
            ->get()
            ->sum(fn (Sheet $sheet): int => (int) $sheet->blocks()->sum('reps'));
        $planned = $reps();
        $this->getJson('/api/today')->assertOk();
        $this->putJson("/api/squads/{$this->squad->id}/rule-set", ['rule_set' => $own['id']])
            ->assertNoContent();
        $this->getJson('/api/limits')->assertJsonPath('rule_set', 'Harbour code')->assertJsonPath('rule_set_id', $own['id']);
        $this->assertEqualsWithDelta(0.1 * $before, $max(), 1e-9);
        $this->assertLessThan($planned, $reps(), 'what is planned is fitted to the new rules');
        $this->getJson('/api/today')->assertOk()->assertJsonPath('rule_set', 'Harbour code');

        // The next version holds at once; the old one stays on file.
        $this->postJson(
            '/api/rule-sets',
            ['version' => 1, 'definition' => [...$own['definition'], 'name' => 'Harbour code, second']],
        )->assertOk();
        $this->getJson('/api/today')->assertJsonPath('rule_set', 'Harbour code, second');
        $this->assertSame([1, 2], DB::table('rule_sets')->orderBy('version')->pluck('version')->all());
        $this->postJson('/api/rule-sets', ['version' => 1, 'definition' => $own['definition']])->assertStatus(409);
        $this->putJson("/api/squads/{$this->squad->id}/rule-set", ['rule_set' => 'no-such'])->assertStatus(422);
    }

    public function test_a_mistake_in_a_rule_set_is_named_with_its_place_and_nothing_is_kept(): void
    {
        $starter = $this->getJson('/api/rule-sets')->json('0.definition');
        foreach ([
            '/limits/0/max' => function (array $d): array {
                $d['limits'][0]['by_age'][0]['max'] = -1;

                return $d;
            },
            '/limits' => function (array $d): array {
                $d['limits'][] = $d['limits'][0];

                return $d;
            },
            '/name' => function (array $d): array {
                $d['name'] = 7;

                return $d;
            },
        ] as $path => $spoil) {
            $answer = $this->postJson('/api/rule-sets', ['version' => 0, 'definition' => $spoil($starter)])->assertStatus(422);
            $this->assertStringStartsWith($path, array_key_first($answer->json('errors')));
        }
        $this->assertSame(0, DB::table('rule_sets')->count());
    }

    public function test_one_athlete_may_have_less_without_a_word_and_more_only_with_a_reason(): void
    {
        $mira = $this->athlete('Mira');
        $before = $this->cap('arm-day', 'Mira');
        $share = fn (string $limit, float $share, ?string $reason = null) => $this->postJson(
            "/api/athletes/{$mira->id}/limit-shares",
            ['limit_id' => $limit, 'share' => $share, 'reason' => $reason],
        );
        $share('arm-day', 0.8)->assertNoContent();
        $this->getJson('/api/limits')->assertJsonPath('shares.0.share', 0.8);
        $this->assertEqualsWithDelta(0.8 * $before, $this->cap('arm-day', 'Mira'), 1e-9);
        $this->assertEqualsWithDelta($this->cap('arm-day', 'Tomas'), $this->cap('arm-day', 'Tomas'), 1e-9);
        $share('arm-day', 1.1)->assertStatus(422)->assertJsonStructure(['errors' => ['reason']]);
        $share('arm-day', 1.1, 'Her federation allows her age group a tenth more.')->assertNoContent();
        $this->assertEqualsWithDelta(1.1 * $before, $this->cap('arm-day', 'Mira'), 1e-9);
        $share('arm-day', 1.0)->assertNoContent();
        $this->getJson('/api/limits')->assertJsonPath('shares', []);
        $this->assertEqualsWithDelta($before, $this->cap('arm-day', 'Mira'), 1e-9);
        $share('high-days-running', 0.5)->assertStatus(422)->assertJsonPath('title', 'No such limit');
        $this->assertSame(3, DB::table('limit_shares')->where('athlete_id', $mira->id)->count(), 'each change is kept');
        $this->actingAs($this->person(Role::Assistant));
        $share('arm-day', 0.5)->assertForbidden();
    }

    private function cap(string $id, string $name): float
    {
        $athlete = $this->athlete($name);
        $day = new AthleteDay($athlete, $this->coach()->workspace->today());
        foreach ($day->limits->on($day->on, $day->load->record) as $limit) {
            if ($limit instanceof CapLimit && $limit->baseId() === $id && $limit->appliesAt($day->load->age)) {
                return $limit->max;
            }
        }
        $this->fail("No limit {$id}.");
    }

    /**
     * @param  array<string, mixed>  $definition
     * @return array<string, mixed>
     */
    private function scaled(array $definition, string $name, string $limit, float $share): array
    {
        $definition['name'] = $name;
        foreach ($definition['limits'] as &$each) {
            if ($each['id'] === $limit) {
                foreach ($each['by_age'] as &$band) {
                    $band['max'] *= $share;
                }
            }
        }

        return $definition;
    }
}
