<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Health\SorenessReport;
use App\People\Role;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class HealthTest extends TestCase
{
    public function test_a_sore_shoulder_changes_the_word_and_trims_todays_sheet_with_reasons(): void
    {
        $sheet = $this->sheetOf('Mira');
        $report = $this->report('shoulder', 'right', 'muscle', 3);
        $before = (int) $sheet->blocks()->sum('reps');
        $send = fn () => $this
            ->actingAs($this->coach())
            ->postJson("/api/athletes/{$sheet->athlete_id}/reports", ['reports' => [$report]])
            ->assertNoContent();
        $send();
        $word = fn () => $this->getJson("/api/athletes/{$sheet->athlete_id}")->json('word');
        $this->assertSame('reduced', $word());
        $after = (int) $sheet->refresh()->blocks()->sum('reps');
        $this->assertLessThan($before, $after);
        $this->assertStringContainsString(
            'arm reduced today',
            collect($this->getJson("/api/sheets/{$sheet->id}")->json('blocks'))->pluck('trims')->flatten()->implode(' '),
        );

        $send();
        $this->assertSame(1, SorenessReport::query()->whereKey($report['id'])->count(), 'Sent twice, kept once.');
        $this->postJson(
            "/api/athletes/{$sheet->athlete_id}/reports",
            ['reports' => [$this->report('shoulder', 'right', 'numb', 2)]],
        )->assertNoContent();
        $this->assertSame('refer', $word());
        $this->assertSame(
            0,
            (int) $sheet->refresh()->blocks()->where('reps', '>', 0)->get()->filter(fn ($block): bool => $block->judged)->count(),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badReports(): iterable
    {
        yield 'eleven of ten' => [['score' => 11], 'score'];
        yield 'a place nobody has' => [['site' => 'wing'], 'site'];
        yield 'a kind nobody has' => [['kind' => 'meh'], 'kind'];
        yield 'tomorrow' => [['at' => '2099-01-01T08:00:00+00:00'], 'at'];
        yield 'nothing sore at four' => [['site' => 'none', 'score' => 4], 'score'];
        yield 'a wrong id' => [['id' => 'nine'], 'id'];
    }

    /** @param  array<string, mixed>  $broken */
    #[DataProvider('badReports')]
    public function test_a_report_that_cannot_be_is_refused_with_the_field(array $broken, string $field): void
    {
        $this->actingAs($this->coach())->postJson(
            "/api/athletes/{$this->athlete('Mira')->id}/reports",
            ['reports' => [$broken + $this->report('knee', 'left', 'joint', 2)]],
        )
            ->assertStatus(422)->assertJsonStructure(['errors' => ["reports.0.{$field}"]]);
    }

    public function test_a_referral_is_closed_by_a_clearance_alone(): void
    {
        $sofie = $this->athlete('Sofie');
        $show = fn () => $this->getJson("/api/athletes/{$sofie->id}")->assertOk();
        $this->actingAs($this->coach());
        $show()->assertJsonCount(2, 'referrals')->assertJsonPath('word', 'refer');
        $this->postJson("/api/athletes/{$sofie->id}/reports", ['reports' => [$this->report('ankle', 'left', 'swelling', 0)]])
            ->assertNoContent();
        $show()->assertJsonPath('word', 'refer');

        $clear = fn (array $with) => $this->postJson("/api/athletes/{$sofie->id}/clearances", [
            'id' => (string) Str::uuid7(), 'sites' => ['ankle'], 'clinician_name' => 'Dr. Odile Ferrand',
            'clinician_role' => 'Sports physician',
            'document_date' => $this->coach()->workspace->today()->iso(), 'note' => null, ...$with,
        ]);
        $clear(['clinician_name' => ''])->assertStatus(422)->assertSee('needs the clinician', false);
        $clear(['document_date' => '2099-01-01'])->assertStatus(422)->assertSee('dated in the future');
        $clear(['sites' => ['knee']])->assertNoContent();
        $show()->assertJsonCount(2, 'referrals');
        $this->travel(1)->minutes();
        $this->actingAs($this->person(Role::Clinician));
        $clear([])->assertNoContent();
        $show()->assertJsonCount(0, 'referrals');
        // A clinician signs with their own name, whatever was sent.
        $this->assertStringContainsString('Dr. Samira Lund', $show()->json('clearances.0.sentence'));
    }
}
