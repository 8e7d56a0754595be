<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Day;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Athletes come, train with several squads, move, retire and come back: the record stays, what is planned follows. */
#[Group('once')]
final class PeopleMoveTest extends TestCase
{
    private int $few;

    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->few = $this->smallSquad('Dario')->id;
        $this->today = $this->coach()->workspace->today();
    }

    public function test_everybody_is_in_the_list_with_their_squads_their_rung_and_their_last_day(): void
    {
        $all = $this->getJson('/api/athletes')->assertOk()->json('athletes');
        $this->assertCount(13, $all);
        $dario = $this->row('Dario');
        $this->assertContains($this->few, $dario['squads']);
        $this->assertCount(2, $dario['squads']);
        $this->assertStringStartsWith('Volleyball float serve: ', $dario['ladders'][0]);
        $this->assertLessThanOrEqual($this->today->iso(), $dario['last_worked']);
        $this->actingAs($this->person(Role::Guardian));
        $this->assertSame(['Noor'], collect($this->getJson('/api/athletes')->json('athletes'))->pluck('given_name')->all());
    }

    public function test_who_is_new_in_a_squad_is_in_its_sessions_and_who_leaves_it_is_in_none(): void
    {
        $session = $this->plan(4);
        $this->assertSame(['Dario'], $this->in($session));
        $mira = $this->athlete('Mira');
        $home = $mira->squads()->firstOrFail()->id;
        $this->putJson("/api/athletes/{$mira->id}/squads", ['squads' => [$home, $this->few]])->assertOk();
        $this->assertSame(['Dario', 'Mira'], $this->in($session));
        $this->putJson("/api/athletes/{$mira->id}/squads", ['squads' => [$home, $this->few]])->assertOk();
        $this->assertSame(['Dario', 'Mira'], $this->in($session), 'twice is once');
        $this->putJson("/api/athletes/{$mira->id}/squads", ['squads' => [$home]])->assertOk();
        $this->assertSame(['Dario'], $this->in($session));
        $this->putJson("/api/athletes/{$mira->id}/squads", ['squads' => []])->assertStatus(422);
        $this->putJson("/api/athletes/{$mira->id}/squads", ['squads' => [999999]])->assertNotFound();
    }

    public function test_who_retires_is_out_of_sight_with_the_whole_record_and_can_come_back(): void
    {
        $session = $this->plan(4);
        $dario = $this->athlete('Dario');
        $worked = DB::table('work_sets')->where('athlete_id', $dario->id)->count();
        $this->postJson("/api/athletes/{$dario->id}/retire", ['day' => $this->today->plus(1)->iso()])->assertStatus(422);
        $this->postJson("/api/athletes/{$dario->id}/retire", ['day' => $this->today->iso()])->assertOk();
        $this->assertSame([], $this->in($session));
        $this->assertSame($this->today->iso(), $this->row('Dario')['retired_on']);
        foreach (['today', 'roll-call', 'limits', 'gates'] as $screen) {
            $this->assertStringNotContainsString('Dario', $this->getJson("/api/{$screen}")->assertOk()->content(), $screen);
        }
        $this->getJson("/api/athletes/{$dario->id}")->assertOk();
        $this->assertSame($worked, DB::table('work_sets')->where('athlete_id', $dario->id)->count());
        $other = $dario->squads()->orderBy('squads.id')->firstOrFail()->id;
        $this->putJson("/api/athletes/{$dario->id}/squads", ['squads' => [$other]])->assertStatus(422);
        $this->postJson("/api/athletes/{$dario->id}/come-back")->assertOk();
        $this->assertSame(['Dario'], $this->in($session));
        $this->assertStringContainsString('Dario', $this->getJson('/api/today')->content());
    }

    public function test_a_squad_is_archived_when_nobody_is_in_it_and_nothing_is_planned(): void
    {
        $this->postJson("/api/squads/{$this->few}/archive")->assertStatus(409);
        $home = $this->athlete('Dario')->squads()->orderBy('squads.id')->firstOrFail()->id;
        $this->putJson("/api/athletes/{$this->athlete('Dario')->id}/squads", ['squads' => [$home]])->assertOk();
        $squads = $this->postJson("/api/squads/{$this->few}/archive")->assertOk()->json('squads');
        $this->assertNotContains($this->few, array_column($squads, 'id'));
        $this->getJson("/api/today?squad={$this->few}")->assertNotFound();
    }

    private function plan(int $days): string
    {
        return $this->postJson("/api/squads/{$this->few}/sessions", [
            'id' => (string) Str::uuid7(), 'day' => $this->today->plus($days)->iso(), 'starts_at' => '21:30', 'title' => 'Serves',
            'minutes' => 75,
        ])->assertOk()->json('session_id') ?? DB::table('training_sessions')->where('squad_id', $this->few)->value('id');
    }

    /** @return list<string> */
    private function in(string $session): array
    {
        return Sheet::query()->where('training_session_id', $session)->get()
            ->map(fn (Sheet $sheet): string => $sheet->athlete()->firstOrFail()->given_name)->sort()->values()->all();
    }

    /** @return array<string, mixed> */
    private function row(string $givenName): array
    {
        return collect($this->getJson('/api/athletes')->assertOk()->json('athletes'))->firstWhere('given_name', $givenName);
    }
}
