<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Film\FilmFiles;
use App\People\Role;
use App\Sessions\FitTheDay;
use Augendo\Core\Frames\SentClip;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\TestCase;
use ZipArchive;

/** Pictures that leave the device: single ones cut to the athlete, and a clip a coach asked for. Gone with the consent, from the disk. */
#[Group('once')]
final class FilmPicturesTest extends TestCase
{
    private const PLACE = 'GPS 38.7 N 9.1 W';

    private Athlete $mira;

    private string $film;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mira = $this->athlete('Mira');
        $this->film = "/api/athletes/{$this->mira->id}/film";
        $this->actingAs($this->coach());
    }

    public function test_a_picture_is_saved_where_that_was_agreed_to_and_without_what_the_device_wrote_into_it(): void
    {
        $this->agreed(pictures: false);
        $clip = $this->clip([$this->jpeg()]);
        $this->postJson("{$this->film}/clips", $clip)->assertStatus(409)->assertJsonPath('title', 'Not agreed to');
        $this->assertSame(0, DB::table('clips')->count(), 'nothing of it was kept');
        $this->agreed(pictures: true);
        $this->postJson("{$this->film}/clips", $clip)->assertOk()->assertJsonPath('may_keep_pictures', true);
        $kept = $this->postJson("{$this->film}/clips", $clip)->assertOk()->json('clips.0.reps.0.marks.0');
        $picture = $this->get("{$this->film}/pictures/{$kept['picture']}")->assertOk();
        $this->assertSame(['image/jpeg', 'no-store, private'], [
            $picture->headers->get('Content-Type'), $picture->headers->get('Cache-Control'),
        ]);
        $this->assertStringContainsString(self::PLACE, $this->jpeg());
        $this->assertStringNotContainsString(self::PLACE, (string) $picture->getContent());
        $this->assertSame([64, 48], array_slice((array) getimagesizefromstring((string) $picture->getContent()), 0, 2));
        $export = $this->get(str_replace('/film', '/export.zip', $this->film))->assertOk()->baseResponse;
        $zip = new ZipArchive;
        $this->assertTrue($zip->open($export instanceof BinaryFileResponse ? $export->getFile()->getPathname() : ''));
        $this->assertSame($picture->getContent(), $zip->getFromName("pictures/{$kept['picture']}.jpg"));
        $noor = $this->athlete('Noor')->id;
        $this->get("/api/athletes/{$noor}/film/pictures/{$kept['picture']}")->assertNotFound();
        $this->actingAs($this->stranger(Role::Coach))->get("{$this->film}/pictures/{$kept['picture']}")->assertNotFound();
    }

    public function test_what_is_no_picture_of_a_marked_moment_is_refused_and_nothing_is_left_on_the_disk(): void
    {
        $this->agreed(pictures: true);
        $clip = $this->clip([$this->jpeg()]);
        $wrong = [
            ['rep' => 2, 'moment' => 'contact', 'jpeg' => base64_encode($this->jpeg())],
            ['rep' => 1, 'moment' => 'contact', 'jpeg' => base64_encode('no picture')],
            ['rep' => 1, 'moment' => 'contact', 'jpeg' => base64_encode('<svg onload="x()"/>')],
            ['rep' => 1, 'moment' => 'contact', 'jpeg' => 'not base64'],
            ['rep' => 1, 'moment' => 'contact', 'jpeg' => base64_encode($this->jpeg(1300))],
        ];
        foreach ($wrong as $i => $picture) {
            $two = [...$clip['pictures'], $picture];
            $this->assertSame(422, $this->postJson("{$this->film}/clips", ['pictures' => $two] + $clip)->status(), "case {$i}");
        }
        $this->assertSame([], Storage::disk('film')->allFiles());
    }

    public function test_with_the_consent_the_pictures_go_from_the_disk_and_what_was_measured_says_so(): void
    {
        $this->agreed(pictures: true);
        $clip = $this->clip([$this->jpeg()]);
        $id = $this->postJson("{$this->film}/clips", $clip)->assertOk()->json('clips.0.reps.0.marks.0.picture');
        $this->assertCount(1, Storage::disk('film')->allFiles());
        $review = $this->review($clip);
        $this->assertNotNull($this->getJson('/api/link/film-review', $review)->assertOk()->json('points.0.jpeg'));
        $consent = collect($this->getJson($this->film)->json('consents'))->where('holds', true)->value('id');
        $after = $this->postJson("{$this->film}/consents/{$consent}/withdraw")->assertOk()->json('clips.0.reps.0.marks.0');
        $this->assertSame([], Storage::disk('film')->allFiles());
        $this->assertNull($after['picture']);
        $this->assertStringStartsWith('Picture withdrawn on ', $after['picture_gone']);
        $this->get("{$this->film}/pictures/{$id}")->assertNotFound();
        $this->assertNull($this->getJson('/api/link/film-review', $review)->assertOk()->json('points.0.jpeg'));
    }

    public function test_with_the_clip_and_with_the_athlete_the_pictures_go_as_well(): void
    {
        $this->agreed(pictures: true);
        $one = $this->clip([$this->jpeg()]);
        $this->postJson("{$this->film}/clips", $one)->assertOk();
        $this->postJson("{$this->film}/clips", $this->clip([$this->jpeg()]))->assertOk();
        $this->assertCount(2, Storage::disk('film')->allFiles());
        $this->postJson("{$this->film}/clips/{$one['id']}/withdraw")->assertOk();
        $this->assertCount(1, Storage::disk('film')->allFiles());
        app(\App\Athletes\Privacy::class)->erase($this->mira, $this->coach());
        $this->assertSame([], Storage::disk('film')->allFiles());
        $this->assertSame(0, DB::table('film_pictures')->count());
    }

    public function test_a_clip_is_sent_in_when_it_was_asked_for_and_agreed_to_and_is_gone_with_the_review(): void
    {
        $this->agreed(pictures: false);
        [$mothers, $own] = [$this->page('guardian'), $this->page('athlete')];
        $asked = $this->askForClip();
        $part = "/api/link/film-clips/{$asked}/parts";
        [$first, $second] = [$this->mp4(), random_bytes(500)];
        $bytes = fn (string $of): array => ['base64' => base64_encode($of)];
        $this->putJson("{$part}/0", $bytes($first), $mothers)->assertStatus(409)->assertJsonPath('title', 'Not agreed to');
        foreach ([$mothers, $own] as $side) {
            $this->getJson('/api/link/check-in', $side)->assertJsonPath('film.clip.agreed', false)->assertJsonPath('film.sends', false);
            $yes = ['id' => (string) Str::uuid7(), 'kind' => 'send', 'pictures' => false, 'agrees' => true, 'name' => 'Somebody'];
            $this->postJson('/api/link/film', $yes, $side)->assertOk()->assertJsonPath('film.sends', true);
        }
        $this->putJson("{$part}/0", $bytes($first), $mothers)->assertNoContent();
        $this->postJson("/api/link/film-clips/{$asked}", ['parts' => 2], $mothers)->assertStatus(400);
        $this->putJson("{$part}/1", $bytes($second), $mothers)->assertNoContent();
        $this->putJson("{$part}/0", $bytes($first), $mothers)->assertNoContent();
        foreach (range(1, 2) as $_) {
            $this->postJson("/api/link/film-clips/{$asked}", ['parts' => 2], $mothers)->assertOk()->assertJsonPath('film.clip.sent', true);
        }
        $this->putJson("{$part}/1", $bytes('more'), $mothers)->assertStatus(422);
        $sent = $this->get("{$this->film}/asked-clips/{$asked}")->assertOk();
        $this->assertSame($first.$second, $sent->streamedContent());
        $noors = "/api/athletes/{$this->athlete('Noor')->id}/links";
        $noor = $this->postJson($noors, ['label' => 'x', 'held_by' => 'guardian'])->json('token');
        $this->putJson("{$part}/0", $bytes($first), ['X-Link-Token' => $noor])->assertStatus(422);
        foreach ([Role::Assistant, Role::Clinician] as $role) {
            $this->assertContains($this->actingAs($this->person($role))->get("{$this->film}/asked-clips/{$asked}")->status(), [403, 404]);
        }
        $this->actingAs($this->coach());
        $clip = $this->clip([]);
        $this->postJson("{$this->film}/clips", $clip)->assertOk();
        $this->postJson("{$this->film}/asked-clips/{$asked}/keep", ['kept' => true])->assertOk()->assertJsonPath('asked_clip.kept', true);
        $this->review($clip);
        $this->assertCount(1, Storage::disk('film')->allFiles(), 'it stays where the coach said so');
        $this->postJson("{$this->film}/asked-clips/{$asked}/keep", ['kept' => false])->assertOk();
        $this->review($clip);
        $this->assertSame([], Storage::disk('film')->allFiles());
        $this->get("{$this->film}/asked-clips/{$asked}")->assertNotFound();
    }

    public function test_one_clip_at_a_time_two_days_long_and_nothing_but_a_clip(): void
    {
        $this->agreed(pictures: false);
        $this->agreed(pictures: false, kind: 'send');
        $page = $this->page('guardian');
        $asked = $this->askForClip();
        $again = ['id' => (string) Str::uuid7(), 'ladder' => $this->ladder()['id'], 'what' => 'Five more'];
        $this->postJson("{$this->film}/asked-clips", $again)->assertStatus(409);
        $this->postJson("{$this->film}/asked-clips", ['what' => ''] + $again)->assertStatus(422);
        $this->putJson("/api/link/film-clips/{$asked}/parts/0", ['base64' => base64_encode('#!/bin/sh')], $page)->assertNoContent();
        $this->postJson("/api/link/film-clips/{$asked}", ['parts' => 1], $page)->assertStatus(422);
        $this->assertSame([], Storage::disk('film')->allFiles(), 'nothing of it is kept');
        $this->putJson("/api/link/film-clips/{$asked}/parts/0", ['base64' => base64_encode($this->mp4())], $page)->assertNoContent();
        // Withdrawn while it is being sent, what has come is gone.
        $consent = collect($this->getJson($this->film)->json('consents'))->first(
            fn (array $each): bool => $each['holds'] && str_contains($each['sentence'], 'sent in'),
        );
        $this->postJson("{$this->film}/consents/{$consent['id']}/withdraw")->assertOk()->assertJsonPath('asked_clip', null);
        $this->assertSame([], Storage::disk('film')->allFiles());
        $this->agreed(pictures: false, kind: 'send');
        $late = $this->askForClip();
        $this->putJson("/api/link/film-clips/{$late}/parts/0", ['base64' => base64_encode($this->mp4())], $page)->assertNoContent();
        $this->travel(SentClip::OPEN_HOURS + 1)->hours();
        $this->putJson("/api/link/film-clips/{$late}/parts/1", ['base64' => base64_encode('x')], $page)->assertStatus(422);
        $this->postJson("{$this->film}/asked-clips", $again)->assertOk()->assertJsonPath('asked_clip.what', 'Five more');
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertSame([], Storage::disk('film')->allFiles(), 'what did not come in time is forgotten');
        $this->postJson("{$this->film}/asked-clips/{$again['id']}/end")->assertOk()->assertJsonPath('asked_clip', null);
    }

    public function test_a_clip_of_many_parts_comes_through_and_what_no_row_knows_of_is_swept(): void
    {
        $this->agreed(pictures: true);
        $this->agreed(pictures: false, kind: 'send');
        $asked = $this->askForClip();
        $page = $this->page('guardian');
        foreach (range(0, 39) as $no) {
            $bytes = ['base64' => base64_encode($no === 0 ? $this->mp4() : 'more')];
            $this->putJson("/api/link/film-clips/{$asked}/parts/{$no}", $bytes, $page)->assertNoContent();
        }
        $this->putJson("/api/link/film-clips/{$asked}/parts/100", ['base64' => 'eA=='], $page)->assertNotFound();
        $this->postJson("/api/link/film-clips/{$asked}", ['parts' => 40], $page)->assertOk();
        $this->postJson("{$this->film}/clips", $this->clip([$this->jpeg()]))->assertOk();
        $wanted = Storage::disk('film')->allFiles();
        $this->assertCount(2, $wanted);
        [$one, $other] = [(string) Str::uuid7(), (string) Str::uuid7()];
        Storage::disk('film')->put("pictures/{$one}.jpg", 'left over');
        Storage::disk('film')->put("sent/{$other}/3", 'left over');
        FilmFiles::sweep();
        $this->assertEqualsCanonicalizing($wanted, Storage::disk('film')->allFiles());
    }

    /** A clip that came stays as little as a picture does when measuring itself is taken back; one nobody sent yet stays asked for. */
    public function test_with_the_consent_to_measure_a_clip_that_was_sent_goes_as_well(): void
    {
        $this->agreed(pictures: false);
        $asked = $this->askForClip();
        $paper = [
            'id' => (string) Str::uuid7(), 'kind' => 'measure', 'pictures' => false, 'role' => 'guardian', 'given_by' => 'An old paper',
            'second_person' => 'Felix Moreau', 'given_on' => $this->coach()->workspace->today()->iso(),
        ];
        $this->postJson("{$this->film}/consents", $paper)->assertOk();
        $this->postJson("{$this->film}/consents/{$paper['id']}/withdraw")->assertOk()->assertJsonPath('asked_clip.id', $asked);
        $this->agreed(pictures: false, kind: 'send');
        $page = $this->page('guardian');
        $this->putJson("/api/link/film-clips/{$asked}/parts/0", ['base64' => base64_encode($this->mp4())], $page)->assertNoContent();
        $this->postJson("/api/link/film-clips/{$asked}", ['parts' => 1], $page)->assertOk();
        $no = ['id' => (string) Str::uuid7(), 'kind' => 'measure', 'pictures' => false, 'agrees' => false, 'name' => null];
        $this->postJson('/api/link/film', $no, $page)->assertOk()->assertJsonPath('film.clip', null);
        $this->assertSame([], Storage::disk('film')->allFiles());
        $this->assertNotNull(DB::table('asked_clips')->where('id', $asked)->value('ended_at'));
    }

    public function test_a_clip_nobody_reviewed_is_deleted_after_a_fortnight(): void
    {
        $this->agreed(pictures: false);
        $this->agreed(pictures: false, kind: 'send');
        $asked = $this->askForClip();
        $page = $this->page('guardian');
        $webm = ['base64' => base64_encode("\x1A\x45\xDF\xA3webm")];
        $this->putJson("/api/link/film-clips/{$asked}/parts/0", $webm, $page)->assertNoContent();
        $this->postJson("/api/link/film-clips/{$asked}", ['parts' => 1], $page)->assertOk();
        Carbon::setTestNow(Carbon::now()->addDays(SentClip::STAYS_DAYS - 1));
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertNotNull(FilmFiles::clip($asked));
        Carbon::setTestNow(Carbon::now()->addDays(2));
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertNull(FilmFiles::clip($asked));
    }

    public function test_who_holds_the_page_looks_first_and_reads_how_far_the_coach_agrees(): void
    {
        $this->agreed(pictures: true);
        $checkpoint = collect($this->ladder()['checkpoints'])->first(fn (array $of): bool => $of['measure'] !== null);
        $clip = $this->clip([]);
        $clip['marks'] = array_map(fn (int $rep): array => [
            'rep' => $rep, 'moment' => $checkpoint['measure']['moment'], 'picture_no' => $rep, 'time_s' => $rep / 10,
            'points' => ['ball' => [300.0, 90.0, 1.0]],
        ], [1, 2]);
        $said = fn (int $rep, string $verdict): array => ['rep' => $rep, 'checkpoint' => $checkpoint['id'], 'verdict' => $verdict];
        $clip['seen'] = [$said(1, 'right'), $said(2, 'wrong')];
        $this->postJson("{$this->film}/clips", $clip)->assertOk();
        $page = $this->review($clip);
        $looks = $this->getJson('/api/link/film-review', $page)->assertOk()->json('looks');
        $this->assertSame([[1, null, null], [2, null, null]], array_map(
            fn (array $look): array => [$look['rep'], $look['own'], $look['coach']], $looks,
        ), 'the coach’s word is not told before');
        $own = fn (int $rep, string $verdict): array => ['clip_id' => $clip['id'], ...$said($rep, $verdict)];
        $say = fn (array $of, array $with) => $this->postJson('/api/link/film-review/looks', ['looks' => $of], $with);
        $say([$own(1, 'right')], ['X-Link-Token' => $page['X-Link-Token']])->assertForbidden();
        $first = $say([$own(1, 'right')], $page)->assertOk();
        $this->assertSame(['right', null], [$first->json('looks.0.coach'), $first->json('looks.1.coach')]);
        $both = $say([$own(1, 'wrong'), $own(2, 'right'), ['rep' => 9] + $own(2, 'right')], $page)->assertOk();
        $this->assertSame('You two agree on 1 of 2.', $both->json('agreement'), 'the first answer stands');
        $this->assertStringEndsWith('Saw 1 of 2 as you did.', $this->getJson($this->film)->json('reviews.0.sentence'));
        $say([], $page)->assertStatus(422);
    }

    private function agreed(bool $pictures, string $kind = 'measure'): void
    {
        foreach (['guardian', 'athlete'] as $role) {
            $this->postJson("{$this->film}/consents", [
                'id' => (string) Str::uuid7(), 'kind' => $kind, 'pictures' => $pictures, 'role' => $role, 'given_by' => "By {$role}",
                'second_person' => 'Felix Moreau', 'given_on' => $this->coach()->workspace->today()->iso(),
            ])->assertOk();
        }
    }

    /** @return array<string, mixed> */
    private function ladder(): array
    {
        return $this->getJson($this->film)->json('ladders.0');
    }

    private function askForClip(): string
    {
        $id = (string) Str::uuid7();
        $this->postJson("{$this->film}/asked-clips", ['id' => $id, 'ladder' => $this->ladder()['id'], 'what' => 'Five serves'])
            ->assertOk()
            ->assertJsonPath('asked_clip.id', $id);

        return $id;
    }

    /** @return array<string, string> headers of a personal page */
    private function page(string $heldBy): array
    {
        $made = $this->postJson("/api/athletes/{$this->mira->id}/links", ['label' => 'phone', 'held_by' => $heldBy])->assertOk();

        return ['X-Link-Token' => $made->json('token')];
    }

    /**
     * @param  list<string>  $pictures  bytes, of the moment of contact
     * @return array<string, mixed>
     */
    private function clip(array $pictures): array
    {
        $ladder = $this->ladder();

        return [
            'id' => (string) Str::uuid7(), 'ladder' => $ladder['id'], 'rung' => $ladder['rung'],
            'filmed_on' => $this->coach()->workspace->today()->iso(), 'pictures_a_second' => 60,
            'setting' => ['target' => 'right', 'plumb' => null, 'runway' => null, 'scale' => null],
            'marks' => [[
                'rep' => 1, 'moment' => 'contact', 'picture_no' => 9, 'time_s' => 0.15, 'points' => ['ball' => [300.0, 90.0, 1.0]],
            ]],
            'pictures' => array_map(
                fn (string $jpeg): array => ['rep' => 1, 'moment' => 'contact', 'jpeg' => base64_encode($jpeg)], $pictures,
            ),
            'seen' => [], 'counted' => [],
        ];
    }

    /**
     * @param  array<string, mixed>  $clip
     * @return array<string, string> headers that open its page
     */
    private function review(array $clip): array
    {
        $sent = $this->postJson("{$this->film}/reviews", [
            'id' => (string) Str::uuid7(), 'ladder' => $clip['ladder'], 'rung' => $clip['rung'], 'next_time' => null, 'label' => 'phone',
            'points' => [['clip_id' => $clip['id'], 'rep' => 1, 'moment' => 'contact', 'fault' => $this->ladder()['faults'][0]['id']]],
        ])->assertOk()->json();

        return ['X-Link-Token' => $sent['token'], 'X-Link-Word' => $sent['word']];
    }

    /** A picture with a note of its place in it, as a phone writes one. */
    private function jpeg(int $width = 64): string
    {
        $image = imagecreatetruecolor($width, 48) ?: throw new \LogicException('No picture.');
        ob_start();
        imagejpeg($image);
        $jpeg = (string) ob_get_clean();
        $note = "\xFF\xFE".pack('n', strlen(self::PLACE) + 2).self::PLACE;

        return substr($jpeg, 0, 2).$note.substr($jpeg, 2);
    }

    /** How the file of a phone begins. */
    private function mp4(): string
    {
        return "\0\0\0\x18ftypmp42".random_bytes(300);
    }
}
