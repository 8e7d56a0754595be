<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Squad;
use App\Library\ChosenSchools;
use App\Sessions\Sheet;
use Augendo\Core\Library\BlockKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** How a squad and its athletes are taught where practitioners disagree. */
#[Group('once')]
final class SchoolsTest extends TestCase
{
    public function test_what_an_answer_changes_is_told_before_it_is_chosen_and_planned_sheets_follow(): void
    {
        $sheet = $this->planned();
        $this->actingAs($this->coach());
        $squad = $sheet->trainingSession->squad;
        $other = fn (): int => $sheet->fresh()?->blocks()->where('kind', BlockKind::OtherSide->value)->count() ?? 0;
        $this->assertGreaterThan(0, $other());
        $one = $this->question($this->getJson("/api/squads/{$squad->id}/schools")->assertOk(), 'other_side');
        $this->assertSame([null, 'both'], [$one['chosen'], $one['otherwise']]);
        $this->assertGreaterThan(0, $one['answers'][1]['changed']);
        $this->assertStringContainsString('is left out', $one['answers'][1]['changes'][0]);
        $this->assertSame(0, $one['answers'][0]['changed'], 'that is how it is');

        $this->choose("squads/{$squad->id}", null, 'other_side', 'one')->assertOk();
        $this->assertSame(0, $other());
        $this->getJson("/api/sheets/{$sheet->id}")->assertJsonPath('taught_by', ['One side only']);
        $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertJsonPath('taught_by', ['One side only']);
        $this->getJson("/api/library/{$sheet->ladder}")->assertJsonPath('taught', ["{$squad->name}: one side only."]);

        // The athlete goes before the squad, one ladder before all, and the squad's answer stands above.
        $mine = $this->question($this->getJson("/api/athletes/{$sheet->athlete_id}/schools")->assertOk(), 'other_side');
        $this->assertSame([null, 'one'], [$mine['chosen'], $mine['otherwise']]);
        $this->choose("athletes/{$sheet->athlete_id}", $sheet->ladder, 'other_side', 'both')->assertOk();
        $this->assertGreaterThan(0, $other());
        $this->choose("athletes/{$sheet->athlete_id}", $sheet->ladder, 'other_side', null)->assertOk();
        $this->assertSame(0, $other());
        $this->choose("squads/{$squad->id}", null, 'other_side', null)->assertOk();
        $this->assertGreaterThan(0, $other());
        $this->assertSame(0, DB::table('schools')->count());
    }

    public function test_chosen_twice_it_stands_once_and_what_is_no_answer_is_refused(): void
    {
        $this->actingAs($this->coach());
        $squad = Squad::query()->firstOrFail();
        foreach ([1, 2] as $_) {
            $this->choose("squads/{$squad->id}", null, 'motion', 'continuous')->assertOk();
        }
        $this->assertSame(1, DB::table('schools')->count());
        $this->choose("squads/{$squad->id}", null, 'motion', 'back_leg')
            ->assertStatus(422)
            ->assertJsonPath('errors.answer', ['Choose one of the answers to this question.']);
        $this->choose("squads/{$squad->id}", null, 'shoes', 'one')->assertStatus(422);
        $this->choose("squads/{$squad->id}", 'no-such-ladder', 'motion', 'parts')->assertStatus(422);
        $this->getJson("/api/squads/{$squad->id}/schools?ladder=no-such")->assertStatus(422);
    }

    public function test_of_all_that_was_said_the_nearest_holds(): void
    {
        $athlete = $this->athlete('Mira');
        $squad = $athlete->squads()->orderBy('squads.id')->firstOrFail();
        $by = $this->coach();
        $say = fn (array $of): bool => DB::table('schools')->insert([
            'question' => 'motion', 'chosen_by' => $by->id, 'chosen_at' => now(),
            'squad_id' => null, 'athlete_id' => null, 'ladder' => null, ...$of,
        ]);
        $motion = fn (string $ladder): ?string => ChosenSchools::of([$athlete])[$athlete->id][$ladder]['motion'] ?? null;
        $this->assertNull($motion('discus'));
        $say(['squad_id' => $squad->id, 'answer' => 'continuous']);
        $this->assertSame(['continuous', 'continuous'], [$motion('discus'), $motion('shot')]);
        $say(['squad_id' => $squad->id, 'ladder' => 'discus', 'answer' => 'parts']);
        $this->assertSame(['parts', 'continuous'], [$motion('discus'), $motion('shot')]);
        $say(['athlete_id' => $athlete->id, 'answer' => 'continuous']);
        $this->assertSame('continuous', $motion('discus'));
        $say(['athlete_id' => $athlete->id, 'ladder' => 'discus', 'answer' => 'parts']);
        $this->assertSame(['parts', 'continuous'], [$motion('discus'), $motion('shot')]);
        $this->assertSame([], ChosenSchools::of([$this->athlete('Luca')])[$athlete->id] ?? [], 'of nobody else');
        DB::table('athlete_squad')->where('athlete_id', $athlete->id)->update(['left_on' => '2020-01-01']);
        DB::table('schools')->whereNotNull('athlete_id')->delete();
        $this->assertNull($motion('shot'), 'who has left the squad is not taught by it');
    }

    public function test_from_a_chair_the_sheet_and_the_courtside_ask_for_nothing_that_takes_legs(): void
    {
        $this->actingAs($this->coach());
        $sheet = Sheet::query()->where('ladder', 'javelin-throw')->where('state', 'planned')->whereNull('return_stage')
            ->orderBy('held_on')->firstOrFail();
        $path = "athletes/{$sheet->athlete_id}";
        $looked = fn (): array => array_column($this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json('faults'), 'id');
        $blocks = fn (): array => $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('blocks');
        $texts = fn (): string => implode(' ', array_column($blocks(), 'text'));
        $this->assertContains('soft-block', $looked());
        $this->assertStringNotContainsString('Sit tall', $texts());
        $homework = fn (): array => array_column(
            $this->getJson("/api/{$path}/homework?ladder=javelin-throw")->assertOk()->json('drills'), 'id',
        );
        $added = fn (): array => array_column($this->getJson("/api/sheets/{$sheet->id}/addable")->assertOk()->json(), 'title');
        $this->assertContains('approach-walk', $homework());
        $this->assertContains('Crossing steps on a line', $added());
        $seat = $this->question($this->getJson("/api/{$path}/schools")->assertOk(), 'seat');
        $told = implode(' ', array_column($seat['answers'], null, 'key')['chair']['changes']);
        $this->assertStringContainsString('from a chair.', $told);
        $this->assertStringNotContainsString('{', $told);
        $this->choose($path, null, 'seat', 'chair')->assertOk();
        $this->assertNotContains('soft-block', $looked());
        $this->assertContains('low-elbow', $looked());
        $this->assertStringContainsString('Sit tall', $texts());
        $this->assertNotContains('approach-walk', $homework());
        $this->assertNotContains('Crossing steps on a line', $added());
        $this->choose($path, null, 'seat', null)->assertOk();
        $this->assertContains('soft-block', $looked());
    }

    /** A sheet that is planned and has work for the other side. */
    private function planned(): Sheet
    {
        $sheets = Sheet::query()
            ->with('blocks', 'trainingSession.squad')
            ->where('state', 'planned')
            ->whereNull('return_stage')
            ->orderBy('held_on')
            ->get();
        foreach ($sheets as $sheet) {
            if ($sheet->blocks->contains(fn ($block): bool => $block->kind === BlockKind::OtherSide)) {
                return $sheet;
            }
        }
        $this->fail('The demo has no such sheet.');
    }

    private function choose(string $of, ?string $ladder, string $question, ?string $answer): TestResponse
    {
        return $this->putJson("/api/{$of}/schools", ['ladder' => $ladder, 'question' => $question, 'answer' => $answer]);
    }

    /** @return array<string, mixed> */
    private function question(TestResponse $answer, string $key): array
    {
        return array_column($answer->json('questions'), null, 'key')[$key];
    }
}
