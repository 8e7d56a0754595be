<?php

declare(strict_types=1);

namespace Tests;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\People\Role;
use App\People\User;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Carbon\Carbon;
use Database\Factories\SquadFactory;
use Database\Factories\UserFactory;
use Database\Factories\WorkspaceFactory;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** The application with the tests’ own squad, in memory, at a set instant, with each test undone after it. */
abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase;

    protected string $seeder = TestSquad::class;

    /** The clock is set before the squad’s story is told: what a test finds depends on no day and no hour but the one it is run at. */
    protected function beforeRefreshingDatabase(): void
    {
        // Side by side each process has a database of its own; in memory it has anyway.
        if (DB::getDriverName() === 'pgsql' && getenv('TEST_TOKEN') !== false) {
            config(['database.connections.pgsql.database' => 'augendo_'.getenv('TEST_TOKEN')]);
            DB::purge();
        }
        Carbon::setTestNow(
            getenv('AUGENDO_TEST_NOW') ?: json_decode((string) file_get_contents(__DIR__.'/instants.json'), flags: JSON_THROW_ON_ERROR)[0],
        );
    }

    /** @var list<string> */
    private array $folders = [];

    protected function tearDown(): void
    {
        array_map(fn (string $folder): bool => File::deleteDirectory($folder), $this->folders);
        parent::tearDown();
    }

    /** A folder of this test's own, gone after it. */
    protected function folder(): string
    {
        $this->folders[] = $folder = sys_get_temp_dir().'/augendo-test-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700);

        return $folder;
    }

    protected function setUp(): void
    {
        parent::setUp();
        // Several runs go side by side: none may empty another's.
        config(['filesystems.disks.film.root' => $this->folder()]);
        $this->withHeader('Referer', config('app.url'));
    }

    /** Somebody else sits down at the same browser: nothing of the last one's session is left. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        $this->nobodySignedIn();
        $this->flushSession();

        return parent::actingAs($user, $guard);
    }

    /** The guards stay: each new one would be told of every later request, and thousands are made. */
    protected function nobodySignedIn(): void
    {
        foreach (['web', 'sanctum'] as $guard) {
            app('auth')->guard($guard)->forgetUser();
        }
    }

    /** Keeps what tests send, for the fuzzer to harm: AUGENDO_RECORD_BODIES=1 vendor/bin/phpunit --testsuite feature. */
    public function json($method, $uri, array $data = [], array $headers = [], $options = 0)
    {
        $answer = parent::json($method, $uri, $data, $headers, $options);
        $route = app('router')->current();
        if (getenv('AUGENDO_RECORD_BODIES') !== false && $route !== null && $data !== [] && $answer->getStatusCode() < 300) {
            $file = __DIR__.'/Fuzz/bodies.json';
            $kept = is_file($file) ? json_decode((string) file_get_contents($file), true) : [];
            $key = "{$method} {$route->uri()}";
            if (count($kept[$key] ?? []) < 3 && strlen((string) json_encode($data)) < 6000 && ! in_array($data, $kept[$key] ?? [], true)) {
                $kept[$key][] = $data;
                ksort($kept);
                file_put_contents($file, json_encode($kept, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");
            }
        }

        return $answer;
    }

    protected function coach(): User
    {
        return $this->person(Role::Coach);
    }

    protected function person(Role $role): User
    {
        return User::query()->where('role', $role)->orderBy('id')->firstOrFail();
    }

    /** Somebody with the same role in a club of their own. */
    protected function stranger(Role $role): User
    {
        $workspace = WorkspaceFactory::new()->create(['name' => 'Elsewhere', 'timezone' => 'Europe/Lisbon']);

        return UserFactory::new()->create([
            'workspace_id' => $workspace->id,
            'name' => 'Nobody Here',
            'email' => Str::random(8).'@elsewhere.example',
            'password' => 'elsewhere',
            'role' => $role,
        ]);
    }

    protected function athlete(string $givenName): Athlete
    {
        return Athlete::query()->where('given_name', $givenName)->firstOrFail();
    }

    /** A squad of a few, beside the one they are in: what is planned for it is quickly fitted. */
    protected function smallSquad(string ...$givenNames): Squad
    {
        $squad = SquadFactory::new()->create([
            'workspace_id' => $this->coach()->workspace_id, 'name' => 'A few', 'rule_set' => 'starter', 'floor' => 'sprung',
        ]);
        foreach ($givenNames as $i => $name) {
            $squad->athletes()->attach($this->athlete($name)->id, ['position' => $i + 1]);
        }
        $this->person(Role::Assistant)->squads()->attach($squad->id);

        return $squad;
    }

    /** The sheet of today's session. */
    protected function sheetOf(string $givenName): Sheet
    {
        $athlete = $this->athlete($givenName);

        return Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('held_on', $this->coach()->workspace->today()->iso())
            ->firstOrFail();
    }

    protected function judgedBlock(Sheet $sheet): SheetBlock
    {
        return $sheet->blocks()->where('judged', true)->where('reps', '>', 0)->firstOrFail();
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed> a tap as a device sends it
     */
    protected function tap(SheetBlock $block, int $seq, array $with = []): array
    {
        return [
            'id' => (string) Str::uuid7(), 'block_id' => $block->id, 'set_no' => 1, 'kind' => 'rep',
            'target_id' => null, 'verdict' => 'good', 'fault' => null,
            'side' => $block->side->value, 'effort' => $block->effort, 'distance_m' => $block->distance_m,
            'at' => Carbon::now('Europe/Lisbon')->subMinutes(5)->addSeconds($seq)->toIso8601String(), 'seq' => $seq,
            'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c', ...$with,
        ];
    }

    /** @return array<string, mixed> a soreness report as a device sends it */
    protected function report(string $site, ?string $side, string $kind, int $score, string $moment = 'before'): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'moment' => $moment,
            'site' => $site,
            'side' => $side,
            'kind' => $kind,
            'score' => $score,
            'note' => null,
        ];
    }
}
