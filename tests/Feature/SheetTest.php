<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Tests\TestCase;

final class SheetTest extends TestCase
{
    public function test_a_stale_edit_is_refused_and_says_so(): void
    {
        $sheet = $this->sheetOf('Kaito');
        $doses = $this->doses($sheet);
        $save = fn (int $version) => $this->actingAs($this->coach())->putJson(
            "/api/sheets/{$sheet->id}",
            ['version' => $version, 'blocks' => $doses],
        );
        $version = $sheet->version;
        $save($version)->assertOk()->assertJsonPath('version', $version + 1);
        $save($version)->assertStatus(409)->assertJsonPath('title', 'Changed meanwhile')->assertJsonPath('version', $version + 1);
        $save($version + 1)->assertOk();
    }

    public function test_doses_that_cannot_be_are_refused_with_the_field(): void
    {
        $sheet = $this->sheetOf('Kaito');
        foreach (
            [
                ['reps', -1, 'between 0 and 500'],
                ['effort', 1.5, '0 and 100 %'],
                ['distance_m', 0, 'more than 0 m'],
                ['sets', 0, 'between 1 and 20'],
            ] as [$field, $value, $said]
        ) {
            $doses = $this->doses($sheet);
            $doses[0][$field] = $value;
            $answer = $this
                ->actingAs($this->coach())
                ->putJson("/api/sheets/{$sheet->id}", ['version' => $sheet->version, 'blocks' => $doses])
                ->assertStatus(422);
            $this->assertStringContainsString($said, $answer->json('errors')["blocks.0.{$field}"][0] ?? '', (string) $answer->getContent());
        }
        $this->assertSame($sheet->version, $sheet->refresh()->version);
    }

    public function test_a_hard_limit_cannot_be_planned_over_and_a_preview_shows_it_without_saving(): void
    {
        $sheet = $this->sheetOf('Tomas');
        $doses = array_map(fn (array $dose): array => ['reps' => min(500, $dose['reps'] * 4)] + $dose, $this->doses($sheet));
        $preview = $this
            ->actingAs($this->coach())
            ->postJson("/api/sheets/{$sheet->id}/preview", ['version' => $sheet->version, 'blocks' => $doses])
            ->assertOk();
        $this->assertStringContainsString('Weekly rise of arm load', implode(' ', $preview->json('broken')));
        $this->putJson("/api/sheets/{$sheet->id}", ['version' => $sheet->version, 'blocks' => $doses])
            ->assertStatus(422)
            ->assertJsonPath('title', 'Over a hard limit');
        $this->assertEquals($this->doses($sheet), $this->doses($sheet->refresh()));
    }

    public function test_the_word_holds_effort_and_work_down_for_edits_too(): void
    {
        $reduced = $this->sheetOf('Yuna');
        $doses = array_map(fn (array $dose): array => ['effort' => 0.95] + $dose, $this->doses($reduced));
        $this->actingAs($this->coach())->putJson("/api/sheets/{$reduced->id}", ['version' => $reduced->version, 'blocks' => $doses])
            ->assertStatus(422)->assertSee('at most 75 % effort while the word is Reduced', false);
        $none = $this->sheetOf('Noor');
        $doses = array_map(fn (array $dose): array => ['reps' => 5] + $dose, $this->doses($none));
        $this->putJson("/api/sheets/{$none->id}", ['version' => $none->version, 'blocks' => $doses])
            ->assertStatus(422)
            ->assertSee('this work is not for today', false);
        $refer = $this->sheetOf('Sofie');
        $doses = array_map(fn (array $dose): array => ['reps' => 5] + $dose, $this->doses($refer));
        $this->putJson("/api/sheets/{$refer->id}", ['version' => $refer->version, 'blocks' => $doses])
            ->assertStatus(422)
            ->assertSee('It waits for a licensed clinician.', false);
    }

    public function test_every_planned_sheet_fits_its_limits_on_its_day(): void
    {
        foreach (Sheet::query()->with('athlete')->where('state', 'planned')->get() as $sheet) {
            $this->assertSame(
                [],
                $this->actingAs($this->coach())->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('broken'),
                "{$sheet->athlete->given_name}, {$sheet->held_on}",
            );
        }
    }

    public function test_a_finished_session_keeps_its_doses_and_takes_late_taps(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $this->actingAs($this->coach())->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 0)]])->assertOk();
        $this->postJson("/api/sheets/{$sheet->id}/finish", ['minutes' => 700])->assertStatus(422);
        $this->postJson("/api/sheets/{$sheet->id}/finish", ['minutes' => 50, 'session_rpe' => 4])
            ->assertNoContent();
        $this->getJson("/api/sheets/{$sheet->id}/after")->assertJsonPath('sheet.state', 'finished');
        $this->putJson(
            "/api/sheets/{$sheet->id}",
            ['version' => $sheet->refresh()->version, 'blocks' => $this->doses($sheet)],
        )->assertStatus(409);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 1)]])->assertOk()->assertJsonCount(1, 'kept');
        $this->getJson("/api/sheets/{$sheet->id}/after")
            ->assertOk()
            ->assertJsonPath('sheet.done_reps', 2)
            ->assertJsonPath('sheet.state', 'finished');
    }

    public function test_courtside_counts_down_what_the_core_says_is_left(): void
    {
        $pack = $this->actingAs($this->coach())->getJson("/api/sheets/{$this->sheetOf('Mira')->id}/courtside")->assertOk()->json();
        foreach ($pack['blocks'] as $block) {
            $left = [];
            foreach ($block['doses'][0]['costs'] as $cost) {
                $bound = collect($pack['bounds'])->firstWhere('limit_id', $cost['limit_id']);
                if ($cost['side'] === $block['side'] && $cost['per_rep'] > 0) {
                    $left[] = (int) floor(($bound['remaining'] + 1e-9) / $cost['per_rep']);
                }
            }
            $sheet = collect($this->getJson("/api/sheets/{$pack['sheet_id']}")->json('blocks'))->firstWhere('id', $block['id']);
            // On the sheet the other blocks are planned already; courtside starts from what is done.
            $this->assertGreaterThanOrEqual($sheet['headroom'], min($left), $block['title']);
        }
    }

    public function test_a_ladder_that_turns_reads_for_the_side_that_is_turned_to(): void
    {
        $skills = app(\Augendo\Core\Library\Library::class)->skills();
        $mira = $this->athlete('Mira');
        $mira->turn_direction = 'left';
        $this->assertSame(
            ['right', 'left'],
            [$mira->sideFor($skills['float-serve'])->value, $mira->sideFor($skills['rotation-jump'])->value],
        );
        $mira->turn_direction = null;
        $this->assertSame('right', $mira->sideFor($skills['rotation-jump'])->value, 'not known: as she throws');
    }

    /** @return list<array<string, mixed>> */
    private function doses(Sheet $sheet): array
    {
        return $sheet->blocks()->get()->map(
            fn (SheetBlock $block): array => [
                'id' => $block->id,
                'sets' => $block->sets,
                'reps' => $block->reps,
                'effort' => $block->effort,
                'distance_m' => $block->distance_m,
            ],
        )->all();
    }
}
