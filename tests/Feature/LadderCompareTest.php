<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** An own ladder beside what it came from and beside its versions; single changes are taken over, the rest stays ours. */
#[Group('once')]
final class LadderCompareTest extends TestCase
{
    private string $ours;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $file = $this->getJson('/api/library/discus/definition')->assertOk()->json('definition');
        $file['name'] = 'Discus, our way';
        $file['rungs'][1]['teaching']['good'] = 'Quiet at the end, both feet down.';
        $this->ours = $this->postJson('/api/library', ['version' => 0, 'definition' => $file])->assertOk()->json('id');
    }

    public function test_what_is_ours_is_told_and_what_is_new_there_is_taken_alone(): void
    {
        $seen = $this->compare();
        $this->assertSame(['origin', 1], [$seen['with'], $seen['version']]);
        $this->assertSame(['ours', 'ours'], array_column($seen['changes'], 'since'));
        $this->assertSame(['Name', 'Rung “Standing throw”, what good is'], array_column($seen['changes'], 'place'));
        $this->assertSame('Discus, our way', $seen['changes'][0]['ours']);

        // The next version that ships asks for more repetitions, and has one thing to look for more.
        $begun = DB::table('ladders')->where(['slug' => $this->ours, 'version' => 0])->first();
        $then = json_decode($begun->definition, true);
        $block = $then['rungs'][1]['blocks'][2];
        $then['rungs'][1]['blocks'][2]['reps'] -= 2;
        $then = $this->withoutItsLastFault($then);
        DB::table('ladders')->where(['slug' => $this->ours, 'version' => 0])->update(['definition' => json_encode($then)]);
        $mine = [...$then, 'name' => 'Discus, our way', 'copied_from' => 'discus'];
        $this->postJson('/api/library', ['version' => 1, 'definition' => ['id' => $this->ours] + $mine])->assertOk();
        $changes = collect($this->compare()['changes'])->keyBy('pointer');
        $reps = "/rungs/standing/blocks/{$block['title']}/reps";
        $this->assertSame(['theirs', 'ours'], [$changes[$reps]['since'], $changes['/name']['since']]);
        $this->assertSame([(string) ($block['reps'] - 2), (string) $block['reps']], [$changes[$reps]['ours'], $changes[$reps]['theirs']]);
        $fault = $changes->first(fn (array $each): bool => $each['ours'] === null && str_starts_with($each['pointer'], '/faults/'));
        $this->assertStringContainsString('Steps out of the ring', $fault['theirs']);

        $take = fn (array $pointers, int $version, string $with = 'origin') => $this->postJson(
            "/api/library/{$this->ours}/take", ['version' => $version, 'with' => $with, 'pointers' => $pointers],
        );
        $take([$reps, $fault['pointer']], 1)->assertStatus(409);
        $take(['/rungs/nowhere/goal'], 2)->assertStatus(409);
        $after = $take([$reps, $fault['pointer']], 2)->assertOk()->json();
        $this->assertSame(3, $after['version']);
        $this->assertNotContains($reps, array_column($after['changes'], 'pointer'));
        $now = $this->getJson("/api/library/{$this->ours}/definition")->json('definition');
        $this->assertSame($block['reps'], $now['rungs'][1]['blocks'][2]['reps']);
        $this->assertSame(['Discus, our way', 'fouls'], [$now['name'], end($now['faults'])['id']], 'ours stays, the new one as well');

        // A change of an earlier version can be taken back.
        $this->assertSame(['origin', '2', '1'], array_column($after['against'], 'id'));
        $good = '/rungs/standing/teaching/good';
        $this->assertContains($good, array_column($this->compare('1')['changes'], 'pointer'));
        $take([$good], 3, '1')->assertOk()->assertJsonPath('version', 4);
        $this->assertSame(
            'Quiet at the end, both feet down.',
            $this->getJson("/api/library/{$this->ours}/definition")->json('definition.rungs.1.teaching.good'),
        );
    }

    public function test_a_change_that_needs_another_is_refused_with_its_place_and_nothing_is_kept(): void
    {
        $file = $this->getJson("/api/library/{$this->ours}/definition")->json('definition');
        $this->postJson('/api/library', ['version' => 1, 'definition' => $this->withoutItsLastFault($file)])->assertOk();
        $faults = collect($this->compare()['changes'])->pluck('pointer')
            ->first(fn (string $pointer): bool => str_starts_with($pointer, '/rungs/') && str_ends_with($pointer, '/faults'));
        $answer = $this->postJson("/api/library/{$this->ours}/take", ['version' => 2, 'with' => 'origin', 'pointers' => [$faults]]);
        $answer->assertStatus(422);
        $this->assertStringContainsString('/faults/', implode(' ', array_keys($answer->json('errors'))));
        $this->assertSame(2, $this->compare()['version']);
    }

    public function test_only_own_ladders_are_compared_and_another_club_sees_none(): void
    {
        $this->getJson('/api/library/discus/compare')->assertOk()->assertJsonPath('against', [])->assertJsonPath('changes', []);
        $this->getJson("/api/library/{$this->ours}/compare?with=17")->assertNotFound();
        $this->actingAs($this->stranger(Role::Coach));
        $this->getJson("/api/library/{$this->ours}/compare")->assertNotFound();
        $take = ['version' => 1, 'with' => 'origin', 'pointers' => ['/name']];
        $this->postJson("/api/library/{$this->ours}/take", $take)->assertStatus(422);
        $this->getJson("/api/library/{$this->ours}")->assertNotFound();
    }

    public function test_a_rung_is_seen_before_it_is_kept_for_a_child_and_for_a_left_hand(): void
    {
        $file = $this->getJson("/api/library/{$this->ours}/definition")->json('definition');
        $file['rungs'][1]['goal'] = 'Finish over the {front} foot';
        $look = fn (string $hand, int $age, array $definition) => $this->postJson('/api/library/preview', [
            'definition' => $definition, 'rung' => 'standing', 'hand' => $hand, 'age' => $age,
        ]);
        $grown = $look('left', 25, $file)->assertOk()->json();
        $this->assertSame('Finish over the right foot', $grown['rung']['goal']);
        $child = $look('right', 8, $file)->assertOk()->json();
        $reps = fn (array $seen): int => array_sum(array_map(fn (array $block): int => $block['sets'] * $block['reps'], $seen['blocks']));
        $this->assertLessThan($reps($grown), $reps($child), 'fewer for a child');
        $this->assertSame(['Low', 'High'], array_column($grown['tags'], 'name'));
        $file['rungs'][1]['checkpoints'] = ['nothing'];
        $look('right', 25, $file)->assertStatus(422)->assertJsonStructure(['errors' => ['/rungs/1/checkpoints/0']]);
        $this->assertSame(1, DB::table('ladders')->where('slug', $this->ours)->max('version'), 'nothing is kept');
    }

    /** @return array<string, mixed> */
    private function compare(?string $with = null): array
    {
        return $this->getJson("/api/library/{$this->ours}/compare".($with === null ? '' : "?with={$with}"))->assertOk()->json();
    }

    /**
     * The ladder without the last of its faults, and without what speaks of it.
     *
     * @param  array<string, mixed>  $ladder
     * @return array<string, mixed>
     */
    private function withoutItsLastFault(array $ladder): array
    {
        $gone = array_pop($ladder['faults'])['id'];
        unset($ladder['seated']['drills'][$gone]);
        $ladder['rungs'] = array_map(
            fn (array $rung): array => [...$rung, 'faults' => array_values(array_diff($rung['faults'], [$gone]))],
            $ladder['rungs'],
        );

        return $ladder;
    }
}
