<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\ExportedRows;
use App\Athletes\Privacy;
use App\Athletes\Squad;
use App\People\Link;
use App\People\Role;
use App\People\User;
use App\Returns\PlayReturn;
use App\Sessions\RefitSheets;
use App\Sessions\Sheet;
use Carbon\Carbon;
use Database\Factories\AthleteFactory;
use Database\Factories\LinkFactory;
use Database\Factories\SquadFactory;
use Database\Factories\UserFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;
use ZipArchive;

/** Nobody gives a right they do not have, nothing closed opens again, and nothing of somebody else is answered. */
final class RightsTest extends TestCase
{
    public function test_another_clubs_return_is_not_answered_to_who_names_its_id(): void
    {
        $return = PlayReturn::query()->firstOrFail();
        $stranger = $this->stranger(Role::Coach);
        $squad = SquadFactory::new()->create(['workspace_id' => $stranger->workspace_id, 'name' => 'Theirs']);
        $theirs = AthleteFactory::new()->create([
            'workspace_id' => $stranger->workspace_id,
            'given_name' => 'Theirs',
        ]);
        $theirs->squads()->attach($squad->id, ['position' => 1]);
        $answer = $this->actingAs($stranger)->postJson(
            "/api/athletes/{$theirs->id}/returns",
            [
                'id' => $return->id,
                'programme' => 'serves-effort-first',
                'ladder' => 'volleyball-float-serve',
                'site' => 'shoulder',
                'side' => 'right',
            ],
        );
        $answer->assertStatus(409);
        $this->assertStringNotContainsString($return->athlete->given_name, (string) $answer->getContent());
        $this->postJson(
            "/api/squads/{$squad->id}/athletes",
            [
                'id' => $return->athlete_id,
                'given_name' => 'A',
                'family_name' => 'B',
                'birth_date' => '2010-01-01',
                'throwing_side' => 'right',
                'turn_direction' => null,
            ],
        )->assertStatus(409);
    }

    public function test_a_closed_account_stays_closed_and_its_links_are_dead(): void
    {
        $assistant = $this->person(Role::Assistant);
        $this->actingAs($this->coach());
        $password = $this->postJson("/api/people/{$assistant->id}/new-password")->assertOk()->json('token');
        $calendar = $this->actingAs($assistant)->postJson('/api/me/calendar-link')->assertOk()->json('token');
        $this->actingAs($this->coach())->postJson("/api/people/{$assistant->id}/close")->assertOk();
        $this->get("/calendar/{$calendar}.ics")->assertNotFound();
        $this->withHeader('X-Link-Token', $password)
            ->postJson('/api/link/entry', ['password' => 'seven grey herons wade'])
            ->assertNotFound();
        $this->postJson("/api/people/{$assistant->id}/new-password")->assertStatus(409);
        // A link that was already there by another way opens it neither.
        $old = LinkFactory::new()->create([
            'workspace_id' => $assistant->workspace_id,
            'purpose' => Link::PASSWORD,
            'token_hash' => hash('sha256', 'old'),
            'user_id' => $assistant->id,
            'label' => 'x',
            'made_by' => $this->coach()->id,
            'expires_at' => Carbon::now()->addHour(),
        ]);
        $this->assertNull(Link::usable('old', Link::PASSWORD));
        $old->delete();
    }

    public function test_a_link_for_once_is_used_once_however_many_come_at_once(): void
    {
        $this->actingAs($this->coach());
        $token = $this->postJson(
            '/api/people/invitations',
            ['role' => 'assistant', 'name' => 'Ada', 'squads' => [Squad::query()->firstOrFail()->id], 'athletes' => []],
        )->assertOk()->json('token');
        // Three requests that all found the link usable, and then each wants to use it up.
        $found = array_map(fn () => Link::usable($token, Link::INVITATION), range(1, 3));
        $made = 0;
        foreach ($found as $i => $link) {
            try {
                app(\App\People\Links::class)->join(
                    $link,
                    ['name' => 'Ada', 'email' => "ada{$i}@x.example", 'password' => 'seven grey herons wade'],
                );
                $made++;
            } catch (\App\Http\Problem $problem) {
                $this->assertSame(404, $problem->type->status());
            }
        }
        $this->assertSame(1, $made);
        $this->assertSame(1, User::query()->where('email', 'like', 'ada%@x.example')->count());
    }

    public function test_a_coach_of_one_squad_gives_no_right_beyond_it(): void
    {
        $squad = Squad::query()->firstOrFail();
        $other = SquadFactory::new()->create(['workspace_id' => $squad->workspace_id, 'name' => 'Other squad']);
        $hidden = AthleteFactory::new()->create([
            'workspace_id' => $squad->workspace_id,
            'given_name' => 'Hidden',
        ]);
        $hidden->squads()->attach($other->id, ['position' => 1]);
        $theirGuardian = UserFactory::new()->create([
            'workspace_id' => $squad->workspace_id,
            'name' => 'Guardian Of Hidden',
            'email' => 'g@h.example',
            'role' => Role::Guardian,
        ]);
        $theirGuardian->boundAthletes()->attach($hidden->id);
        $bound = UserFactory::new()->create([
            'workspace_id' => $squad->workspace_id,
            'name' => 'One Squad',
            'email' => 'one@x.example',
            'role' => Role::Coach,
        ]);
        $bound->squads()->attach($squad->id);
        [$head, $clinician] = [$this->coach(), $this->person(Role::Clinician)];
        $this->actingAs($head)->postJson("/api/athletes/{$hidden->id}/links", ['label' => 'Hidden’s mother'])->assertOk();

        $this->actingAs($bound);
        $invite = fn (string $role, array $squads, array $athletes = []) => $this->postJson(
            '/api/people/invitations',
            ['role' => $role, 'name' => 'x', 'squads' => $squads, 'athletes' => $athletes],
        );
        $invite('coach', [])->assertStatus(422);
        $invite('coach', [$other->id])->assertStatus(422);
        $invite('coach', [$squad->id])->assertOk();
        $invite('clinician', [], [$this->athlete('Mira')->id])->assertStatus(403);
        foreach ([$head, $clinician, $theirGuardian] as $person) {
            $this->postJson("/api/people/{$person->id}/new-password")->assertStatus(403);
            $this->postJson("/api/people/{$person->id}/close")->assertStatus(403);
        }
        $this->postJson("/api/people/{$this->person(Role::Guardian)->id}/new-password")->assertOk();
        $this->postJson("/api/people/{$bound->id}/hand-over")->assertStatus(403);
        $people = (string) $this->getJson('/api/people')->assertOk()->getContent();
        foreach (['Hidden', 'Anneke', 'Samira'] as $name) {
            $this->assertStringNotContainsString(
                $name,
                preg_replace('/"audit":\[.*?\]/s', '', $people) ?? '',
                "{$name} is outside the squad",
            );
        }
        $this->assertStringNotContainsString('Hidden', $people);
    }

    public function test_a_head_coach_is_handed_over_and_never_just_closed(): void
    {
        $head = $this->coach();
        $next = UserFactory::new()->create([
            'workspace_id' => $head->workspace_id,
            'name' => 'Next Head',
            'email' => 'next@x.example',
            'role' => Role::Coach,
        ]);
        $this->actingAs($next)->postJson("/api/people/{$head->id}/close")->assertStatus(403);
        $this->postJson("/api/people/{$next->id}/hand-over")->assertStatus(403);
        $this->actingAs($head)->postJson("/api/people/{$this->person(Role::Assistant)->id}/hand-over")->assertStatus(422);
        $this->postJson("/api/people/{$next->id}/hand-over")->assertNoContent();
        $this->actingAs($next->fresh() ?? $next)->postJson("/api/people/{$head->id}/close")->assertOk();
    }

    public function test_a_clinicians_account_counts_once_the_head_coach_and_the_person_compared_a_code(): void
    {
        $sofie = $this->athlete('Sofie');
        $token = $this
            ->actingAs($this->coach())
            ->postJson('/api/people/invitations', ['role' => 'clinician', 'name' => 'Dr. New', 'squads' => [], 'athletes' => [$sofie->id]])
            ->assertOk()
            ->json('token');
        $this->nobodySignedIn();
        $me = $this
            ->withHeader('X-Link-Token', $token)
            ->postJson('/api/link/entry', ['name' => 'Dr. New', 'email' => 'new@clinic.example', 'password' => 'seven grey herons wade'])
            ->assertOk();
        $this->withoutHeader('X-Link-Token');
        $clinician = User::query()->where('email', 'new@clinic.example')->firstOrFail();
        $this->assertFalse($me->json('clears'));
        $this->assertMatchesRegularExpression('/^\d{6}$/', $me->json('code'));
        $clear = fn () => $this->actingAs($clinician->refresh())->postJson(
            "/api/athletes/{$sofie->id}/clearances",
            [
                'id' => (string) Str::uuid7(),
                'sites' => ['ankle'],
                'clinician_name' => 'x',
                'clinician_role' => 'Physiotherapist',
                'document_date' => $this->coach()->workspace->today()->iso(),
                'note' => null,
            ],
        );
        $clear()->assertStatus(403);
        $this->actingAs($this->coach())->postJson("/api/people/{$clinician->id}/confirm", ['code' => '000000x'])->assertStatus(422);
        $this->postJson("/api/people/{$clinician->id}/confirm", ['code' => $me->json('code')])->assertOk();
        $clear()->assertNoContent();
        $said = $this->actingAs($this->coach())->getJson("/api/athletes/{$sofie->id}")->json('clearances.0.sentence');
        $this->assertStringContainsString('by Dr. New, account made by Anneke Duarte', $said);
        $this->assertStringContainsString('confirmed by Anneke Duarte', $said);
        // Whoever sets a new password by link could be anybody who had the link: confirmed anew.
        $password = $this->postJson("/api/people/{$clinician->id}/new-password")->assertOk()->json('token');
        $this->withHeader('X-Link-Token', $password)
            ->postJson('/api/link/entry', ['password' => 'eight brown owls nest'])
            ->assertOk()
            ->assertJsonPath('clears', false);
    }

    public function test_a_clinicians_code_cannot_be_found_by_trying(): void
    {
        $clinician = UserFactory::new()->create([
            'workspace_id' => $this->coach()->workspace_id,
            'name' => 'Dr. Later',
            'email' => 'later@clinic.example',
            'password' => 'nine white swans land',
            'role' => Role::Clinician,
            'code' => '123456',
        ]);
        $confirm = fn (string $code) => $this
            ->actingAs($this->coach())
            ->postJson("/api/people/{$clinician->id}/confirm", ['code' => $code]);
        foreach (range(1, 5) as $wrong) {
            $confirm("00000{$wrong}")->assertStatus(422);
        }
        $confirm('123456')->assertStatus(429);
        $this->assertNull($clinician->refresh()->confirmed_at);
        $this->travel(11)->minutes();
        $confirm('123456')->assertOk();
    }

    public function test_passwords_that_are_tried_first_are_refused(): void
    {
        $token = fn (): string => $this
            ->actingAs($this->coach())
            ->postJson("/api/people/{$this->person(Role::Assistant)->id}/new-password")
            ->assertOk()
            ->json('token');
        foreach (
            [
                'short', 'password123', 'P4ssw0rd2026', 'qwertyuiop', '1234567890', 'aaaaaaaaaaaa', 'abcdefghijkl',
                'FelixMoreau', 'lighthouse2026', 'volleyball1', '20262026202',
            ] as $weak
        ) {
            $this->withHeader('X-Link-Token', $token())
                ->postJson('/api/link/entry', ['password' => $weak])
                ->assertStatus(422)
                ->assertJsonStructure(['errors' => ['password']]);
        }
        $this->withHeader('X-Link-Token', $token())->postJson('/api/link/entry', ['password' => 'seven grey herons wade'])->assertOk();
    }

    #[Group('once')]
    public function test_slowing_down_hits_who_guesses_and_nobody_else(): void
    {
        $this->actingAs($this->coach());
        $feeds = [
            $this->postJson('/api/me/calendar-link')->json('token'),
            $this->actingAs($this->person(Role::Guardian))->postJson('/api/me/calendar-link')->json('token'),
        ];
        foreach (range(1, 12) as $_) {
            $this->get("/calendar/{$feeds[0]}.ics")->assertOk();
        }
        $this->get("/calendar/{$feeds[0]}.ics")->assertStatus(429);
        $this->get("/calendar/{$feeds[1]}.ics")->assertOk();
        // Forty parents behind one address, each with a link of their own.
        $this->actingAs($this->coach());
        foreach (range(1, 40) as $i) {
            $link = $this
                ->postJson("/api/athletes/{$this->athlete('Mira')->id}/links", ['label' => "phone {$i}"])
                ->assertOk()
                ->json('token');
            $this->withHeader('X-Link-Token', $link)->getJson('/api/link/check-in')->assertOk();
            $this->withoutHeader('X-Link-Token');
        }
        // One password for every name.
        $said = [];
        foreach (range(1, 45) as $i) {
            $said[] = $this->postJson('/api/sign-in', ['email' => "name{$i}@lighthouse.example", 'password' => 'lighthouse'])->status();
        }
        $this->assertSame([422, 429], array_values(array_unique($said)));
        $this->travel(61)->seconds();
        foreach (range(1, 31) as $i) {
            $wrong = $this->withHeader('X-Link-Token', Str::random(43))->getJson('/api/link/check-in')->status();
        }
        $this->assertSame(429, $wrong);
    }

    /** Whoever deletes a row looks through everything that points at it: without an index, through the whole record. */
    public function test_every_foreign_key_has_an_index(): void
    {
        $without = [];
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            $indexed = array_map(fn (array $index): string => $index['columns'][0], Schema::getIndexes($table));
            foreach (Schema::getForeignKeys($table) as $key) {
                in_array($key['columns'][0], $indexed, true) || $without[] = "{$table}.{$key['columns'][0]}";
            }
        }
        $this->assertSame([], $without);
    }

    public function test_erasure_and_export_name_every_table(): void
    {
        // The ledger of erasures is a table on PostgreSQL and a file beside SQLite's.
        $known = array_diff(Schema::getTableListing(schemaQualified: false), ['sqlite_sequence']);
        $tables = array_values(array_unique([...$known, 'erasures']));
        $this->assertEqualsCanonicalizing(
            $tables,
            [...Privacy::EXPORTED_OF_ATHLETE, ...Privacy::EXPORTED_OF_THOSE, ...array_keys(Privacy::NOT_EXPORTED)],
            'Say in Privacy whether a new table is given with an export.',
        );
        $this->assertEqualsCanonicalizing(
            $tables,
            [...Privacy::ERASED, ...Privacy::ERASED_WITH_THOSE, ...Privacy::EMPTIED, ...array_keys(Privacy::KEPT)],
            'Say in Privacy what an erasure does with a new table.',
        );
        $export = $this->actingAs($this->coach())->getJson("/api/athletes/{$this->athlete('Yuna')->id}/export")->assertOk()->json();
        foreach ([...Privacy::EXPORTED_OF_ATHLETE, ...array_diff(Privacy::EXPORTED_OF_THOSE, ['athletes'])] as $table) {
            $this->assertArrayHasKey($table, $export);
        }
        $this->assertStringNotContainsString('token_hash', (string) json_encode($export));
        $this->assertSame(['Yuna Petrovic'], array_column($export['users'], 'name'));
    }

    #[Group('once')]
    public function test_a_clinician_gets_one_athlete_more_without_another_invitation_once_somebody_agrees(): void
    {
        $kaito = $this->athlete('Kaito');
        $clinician = $this->person(Role::Clinician);
        $this->actingAs($clinician)->getJson("/api/athletes/{$kaito->id}")->assertNotFound();
        $path = "/api/athletes/{$kaito->id}/shares";
        $this->actingAs($this->coach());
        $given = ['person' => $clinician->id, 'agreed_by' => 'A parent of Kaito', 'agreed_on' => $this->coach()->workspace->today()->iso()];
        $this->postJson($path, [...$given, 'agreed_by' => ''])->assertStatus(422);
        $this->postJson($path, [...$given, 'person' => $this->stranger(Role::Clinician)->id])->assertStatus(422);
        $this->postJson($path, [...$given, 'person' => $this->person(Role::Assistant)->id])->assertStatus(422);
        foreach ([1, 2] as $_) {
            $shared = $this->postJson($path, $given)->assertOk()->json('shared');
            $this->assertSame(['A parent of Kaito'], array_column($shared, 'agreed_by'));
            $this->assertSame([$clinician->name], array_column($shared, 'name'));
        }
        $this->actingAs($clinician)->getJson("/api/athletes/{$kaito->id}")->assertOk();
        $this->actingAs($this->coach())->postJson("{$path}/{$clinician->id}/take-back")->assertOk()->assertJsonPath('shared', []);
        $this->postJson("{$path}/{$clinician->id}/take-back")->assertStatus(409);
        $this->actingAs($clinician)->getJson("/api/athletes/{$kaito->id}")->assertNotFound();
        // Not confirmed face to face yet, nobody is shared with them.
        $clinician->update(['confirmed_at' => null]);
        $this->actingAs($this->coach())->postJson($path, $given)->assertStatus(422);
    }

    #[Group('once')]
    public function test_every_column_that_is_handed_over_is_explained_and_none_opens_anything(): void
    {
        $sections = preg_split('/^## /m', (string) file_get_contents(base_path('docs/data.md'))) ?: [];
        $explained = [];
        foreach (array_slice($sections, 1) as $section) {
            preg_match_all('/`([a-z_0-9]+)`/', $section, $columns);
            $explained[strtok($section, "\n")] = $columns[1];
        }
        $tables = ExportedRows::ofClub($this->coach()->workspace_id);
        $this->assertEqualsCanonicalizing(['Everywhere', ...array_keys($tables)], array_keys($explained));
        $missing = $secret = [];
        foreach ($tables as $table => $rows) {
            $columns = $rows->columns ?? Schema::getColumnListing($table);
            $named = [...$explained['Everywhere'], ...$explained[$table]];
            array_push($missing, ...array_map(fn (string $column): string => "{$table}.{$column}", array_diff($columns, $named)));
            array_push($secret, ...array_intersect($columns, ['password', 'remember_token', 'token_hash', 'code', 'details', 'payload']));
            $this->assertSame([], array_diff($explained[$table], Schema::getColumnListing($table)), "{$table} has no such column");
        }
        $this->assertSame([[], []], [$missing, $secret]);
    }

    #[Group('once')]
    public function test_everything_of_the_club_is_one_file_for_the_head_coach_alone(): void
    {
        $this->athlete('Yuna')->update(['family_name' => '=1+1']);
        $elsewhere = $this->stranger(Role::Coach);
        AthleteFactory::new()->create(['workspace_id' => $elsewhere->workspace_id, 'given_name' => 'Far', 'family_name' => 'Away']);
        foreach ([
            ['/api/export.zip', $this->coach(), 13], ["/api/athletes/{$this->athlete('Yuna')->id}/export.zip", $this->coach(), null],
            ['/api/export.zip', $elsewhere, 1],
        ] as [$path, $by, $athletes]) {
            $this->actingAs($by);
            $file = $this->folder().'/export.zip';
            copy($this->get($path)->assertOk()->baseResponse->getFile()->getPathname(), $file);
            $zip = new ZipArchive;
            $this->assertTrue($zip->open($file));
            $this->assertStringContainsString('## work_sets', (string) $zip->getFromName('what-each-column-is.md'));
            $sets = json_decode((string) $zip->getFromName('json/work_sets.json'), true);
            $lines = substr_count((string) $zip->getFromName('csv/work_sets.csv'), "\r\n") - 1;
            $this->assertSame(count($sets), $lines);
            if ($athletes !== null) {
                $this->assertCount($athletes, json_decode((string) $zip->getFromName('json/athletes.json'), true));
            } else {
                $this->assertSame([$this->athlete('Yuna')->id], array_values(array_unique(array_column($sets, 'athlete_id'))));
                $this->assertFalse($zip->getFromName('json/squads.json'));
            }
        }
        $this->assertSame($elsewhere->workspace_id, json_decode((string) $zip->getFromName('json/workspaces.json'), true)[0]['id']);
        $this->assertStringNotContainsString('Okonjo', (string) $zip->getFromName('csv/athletes.csv'));
        $coach = UserFactory::new()->create(['workspace_id' => $this->coach()->workspace_id, 'role' => Role::Coach]);
        $coach->squads()->attach($this->coach()->visibleSquads()->firstOrFail()->id);
        $this->actingAs($coach)->getJson('/api/export.zip')->assertForbidden();
    }

    #[Group('once')]
    public function test_nothing_of_somebody_erased_is_left_anywhere(): void
    {
        $yuna = $this->athlete('Yuna');
        $sheet = $this->sheetOf('Yuna');
        $this->actingAs($this->coach());
        $block = $this->judgedBlock($sheet);
        $this->postJson(
            "/api/sheets/{$sheet->id}/events",
            ['events' => [$this->tap($block, 1, ['note' => 'Petrovic again']), $this->tap($block, 2)]],
        )->assertOk();
        DB::table('rep_events')->where('sheet_id', $sheet->id)->where('seq', 2)->update(['fault' => 'Petrovic leans']);
        $this->postJson("/api/athletes/{$yuna->id}/links", ['label' => 'Petrovic phone'])->assertOk();
        $this->postJson(
            '/api/people/invitations',
            ['role' => 'guardian', 'name' => 'Petrovic mother', 'squads' => [], 'athletes' => [$yuna->id]],
        )->assertOk();
        $this->postJson("/api/athletes/{$yuna->id}/erase", ['name' => 'Yuna Petrovic'])->assertStatus(204);
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            foreach (DB::table($table)->get() as $row) {
                $this->assertStringNotContainsString(
                    'Petrovic',
                    (string) json_encode($row, JSON_UNESCAPED_UNICODE | JSON_PARTIAL_OUTPUT_ON_ERROR),
                    $table,
                );
            }
        }
        $this->assertSame([], $sheet->refresh()->trims);
        $this->postJson('/api/sign-in', ['email' => 'athlete@lighthouse.example', 'password' => 'lighthouse'])->assertStatus(422);
        $this->assertContains($yuna->id, \App\Athletes\ErasureLedger::all());
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_a_failed_statement_is_logged_without_what_was_in_it(): void
    {
        $log = storage_path('logs/laravel.log');
        $before = is_file($log) ? (int) filesize($log) : 0;
        \Illuminate\Support\Facades\Route::middleware('api')->get(
            'api/breaks',
            fn () => DB::table('soreness_reports')->insert(['note' => 'a very private knee']),
        );
        $this->actingAs($this->coach())->getJson('/api/breaks')->assertStatus(500);
        clearstatcache();
        $written = (string) file_get_contents($log, offset: $before);
        $this->assertStringContainsString('A statement failed', $written);
        $this->assertStringNotContainsString('private knee', $written);
        $this->assertSame('0600', substr(sprintf('%o', fileperms($log)), -4));
    }

    public function test_every_answer_says_that_its_bytes_are_not_to_be_guessed(): void
    {
        $calendar = $this->actingAs($this->coach())->postJson('/api/me/calendar-link')->json('token');
        foreach (['/api/today', '/', "/calendar/{$calendar}.ics", '/api/nothing-here'] as $path) {
            $answer = $this->get($path);
            $this->assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'), $path);
            $this->assertNull($answer->headers->get('X-Powered-By'));
        }
    }

    public function test_a_name_of_the_library_reaches_no_other_file(): void
    {
        $this->actingAs($this->coach());
        foreach (['../../composer', '..', 'no-such-ladder', 'Volleyball', "a\nb"] as $name) {
            $this->postJson(
                "/api/athletes/{$this->athlete('Ilse')->id}/seasons",
                [
                    'ladder' => $name,
                    'goal_rung' => null,
                    'goal_on' => $this->coach()->workspace->today()->plus(40)->iso(),
                    'weekdays' => [2, 4],
                    'minutes' => null,
                    'moves' => [],
                    'off' => [],
                ],
            )->assertStatus(422);
        }
        foreach (['..%2F..%2Fcomposer', 'no-such-ladder'] as $name) {
            $this->assertContains($this->getJson("/api/library/{$name}")->status(), [404, 422]);
        }
    }

    #[Group('once')]
    public function test_a_change_for_the_squad_is_kept_at_once_and_fitted_afterwards(): void
    {
        Queue::fake();
        $this->actingAs($this->coach());
        $squad = Squad::query()->firstOrFail();
        $planned = Sheet::query()
            ->where('state', 'planned')
            ->where('edited', false)
            ->where('held_on', '>=', $this->coach()->workspace->today()->iso())
            ->count();
        $sheet = $this->sheetOf('Mira');
        $old = $this->judgedBlock($sheet);
        $this->postJson(
            "/api/squads/{$squad->id}/fixtures",
            [
                'id' => (string) Str::uuid7(),
                'kind' => 'match',
                'athlete_id' => null,
                'day' => $this->coach()->workspace->today()->iso(),
                'weeks' => 1,
                'starts_at' => '19:00',
                'title' => 'Cup',
                'doses' => [['skill' => 'spike', 'reps' => 240, 'felt' => 'hard']],
            ],
        )->assertOk();
        Queue::assertPushed(RefitSheets::class);
        $this->assertSame($planned, Sheet::query()->where('stale', true)->count());
        $this->assertSame($old->reps, $this->judgedBlock($sheet)->reps, 'nothing is written yet');
        // Until it is fitted: the smaller of the old dose and what is left now, and that is said.
        $shown = $this->getJson("/api/sheets/{$sheet->id}")->assertOk();
        $this->assertLessThan($old->reps, collect($shown->json('blocks'))->firstWhere('id', $old->id)['reps']);
        $this->assertStringContainsString('waits to be fitted', (string) json_encode($shown->json()));
        $this->assertGreaterThan(0, $this->getJson('/api/today')->json('refitting'));
        $this->assertStringContainsString(
            'waits to be fitted',
            (string) $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json('refitting'),
        );
        foreach ($squad->athletes as $athlete) {
            (new RefitSheets($athlete->id))->handle();
        }
        $this->assertSame(0, Sheet::query()->where('stale', true)->where('state', 'planned')->where('edited', false)->count());
        $this->assertStringNotContainsString(
            'waits to be fitted',
            (string) json_encode($this->getJson("/api/sheets/{$sheet->id}")->json()),
        );
    }

    #[Group('once')]
    public function test_no_sheet_is_fitted_while_a_change_of_the_squad_holds_the_write_lock(): void
    {
        $this->actingAs($this->coach());
        $squad = Squad::query()->firstOrFail();
        $session = $this->sheetOf('Mira')->training_session_id;
        $outside = DB::transactionLevel();
        $levels = [];
        Sheet::updating(function (Sheet $sheet) use (&$levels): void {
            if ($sheet->isDirty('fitted_on') || $sheet->isDirty('version')) {
                $levels[] = DB::transactionLevel();
            }
        });
        $fitted = function (callable $change) use (&$levels): int {
            $levels = [];
            $change();

            return count($levels);
        };
        $kept = ['name' => $squad->name, 'school' => null, 'floor' => 'sprung'];
        $stations = function () use ($session): array {
            $shown = $this->getJson("/api/sessions/{$session}")->assertOk()->json();

            return [
                ...array_intersect_key($shown, array_flip(['version', 'minutes', 'adults', 'balls', 'spaces'])),
                'minutes' => $shown['minutes'] + 15,
                'absent' => [],
                'late' => [],
            ];
        };
        $changes = [
            'the floor of the session' => fn () => $this->putJson("/api/sessions/{$session}/floor", ['floor' => 'hard'])->assertOk(),
            'the stations' => fn () => $this->putJson("/api/sessions/{$session}", $stations())->assertOk(),
            'the squad' => fn () => $this->putJson("/api/squads/{$squad->id}", [...$kept, 'school' => 'strict'])->assertOk(),
            'counts that are not here' => fn () => $this->postJson(
                '/api/me/missing-counts',
                [
                    'device' => (string) Str::uuid(),
                    'athletes' => $squad->athletes->map(fn (Athlete $each): array => ['athlete_id' => $each->id, 'count' => 3])->all(),
                ],
            )->assertNoContent(),
        ];
        foreach ($changes as $what => $change) {
            $this->assertGreaterThan(5, $fitted($change), "{$what}: sheets are fitted");
            $this->assertSame([$outside + 1], array_values(array_unique($levels)), "{$what}: each in a transaction of its own");
        }
    }
}
