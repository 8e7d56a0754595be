<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\AthleteDay;
use App\People\Link;
use App\People\Role;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** What leaves the application: homework cards and the calendar. */
final class HandOutTest extends TestCase
{
    public function test_homework_is_easy_alone_and_inside_the_limits_of_its_days(): void
    {
        $this->actingAs($this->coach());
        $today = $this->coach()->workspace->today();
        $given = 0;
        foreach (['Mira', 'Ilse', 'Kaito', 'Yuna', 'Pia', 'Noor', 'Sofie', 'Tomas', 'Ravi'] as $name) {
            $athlete = $this->athlete($name);
            $card = $this->getJson("/api/athletes/{$athlete->id}/homework")->assertOk();
            $sessions = collect((new AthleteDay($athlete, $today))->load->plans)->map(
                fn ($set): string => Day::fromOrdinal($set->day)->iso(),
            )->all();
            foreach ($card->json('days') as $day) {
                $given++;
                $this->assertGreaterThan($today->iso(), $day['date']);
                $this->assertNotContains($day['date'], $sessions, "{$name}: no homework on a day with work");
                foreach ($day['blocks'] as $block) {
                    $this->assertStringNotContainsString('{', $block['text']);
                    preg_match('/(\d+) %/', $block['dose'], $effort);
                    $this->assertLessThanOrEqual(50, (int) $effort[1], "{$name}: {$block['dose']}");
                }
            }
            $this->assertTrue(($card->json('days') === []) === ($card->json('none') !== null));
        }
        $this->assertGreaterThan(5, $given);
        // On the way back nothing is done alone; nobody lands alone; no javelin leaves a hand alone.
        $this->getJson("/api/athletes/{$this->athlete('Luca')->id}/homework")->assertJsonPath('days', []);
        $this->assertStringNotContainsString(
            'avelin 600',
            json_encode($this->getJson("/api/athletes/{$this->athlete('Tomas')->id}/homework")->json('days')),
        );
    }

    public function test_the_calendar_says_when_and_names_nobody(): void
    {
        $token = $this->actingAs($this->coach())->postJson('/api/me/calendar-link')->assertOk()->json('token');
        $this->nobodySignedIn();
        $this->flushSession();
        $text = (string) $this
            ->get("/calendar/{$token}.ics")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent();
        $calendar = Reader::read($text);
        $this->assertInstanceOf(VCalendar::class, $calendar);
        $this->assertSame([], $calendar->validate());
        $events = iterator_to_array($calendar->select('VEVENT') === [] ? [] : new \ArrayIterator($calendar->select('VEVENT')));
        $titles = array_map(fn (VEvent $event): string => (string) $event->SUMMARY, $events);
        $this->assertContains('Home match', $titles);
        $this->assertContains('Goal day of a season', $titles);
        $this->assertNotSame([], array_filter($titles, fn (string $title): bool => str_starts_with($title, 'Evening session')));
        $this->assertCount(count($events), array_unique(array_map(fn (VEvent $event): string => (string) $event->UID, $events)));
        foreach (['Mira', 'Okonjo', 'Henrike', 'elbow', 'shoulder'] as $private) {
            $this->assertStringNotContainsString($private, $text);
        }
        // Seventeen o’clock in the club’s own zone, whatever zone the reader is in.
        $session = array_values(
            array_filter($events, fn (VEvent $event): bool => str_starts_with((string) $event->SUMMARY, 'Evening session')),
        )[0];
        $this->assertSame(
            '17:00',
            \DateTimeImmutable::createFromInterface($session->DTSTART->getDateTime())->setTimezone(
                new \DateTimeZone($this->coach()->workspace->timezone),
            )->format('H:i'),
        );

        $new = $this->actingAs($this->coach())->postJson('/api/me/calendar-link')->json('token');
        $this->get("/calendar/{$token}.ics")->assertNotFound();
        $this->get("/calendar/{$new}.ics")->assertOk();
        $this->get('/calendar/nonsense.ics')->assertNotFound();
        $this->assertSame(2, Link::query()->where('purpose', Link::CALENDAR)->count());

        $guardian = $this->actingAs($this->person(Role::Guardian))->postJson('/api/me/calendar-link')->assertOk()->json('token');
        $this->assertStringNotContainsString(
            'Home match',
            (string) $this->get("/calendar/{$guardian}.ics")->assertOk()->getContent(),
            'a match of another athlete',
        );
        $this->person(Role::Guardian)->update(['closed_at' => now()]);
        $this->get("/calendar/{$guardian}.ics")->assertNotFound();
    }

    public function test_a_session_is_cut_to_its_minutes_and_to_what_is_at_hand(): void
    {
        $this->actingAs($this->coach());
        $squad = $this->athlete('Tomas')->squads()->firstOrFail();
        $day = $this->coach()->workspace->today()->plus(9)->iso();
        $this->postJson(
            "/api/squads/{$squad->id}/sessions",
            [
                'day' => $day,
                'starts_at' => '17:00',
                'title' => 'Short one',
                'minutes' => 30,
                'ladders' => ['javelin-throw'],
                'objects' => ['ball-javelin-400'],
            ],
        )->assertOk();
        $sheets = \App\Sessions\Sheet::query()->where('held_on', $day)->with('blocks')->get();
        $this->assertNotEmpty($sheets);
        $this->assertSame(['javelin-throw'], $sheets->pluck('ladder')->unique()->all());
        $objects = app(Library::class)->objects();
        $words = '';
        foreach ($sheets as $sheet) {
            $view = $this->getJson("/api/sheets/{$sheet->id}")->assertOk();
            $this->assertLessThanOrEqual(30, $view->json('minutes'));
            $words .= json_encode($view->json('trims'));
            foreach ($sheet->blocks as $block) {
                $this->assertTrue($objects[$block->object]->massKg === null || $block->object === 'ball-javelin-400', $block->object);
            }
        }
        $this->assertStringContainsString('at hand', $words);
        $this->postJson(
            "/api/squads/{$squad->id}/sessions",
            ['day' => $day, 'starts_at' => '17:00', 'title' => 'x', 'objects' => ['no-such']],
        )->assertStatus(422);
    }
}
