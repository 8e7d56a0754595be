<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\AthleteDay;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\Library\SchemaCheck;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Library\Library;
use Database\Factories\PlacementFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class LadderShelfTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
    }

    public function test_every_ladder_that_ships_can_be_copied_as_it_is_and_goes_out_by_its_schema(): void
    {
        foreach (app(Library::class)->ladderIds() as $id) {
            $definition = $this->getJson("/api/library/{$id}/definition")->assertOk()->json('definition');
            $copy = [...$definition, 'name' => "Ours: {$definition['name']}", 'copied_from' => $id];
            $kept = $this->postJson('/api/library', ['version' => 0, 'definition' => $copy])->assertOk();
            $text = (string) json_encode(json_decode($kept->content())->definition);
            $this->assertSame([], SchemaCheck::text($text, 'ladder'), $id);
        }
    }

    public function test_a_copy_gets_versions_and_what_was_done_keeps_the_one_it_was_done_by(): void
    {
        $own = $this->copied('javelin-throw', 'Javelin, our way');
        $this->assertSame(['javelin-throw', 1], [$own['definition']['copied_from'], $own['version']]);
        $pia = $this->athlete('Pia');
        $rung = $this->standsOn('Pia', 'javelin-throw');
        $before = $this->seen('Pia', 'javelin-throw');
        $squad = Squad::query()->firstOrFail();
        $said = $this->postJson("/api/squads/{$squad->id}/ladders/{$own['id']}")->assertOk()->json('sentences');
        $this->assertContains(true, array_map(fn (string $each): bool => str_starts_with($each, 'Pia goes on at'), $said));
        $this->assertSame($rung, $this->standsOn('Pia', $own['id']));
        $this->assertNull($this->standsOn('Pia', 'javelin-throw'), 'left, and still on file');
        $this->assertGreaterThan(0, $before);
        $this->assertSame(0, $this->seen('Pia', $own['id']), 'evidence is collected anew on the copy');
        $this->assertSame(
            $own['id'],
            Sheet::query()
                ->where('athlete_id', $pia->id)
                ->where('held_on', '>', $this->coach()->workspace->today()->iso())
                ->where('state', 'planned')
                ->value('ladder'),
        );

        // A second version: done sheets keep the first, planned ones are fitted to the second.
        $sheet = $this->sheetOf('Pia');
        $this->travel(10)->minutes();
        $block = $this->judgedBlock($sheet);
        $this->postJson(
            "/api/sheets/{$sheet->id}/events",
            ['events' => [$this->tap($block, 1), $this->tap($block, 2), $this->tap($block, 3)]],
        )->assertOk();
        $this->assertSame(3, $this->seen('Pia', $own['id']));
        $words = $own['definition'];
        $words['rungs'][$this->index($words, $rung)]['name'] = 'Our own words';
        $this->keep($words, 1)->assertOk()->assertJsonPath('version', 2);
        $this->assertSame(3, $this->seen('Pia', $own['id']), 'the same is looked for: the evidence stands');
        $this->assertSame(
            [1, 2],
            [
                $sheet->refresh()->ladder_version,
                Sheet::query()
                    ->where('athlete_id', $pia->id)
                    ->where('state', 'planned')
                    ->where('held_on', '>', $sheet->held_on)
                    ->value('ladder_version'),
            ],
        );
        $other = $words;
        $dropped = array_pop($other['rungs'][$this->index($words, $rung)]['checkpoints']);
        $faults = array_column($words['faults'], 'checkpoint', 'id');
        $other['rungs'][$this->index($words, $rung)]['faults'] = array_values(
            array_filter($words['rungs'][$this->index($words, $rung)]['faults'], fn (string $id): bool => $faults[$id] !== $dropped),
        );
        $this->keep($other, 2)->assertOk()->assertJsonPath('version', 3);
        $this->assertSame(0, $this->seen('Pia', $own['id']), 'something else is looked for: looked at anew');
        $this->keep($words, 2)->assertStatus(409)->assertJsonPath('version', 3);
        $this->getJson("/api/library/{$own['id']}?version=1")->assertOk()->assertJsonPath('version', 1)->assertJsonCount(3, 'versions');

        // The rung somebody stands on stays.
        unset($other['rungs'][$this->index($other, $rung)]);
        $other['rungs'] = array_values($other['rungs']);
        $this->keep($other, 3)->assertStatus(422)->assertJsonPath('title', 'Somebody is on that rung');
        $this->assertSame(3, (int) DB::table('ladders')->where('slug', $own['id'])->max('version'));

        $this->actingAs($this->stranger(Role::Coach))->getJson("/api/library/{$own['id']}")->assertStatus(404);
        $this->getJson("/api/library/{$own['id']}/definition")->assertStatus(404);
        $this->keep($words, 3)->assertStatus(409);
    }

    public function test_mistakes_are_named_by_their_place_and_nothing_is_kept(): void
    {
        $definition = $this->definition('racket-serve');
        foreach ([
            '/rungs/0/checkpoints/0' => fn (array $d): array => $this->with(
                $d,
                fn (array &$x) => $x['rungs'][0]['checkpoints'][0] = 'nowhere',
            ),
            '/rungs/1/id' => fn (array $d): array => $this->with($d, fn (array &$x) => $x['rungs'][1]['id'] = $x['rungs'][0]['id']),
            '/rungs/0/blocks/1/effort' => fn (array $d): array => $this->with(
                $d,
                fn (array &$x) => $x['rungs'][0]['blocks'][1]['effort'] = 7,
            ),
            '/rungs/0/teaching' => fn (array $d): array => $this->with($d, function (array &$x): void {
                unset($x['rungs'][0]['teaching']['good']);
            }),
            '/rungs/0/blocks/1' => fn (array $d): array => $this->with(
                $d,
                fn (array &$x) => $x['rungs'][0]['blocks'][1] = [...$x['rungs'][0]['blocks'][1], 'tempo' => 'counted'],
            ),
            '/checkpoints/1/school' => fn (array $d): array => $this->with($d, fn (array &$x) => $x['checkpoints'][1]['school'] = 'shoes'),
            '/needs/0/ladder' => fn (array $d): array => $this->with(
                $d,
                fn (array &$x) => $x['needs'] = [['ladder' => 'no-such', 'rung' => 'x']],
            ),
        ] as $path => $spoil) {
            $errors = $this->keep([...$spoil($definition), 'name' => 'Spoilt'], 0)->assertStatus(422)->json('errors');
            $this->assertArrayHasKey($path, $errors, json_encode($errors, JSON_THROW_ON_ERROR));
        }
        $this->assertSame(0, DB::table('ladders')->count());
    }

    public function test_a_gate_says_what_it_does_and_one_that_is_none_is_refused_with_its_place(): void
    {
        $asked = fn (array $gate, int $reps = 6): TestResponse => $this->postJson(
            '/api/library/let-through', ['gate' => $gate, 'reps' => $reps],
        );
        $usual = $asked([])->assertOk()->assertJsonCount(3)->json();
        $this->assertSame([0.65, 0.8, 0.9], array_column($usual, 'rate'));
        $strict = $asked(['target_rate' => 0.95, 'lower_bound' => 0.85])->assertOk()->json();
        $this->assertLessThan($usual[2]['share'], $strict[2]['share']);
        $this->assertNull($asked(['streak' => 30])->assertOk()->json('2.sessions'), 'nobody');
        $this->assertArrayHasKey('gate.target_rate', $asked(['target_rate' => 1.4])->assertStatus(422)->json('errors'));
        $asked(['no_such' => 1])->assertStatus(422);
        $asked([], 0)->assertStatus(422);
    }

    public function test_drills_are_found_in_a_coachs_words_the_clubs_own_among_them(): void
    {
        $find = fn (string $words): TestResponse => $this->getJson('/api/drills?words='.urlencode($words))->assertOk();
        $all = $find('')->json('all');
        $this->assertGreaterThan(100, $all);
        $find('sore wrist, alone')
            ->assertJsonPath('understood', ['With a sore wrist: nothing that loads hand.', 'Alone.'])
            ->assertJsonPath('drills', fn (array $drills): bool => $drills !== [] && array_filter(
                $drills, fn (array $drill): bool => in_array('hand', $drill['loads'], true) || $drill['with'] !== 'alone',
            ) === []);
        $find('sore back')
            ->assertJsonPath('drills', [])
            ->assertJsonPath('refers', fn (?string $why): bool => str_contains((string) $why, 'clinician'));
        $find('zeppelin')->assertJsonPath('drills', []);
        $this->getJson('/api/drills?words='.str_repeat('a', 201))->assertStatus(422);
        $own = $this->with(['name' => 'Club serve'] + $this->definition('racket-serve'), function (array &$x): void {
            $x['faults'][0]['how'] = 'A zeppelin hangs over the net; serve below it.';
        });
        $this->keep($own, 0)->assertOk();
        $find('zeppelin')->assertJsonCount(1, 'drills')->assertJsonPath('drills.0.ladders', ['Club serve']);
        $this->actingAs($this->stranger(Role::Coach));
        $find('zeppelin')->assertJsonCount(0, 'drills');
    }

    public function test_files_go_in_together_or_not_at_all(): void
    {
        $good = ['id' => 'club-serve', 'name' => 'Club serve'] + $this->definition('racket-serve');
        $bad = $this->with([
            'id' => 'club-throw',
            'name' => 'Club throw',
        ] + $this->definition('overhand-throw'), function (array &$x): void {
            $x['rungs'][0]['faults'][0] = 'tyop';
        });
        $files = fn (
            bool $keep,
            array ...$definitions,
        ): TestResponse => $this->postJson('/api/library/import', ['keep' => $keep, 'files' => array_map(
            fn (array $definition): array => [
                'name' => "{$definition['id']}.json",
                'text' => json_encode($definition, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            ],
            $definitions,
        )]);
        $looked = $files(false, $good, $bad)->assertOk();
        $looked->assertJsonPath('0.problems', [])
            ->assertJsonPath('0.becomes', 'a new ladder of your own')
            ->assertJsonPath('1.problems.0.path', '/rungs/0/faults/0')
            ->assertJsonPath('1.problems.0.file', 'club-throw.json');
        $this->assertStringContainsString('there are', $looked->json('1.problems.0.message'));
        $files(true, $good, $bad)->assertStatus(422);
        $this->assertSame(0, DB::table('ladders')->count(), 'nothing is half imported');
        $files(true, $good)->assertOk();
        $this->assertSame(
            ['Club serve'],
            DB::table('ladders')->get()->map(fn (object $row): string => json_decode($row->definition)->name)->all(),
        );
        // What is wrong there, and what would be right.
        $odd = $this->with($good, function (array &$x): void {
            $x['rungs'][0]['outcome'] = 'perhaps';
            $x['rungs'][1]['blocks'][1]['effort'] = 7;
            $x['rungs'][2]['goal'] = '';
            $x['rungs'][3]['blocks'][0]['sets'] = 'two';
            unset($x['rungs'][4]['goal']);
        });
        $this->assertSame([
            '/rungs/0/outcome' => '“perhaps” is none of “ignored”, “scored”.',
            '/rungs/1/blocks/1/effort' => 'This is 7; at most 1 is asked for.',
            '/rungs/2/goal' => 'This is empty; write something.',
            '/rungs/3/blocks/0/sets' => 'This is a text; a whole number is asked for.', '/rungs/4' => '“goal” is missing.',
        ], collect($files(false, $odd)->json('0.problems'))->pluck('message', 'path')->sortKeys()->all());
        $torn = $this->postJson(
            '/api/library/import',
            ['keep' => false, 'files' => [['name' => 'torn.json', 'text' => '{"id": ']]],
        )->assertOk();
        $this->assertNotSame([], $torn->json('0.problems'));
    }

    public function test_what_was_climbed_on_a_ladder_still_counts_after_moving_to_its_copy(): void
    {
        $pia = $this->athlete('Pia');
        $today = $this->coach()->workspace->today();
        foreach (['racket-serve' => 'fence-free', 'overhead' => null] as $ladder => $rung) {
            $rung ??= $this->definition($ladder)['rungs'][0]['id'];
            PlacementFactory::new()->create([
                'athlete_id' => $pia->id,
                'ladder' => $ladder,
                'rung' => $rung,
                'entered_on' => $today->iso(),
                'entered_at' => now()->toIso8601String(),
            ]);
        }
        $held = function (): string {
            $overhead = collect($this->getJson('/api/athletes/'.$this->athlete('Pia')->id)->json('ladders'))->firstWhere('id', 'overhead');

            return collect($overhead['gate']['criteria'])->firstWhere('name', 'prerequisites')['verdict'];
        };
        $first = $held();
        $own = $this->copied('racket-serve', 'Serve for Pia');
        $this->postJson('/api/squads/'.Squad::query()->firstOrFail()->id."/ladders/{$own['id']}")->assertOk();
        $this->assertSame('fence-free', $this->standsOn('Pia', $own['id']));
        $this->assertSame([$first, 'pass'], [$held(), $first]);
    }

    /** @return array<string, mixed> as the shelf answers it */
    private function copied(string $id, string $name): array
    {
        return $this->keep([...$this->definition($id), 'name' => $name], 0)->assertOk()->json();
    }

    /** @return array<string, mixed> */
    private function definition(string $id): array
    {
        return $this->getJson("/api/library/{$id}/definition")->assertOk()->json('definition');
    }

    /** @param  array<string, mixed>  $definition */
    private function keep(array $definition, int $version): TestResponse
    {
        return $this->postJson('/api/library', ['version' => $version, 'definition' => $definition]);
    }

    /**
     * @param  array<string, mixed>  $definition
     * @return array<string, mixed>
     */
    private function with(array $definition, callable $change): array
    {
        $change($definition);

        return $definition;
    }

    /** @param  array<string, mixed>  $definition */
    private function index(array $definition, string $rung): int
    {
        return (int) array_search($rung, array_column($definition['rungs'], 'id'), true);
    }

    private function standsOn(string $name, string $ladder): ?string
    {
        return Placement::standing()
            ->where('athlete_id', $this->athlete($name)->id)
            ->where('ladder', $ladder)
            ->orderByDesc('entered_at')
            ->value('rung');
    }

    private function seen(string $name, string $ladder): int
    {
        $athlete = $this->athlete($name);
        $book = (new AthleteDay($athlete, $this->coach()->workspace->today()))->ladders;

        return count($book->reps($athlete, $book->placementsOf($athlete)[$ladder]));
    }
}
