<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Link;
use App\People\Role;
use App\People\User;
use Augendo\Core\Day;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class LinksTest extends TestCase
{
    public function test_a_personal_page_takes_a_report_without_an_account(): void
    {
        $noor = $this->athlete('Noor');
        $token = $this->personal('Noor');
        $this->assertDatabaseMissing('links', ['token_hash' => $token]);
        $page = $this->page('GET', $token)->assertOk()->json();
        $this->assertSame(['Noor', true], [$page['given_name'], $page['asks_growth']]);
        $this->assertArrayNotHasKey('family_name', $page, 'The least that does the job.');

        $report = $this->report('none', null, 'muscle', 0, 'morning');
        $wellness = ['id' => (string) Str::uuid7(), 'at' => $report['at'], 'sleep' => 2, 'energy' => 3, 'ill' => 'fever'];
        $send = fn () => $this->page('POST', $token, ['reports' => [$report], 'wellness' => $wellness]);
        $send()->assertOk()->assertJsonPath('word', 'none');
        $send()->assertOk();
        $this->assertSame(1, DB::table('soreness_reports')->where('id', $report['id'])->whereNull('reported_by')->count());
        $this->assertSame(1, DB::table('wellness')->where('athlete_id', $noor->id)->count());
        $this->page('POST', $token, ['reports' => [['score' => 12] + $report], 'wellness' => null])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['reports.0.score']]);
        // What a link reported is on the coach's screens like any other.
        $shown = collect($this->actingAs($this->coach())->getJson("/api/athletes/{$noor->id}")->json('soreness'))->last();
        $this->assertSame('by personal link', $shown['by']);
    }

    public function test_what_was_practised_at_home_is_load_as_soon_as_the_personal_page_tells_it(): void
    {
        $yuna = $this->athlete('Yuna');
        $token = $this->personal('Yuna');
        $page = $this->page('GET', $token)->assertOk()->json();
        $this->assertContains(['id' => 'float-serve', 'name' => 'Float serve'], $page['tasks']);
        $this->assertSame([$page['date'], 7], [$page['days'][0], count($page['days'])]);
        $arm = fn (string $day): float => (float) DB::table('daily_totals')->where('athlete_id', $yuna->id)->where('day', $day)->sum('arm');
        $yesterday = $page['days'][1];
        $before = $arm($yesterday);
        $told = [
            'id' => (string) Str::uuid7(), 'at' => now('Europe/Lisbon')->toIso8601String(), 'day' => $yesterday,
            'skill' => 'float-serve', 'reps' => 24, 'felt' => 'easy',
        ];
        $tell = fn (array $with = [], ?string $as = null): TestResponse => $this->json(
            'POST', '/api/link/practice', $with + $told, ['X-Link-Token' => $as ?? $token],
        );
        $tell()->assertOk();
        $tell()->assertOk()->assertJsonCount(1, 'practised');
        $this->assertGreaterThan($before, $arm($yesterday));
        $once = $arm($yesterday);
        $today = Day::of($page['date']);
        foreach (['day' => $today->plus(1)->iso(), 'reps' => 0, 'skill' => 'yodel', 'felt' => 'brutal'] as $field => $wrong) {
            $tell(['id' => (string) Str::uuid7(), $field => $wrong])->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
        }
        $tell(['id' => (string) Str::uuid7(), 'day' => $today->plus(-7)->iso()])->assertStatus(422);
        // Sent under the same id by the page of somebody else, it is not kept and not shown.
        $tell(as: $this->personal('Noor'))->assertStatus(409);
        $this->assertSame($once, $arm($yesterday));
        // The coach sees it like any other work, and may take it back.
        $logged = $this->actingAs($this->coach())->getJson("/api/athletes/{$yuna->id}/headroom?skill=float-serve&reps=20")->json('logged');
        $this->assertStringStartsWith('At home: 24 × float serve', $logged[0]['sentence']);
        $this->postJson("/api/athletes/{$yuna->id}/logged-work/{$told['id']}/take-back", ['reason' => 'Told twice'])->assertNoContent();
        $this->assertEqualsWithDelta($before, $arm($yesterday), 1e-9);
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_of_what_the_phone_heard_and_what_is_said_the_larger_is_load(): void
    {
        $yuna = $this->athlete('Yuna');
        $token = $this->personal('Yuna');
        $page = $this->page('GET', $token)->assertOk()->json();
        $tell = fn (int $reps, ?int $heard): TestResponse => $this->json('POST', '/api/link/practice', [
            'id' => (string) Str::uuid7(), 'at' => now('Europe/Lisbon')->toIso8601String(), 'day' => $page['date'],
            'skill' => 'float-serve', 'reps' => $reps, 'felt' => 'easy', 'heard' => $heard,
        ], ['X-Link-Token' => $token]);
        $load = fn (): int => (int) DB::table('work_sets')->where('athlete_id', $yuna->id)->where('source', 'home')->sum('reps');
        $before = $load();
        $tell(35, 38)->assertOk();
        $this->assertSame($before + 38, $load(), 'three nobody said');
        $tell(20, 12)->assertOk();
        $this->assertSame($before + 58, $load(), 'what was not heard was done');
        $tell(10, null)->assertOk();
        $this->assertSame($before + 68, $load());
        $tell(10, 1001)->assertStatus(422)->assertJsonStructure(['errors' => ['heard']]);
    }

    public function test_a_link_that_is_wrong_taken_back_or_run_out_says_the_same_and_tells_nothing(): void
    {
        $token = $this->personal('Noor');
        $wrong = $this->page('GET', 'guess')->assertNotFound()->json();
        $this->assertSame(
            $wrong,
            $this->page('GET', $this->invitation('assistant', squads: true))->assertNotFound()->json(),
            'An invitation is no check-in page.',
        );
        $this->page('GET', $token)->assertOk();
        $this->actingAs($this->coach())->postJson(
            '/api/people/links/'.Link::query()->where('purpose', Link::CHECK_IN)->max('id').'/revoke',
        )->assertOk();
        $this->assertSame($wrong, $this->page('GET', $token)->assertNotFound()->json());
        $late = $this->personal('Noor');
        $this->travel(121)->days();
        $this->assertSame($wrong, $this->page('GET', $late)->assertNotFound()->json());
    }

    public function test_a_link_is_slowed_down_after_twelve_calls_a_minute(): void
    {
        $token = $this->personal('Noor');
        foreach (range(1, 12) as $_) {
            $this->page('GET', $token)->assertOk();
        }
        $this->page('GET', $token)->assertStatus(429);
    }

    public function test_an_invitation_makes_one_account_with_what_was_chosen(): void
    {
        $token = $this->invitation('clinician', ['Mira', 'Kaito']);
        $join = function (array $with) use ($token): TestResponse {
            $this->nobodySignedIn();
            $this->flushSession();

            return $this->withHeader('X-Link-Token', $token)->postJson(
                '/api/link/entry',
                ['name' => 'Dr. Ines Falk', 'email' => 'ines@clinic.example', 'password' => 'long enough', ...$with],
            );
        };
        $this->withHeader('X-Link-Token', $token)->getJson('/api/link/entry')->assertOk()->assertJsonPath('role', 'clinician');
        $join(['password' => 'short'])->assertStatus(422);
        $join(['email' => 'coach@lighthouse.example'])->assertStatus(422)->assertJsonPath(
            'errors.email.0',
            'There is an account with this e-mail already: sign in with it.',
        );
        $join([])->assertOk()->assertJsonPath('role', 'clinician');
        $join(['email' => 'second@clinic.example'])->assertNotFound();
        $ines = User::query()->where('email', 'ines@clinic.example')->firstOrFail();
        $this->assertEqualsCanonicalizing(['Mira', 'Kaito'], $ines->visibleAthletes()->pluck('given_name')->all());

        $invite = fn (array $given) => $this->actingAs($this->coach())->postJson(
            '/api/people/invitations',
            ['role' => 'assistant', 'name' => 'X', 'squads' => [], 'athletes' => [], ...$given],
        );
        $invite([])->assertStatus(422)->assertJsonPath('title', 'A squad is needed');
        $invite(['role' => 'guardian'])->assertStatus(422)->assertJsonPath('title', 'An athlete is needed');
        $invite([
            'role' => 'athlete',
            'athletes' => [$this->athlete('Noor')->id],
        ])->assertStatus(422)->assertJsonPath('title', 'A guardian signs');
        $invite(['role' => 'athlete', 'athletes' => [$this->athlete('Mira')->id]])->assertOk();
        $invite(['squads' => [999]])->assertStatus(422)->assertJsonPath('title', 'Not yours to share');
    }

    public function test_a_new_password_signs_out_everywhere_else(): void
    {
        $assistant = $this->person(Role::Assistant);
        DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $assistant->id, 'payload' => '', 'last_activity' => time()]);
        $token = $this->actingAs($this->coach())->postJson("/api/people/{$assistant->id}/new-password")->assertOk()->json('token');
        $this->nobodySignedIn();
        $this->flushSession();
        $this->withHeader('X-Link-Token', $token)
            ->postJson('/api/link/entry', ['password' => 'a new long one'])
            ->assertOk()
            ->assertJsonPath('role', 'assistant');
        $this->assertDatabaseMissing('sessions', ['id' => 'elsewhere']);
        $this->withHeader('X-Link-Token', $token)->postJson('/api/link/entry', ['password' => 'another long one'])->assertNotFound();
        $this->flushHeaders()
            ->withHeader('Referer', config('app.url'))
            ->postJson('/api/sign-in', ['email' => 'assistant@lighthouse.example', 'password' => 'a new long one'])
            ->assertOk();
        // A link for a password runs out after two hours.
        $late = $this->actingAs($this->coach())->postJson("/api/people/{$assistant->id}/new-password")->json('token');
        $this->travel(3)->hours();
        $this->withHeader('X-Link-Token', $late)->getJson('/api/link/entry')->assertNotFound();
    }

    private function personal(string $name): string
    {
        $token = $this
            ->actingAs($this->coach())
            ->postJson("/api/athletes/{$this->athlete($name)->id}/links", ['label' => 'mother’s phone'])
            ->assertOk()
            ->json('token');
        $this->assertGreaterThanOrEqual(43, strlen($token));

        return $token;
    }

    /** @param  list<string>  $athletes */
    private function invitation(string $role, array $athletes = [], bool $squads = false): string
    {
        return $this->actingAs($this->coach())->postJson('/api/people/invitations', [
            'role' => $role, 'name' => 'Somebody',
            'squads' => $squads ? [$this->coach()->visibleSquads()->firstOrFail()->id] : [],
            'athletes' => array_map(fn (string $name): string => $this->athlete($name)->id, $athletes),
        ])->assertOk()->json('token');
    }

    /** @param  array<string, mixed>  $body */
    private function page(string $method, string $token, array $body = []): TestResponse
    {
        $this->nobodySignedIn();
        $this->flushSession();

        return $this->json($method, '/api/link/check-in', $body, ['X-Link-Token' => $token]);
    }
}
