<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\AthleteDay;
use App\Athletes\Squad;
use App\Courtside\RepEvent;
use App\People\Role;
use App\People\SamePerson;
use App\Sessions\Sheet;
use Augendo\Core\Load\Channel;
use Carbon\Carbon;
use Database\Factories\SquadFactory;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is answered “kept” is kept, under the right name and day; what is not is said; and what is stored can be read. */
final class KeptOrSaidTest extends TestCase
{
    #[Group('once')]
    public function test_an_id_that_is_taken_elsewhere_is_not_answered_kept(): void
    {
        $this->actingAs($this->coach());
        [$mira, $ravi] = [$this->sheetOf('Mira'), $this->sheetOf('Ravi')];
        $tap = $this->tap($this->judgedBlock($mira), 1);
        $this->postJson("/api/sheets/{$mira->id}/events", ['events' => [$tap]])->assertOk()->assertJsonCount(1, 'kept');
        $same = $this->tap($this->judgedBlock($ravi), 1, ['id' => $tap['id']]);
        $other = $this->tap($this->judgedBlock($ravi), 2);
        $this->postJson("/api/sheets/{$ravi->id}/events", ['events' => [$same, $other]])->assertOk()->assertExactJson([
            'kept' => [$other['id']], 'refused' => [$tap['id'] => 'Another tap was kept under this id already, on another sheet.'],
        ]);

        $report = $this->report('knee', 'left', 'joint', 2);
        $this->postJson("/api/athletes/{$mira->athlete_id}/reports", ['reports' => [$report]])->assertNoContent();
        $this->postJson("/api/athletes/{$mira->athlete_id}/reports", ['reports' => [$report]])->assertNoContent();
        $this->postJson("/api/athletes/{$ravi->athlete_id}/reports", ['reports' => [$report]])
            ->assertStatus(409)
            ->assertJsonPath('title', 'Not kept');
        $this->assertSame(1, DB::table('soreness_reports')->where('id', $report['id'])->count());

        $squad = Squad::query()->firstOrFail();
        $fixture = [
            'id' => (string) Str::uuid7(),
            'kind' => 'match',
            'athlete_id' => null,
            'day' => $this->coach()->workspace->today()->plus(3)->iso(),
            'weeks' => 1,
            'starts_at' => '15:00',
            'title' => 'Cup',
            'doses' => [['skill' => 'spike', 'reps' => 20, 'felt' => 'hard']],
        ];
        $this->postJson("/api/squads/{$squad->id}/fixtures", $fixture)->assertOk();
        $second = SquadFactory::new()->create(['workspace_id' => $squad->workspace_id, 'name' => 'Second']);
        $this->postJson("/api/squads/{$second->id}/fixtures", $fixture)->assertStatus(409);
        $height = ['id' => (string) Str::uuid7(), 'measured_on' => $this->coach()->workspace->today()->iso(), 'height_cm' => 150.0];
        $this->postJson("/api/athletes/{$mira->athlete_id}/heights", $height)->assertOk();
        $this->postJson("/api/athletes/{$ravi->athlete_id}/heights", $height)->assertStatus(409);
    }

    public function test_a_tap_of_a_time_that_has_not_come_is_refused_by_the_instant_and_one_from_a_clock_ahead_is_not(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $at = fn (int $minutes, string $offset): array => ['at' => Carbon::now($offset)->addMinutes($minutes)->toIso8601String()];
        $taps = [
            'soon' => $this->tap($block, 1, $at(4, '+01:00')),
            'late' => $this->tap($block, 2, $at(6, '+01:00')),
            'ahead' => $this->tap($block, 3, $at(-2, '+13:00')),
        ];
        $answer = $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => array_values($taps)])->assertOk();
        $this->assertEqualsCanonicalizing([$taps['soon']['id'], $taps['ahead']['id']], $answer->json('kept'));
        $this->assertStringContainsString('in the future', $answer->json('refused')[$taps['late']['id']]);

        // Work done now is not work of a session that has not come, at whatever time it is dated.
        $ahead = Sheet::query()
            ->where('athlete_id', $sheet->athlete_id)
            ->where('held_on', '>', $this->coach()->workspace->today()->plus(1)->iso())
            ->whereHas('blocks', fn ($blocks) => $blocks->where('judged', true)->where('reps', '>', 0))
            ->firstOrFail();
        $tap = $this->tap($this->judgedBlock($ahead), 1);
        $this->postJson("/api/sheets/{$ahead->id}/events", ['events' => [$tap]])->assertOk()->assertJsonCount(0, 'kept');
        $this->assertSame('planned', $ahead->refresh()->state);
    }

    public function test_what_an_athlete_ahead_of_the_club_did_in_her_own_tomorrow_counts_today(): void
    {
        $this->actingAs($this->coach());
        $this->travelTo(Carbon::parse('2027-05-20 14:00', 'Europe/Lisbon'));
        $mira = $this->athlete('Mira');
        $left = fn (): int => (int) collect(
            $this->getJson("/api/athletes/{$mira->id}/headroom?skill=float-serve")->assertOk()->json('rows'),
        )->last()['cells'][0]['reps'];
        $before = $left();
        $own = Carbon::now('+13:00');
        $this->postJson(
            "/api/athletes/{$mira->id}/logged-work",
            [
                'id' => (string) Str::uuid7(),
                'day' => $own->toDateString(),
                'at' => $own->toIso8601String(),
                'source' => 'home',
                'skill' => 'float-serve',
                'reps' => 10,
                'felt' => 'hard',
                'distance_m' => null,
                'side' => 'dominant',
            ],
        )->assertStatus(204);
        $this->assertSame('2027-05-21', $own->toDateString());
        $this->assertLessThan($before, $left());
        $work = [
            'id' => (string) Str::uuid7(),
            'day' => '2027-05-22',
            'at' => $own->toIso8601String(),
            'source' => 'home',
            'skill' => 'float-serve',
            'reps' => 10,
            'felt' => 'hard',
            'distance_m' => null,
            'side' => 'dominant',
        ];
        $this->postJson("/api/athletes/{$mira->id}/logged-work", $work)
            ->assertStatus(422)
            ->assertJsonPath('errors.day.0', 'This day has not come yet.');
        $this->postJson("/api/athletes/{$mira->id}/logged-work", [...$work, 'at' => [[]]])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['at']]);
    }

    public function test_a_sheet_with_taps_cannot_be_deleted_whoever_tries(): void
    {
        $sheet = $this->sheetOf('Mira');
        $this->actingAs($this->coach())->postJson(
            "/api/sheets/{$sheet->id}/events",
            ['events' => [$this->tap($this->judgedBlock($sheet), 0)]],
        )->assertOk();
        foreach (
            [
                fn () => DB::table('sheets')->where('id', $sheet->id)->delete(),
                fn () => DB::table('athletes')->where('id', $sheet->athlete_id)->delete(),
                fn () => DB::table('training_sessions')->where('id', $sheet->training_session_id)->delete(),
            ] as $delete
        ) {
            try {
                DB::transaction($delete);
                $this->fail('It was deleted.');
            } catch (QueryException $refused) {
                // A trigger says so on SQLite, a foreign key on PostgreSQL.
                $this->assertMatchesRegularExpression('/stays|rep_events_sheet_id_foreign/', $refused->getMessage());
            }
        }
        $this->assertSame(1, RepEvent::query()->where('sheet_id', $sheet->id)->count());
        $planned = $this->sheetOf('Ravi');
        $this->assertSame(1, DB::table('sheets')->where('id', $planned->id)->delete(), 'one without taps may go');
    }

    /** @return iterable<string, array{string}> */
    public static function unreadable(): iterable
    {
        yield 'bytes that are no UTF-8' => ["a\xFFb"];
        yield 'a NUL' => ["a\0b"];
        yield 'a control character' => ["a\x07b"];
    }

    #[DataProvider('unreadable')]
    public function test_what_nobody_could_read_again_is_not_stored(string $text): void
    {
        $this->actingAs($this->coach());
        $mira = $this->athlete('Mira');
        $link = $this->postJson("/api/athletes/{$mira->id}/links", ['label' => 'phone'])->assertOk()->json('token');
        $report = [...$this->report('knee', 'left', 'joint', 2), 'note' => $text];
        $server = ['HTTP_X-Link-Token' => $link, 'HTTP_ACCEPT' => 'application/json'];
        // As a form, where bytes are whatever they are; and as JSON.
        $this->call(
            'POST',
            '/api/link/check-in',
            ['reports' => [$report], 'wellness' => ''],
            server: ['CONTENT_TYPE' => 'application/x-www-form-urlencoded', ...$server],
            content: http_build_query(['reports' => [$report]]),
        )->assertStatus(415);
        $json = str_replace(
            '"TEXT"',
            '"'.(str_contains($text, "\xFF") ? $text : trim((string) json_encode($text), '"')).'"',
            (string) json_encode(['reports' => [[...$report, 'note' => 'TEXT']], 'wellness' => null]),
        );
        $said = $this->call('POST', '/api/link/check-in', server: ['CONTENT_TYPE' => 'application/json', ...$server], content: $json);
        $this->assertContains($said->status(), [400, 422]);
        $this->assertSame('application/problem+json', $said->headers->get('Content-Type'));
        $this->assertSame(0, DB::table('soreness_reports')->where('id', $report['id'])->count());
        $this->getJson("/api/athletes/{$mira->id}")->assertOk();
        $this->getJson('/api/today?squad='.rawurlencode($text))->assertStatus(422);
    }

    public function test_a_score_holds_numbers_that_can_be_written_down_and_points_in_order(): void
    {
        $this->actingAs($this->coach());
        $mira = $this->athlete('Mira');
        $score = [
            'id' => (string) Str::uuid7(), 'kind' => 'grouping', 'name' => 'Corner', 'goal' => null, 'ladder' => null, 'counted' => true,
        ];
        foreach (
            [
                ['points' => [[1e308, 0], [0, 1]]],
                ['points' => ['a' => [0, 1], 'b' => [1, 1]]],
                ['points' => [['x' => 0, 'y' => 1]]],
                ['points' => [['0', []]]],
                ['points' => [[true, 1]]],
            ] as $seen
        ) {
            $this->postJson("/api/athletes/{$mira->id}/scores", [...$score, 'seen' => $seen])
                ->assertStatus(422)
                ->assertJsonPath('title', 'Some of it cannot be used');
        }
        $this->postJson(
            "/api/athletes/{$mira->id}/scores",
            [...$score, 'seen' => ['points' => [[0.2, 0.1], [0.1, -0.4], [0, 0.3]]]],
        )->assertOk();
        $this->getJson("/api/athletes/{$mira->id}/scores")->assertOk();
    }

    #[Group('once')]
    public function test_what_is_of_another_kind_than_asked_is_refused_with_its_place(): void
    {
        $this->actingAs($this->coach());
        foreach (['/api/programmes', '/api/library', '/api/rule-sets'] as $path) {
            foreach ([['id' => [1], 'name' => 'x'], ['id' => 'x', 'name' => [2]], ['id' => 1, 'name' => null]] as $definition) {
                $this->assertContains($this->postJson($path, ['version' => 0, 'definition' => $definition])->status(), [409, 422]);
                $this->assertContains($this->postJson($path, ['version' => 1, 'definition' => $definition])->status(), [409, 422]);
            }
            $this->postJson($path, ['version' => '1', 'definition' => ['id' => 'x']])
                ->assertStatus(422)
                ->assertJsonStructure(['errors' => ['version']]);
        }
        $mira = $this->athlete('Mira');
        $this->getJson("/api/athletes/{$mira->id}/homework?ladder[]=volleyball-float-serve")
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['ladder']]);
    }

    #[Group('once')]
    public function test_a_page_that_speaks_for_somebody_else_sends_nothing_under_the_wrong_name(): void
    {
        $sheet = $this->sheetOf('Mira');
        $tap = $this->tap($this->judgedBlock($sheet), 1);
        $coach = $this->coach();
        $this->actingAs($this->person(Role::Assistant))->withHeader(SamePerson::HEADER, $coach->key())
            ->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$tap]])->assertStatus(401)->assertJsonPath('code', 'other_person');
        $this->assertSame(0, RepEvent::query()->where('id', $tap['id'])->count());
        $this->actingAs($coach)
            ->withHeader(SamePerson::HEADER, $coach->key())
            ->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$tap]])
            ->assertOk()
            ->assertJsonCount(1, 'kept');
        $this->assertSame($coach->key(), $this->getJson('/api/me')->json('key'));
    }

    #[Group('once')]
    public function test_counts_that_lie_on_a_device_make_the_dose_that_of_the_unknown_until_they_come(): void
    {
        $this->actingAs($this->coach());
        $mira = $this->athlete('Mira');
        $sheet = $this->sheetOf('Mira');
        $full = $this->judgedBlock($sheet);
        $tell = fn (array $athletes) => $this->postJson(
            '/api/me/missing-counts',
            ['device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c', 'athletes' => $athletes],
        )->assertStatus(204);
        $tell([['athlete_id' => $mira->id, 'count' => 34]]);
        $less = $this->judgedBlock($sheet->refresh());
        $this->assertLessThanOrEqual(0.6 * $full->reps, $less->reps);
        $this->assertLessThanOrEqual(0.5, $less->effort);
        $row = collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Mira');
        $this->assertSame('unknown', $row['word']);
        $this->assertStringContainsString('missing from a device', (string) json_encode($row));
        $tell([]);
        $this->assertSame($full->reps, $this->judgedBlock($sheet->refresh())->reps);

        $tell([['athlete_id' => $mira->id, 'count' => 34]]);
        $this->actingAs($this->person(Role::Assistant))->postJson("/api/athletes/{$mira->id}/missing-counts/give-up")->assertStatus(403);
        $this->actingAs($this->coach())->postJson("/api/athletes/{$mira->id}/missing-counts/give-up")->assertStatus(204);
        $this->assertSame(0, DB::table('missing_counts')->count());
        // Nobody of another club makes anybody unknown here.
        $this->actingAs($this->stranger(Role::Coach))->postJson(
            '/api/me/missing-counts',
            ['device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6d', 'athletes' => [['athlete_id' => $mira->id, 'count' => 3]]],
        )->assertStatus(204);
        $this->assertSame(0, DB::table('missing_counts')->count());
    }

    public function test_what_was_tapped_after_pain_is_kept_and_said(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $moment = fn (int $minutesAgo): array => ['at' => Carbon::now('Europe/Lisbon')->subMinutes($minutesAgo)->toIso8601String()];
        $pack = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk();
        $this->assertNull($pack->json('after_stop'));
        $sharp = [...$this->report('shoulder', 'right', 'sharp', 5, 'during'), ...$moment(3)];
        $this->postJson(
            "/api/sheets/{$sheet->id}/events",
            ['events' => [$this->tap($block, 1, $moment(4)), $this->tap($block, 2, $moment(2)), $this->tap($block, 3, $moment(1))]],
        )->assertOk();
        $this->postJson("/api/athletes/{$sheet->athlete_id}/reports", ['reports' => [$sharp]])->assertNoContent();
        $after = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk();
        $this->assertStringStartsWith('2 repetitions were tapped after the work had to stop at', $after->json('after_stop'));
        $this->assertSame($after->json('after_stop'), $this->getJson("/api/sheets/{$sheet->id}/after")->assertOk()->json('after_stop'));
        $this->assertContains($sharp['id'], $after->json('reports_known'));
        $this->assertNotSame(
            $pack->json('health'),
            $this->getJson("/api/sheets/{$sheet->id}/heard")->json('health'),
            'another device hears of it',
        );
        $this->assertSame($after->json('health'), $this->getJson("/api/sheets/{$sheet->id}/heard")->json('health'));
    }

    /** The table that a device looks up says what the server would: the athlete's own record, school and condition in it. */
    #[Group('once'), Group('shape')]
    public function test_the_stop_table_says_what_the_server_says(): void
    {
        $this->actingAs($this->coach());
        mt_srand(4);
        foreach (['Mira', 'Ravi', 'Noor', 'Yuna'] as $name) {
            [$athlete, $sheet] = [$this->athlete($name), $this->sheetOf($name)];
            if ($name === 'Yuna') {
                $this->actingAs($this->person(Role::Clinician))->postJson(
                    "/api/athletes/{$sheet->athlete_id}/conditions",
                    [
                        'id' => (string) Str::uuid7(),
                        'site' => 'elbow',
                        'side' => 'right',
                        'kind' => 'joint',
                        'up_to_score' => 4,
                        'until_day' => $this->coach()->workspace->today()->plus(20)->iso(),
                        'note' => null,
                    ],
                )->assertOk();
                $this->actingAs($this->coach());
            }
            $pack = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json();
            $block = collect($pack['blocks'])->firstWhere('judged', true) ?? $pack['blocks'][0] ?? null;
            for ($i = 0; $block !== null && $i < 12; $i++) {
                $place = mt_rand(0, count($pack['stops']['places']) - 1);
                $moment = ['morning', 'warmup', 'during', 'after'][mt_rand(0, 3)];
                $row = collect($pack['stops']['rows'])
                    ->where('load', "{$block['load']}|dominant")
                    ->where('moment', $pack['stops']['moments'][$moment])
                    ->values()[mt_rand(0, 7)];
                $score = mt_rand(0, 10);
                $at = fn (string $from): bool => $from[$place] !== '-' && $score >= (int) base_convert($from[$place], 36, 10);
                $looked = $at($row['refer']) ? 'refer' : ($at($row['none']) ? 'none' : 'goes on');
                [$site, $side] = explode('|', $pack['stops']['places'][$place]);
                $report = $this->report($site, $side === '' ? null : $side, $row['kind'], $score, $moment);
                $this->postJson("/api/athletes/{$sheet->athlete_id}/reports", ['reports' => [$report]])->assertNoContent();
                $loaded = array_map(fn (string $channel): Channel => Channel::from($channel), explode(',', $block['load']));
                $word = (new AthleteDay($athlete, $this->coach()->workspace->today()))->readiness->forWork(
                    $loaded,
                    $athlete->throwing_side->value,
                );
                DB::table('soreness_reports')->where('id', $report['id'])->delete();
                $said = $word->allowsWork() ? 'goes on' : $word->value;
                $this->assertSame($said, $looked, "{$name}: {$site} {$side} {$row['kind']} {$score} {$moment}");
            }
        }
    }
}
