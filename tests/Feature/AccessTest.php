<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use App\Models\User;
use Illuminate\Routing\Route;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Every route with every role, signed in, signed out and of another club. */
final class AccessTest extends TestCase
{
    private const EVERYBODY = [Role::Coach, Role::Assistant, Role::Clinician];

    private const RECORDS = [Role::Coach, Role::Assistant];

    /** Who may call which route of the API. A route that is not here fails the test. */
    private const ALLOWED = [
        'POST api/sign-out' => self::EVERYBODY,
        'GET api/me' => self::EVERYBODY,
        'GET api/today' => self::EVERYBODY,
        'GET api/athletes/{athlete}' => self::EVERYBODY,
        'GET api/athletes/{athlete}/limits/{limit}' => self::EVERYBODY,
        'POST api/athletes/{athlete}/reports' => self::EVERYBODY,
        'POST api/athletes/{athlete}/clearances' => [Role::Coach, Role::Clinician],
        'POST api/athletes/{athlete}/decisions' => [Role::Coach],
        'GET api/sheets/{sheet}' => self::EVERYBODY,
        'PUT api/sheets/{sheet}' => [Role::Coach],
        'POST api/sheets/{sheet}/preview' => self::EVERYBODY,
        'POST api/sheets/{sheet}/fit' => [Role::Coach],
        'GET api/sheets/{sheet}/courtside' => self::EVERYBODY,
        'POST api/sheets/{sheet}/events' => self::RECORDS,
        'POST api/sheets/{sheet}/finish' => self::RECORDS,
        'GET api/sheets/{sheet}/after' => self::EVERYBODY,
    ];

    public function test_every_route_is_allowed_to_whom_it_should_be_and_to_nobody_else(): void
    {
        $routes = collect(app('router')->getRoutes()->getRoutes())
            ->filter(fn (Route $route): bool => str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/sign-in')
            ->map(fn (Route $route): string => array_values(array_diff($route->methods(), ['HEAD']))[0].' '.$route->uri())->values()->all();
        $this->assertEqualsCanonicalizing(array_keys(self::ALLOWED), $routes);

        foreach (self::ALLOWED as $route => $roles) {
            [$method, $path] = explode(' ', $route);
            $this->assertSame(401, $this->ask(null, $method, $path), "{$route} signed out");
            foreach (Role::cases() as $role) {
                $status = $this->ask($this->person($role), $method, $path);
                in_array($role, $roles, true)
                    ? $this->assertNotContains($status, [401, 403, 404], "{$route} as {$role->value}: {$status}")
                    : $this->assertSame(403, $status, "{$route} as {$role->value}");
                if (str_contains($path, '{')) {
                    $this->assertSame(404, $this->ask($this->stranger($role), $method, $path), "{$route} as {$role->value} of another club");
                    $this->assertSame(404, $this->ask($this->person($role), $method, $path, missing: true), "{$route} as {$role->value}, not there");
                }
            }
        }
    }

    public function test_another_clubs_record_is_answered_like_one_that_is_not_there(): void
    {
        $stranger = $this->stranger(Role::Coach);
        $theirs = $this->actingAs($stranger)->getJson('/api/athletes/'.$this->athlete('Mira')->id)->assertNotFound()->json();
        $this->assertSame($theirs, $this->getJson('/api/athletes/'.Str::uuid7())->assertNotFound()->json());
    }

    public function test_signing_in_is_slowed_down_after_ten_wrong_tries(): void
    {
        $try = fn (string $password) => $this->postJson('/api/sign-in', ['email' => 'coach@saltmarsh.example', 'password' => $password]);
        $try('saltmarsh')->assertOk()->assertJsonPath('role', 'coach');
        $this->postJson('/api/sign-out')->assertNoContent();
        foreach (range(1, 10) as $_) {
            $try('wrong')->assertStatus(422)->assertJsonPath('errors.password.0', 'Name and password do not go together.');
        }
        $try('saltmarsh')->assertStatus(429)->assertHeader('Content-Type', 'application/problem+json');
    }

    private function ask(?User $user, string $method, string $path, bool $missing = false): int
    {
        app('auth')->forgetGuards();
        $sheet = $this->sheetOf('Mira');
        $path = strtr($path, [
            '{athlete}' => $missing ? (string) Str::uuid7() : $sheet->athlete_id, '{sheet}' => $missing ? (string) Str::uuid7() : $sheet->id, '{limit}' => 'arm-week:17-18:dominant',
        ]);
        if ($user !== null) {
            $this->actingAs($user);
        }

        // Sent empty: whoever may not call is refused before anything is looked at, and nothing is changed by who may.
        return $this->json($method, "/{$path}", $method === 'GET' ? [] : ['version' => -1])->getStatusCode();
    }
}
