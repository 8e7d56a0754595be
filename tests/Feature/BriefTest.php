<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Privacy;
use App\People\Role;
use App\Sessions\CoachNotes;
use App\Sessions\Sheet;
use Database\Factories\SheetFactory;
use Database\Factories\TrainingSessionFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Whoever stands in knows what to do and nothing of why; what they noticed comes back at the next session. */
#[Group('once')]
final class BriefTest extends TestCase
{
    private const HEALTH = ['sore', 'pain', 'ache', 'swell', 'blister', 'knee', 'elbow', 'shoulder', 'wrist', 'clinician', 'referr', 'ill'];

    public function test_the_brief_says_what_must_not_be_and_no_word_of_why(): void
    {
        $session = $this->sheetOf('Noor')->trainingSession;
        $this->actingAs($this->coach());
        $this->postJson("/api/athletes/{$this->athlete('Mira')->id}/reports", ['reports' => [$this->report('wrist', 'right', 'joint', 3)]])
            ->assertSuccessful();
        $brief = $this->actingAs($this->person(Role::Assistant))->getJson("/api/sessions/{$session->id}/brief")->assertOk()->json();
        $rows = array_column($brief['rows'], null, 'sheet_id');
        $this->assertContains('Nothing held, hit or caught with the right hand.', $rows[$this->sheetOf('Mira')->id]['must_not']);
        $must = array_merge(...array_column($brief['rows'], 'must_not'));
        $this->assertNotSame([], array_filter($must, fn (string $line): bool => str_contains($line, 'checked in')));
        foreach ($must as $line) {
            foreach (self::HEALTH as $word) {
                $this->assertDoesNotMatchRegularExpression("/\\b{$word}/i", $line);
            }
        }
        $this->assertNotSame([], array_filter($brief['rows'], fn (array $row): bool => $row['look_for'] !== []));
        $this->actingAs($this->person(Role::Guardian))->getJson("/api/sessions/{$session->id}/brief")->assertForbidden();
    }

    public function test_a_note_comes_back_at_the_top_of_the_next_sheet_for_those_who_run_sessions(): void
    {
        $sheet = $this->sheetOf('Mira');
        $session = $sheet->trainingSession;
        $helper = $this->person(Role::Assistant);
        $write = fn (?string $athleteId, ?string $text) => $this->putJson(
            "/api/sessions/{$session->id}/note", ['athlete_id' => $athleteId, 'text' => $text],
        );
        $this->actingAs($helper);
        $write($sheet->athlete_id, 'Toss drifts when tired: stop at twenty.')->assertOk()->assertJsonCount(1);
        $write(null, 'Bring more light balls.')->assertOk()->assertJsonPath('0.athlete_id', null)->assertJsonCount(2);
        $this->actingAs($this->coach());
        $write($sheet->athlete_id, 'Ask about the exam week.')->assertOk()->assertJsonCount(3);
        $write($sheet->athlete_id, 'Ask about the exams.')->assertOk()->assertJsonCount(3);
        $write($this->athlete('Mira')->id, '')->assertOk()->assertJsonCount(2);
        $write((string) Str::uuid7(), 'Who?')->assertUnprocessable();
        $write(null, str_repeat('a', 401))->assertUnprocessable();

        $next = $this->nextAfter($sheet);
        $texts = fn (): array => array_column($this->getJson("/api/sheets/{$next->id}")->assertOk()->json('notes'), 'text');
        $this->assertSame(['Bring more light balls.', 'Toss drifts when tired: stop at twenty.'], $texts());
        $this->assertSame([], $this->getJson("/api/sheets/{$sheet->id}")->json('notes'), 'not on its own sheet');
        $this->putJson("/api/sessions/{$next->training_session_id}/note", ['athlete_id' => $sheet->athlete_id, 'text' => 'Toss stood.'])
            ->assertOk();
        $this->assertSame(['Bring more light balls.', 'Toss stood.'], array_column(
            $this->getJson("/api/sheets/{$this->nextAfter($next)->id}")->json('notes'), 'text',
        ), 'the latest of each');
        $this->assertSame([], CoachNotes::before($next->trainingSession, [$sheet->athlete_id], $this->person(Role::Guardian)));

        app(Privacy::class)->erase($sheet->athlete, $this->coach());
        $this->assertSame(1, DB::table('coach_notes')->count(), 'the squad’s own stays');
    }

    private function nextAfter(Sheet $sheet): Sheet
    {
        $session = TrainingSessionFactory::new()->create([
            'squad_id' => $sheet->trainingSession->squad_id, 'held_on' => $sheet->day()->plus(2)->iso(), 'starts_at' => '07:00',
        ]);

        return SheetFactory::new()->of($sheet->athlete, $session)->fitted()->create();
    }
}
