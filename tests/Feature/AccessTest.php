<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\People\Role;
use App\People\User;
use App\Returns\PlayReturn;
use Database\Factories\AbsenceFactory;
use Database\Factories\DeviceFactory;
use Database\Factories\FixtureFactory;
use Database\Factories\ImportFactory;
use Database\Factories\IncidentFactory;
use Database\Factories\RestrictionFactory;
use Database\Factories\SessionChangeFactory;
use Database\Factories\SheetTemplateFactory;
use Database\Factories\SquadFactory;
use Database\Factories\UserFactory;
use Database\Factories\VenueFactory;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Routing\Route;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Every route with every role: of the club and bound to the athlete, of the club and not, of another club, and signed out. */
#[Group('once')]
final class AccessTest extends TestCase
{
    private const EVERYBODY = [Role::Coach, Role::Assistant, Role::Clinician, Role::Athlete, Role::Guardian];

    private const RECORDS = [Role::Coach, Role::Assistant];

    private const CLEARS = [Role::Coach, Role::Clinician];

    private const ATTENDS = [Role::Coach, Role::Assistant, Role::Clinician];

    private const COACH = [Role::Coach];

    /** Who may call which route of the API. A route that is not here fails the test. */
    private const ALLOWED = [
        'POST api/sign-out' => self::EVERYBODY,
        'GET api/me' => self::EVERYBODY,
        'GET api/me/places' => self::EVERYBODY,
        'POST api/me/calendar-link' => self::EVERYBODY,
        'POST api/me/pace' => self::EVERYBODY,
        'POST api/me/missing-counts' => self::EVERYBODY,
        'POST api/me/places/end-others' => self::EVERYBODY,
        'GET api/today' => self::EVERYBODY,
        'GET api/today/rows' => self::EVERYBODY,
        'GET api/roll-call' => self::EVERYBODY,
        'GET api/returns' => self::EVERYBODY,
        'GET api/skills' => self::EVERYBODY,
        'GET api/ladders' => self::EVERYBODY,
        'GET api/objects' => self::EVERYBODY,
        'GET api/limits' => self::EVERYBODY,
        'GET api/programmes' => self::EVERYBODY,
        'POST api/programmes' => self::COACH,
        'GET api/imports' => self::COACH,
        'POST api/imports' => self::COACH,
        'GET api/imports/{import}' => self::COACH,
        'GET api/imports/{import}/rows' => self::COACH,
        'PUT api/imports/{import}/parts/{no}' => self::COACH,
        'PUT api/imports/{import}/choices' => self::COACH,
        'POST api/imports/{import}/take' => self::COACH,
        'POST api/imports/{import}/take-back' => self::COACH,
        'POST api/imports/{import}/drop' => self::COACH,
        'POST api/squads' => self::COACH,
        'PUT api/squads/{squad}' => self::COACH,
        'POST api/squads/{squad}/athletes' => self::COACH,
        'GET api/devices' => self::COACH,
        'PUT api/devices' => self::COACH,
        'GET api/devices/outside' => self::COACH,
        'POST api/devices/outside' => self::COACH,
        'POST api/devices/{device}/lend' => self::COACH,
        'POST api/devices/{device}/revoke' => self::COACH,
        'GET api/sessions/{session}/readings' => self::RECORDS,
        'POST api/sessions/{session}/readings' => self::RECORDS,
        'GET api/venues' => self::EVERYBODY,
        'PUT api/venues' => self::COACH,
        'POST api/venues/{venue}/remove' => self::COACH,
        'GET api/calendar' => self::EVERYBODY,
        'GET api/week' => self::EVERYBODY,
        'POST api/squads/{squad}/sessions/preview' => self::COACH,
        'POST api/squads/{squad}/sessions/copy-week' => self::COACH,
        'POST api/sessions/{session}/change' => self::COACH,
        'POST api/sessions/{session}/call-off' => self::COACH,
        'POST api/sessions/{session}/athletes' => self::RECORDS,
        'POST api/sessions/{session}/athletes/take-out' => self::COACH,
        'POST api/sessions/{session}/close' => self::COACH,
        'POST api/session-changes/{change}/take-back' => self::COACH,
        'POST api/squads/{squad}/sessions' => self::COACH,
        'GET api/rule-sets' => self::EVERYBODY,
        'POST api/rule-sets' => self::COACH,
        'POST api/squads/{squad}/rule-set/compare' => self::COACH,
        'PUT api/squads/{squad}/rule-set' => self::COACH,
        'POST api/athletes/{athlete}/limit-shares' => self::COACH,
        'GET api/library' => self::EVERYBODY,
        'GET api/drills' => self::EVERYBODY,
        'GET api/pictures' => self::EVERYBODY,
        'GET api/club-drills' => self::EVERYBODY,
        'POST api/club-drills' => self::COACH,
        'GET api/flight/balls' => self::EVERYBODY,
        'GET api/flight/courts' => self::EVERYBODY,
        'GET api/sizes' => self::EVERYBODY,
        'POST api/sizes' => self::COACH,
        'PUT api/athletes/{athlete}/sizes' => self::COACH,
        'POST api/flight/balls' => self::COACH,
        'POST api/flight/courts' => self::COACH,
        'GET api/library/{ladder}' => self::EVERYBODY,
        'GET api/library/{ladder}/definition' => self::EVERYBODY,
        'GET api/library/{ladder}/compare' => self::EVERYBODY,
        'POST api/library/{ladder}/take' => self::COACH,
        'POST api/library' => self::COACH,
        'POST api/library/import' => self::COACH,
        'POST api/library/preview' => self::EVERYBODY,
        'POST api/library/let-through' => self::EVERYBODY,
        'POST api/squads/{squad}/ladders/{ladder}' => self::COACH,
        'POST api/athletes/{athlete}/placements/{ladder}/leave' => self::COACH,
        'POST api/athletes/{athlete}/placing/{ladder}/start' => self::COACH,
        'POST api/athletes/{athlete}/placing/{ladder}/on' => self::COACH,
        'GET api/gates' => self::EVERYBODY,
        'GET api/plan' => self::EVERYBODY,
        'GET api/squads/{squad}/what-helped' => self::COACH,
        'GET api/squads/{squad}/schools' => self::COACH,
        'PUT api/squads/{squad}/schools' => self::COACH,
        'GET api/athletes/{athlete}/schools' => self::COACH,
        'PUT api/athletes/{athlete}/schools' => self::COACH,
        'POST api/squads/{squad}/fixtures' => self::COACH,
        'POST api/squads/{squad}/seasons' => self::COACH,
        'GET api/fixtures/{fixture}/team' => self::RECORDS,
        'PUT api/fixtures/{fixture}/line-up' => self::COACH,
        'POST api/fixtures/{fixture}/remove' => self::COACH,
        'GET api/seasons/{season}' => self::EVERYBODY,
        'POST api/seasons/{season}/preview' => self::COACH,
        'PUT api/seasons/{season}' => self::COACH,
        'POST api/seasons/{season}/close' => self::COACH,
        'GET api/athletes/{athlete}/skills' => self::EVERYBODY,
        'POST api/athletes/{athlete}/skills/draft' => self::COACH,
        'PUT api/athletes/{athlete}/skills' => self::COACH,
        'POST api/athletes/{athlete}/seasons/draft' => self::COACH,
        'POST api/athletes/{athlete}/seasons' => self::COACH,
        'GET api/sessions/{session}' => self::EVERYBODY,
        'GET api/sessions/{session}/heard' => self::RECORDS,
        'GET api/sessions/{session}/brief' => self::RECORDS,
        'PUT api/sessions/{session}/note' => self::RECORDS,
        'GET api/sessions/{session}/pick-ups' => self::RECORDS,
        'PUT api/sessions/{session}/pick-ups' => self::RECORDS,
        'POST api/sessions/{session}/finish' => self::RECORDS,
        'GET api/sessions/{session}/after' => self::RECORDS,
        'POST api/sessions/{session}/decisions' => self::COACH,
        'GET api/sessions/{session}/paper' => self::COACH,
        'POST api/sessions/{session}/preview' => self::RECORDS,
        'PUT api/sessions/{session}' => self::RECORDS,
        'PUT api/sessions/{session}/floor' => self::RECORDS,
        'POST api/sessions/{session}/undo' => self::RECORDS,
        'GET api/people' => self::COACH,
        'POST api/people/settings' => self::COACH,
        'POST api/people/invitations' => self::COACH,
        'POST api/people/{person}/new-password' => self::COACH,
        'POST api/people/{person}/close' => self::COACH,
        'POST api/people/links/{link}/revoke' => self::COACH,
        'POST api/reports/{report}/withdraw' => self::EVERYBODY,
        'GET api/athletes' => self::EVERYBODY,
        'PUT api/athletes/{athlete}/squads' => self::COACH,
        'POST api/athletes/{athlete}/retire' => self::COACH,
        'POST api/athletes/{athlete}/come-back' => self::COACH,
        'POST api/squads/{squad}/archive' => self::COACH,
        'GET api/athletes/{athlete}' => self::EVERYBODY,
        'GET api/athletes/{athlete}/limits/{limit}' => self::EVERYBODY,
        'GET api/athletes/{athlete}/headroom' => self::EVERYBODY,
        'GET api/athletes/{athlete}/throw-check' => self::EVERYBODY,
        'GET api/athletes/{athlete}/serve-window' => self::EVERYBODY,
        'POST api/athletes/{athlete}/serve-target' => self::COACH,
        'GET api/athletes/{athlete}/load' => self::EVERYBODY,
        'GET api/athletes/{athlete}/homework' => self::EVERYBODY,
        'GET api/athletes/{athlete}/scores' => self::EVERYBODY,
        'GET api/athletes/{athlete}/what-helped' => self::EVERYBODY,
        'GET api/athletes/{athlete}/match' => self::RECORDS,
        'POST api/athletes/{athlete}/scores' => self::RECORDS,
        'POST api/athletes/{athlete}/scores/{score}/withdraw' => self::RECORDS,
        'GET api/athletes/{athlete}/days/{day}' => self::EVERYBODY,
        'GET api/athletes/{athlete}/what-if' => self::EVERYBODY,
        'POST api/athletes/{athlete}/logged-work' => [Role::Coach, Role::Assistant, Role::Athlete, Role::Guardian],
        'POST api/athletes/{athlete}/logged-work/{entry}/take-back' => [Role::Coach, Role::Assistant, Role::Athlete, Role::Guardian],
        'POST api/athletes/{athlete}/weeks-elsewhere' => [Role::Coach, Role::Assistant, Role::Athlete, Role::Guardian],
        'POST api/athletes/{athlete}/work-beside' => [Role::Coach, Role::Assistant, Role::Athlete, Role::Guardian],
        'POST api/people/{person}/hand-over' => self::COACH,
        'POST api/people/{person}/confirm' => self::COACH,
        'POST api/athletes/{athlete}/reports' => self::EVERYBODY,
        'POST api/athletes/{athlete}/clearances' => self::CLEARS,
        'POST api/athletes/{athlete}/decisions/{decision}/second-look' => self::COACH,
        'POST api/athletes/{athlete}/decisions' => self::COACH,
        'PUT api/athletes/{athlete}' => self::COACH,
        'POST api/athletes/{athlete}/marks' => self::COACH,
        'POST api/athletes/{athlete}/marks/{id}/confirm' => self::COACH,
        'POST api/athletes/{athlete}/marks/{id}/withdraw' => self::COACH,
        'POST api/athletes/{athlete}/missing-counts/give-up' => self::COACH,
        'POST api/athletes/{athlete}/placements' => self::COACH,
        'POST api/athletes/{athlete}/wellness' => self::EVERYBODY,
        'GET api/athletes/{athlete}/programmes' => self::CLEARS,
        'POST api/athletes/{athlete}/returns' => self::CLEARS,
        'GET api/athletes/{athlete}/intake' => self::EVERYBODY,
        'PUT api/athletes/{athlete}/intake' => self::COACH,
        'POST api/athletes/{athlete}/intake/usual-week/confirm' => self::COACH,
        'GET api/athletes/{athlete}/tests' => self::EVERYBODY,
        'POST api/athletes/{athlete}/tests/measures' => self::COACH,
        'POST api/athletes/{athlete}/tests/measures/{id}/withdraw' => self::COACH,
        'GET api/athletes/{athlete}/grips' => self::EVERYBODY,
        'POST api/athletes/{athlete}/grips' => self::RECORDS,
        'POST api/athletes/{athlete}/grips/{id}/withdraw' => self::RECORDS,
        'POST api/athletes/{athlete}/hand-spans' => self::RECORDS,
        'POST api/athletes/{athlete}/hand-spans/{id}/withdraw' => self::RECORDS,
        'POST api/athletes/{athlete}/heights' => self::RECORDS,
        'POST api/athletes/{athlete}/heights/{id}/confirm' => self::RECORDS,
        'POST api/athletes/{athlete}/heights/{id}/withdraw' => self::RECORDS,
        'POST api/athletes/{athlete}/conditions' => [Role::Clinician],
        'GET api/athletes/{athlete}/away-and-hurt' => self::EVERYBODY,
        'POST api/athletes/{athlete}/absences' => self::EVERYBODY,
        'POST api/athletes/{athlete}/absences/{absence}/end' => self::ATTENDS,
        'POST api/athletes/{athlete}/absences/{absence}/take-back' => self::ATTENDS,
        'POST api/athletes/{athlete}/restrictions' => self::CLEARS,
        'POST api/athletes/{athlete}/restrictions/{restriction}/lift' => self::CLEARS,
        'POST api/athletes/{athlete}/incidents' => self::ATTENDS,
        'POST api/athletes/{athlete}/incidents/{incident}/entries' => self::ATTENDS,
        'POST api/athletes/{athlete}/incidents/{incident}/close' => self::ATTENDS,
        'POST api/athletes/{athlete}/shares' => self::COACH,
        'POST api/athletes/{athlete}/shares/{person}/take-back' => self::COACH,
        'POST api/athletes/{athlete}/links' => self::COACH,
        'GET api/athletes/{athlete}/film' => self::EVERYBODY,
        'POST api/athletes/{athlete}/film/consents' => [Role::Coach, Role::Athlete, Role::Guardian],
        'POST api/athletes/{athlete}/film/consents/{consent}/withdraw' => [Role::Coach, Role::Athlete, Role::Guardian],
        'GET api/athletes/{athlete}/film/pictures/{picture}' => self::EVERYBODY,
        'POST api/athletes/{athlete}/film/asked-clips' => self::COACH,
        'GET api/athletes/{athlete}/film/asked-clips/{asked}' => self::COACH,
        'POST api/athletes/{athlete}/film/asked-clips/{asked}/keep' => self::COACH,
        'POST api/athletes/{athlete}/film/asked-clips/{asked}/end' => self::COACH,
        'POST api/athletes/{athlete}/film/reviews' => self::COACH,
        'POST api/athletes/{athlete}/film/reviews/{review}/withdraw' => self::COACH,
        'POST api/athletes/{athlete}/film/clips' => self::RECORDS,
        'POST api/athletes/{athlete}/film/clips/{clip}/withdraw' => self::COACH,
        'GET api/export.zip' => self::COACH,
        'GET api/athletes/{athlete}/export.zip' => [Role::Coach, Role::Athlete, Role::Guardian],
        'GET api/athletes/{athlete}/collectors' => self::EVERYBODY,
        'PUT api/athletes/{athlete}/collectors' => [Role::Coach, Role::Guardian],
        'GET api/athletes/{athlete}/export' => [Role::Coach, Role::Athlete, Role::Guardian],
        'POST api/athletes/{athlete}/erase' => self::COACH,
        'GET api/returns/{return}' => self::EVERYBODY,
        'POST api/returns/{return}/clearances' => self::CLEARS,
        'POST api/returns/{return}/measures' => self::CLEARS,
        'POST api/returns/{return}/accept' => self::COACH,
        'POST api/returns/{return}/attempts/{attempt}/morning' => self::RECORDS,
        'POST api/returns/{return}/close' => self::COACH,
        'POST api/returns/{return}/sheets' => self::COACH,
        'GET api/sheets/{sheet}' => self::EVERYBODY,
        'PUT api/sheets/{sheet}' => self::COACH,
        'POST api/sheets/{sheet}/preview' => self::EVERYBODY,
        'POST api/sheets/{sheet}/fit' => self::COACH,
        'GET api/sheets/{sheet}/courtside' => self::RECORDS,
        'GET api/sheets/{sheet}/swap' => self::RECORDS,
        'POST api/sheets/{sheet}/swap' => self::RECORDS,
        'GET api/sheets/{sheet}/addable' => self::COACH,
        'POST api/sheets/{sheet}/template' => self::COACH,
        'POST api/sheets/{sheet}/templates/{template}/removed' => self::COACH,
        'GET api/sheets/{sheet}/heard' => self::RECORDS,
        'POST api/sheets/{sheet}/events' => self::RECORDS,
        'POST api/sheets/{sheet}/finish' => self::RECORDS,
        'POST api/sheets/{sheet}/counts' => self::COACH,
        'GET api/sheets/{sheet}/after' => self::EVERYBODY,
    ];

    /** Opened by a token alone, or by nothing yet. */
    private const OPEN = [
        'POST api/sign-in', 'POST api/readings', 'GET api/link/check-in', 'POST api/link/check-in', 'POST api/link/practice',
        'POST api/link/elsewhere', 'POST api/link/work-beside', 'POST api/link/film', 'PUT api/link/shows-scores',
        'PUT api/link/film-clips/{clip}/parts/{no}', 'POST api/link/film-clips/{clip}',
        'GET api/link/film-review', 'POST api/link/film-review/opened', 'POST api/link/film-review/looks',
        'GET api/link/entry', 'POST api/link/entry',
    ];

    /** Calls that are about the caller's own club, not about one athlete. */
    private const OF_THE_CLUB = ['{person}', '{link}', '{import}', '{venue}', '{device}'];

    /** Of those, what is found before anybody asks who may. */
    private const FOUND_FIRST = '/\{(import|venue|device)\}/';

    #[Group('shape')]
    public function test_every_route_is_allowed_to_whom_it_should_be_and_to_nobody_else(): void
    {
        $routes = collect(app('router')->getRoutes()->getRoutes())->filter(
            fn (Route $route): bool => str_starts_with($route->uri(), 'api/'),
        )
            ->map(fn (Route $route): string => array_values(array_diff($route->methods(), ['HEAD']))[0].' '.$route->uri())->values()->all();
        $this->assertEqualsCanonicalizing([...array_keys(self::ALLOWED), ...self::OPEN], $routes);
        // Who may is asked here; what is worked out after it by the worker is not.
        Queue::fake();

        $luca = $this->athlete('Luca');
        $bound = $strangers = $unbound = [];
        foreach (Role::cases() as $role) {
            $bound[$role->value] = $this->person($role);
            $role->seesSquads() || $bound[$role->value]->boundAthletes()->syncWithoutDetaching($luca->id);
            $strangers[$role->value] = $this->stranger($role);
            $unbound[$role->value] = UserFactory::new()->create([
                'workspace_id' => $luca->workspace_id,
                'name' => 'Not Bound',
                'email' => Str::random(8).'@lighthouse.example',
                'role' => $role,
            ]);
            $squad = SquadFactory::new()->create([
                'workspace_id' => $luca->workspace_id,
                'name' => 'Other squad',
                'rule_set' => 'starter',
            ]);
            $role->seesSquads() && $unbound[$role->value]->squads()->attach($squad->id);
        }
        foreach (self::ALLOWED as $route => $roles) {
            [$method, $path] = explode(' ', $route);
            $this->assertSame(401, $this->ask(null, $method, $path, $luca), "{$route} signed out");
            foreach (Role::cases() as $role) {
                $status = $this->ask($bound[$role->value], $method, $path, $luca);
                in_array($role, $roles, true)
                    ? $this->assertNotContains($status, [401, 403, 404, 500], "{$route} as {$role->value}: {$status}")
                    : $this->assertSame(403, $status, "{$route} as {$role->value}");
                // The library is everybody's.
                if (! str_contains($path, '{') || str_starts_with($path, 'api/library/')) {
                    continue;
                }
                $may = in_array($role, $roles, true);
                $parts = array_filter(self::OF_THE_CLUB, fn (string $part): bool => str_contains($path, $part));
                $ofClub = $parts !== [] && ! str_contains($path, '{athlete}');
                $this->assertSame(
                    $ofClub && ! $may ? 403 : 404,
                    $this->ask($strangers[$role->value], $method, $path, $luca),
                    "{$route} as {$role->value} of another club",
                );
                $this->assertSame(
                    $ofClub && ! $may && preg_match(self::FOUND_FIRST, $path) === 0 ? 403 : 404,
                    $this->ask($bound[$role->value], $method, $path, $luca, missing: true),
                    "{$route} as {$role->value}, not there",
                );
                if (! $ofClub) {
                    $this->assertSame(
                        404,
                        $this->ask($unbound[$role->value], $method, $path, $luca),
                        "{$route} as {$role->value} who is not bound to the athlete",
                    );
                }
            }
        }
    }

    public function test_another_clubs_record_is_answered_like_one_that_is_not_there(): void
    {
        $theirs = $this
            ->actingAs($this->stranger(Role::Coach))
            ->getJson('/api/athletes/'.$this->athlete('Mira')->id)
            ->assertNotFound()
            ->json();
        $this->assertSame($theirs, $this->getJson('/api/athletes/'.Str::uuid7())->assertNotFound()->json());
    }

    public function test_lists_hold_only_who_one_may_see(): void
    {
        $names = fn (Role $role): array => collect(
            $this->actingAs($this->person($role))->getJson('/api/today')->json('rows'),
        )->pluck('athlete.given_name')->all();
        $this->assertCount(13, $names(Role::Coach));
        $this->assertSame(['Noor'], $names(Role::Guardian));
        $this->assertSame(['Yuna'], $names(Role::Athlete));
        $this->assertSame(['Yuna', 'Noor', 'Sofie', 'Henrike', 'Luca'], $names(Role::Clinician));
        $this->assertSame(
            ['Noor'],
            collect(
                $this->actingAs($this->person(Role::Guardian))->getJson('/api/roll-call')->json('rows'),
            )->pluck('athlete.given_name')->all(),
        );
        $this->assertSame([], $this->getJson('/api/returns')->json());
    }

    public function test_signing_in_is_slowed_down_after_ten_wrong_tries_and_refused_to_a_closed_account(): void
    {
        $try = fn (string $password, string $who = 'coach') => $this->postJson(
            '/api/sign-in',
            ['email' => "{$who}@lighthouse.example", 'password' => $password],
        );
        $try('lighthouse')->assertOk()->assertJsonPath('role', 'coach');
        $this->postJson('/api/people/'.$this->person(Role::Assistant)->id.'/close')->assertOk();
        $this->postJson('/api/sign-out')->assertNoContent();
        $try('lighthouse', 'assistant')->assertStatus(422);
        foreach (range(1, 10) as $_) {
            $try('wrong')->assertStatus(422)->assertJsonPath('errors.password.0', 'Name and password do not go together.');
        }
        $try('lighthouse')->assertStatus(429)->assertHeader('Content-Type', 'application/problem+json');
    }

    /** @param  array<string, mixed>  $row */
    private function picture(Athlete $athlete, bool $missing): string
    {
        $clip = $this->filmed('clips', $athlete, [
            'ladder' => 'javelin-throw', 'ladder_version' => 1, 'rung' => 'lane', 'filmed_on' => '2027-01-04',
            'setting' => '{"target":"left"}', 'marks' => '[]', 'seen' => '[]', 'kept_by' => $this->coach()->id, 'kept_at' => Carbon::now(),
        ], false);
        $id = $this->filmed('film_pictures', $athlete, [
            'clip_id' => $clip, 'rep' => 1, 'moment' => 'contact', 'kept_at' => Carbon::now(),
        ], $missing);
        Storage::disk('film')->put("pictures/{$id}.jpg", 'a picture');

        return $id;
    }

    /** One that was sent in: only one stands at a time. */
    private function sentClip(Athlete $athlete, bool $missing): string
    {
        DB::table('asked_clips')->where('athlete_id', $athlete->id)->delete();
        $id = $this->filmed('asked_clips', $athlete, [
            'ladder' => 'javelin-throw', 'what' => 'Five throws', 'asked_by' => $this->coach()->id, 'asked_at' => Carbon::now(),
            'open_until' => Carbon::now()->addDay(), 'sent_at' => Carbon::now(), 'bytes' => 6,
        ], $missing);
        Storage::disk('film')->put("sent/{$id}.clip", 'a clip');

        return $id;
    }

    private function filmed(string $table, Athlete $athlete, array $row, bool $missing): string
    {
        $id = (string) Str::uuid7();
        if (! $missing) {
            DB::table($table)->insert(['id' => $id, 'athlete_id' => $athlete->id, ...$row]);
        }

        return $id;
    }

    private function template(Athlete $athlete): string
    {
        return SheetTemplateFactory::new()->createOne([
            'squad_id' => $athlete->squads()->firstOrFail()->id, 'name' => Str::random(8),
        ])->id;
    }

    private function ask(?User $user, string $method, string $path, Athlete $athlete, bool $missing = false): int
    {
        $this->nobodySignedIn();
        $this->flushSession();
        $id = fn (string $there): string => $missing ? (string) Str::uuid7() : $there;
        $return = fn (): PlayReturn => PlayReturn::with('attempts')->where('athlete_id', $athlete->id)->firstOrFail();
        // Only what the path names is looked for: thousands of calls are made.
        $path = (string) preg_replace_callback('/\{\w+\}/', fn (array $part): string => match ($part[0]) {
            '{athlete}' => $id($athlete->id),
            '{sheet}' => $id($this->sheetOf($athlete->given_name)->id),
            '{limit}' => 'arm-week:19-120:dominant',
            '{return}' => $id($return()->id),
            '{attempt}' => $return()->attempts->last()->id,
            '{report}' => $id(
                \App\Health\SorenessReport::query()->where('athlete_id', $athlete->id)->latest('received_at')->firstOrFail()->id,
            ),
            '{id}' => $this->measured($path, $athlete, $missing),
            '{score}' => $this->scored($athlete),
            '{entry}' => $this->logged($athlete),
            '{fixture}' => $id($this->fixture($athlete)),
            '{change}' => $id($this->change($athlete)),
            '{absence}' => $id($this->made(AbsenceFactory::new(), $athlete, 'entered_by')),
            '{restriction}' => $id($this->made(RestrictionFactory::new(), $athlete, 'set_by')),
            '{incident}' => $id($this->made(IncidentFactory::new(), $athlete, 'opened_by')),
            '{device}' => $id(
                DeviceFactory::new()->createOne(['workspace_id' => $this->coach()->workspace_id])->id,
            ),
            '{venue}' => $id(
                VenueFactory::new()->createOne(['workspace_id' => $this->coach()->workspace_id, 'name' => Str::random(8)])->id,
            ),
            '{template}' => $id($this->template($athlete)),
            '{import}' => $id($this->import()),
            '{no}' => '0',
            '{decision}' => (string) Str::uuid7(),
            '{consent}' => $this->filmed('film_consents', $athlete, [
                'role' => 'athlete', 'given_by' => 'A parent', 'own_page' => true,
                'given_on' => '2027-01-04', 'recorded_at' => Carbon::now(),
            ], $missing),
            '{clip}' => $this->filmed('clips', $athlete, [
                'ladder' => 'javelin-throw', 'ladder_version' => 1, 'rung' => 'lane', 'filmed_on' => '2027-01-04',
                'setting' => '{"target":"left"}',
                'marks' => '[]', 'seen' => '[]', 'kept_by' => $this->coach()->id, 'kept_at' => Carbon::now(),
            ], $missing),
            '{picture}' => $this->picture($athlete, $missing),
            '{asked}' => $this->sentClip($athlete, $missing),
            '{review}' => $this->filmed('film_reviews', $athlete, [
                'ladder' => 'javelin-throw', 'ladder_version' => 1, 'rung' => 'lane', 'points' => '[]',
                'made_by' => $this->coach()->id, 'made_on' => '2027-01-04', 'made_at' => Carbon::now(),
            ], $missing),
            '{season}' => $id($this->season($athlete)),
            '{ladder}' => $missing ? 'no-such' : 'javelin-throw',
            '{day}' => $this->coach()->workspace->today()->iso(),
            '{session}' => $id($this->sheetOf($athlete->given_name)->training_session_id),
            '{squad}' => $missing ? '999999' : (string) $athlete->squads()->firstOrFail()->id,
            // Shared with nobody: what one takes back here, another would miss below.
            '{person}' => $missing || str_contains($path, '/shares/') ? '999999' : (string) $this->person(Role::Guardian)->id,
            '{link}' => $missing ? '999999' : (string) $this->link($athlete),
            default => $this->fail("Nothing is known for {$part[0]}."),
        }, $path);
        if ($user !== null) {
            $this->actingAs($user);
        }

        // Sent empty: whoever may not call is refused before anything is looked at, and nothing is changed by who may.
        return $this->json($method, "/{$path}", $method === 'GET' ? [] : ['version' => -1])->getStatusCode();
    }

    private function measured(string $path, Athlete $athlete, bool $missing): string
    {
        $row = [
            'athlete_id' => $athlete->id,
            'measured_on' => $this->coach()->workspace->today()->iso(),
            'recorded_by' => $this->coach()->id,
            'recorded_at' => now(),
        ];
        if (str_contains($path, '/measures/') || str_contains($path, '/hand-spans/')) {
            $id = (string) Str::uuid7();
            $missing || \Illuminate\Support\Facades\DB::table('body_measures')->insert([
                ...$row, 'id' => $id, 'what' => 'jump_cm', 'side' => null, 'value' => 40.0,
            ]);

            return $id;
        }
        if (str_contains($path, '/grips/')) {
            $id = (string) Str::uuid7();
            $missing || \Illuminate\Support\Facades\DB::table('grip_notes')->insert([
                'id' => $id, 'athlete_id' => $athlete->id, 'ladder' => 'javelin-throw', 'day' => '2027-01-04', 'name' => 'Fork',
                'fingers' => 'middle', 'pressure' => 'even', 'thumb' => 'along', 'did' => 'flew level',
                'kept_by' => $this->coach()->id, 'kept_at' => now(),
            ]);

            return $id;
        }
        if (str_contains($path, '/heights/')) {
            $id = (string) Str::uuid7();
            $missing || \Illuminate\Support\Facades\DB::table('heights')->insert([...$row, 'id' => $id, 'height_cm' => 180.0]);

            return $id;
        }

        return $missing
            ? '999999'
            : (string) \Illuminate\Support\Facades\DB::table('skill_marks')->insertGetId([
                ...$row,
                'skill' => 'float-serve',
                'reference_speed_ms' => 20.0,
            ]);
    }

    /** @param  Factory<covariant Model>  $factory */
    private function made(Factory $factory, Athlete $athlete, string $who): string
    {
        return $factory->createOne(['athlete_id' => $athlete->id, $who => $this->coach()->id])->getKey();
    }

    private function logged(Athlete $athlete): string
    {
        app(\App\Sessions\WorkLog::class)->add(
            $athlete,
            [
                'id' => $id = (string) Str::uuid7(),
                'day' => $this->coach()->workspace->today()->iso(),
                'source' => 'home',
                'skill' => 'pass',
                'reps' => 1,
                'felt' => 'easy',
                'distance_m' => null,
                'side' => 'dominant',
            ],
            $this->coach(),
        );

        return $id;
    }

    private function fixture(Athlete $athlete): string
    {
        return FixtureFactory::new()->create([
            'squad_id' => $athlete->squads()->firstOrFail()->id,
            'athlete_id' => $athlete->id,
            'kind' => 'match',
            'held_on' => $this->coach()->workspace->today()->plus(3)->iso(),
            'starts_at' => '15:00',
            'title' => 'Match',
            'doses' => [],
            'created_by' => $this->coach()->id,
        ])->id;
    }

    private function scored(Athlete $athlete): string
    {
        \Illuminate\Support\Facades\DB::table('scores')->insert([
            'id' => $id = (string) Str::uuid7(), 'athlete_id' => $athlete->id, 'kind' => 'clear_targets', 'name' => 'Round',
            'day' => $this->coach()->workspace->today()->iso(), 'at' => now()->toIso8601String(),
            'seen' => '{"throws":5,"targets":3}', 'value' => 5, 'taken_by' => $this->coach()->id,
        ]);

        return $id;
    }

    private function change(Athlete $athlete): string
    {
        return SessionChangeFactory::new()->create([
            'squad_id' => $athlete->squads()->firstOrFail()->id,
            'made_by' => $this->coach()->id,
        ])->id;
    }

    private function season(Athlete $athlete): string
    {
        return \App\Seasons\Season::query()->firstOrCreate(['athlete_id' => $athlete->id, 'ladder' => 'volleyball-float-serve'], [
            'squad_id' => $athlete->squads()->firstOrFail()->id, 'goal_rung' => null,
            'starts_on' => $this->coach()->workspace->today()->iso(),
            'goal_on' => $this->coach()->workspace->today()->plus(10)->iso(),
            'weekdays' => [2], 'moves' => [], 'off' => [], 'agreed' => [], 'agreed_at' => now()->toIso8601String(),
            'created_by' => $this->coach()->id,
        ])->id;
    }

    private function import(): string
    {
        return ImportFactory::new()->createOne(['workspace_id' => $this->coach()->workspace_id, 'made_by' => $this->coach()->id])->id;
    }

    private function link(Athlete $athlete): int
    {
        app(\App\People\Links::class)->checkIn($athlete, 'a phone', null, $this->coach());

        return (int) \App\People\Link::query()->max('id');
    }
}
