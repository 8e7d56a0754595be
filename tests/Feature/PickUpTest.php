<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\Privacy;
use App\People\Role;
use App\People\User;
use App\Sessions\FitTheDay;
use App\Sessions\PickedUp;
use App\Sessions\TrainingSession;
use Carbon\Carbon;
use Database\Factories\AthleteFactory;
use Database\Factories\PlacementFactory;
use Database\Factories\SheetFactory;
use Database\Factories\SquadFactory;
use Database\Factories\TrainingSessionFactory;
use Database\Factories\UserFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A child goes home with whom the guardian named, or somebody calls first. */
#[Group('once')]
final class PickUpTest extends TestCase
{
    private Athlete $child;

    private TrainingSession $session;

    private User $coach;

    protected function setUp(): void
    {
        parent::setUp();
        $squad = SquadFactory::new()->create();
        $this->session = TrainingSessionFactory::new()->create(['squad_id' => $squad->id]);
        foreach ([11, 30, null] as $age) {
            $athlete = AthleteFactory::new()->in($squad)->create([
                'given_name' => $age === null ? 'Nobody knows' : "Aged {$age}",
                'birth_date' => $age === null ? null : Carbon::now()->subYears($age)->subDay()->toDateString(),
            ]);
            PlacementFactory::new()->create(['athlete_id' => $athlete->id]);
            SheetFactory::new()->of($athlete, $this->session)->fitted()->create();
            $this->child ??= $athlete;
        }
        $this->coach = UserFactory::new()->in($this->child->workspace)->create();
        $this->actingAs($this->coach);
    }

    public function test_children_are_asked_for_and_somebody_not_named_is_a_warning(): void
    {
        $guardian = UserFactory::new()->in($this->child->workspace)->create(['role' => Role::Guardian]);
        DB::table('athlete_user')->insert(['athlete_id' => $this->child->id, 'user_id' => $guardian->id]);
        $this->actingAs($guardian);
        $this->keep(['Ana Duarte', 'Ana Duarte', 'Rui Duarte'])->assertOk()->assertJsonPath('names', ['Ana Duarte', 'Rui Duarte']);
        $this->keep(['Ana Duarte'])->assertOk()->assertJsonPath('names', ['Ana Duarte']);
        $this->keep(array_fill(0, 13, 'Somebody'))->assertUnprocessable();
        $this->getJson("/api/sessions/{$this->session->id}/pick-ups")->assertForbidden();

        $this->actingAs($this->coach);
        $asked = $this->getJson("/api/sessions/{$this->session->id}/pick-ups")->assertOk()->json();
        $this->assertSame([['Aged 11', ['Ana Duarte'], null], ['Nobody knows', [], null]], array_map(
            fn (array $each): array => [$each['name'], $each['may'], $each['collected_by']], $asked,
        ), 'a child, and who may be one');
        $this->went('ana  duarte')->assertOk()->assertJsonPath('0.on_list', true)->assertJsonPath('0.collected_by', 'ana  duarte');
        $this->went('A neighbour')->assertOk()->assertJsonPath('0.on_list', false);
        $this->keep(['Ana Duarte', 'A neighbour'])->assertOk();
        $this->getJson("/api/sessions/{$this->session->id}/pick-ups")->assertJsonPath('0.on_list', false);
        $this->went(null)->assertOk()->assertJsonPath('0.collected_by', null);
        $this->went('A neighbour')->assertOk()->assertJsonPath('0.on_list', true);
        $this->assertSame(1, PickedUp::query()->count());
        $this->putJson("/api/sessions/{$this->session->id}/pick-ups", ['athlete_id' => (string) Str::uuid7(), 'name' => 'X'])
            ->assertUnprocessable();
    }

    public function test_it_is_kept_for_thirty_days_and_goes_with_an_erasure(): void
    {
        $this->keep(['Ana Duarte'])->assertOk();
        $this->went('Ana Duarte')->assertOk();
        $workspace = $this->child->workspace;
        foreach ([30 => 1, 31 => 0] as $days => $left) {
            Carbon::setTestNow(Carbon::parse((string) $this->session->held_on, 'Europe/Lisbon')->addDays($days)->setTime(12, 0));
            FitTheDay::dispatchSync($workspace->id);
            $this->assertSame($left, PickedUp::query()->count(), "{$days} days later");
        }
        app(Privacy::class)->erase($this->child, $this->coach);
        $this->assertSame(0, DB::table('collectors')->count());
    }

    /** @param  list<string>  $names */
    private function keep(array $names): TestResponse
    {
        return $this->putJson("/api/athletes/{$this->child->id}/collectors", ['names' => $names]);
    }

    private function went(?string $with): TestResponse
    {
        return $this->putJson("/api/sessions/{$this->session->id}/pick-ups", ['athlete_id' => $this->child->id, 'name' => $with]);
    }
}
