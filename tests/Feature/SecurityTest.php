<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\TestCase;

#[Group('once')]
final class SecurityTest extends TestCase
{
    public function test_the_page_allows_no_script_from_elsewhere_and_none_inline(): void
    {
        $answer = $this->get('/')->assertOk();
        $policy = (string) $answer->headers->get('Content-Security-Policy');
        $this->assertStringContainsString("default-src 'self'", $policy);
        $this->assertStringContainsString("frame-ancestors 'none'", $policy);
        $this->assertDoesNotMatchRegularExpression('/script-src[^;]*unsafe|default-src[^;]*unsafe|https?:/', $policy);
        $this->assertDoesNotMatchRegularExpression('/<script(?![^>]*\bsrc=)[^>]*>/', (string) $answer->getContent(), 'No inline script.');
        $this->assertDoesNotMatchRegularExpression('#(src|href)="(https?:)?//(?!localhost)#', (string) $answer->getContent());
        $answer->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Referrer-Policy', 'same-origin');
    }

    public function test_the_film_page_alone_may_compile_the_model_and_nothing_else(): void
    {
        $policy = (string) $this->get('/athletes/-/film')->assertOk()->headers->get('Content-Security-Policy');
        $this->assertStringContainsString("script-src 'self' 'wasm-unsafe-eval';", $policy);
        $this->assertStringContainsString('media-src blob:;', $policy);
        $this->assertDoesNotMatchRegularExpression("/script-src[^;]*'unsafe-(inline|eval)'/", $policy);
        foreach (['/', '/athletes/-', '/athletes/-/film/more', '/film'] as $elsewhere) {
            $this->assertStringNotContainsString('wasm', (string) $this->get($elsewhere)->headers->get('Content-Security-Policy'));
        }
    }

    public function test_what_is_the_same_for_everybody_is_answered_without_a_session(): void
    {
        foreach (['/', '/plan', '/athletes/anything', '/calendar/no-such-token.ics'] as $address) {
            $this->assertSame(
                [],
                $this->get($address)->headers->getCookies(),
                "{$address}: a late answer would bring its session over that of a sign-in",
            );
        }
        // The worker script is a file of the build; where it is not built, nothing is sent either.
        $this->assertSame([], $this->get('/sw.js')->headers->getCookies());
    }

    public function test_a_guest_gets_no_session_cookie_and_somebody_signed_in_does(): void
    {
        $names = fn (TestResponse $answer): array => array_map(
            fn (Cookie $cookie): string => $cookie->getName(),
            $answer->headers->getCookies(),
        );
        $this->assertSame(
            [],
            $names($this->getJson('/api/me')->assertStatus(401)),
            'a late answer would end the sign-in that was sent after it',
        );
        $this->assertSame([], $names($this->getJson('/api/today')->assertStatus(401)));
        $this->assertSame(
            [],
            $names($this->postJson('/api/sign-in', ['email' => 'coach@lighthouse.example', 'password' => 'not this'])->assertStatus(422)),
        );
        $this->assertContains(
            'augendo_session',
            $names($this->postJson('/api/sign-in', ['email' => 'coach@lighthouse.example', 'password' => 'lighthouse'])->assertOk()),
        );
        $this->assertContains('augendo_session', $names($this->getJson('/api/me')->assertOk()));
        $this->assertContains('augendo_session', $names($this->postJson('/api/sign-out')->assertNoContent()));
    }

    public function test_a_write_without_its_csrf_token_is_refused(): void
    {
        $this->app->instance('env', 'production');
        $this->app->bind(ValidateCsrfToken::class, fn ($app) => new class($app, $app->make('encrypter')) extends ValidateCsrfToken
        {
            protected function runningUnitTests(): bool
            {
                return false;
            }
        });
        $this->actingAs($this->coach())->postJson('/api/sign-out')->assertStatus(401)->assertJsonPath('title', 'Signed out');
        $this->withSession(['_token' => 'right'])->withHeader('X-CSRF-TOKEN', 'right')->postJson('/api/sign-out')->assertNoContent();
    }

    public function test_cookies_cannot_be_read_by_scripts_and_are_secure_behind_tls(): void
    {
        $cookie = $this
            ->postJson('/api/sign-in', ['email' => 'coach@lighthouse.example', 'password' => 'lighthouse'])
            ->assertOk()
            ->getCookie('augendo_session', false);
        $this->assertTrue($cookie?->isHttpOnly());
        $this->assertSame('lax', $cookie?->getSameSite());
        config(['session.secure' => true]);
        $this->assertTrue(
            $this->postJson('/api/sign-in', ['email' => 'coach@lighthouse.example', 'password' => 'lighthouse'])
                ->getCookie('augendo_session', false)
                ?->isSecure(),
        );
    }

    public function test_passwords_and_tokens_are_kept_as_hashes(): void
    {
        foreach (DB::table('users')->pluck('password') as $hash) {
            $this->assertNotSame('unknown', password_get_info((string) $hash)['algoName']);
        }
        $token = $this
            ->actingAs($this->coach())
            ->postJson("/api/athletes/{$this->athlete('Mira')->id}/links", ['label' => 'phone'])
            ->json('token');
        $this->assertStringNotContainsString(
            $token,
            (string) json_encode(DB::table('links')->get()).json_encode(DB::table('activity_log')->get()),
        );
    }

    public function test_whoever_watches_the_machine_hears_what_is_wrong_and_nothing_else(): void
    {
        $this->get('/up')->assertOk()->assertExactJson(['ok' => true, 'wrong' => []]);
        DB::table('jobs')->insert([
            'queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => now()->subHour()->getTimestamp(),
            'created_at' => now()->subHour()->getTimestamp(),
        ]);
        $this->get('/up')->assertStatus(503)->assertJsonPath('wrong', ['Work waits and nobody does it: is the worker running?']);
    }
}
