<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\Picture;
use Augendo\Core\Frames\Point;
use Augendo\Core\Library\Handedness;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Who agreed to be filmed, what is measured of a clip, and what of it is evidence. */
#[Group('once')]
final class FilmTest extends TestCase
{
    private Athlete $mira;

    private string $film;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mira = $this->athlete('Mira');
        $this->film = "/api/athletes/{$this->mira->id}/film";
        $this->actingAs($this->coach());
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed> a paper as the coach enters it
     */
    private function paper(string $role, array $with = []): array
    {
        return [
            'id' => (string) Str::uuid7(), 'kind' => 'measure', 'pictures' => false, 'role' => $role,
            'given_by' => "Signed for {$role}", 'second_person' => 'Felix Moreau',
            'given_on' => $this->coach()->workspace->today()->iso(), ...$with,
        ];
    }

    private function agreed(): void
    {
        foreach (['guardian', 'athlete'] as $role) {
            $this->postJson("{$this->film}/consents", $this->paper($role))->assertOk();
        }
    }

    /** @return array<string, array{float, float, float}> an arm bent to so many degrees at the elbow */
    private static function arm(float $degrees): array
    {
        $turn = deg2rad(180 - $degrees);

        return [
            'right_shoulder' => [400.0, 300.0, 1.0], 'right_elbow' => [500.0, 300.0, 1.0],
            'right_wrist' => [500 + 100 * cos($turn), 300 - 100 * sin($turn), 1.0],
        ];
    }

    /**
     * @param  array<int, float>  $elbows  degrees at contact by repetition
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function clip(array $elbows, array $with = []): array
    {
        $marks = [];
        foreach ($elbows as $rep => $degrees) {
            $marks[] = [
                'rep' => $rep, 'moment' => 'back', 'picture_no' => 20 * $rep, 'time_s' => $rep / 3,
                'points' => ['ball' => [300.0, 90.0, 1.0]],
            ];
            $marks[] = [
                'rep' => $rep, 'moment' => 'contact', 'picture_no' => 20 * $rep + 9, 'time_s' => $rep / 3 + 0.15,
                'points' => self::arm($degrees),
            ];
        }
        $ladder = $this->getJson($this->film)->json('ladders.0');

        return [
            'id' => (string) Str::uuid7(), 'ladder' => $ladder['id'], 'rung' => $ladder['rung'],
            'filmed_on' => $this->coach()->workspace->today()->iso(), 'pictures_a_second' => 60,
            'setting' => ['target' => 'right', 'plumb' => null, 'runway' => null, 'scale' => null],
            'marks' => $marks, 'seen' => [], 'pictures' => [], 'counted' => [], ...$with,
        ];
    }

    public function test_a_camera_opens_when_the_guardian_and_from_twelve_on_the_athlete_have_agreed(): void
    {
        $film = $this->getJson($this->film)->assertOk()->json();
        $this->assertFalse($film['may_film']);
        $this->assertCount(2, $film['missing'], 'Mira is seventeen.');
        $this->postJson("{$this->film}/clips", $this->clip([1 => 170]))->assertStatus(409)->assertJsonPath('title', 'Not agreed to');
        $alone = ['second_person' => null];
        $this->postJson("{$this->film}/consents", $this->paper('guardian', $alone))->assertStatus(422);
        $same = ['second_person' => 'signed for GUARDIAN '];
        $this->postJson("{$this->film}/consents", $this->paper('guardian', $same))
            ->assertStatus(422)
            ->assertJsonPath('errors.second_person.0', 'Who saw it signed?');
        $guardian = $this->paper('guardian');
        $this->postJson("{$this->film}/consents", $guardian)->assertOk();
        $this->postJson("{$this->film}/consents", $guardian)->assertOk()->assertJsonCount(1, 'consents')->assertJsonPath('may_film', false);
        $this->postJson("{$this->film}/consents", $this->paper('athlete'))->assertOk()->assertJsonPath('may_film', true);
        $this->postJson("{$this->film}/clips", $this->clip([1 => 170]))->assertOk();
        // Taken back, the camera shuts; what was measured stays as numbers.
        $this->postJson("{$this->film}/consents/{$guardian['id']}/withdraw")
            ->assertOk()
            ->assertJsonPath('may_film', false)
            ->assertJsonCount(1, 'clips');
        $this->postJson("{$this->film}/clips", $this->clip([1 => 170]))->assertStatus(409);
        $this->assertStringContainsString('Withdrawn on', implode(' ', $this->getJson($this->film)->json('consents.*.sentence')));
    }

    public function test_people_agree_for_themselves_and_nobody_for_others(): void
    {
        $noor = "/api/athletes/{$this->athlete('Noor')->id}/film";
        $lie = $this->paper('athlete', ['given_by' => 'Somebody else']);
        $said = $this->actingAs($this->person(Role::Guardian))->postJson("{$noor}/consents", $lie)->assertOk()->json();
        $this->assertStringStartsWith('Leila Haddad (guardian)', $said['consents'][0]['sentence']);
        $this->assertSame(['athlete'], array_values(array_diff($said['asked'], ['guardian'])));
        $this->assertFalse($said['may_film']);
        $yuna = $this->athlete('Yuna');
        $this->actingAs($this->person(Role::Athlete))
            ->postJson("/api/athletes/{$yuna->id}/film/consents", $this->paper('guardian'))
            ->assertOk()
            ->assertJsonPath('may_film', true);
        $this->postJson("{$noor}/consents", $this->paper('guardian'))->assertNotFound();
        $this->actingAs($this->person(Role::Assistant))->postJson("{$this->film}/consents", $this->paper('guardian'))->assertForbidden();
        $id = $said['consents'][0]['id'];
        $this->actingAs($this->coach())->postJson("{$this->film}/consents/{$id}/withdraw")->assertNotFound();
    }

    public function test_a_personal_page_asks_whoever_holds_it_and_a_link_of_nobody_is_asked_nothing(): void
    {
        $token = fn (?string $heldBy): string => $this->actingAs($this->coach())
            ->postJson("/api/athletes/{$this->mira->id}/links", ['label' => 'phone', 'held_by' => $heldBy])
            ->assertOk()
            ->json('token');
        $page = fn (string $of): array => ['X-Link-Token' => $of];
        $nobodys = $token(null);
        $this->getJson('/api/link/check-in', $page($nobodys))->assertOk()->assertJsonPath('film', null);
        $yes = fn (): array => [
            'id' => (string) Str::uuid7(), 'kind' => 'measure', 'pictures' => false, 'agrees' => true, 'name' => 'A parent',
        ];
        $this->postJson('/api/link/film', $yes(), $page($nobodys))->assertForbidden();
        $mothers = $token('guardian');
        $this->getJson('/api/link/check-in', $page($mothers))
            ->assertJsonPath('film.agreed', false)
            ->assertJsonPath('film.as_athlete', false);
        $this->postJson('/api/link/film', ['name' => null] + $yes(), $page($mothers))->assertStatus(422);
        $this->postJson('/api/link/film', $yes(), $page($mothers))->assertOk()->assertJsonPath('film.agreed', true);
        $this->postJson('/api/link/film', $yes(), $page($token('athlete')))->assertOk()->assertJsonPath('film.as_athlete', true);
        $this->getJson($this->film)->assertJsonPath('may_film', true);
        $no = ['agrees' => false, 'name' => null] + $yes();
        $this->postJson('/api/link/film', $no, $page($mothers))->assertOk()->assertJsonPath('film.agreed', false);
        $this->getJson($this->film)->assertJsonPath('may_film', false);
    }

    public function test_what_is_told_of_a_clip_is_what_the_core_makes_of_its_points(): void
    {
        $this->agreed();
        $clip = $this->clip([1 => 172.0, 2 => 120.0, 3 => 150.5]);
        $this->postJson("{$this->film}/clips", $clip)->assertOk();
        $kept = $this->postJson("{$this->film}/clips", $clip)->assertOk()->assertJsonCount(1, 'clips')->json('clips.0');
        $figures = array_map(fn (array $rep): array => $rep['figures'][0], $kept['reps']);
        $this->assertSame(['contact', 'contact', 'contact'], array_column($figures, 'checkpoint'));
        $this->assertSame(['right', 'wrong', 'uncertain'], array_column($figures, 'look'));
        $this->assertEqualsWithDelta(172.0, $figures[0]['value'], 1e-6);
        $picture = new Picture(
            new Landmarks(array_map(fn (array $at): Point => new Point($at[0], $at[1]), self::arm(172.0))),
            Handedness::Right, Handedness::Right,
        );
        $spread = FrameFigure::ThrowingElbow->spread($picture, array_fill_keys(array_keys(self::arm(172.0)), 1.0));
        $this->assertEqualsWithDelta($spread, $figures[0]['spread'], 1e-9);
        $this->assertSame(['Arm back to contact: 0.15 s'], $kept['reps'][0]['times']);
        // Filmed nobody knows how fast: no time is told.
        $slow = $this->clip([1 => 172.0], ['pictures_a_second' => null]);
        $this->assertSame([], $this->postJson("{$this->film}/clips", $slow)->json('clips.0.reps.0.times'));
        $this->postJson("{$this->film}/clips/{$clip['id']}/withdraw")->assertOk()->assertJsonCount(1, 'clips');
        $this->postJson("{$this->film}/clips/{$clip['id']}/withdraw")->assertNotFound();
        $noor = $this->athlete('Noor')->id;
        $this->postJson("/api/athletes/{$noor}/film/clips/{$slow['id']}/withdraw")->assertNotFound();
    }

    public function test_a_clip_that_makes_no_sense_is_refused_with_the_place(): void
    {
        $this->agreed();
        $clip = $this->clip([1 => 170.0]);
        $mark = $clip['marks'][1];
        $line = [[1.0, 2.0], [1.0, 2.0]];
        $refused = [
            ['marks' => []] + $clip, ['marks' => [['moment' => 'yodel'] + $mark]] + $clip,
            ['marks' => [['points' => ['left_ear' => [1, 2, 1]]] + $mark]] + $clip,
            ['marks' => [['points' => ['ball' => [1, 2]]] + $mark]] + $clip,
            ['marks' => [['points' => ['ball' => [1, 'x', 1]]] + $mark]] + $clip,
            ['seen' => [['rep' => 1, 'checkpoint' => 'yodel', 'verdict' => 'right']]] + $clip,
            ['setting' => ['plumb' => $line] + $clip['setting']] + $clip,
            ['setting' => ['scale' => ['line' => [[0, 0], [9, 9]], 'metres' => 0]] + $clip['setting']] + $clip,
            ['filmed_on' => $this->coach()->workspace->today()->plus(1)->iso()] + $clip, ['rung' => 'nowhere'] + $clip,
        ];
        foreach ($refused as $i => $each) {
            $status = $this->postJson("{$this->film}/clips", $each)->status();
            $this->assertSame(422, $status, "case {$i}");
        }
        $this->assertSame(0, DB::table('clips')->count());
        $this->actingAs($this->stranger(Role::Coach))->postJson("{$this->film}/clips", $clip)->assertNotFound();
    }

    public function test_a_named_repetition_is_looked_at_once_more_and_all_of_a_clip_count_or_none(): void
    {
        $this->agreed();
        [$sheet, $ids] = $this->countedReps(['good', 'good', 'unobserved']);
        // Looked at afterwards: the session is over by then.
        Sheet::query()->whereKey($sheet->id)->update(['state' => 'finished']);
        $choices = $this->getJson($this->film)->json('ladders.0.counted');
        $this->assertContains($ids[0], array_column($choices, 'id'));
        $named = fn (array $reps): array => array_map(
            fn (int $rep): array => ['rep' => $rep, 'event_id' => $ids[$rep - 1]], array_values($reps),
        );
        $send = fn (array $clip): \Illuminate\Testing\TestResponse => $this->postJson("{$this->film}/clips", $clip);
        $send($this->clip([1 => 120, 2 => 170], ['counted' => $named([1])]))->assertStatus(422);
        $send($this->clip([1 => 120, 2 => 170], ['counted' => $named([1, 2])]))->assertStatus(422)
            ->assertJsonPath('errors.counted.0', 'Repetition 2 is missing.');
        $this->assertSame(0, DB::table('clips')->count(), 'Nothing of it was kept.');
        $twice = [['rep' => 1, 'event_id' => $ids[0]], ['rep' => 2, 'event_id' => $ids[0]]];
        $send($this->clip([1 => 120, 2 => 120], ['counted' => $twice]))->assertStatus(422);
        $looked = [['rep' => 2, 'checkpoint' => 'contact', 'verdict' => 'right']];
        $send($this->clip([1 => 120, 2 => 170], ['counted' => $named([1, 2]), 'seen' => $looked]))->assertOk();
        $this->assertSame(['not_good', 'good', 'unobserved'], $this->verdicts($sheet, $ids));
        // What was measured alone makes nothing right, and a clip judges what nobody saw only where everything was seen.
        $all = array_map(fn (string $id): array => ['rep' => 1, 'checkpoint' => $id, 'verdict' => 'right'], $this->checkpoints());
        $send($this->clip([1 => 170], ['counted' => [['rep' => 1, 'event_id' => $ids[2]]], 'seen' => $all]))->assertOk();
        $this->assertSame(['not_good', 'good', 'good'], $this->verdicts($sheet, $ids));
        $gone = [['rep' => 1, 'event_id' => (string) Str::uuid7()]];
        $send($this->clip([1 => 120], ['counted' => $gone]))->assertNotFound();
    }

    public function test_under_sixteen_a_clip_makes_nothing_good_that_nobody_saw_on_court(): void
    {
        $this->mira->update(['birth_date' => $this->coach()->workspace->today()->plus(-15 * 365)->iso()]);
        $this->agreed();
        [$sheet, $ids] = $this->countedReps(['unobserved']);
        $all = array_map(fn (string $id): array => ['rep' => 1, 'checkpoint' => $id, 'verdict' => 'right'], $this->checkpoints());
        $clip = $this->clip([1 => 170], ['counted' => [['rep' => 1, 'event_id' => $ids[0]]], 'seen' => $all]);
        $this->postJson("{$this->film}/clips", $clip)->assertOk();
        $this->assertSame(['unobserved'], $this->verdicts($sheet, $ids));
    }

    public function test_a_review_is_read_behind_a_link_and_becomes_the_focus_until_it_is_taken_back(): void
    {
        $this->agreed();
        $clip = $this->clip([1 => 120.0]);
        $this->postJson("{$this->film}/clips", $clip)->assertOk();
        $faults = array_column($this->getJson($this->film)->json('ladders.0.faults'), 'id');
        $asked = array_slice($faults, -2);
        $review = [
            'id' => (string) Str::uuid7(), 'ladder' => $clip['ladder'], 'rung' => $clip['rung'], 'next_time' => 'From behind',
            'points' => array_map(
                fn (string $fault): array => ['clip_id' => $clip['id'], 'rep' => 1, 'moment' => 'contact', 'fault' => $fault], $asked,
            ),
            'label' => 'Mira’s phone',
        ];
        $point = $review['points'][0];
        foreach ([
            ['points' => []], ['points' => [$point, $point]], ['points' => [['fault' => 'yodel'] + $point]],
            ['points' => [['clip_id' => (string) Str::uuid7()] + $point]], ['rung' => 'nowhere'], ['label' => ''],
        ] as $wrong) {
            $this->postJson("{$this->film}/reviews", $wrong + $review)->assertStatus(422);
        }
        $sent = $this->postJson("{$this->film}/reviews", $review)->assertOk()->json();
        $opens = ['X-Link-Token' => $sent['token'], 'X-Link-Word' => " {$sent['word']} "];
        $this->postJson("{$this->film}/reviews", $review)->assertStatus(409);
        // Mira is seventeen: the link alone opens nothing.
        foreach ([[], ['X-Link-Word' => 'badigo']] as $wrong) {
            $this->getJson('/api/link/film-review', ['X-Link-Token' => $sent['token']] + $wrong)->assertForbidden();
        }
        $page = $this->getJson('/api/link/film-review', $opens)->assertOk()->json();
        $this->assertSame(['Mira', 'From behind'], [$page['given_name'], $page['next_time']]);
        $this->assertCount(2, $page['points']);
        $this->assertCount(3, $page['points'][0]['points'], 'The arm, drawn from its points.');
        $this->assertStringContainsString('Not opened yet.', $this->getJson($this->film)->json('reviews.0.sentence'));
        $this->postJson('/api/link/film-review/opened', [], ['X-Link-Token' => $sent['token']])->assertForbidden();
        $this->postJson('/api/link/film-review/opened', [], $opens)->assertNoContent();
        $this->assertStringContainsString('Opened once.', $this->getJson($this->film)->json('reviews.0.sentence'));
        // What opens a check-in opens no review, and the other way round.
        $this->getJson('/api/link/check-in', $opens)->assertNotFound();
        $focus = fn (): array => $this->getJson("/api/sheets/{$this->sheetOf('Mira')->id}")->assertOk()->json('focus.*.id');
        $this->postJson("/api/sheets/{$this->sheetOf('Mira')->id}/fit", ['version' => $this->sheetOf('Mira')->version])->assertOk();
        $this->assertSame($asked, array_values(array_intersect($focus(), $asked)));
        // Who agreed takes it back: the words stay, and nobody is drawn.
        $consent = $this->getJson($this->film)->json('consents.0.id');
        $this->postJson("{$this->film}/consents/{$consent}/withdraw")->assertOk();
        $this->assertSame([], $this->getJson('/api/link/film-review', $opens)->json('points.0.points'));
        $this->postJson("{$this->film}/reviews/{$review['id']}/withdraw")->assertOk()->assertJsonPath('reviews', []);
        $this->getJson('/api/link/film-review', $opens)->assertNotFound();
        $this->postJson("{$this->film}/reviews/{$review['id']}/withdraw")->assertNotFound();
    }

    /** @return list<string> */
    private function checkpoints(): array
    {
        return $this->getJson($this->film)->json('ladders.0.checkpoints.*.id');
    }

    /**
     * @param  list<string>  $verdicts
     * @return array{Sheet, list<string>} the sheet, and the ids of the taps
     */
    private function countedReps(array $verdicts): array
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $taps = array_map(
            fn (int $i): array => $this->tap($block, $i + 1, ['verdict' => $verdicts[$i]]), array_keys($verdicts),
        );
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $taps])->assertOk();

        return [$sheet, array_column($taps, 'id')];
    }

    /**
     * @param  list<string>  $ids
     * @return list<string>
     */
    private function verdicts(Sheet $sheet, array $ids): array
    {
        $standing = \Augendo\Core\Courtside\TapFold::standing($sheet->load('events')->taps());
        $by = array_column($standing, 'verdict', 'id');

        return array_map(fn (string $id): string => $by[$id], $ids);
    }
}
