<?php

declare(strict_types=1);

namespace Tests\Feature;

use Augendo\Core\Mechanics\WhatHelped;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

#[Group('once')]
final class HelpedTest extends TestCase
{
    public function test_what_was_tried_holds_from_the_next_repetition_on_and_is_compared_with_the_rest(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Ilse');
        $block = $this->judgedBlock($sheet);
        $seq = 0;
        $events = [];
        $rep = function (bool $good) use (&$events, &$seq, $block): void {
            $events[] = $this->tap($block, $seq++, ['verdict' => $good ? 'good' : 'not_good']);
        };
        $try = function (?string $note) use (&$events, &$seq, $block): void {
            $events[] = $this->tap($block, $seq++, ['kind' => 'trying', 'verdict' => null, 'note' => $note]);
        };
        for ($i = 0; $i < 8; $i++) {
            $rep($i < 2);
        }
        $try('cue: Elbow to the ear');
        for ($i = 0; $i < 8; $i++) {
            $rep(true);
        }
        $try('cue: Elbow to the ear + looser grip');
        $rep(true);
        $try('');
        $rep(false);
        $done = (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps');
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events])->assertOk()->assertJsonCount(count($events), 'kept');
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events])->assertOk();
        $this->assertSame(
            $done + 18,
            (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'),
            'trying something is no repetition',
        );
        $this->getJson("/api/sheets/{$sheet->id}/after")->assertJsonPath(
            'helped',
            '“cue: Elbow to the ear”: 9 of 9 good with it, 2 of 9 without.',
        );
        $log = $this->getJson("/api/athletes/{$sheet->athlete_id}/what-helped")->assertOk();
        $cue = collect($log->json('rows'))->firstWhere('tried', 'cue: Elbow to the ear');
        $this->assertSame([9, 9], [$cue['good'], $cue['n']]);
        $this->assertGreaterThanOrEqual(9, $cue['other_n'], 'those of earlier sessions on the rung count as without');
        $this->assertStringContainsString('looser grip', $log->json('warnings.0'));
        $this->assertStringContainsString('at once', $log->json('warnings.0'));
        $this->postJson(
            "/api/sheets/{$sheet->id}/events",
            ['events' => [$this->tap($block, 90, ['kind' => 'rep', 'verdict' => null])]],
        )->assertOk()->assertJsonCount(1, 'refused');
    }

    public function test_over_the_squad_each_athlete_counts_once_and_few_of_them_tell_nothing(): void
    {
        $this->actingAs($this->coach());
        $squad = $this->athlete('Ilse')->squads()->orderBy('squads.id')->firstOrFail()->id;
        $asked = fn (): array => collect($this->getJson("/api/squads/{$squad}/what-helped")->assertOk()->json())
            ->where('tried', 'cue: Lighthouse')->values()->all();
        $this->assertSame([], $asked());
        foreach (['Ilse', 'Mira'] as $i => $name) {
            $sheet = $this->sheetOf($name);
            $block = $this->judgedBlock($sheet);
            $events = [];
            foreach (range(0, 19) as $seq) {
                if ($seq === 10) {
                    $events[] = $this->tap($block, 100, ['kind' => 'trying', 'verdict' => null, 'note' => 'cue: Lighthouse']);
                }
                $events[] = $this->tap($block, $seq < 10 ? $seq : 100 + $seq, ['verdict' => $seq >= 10 ? 'good' : 'not_good']);
            }
            $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events])->assertOk();
            $rows = $asked();
            $this->assertCount($rows === [] ? 0 : count(array_unique(array_column($rows, 'ladder_name'))), $rows);
            $this->assertSame($i + 1, array_sum(array_map(fn (array $row): int => count($row['athletes']), $rows)));
        }
        foreach ($asked() as $row) {
            $this->assertGreaterThan(0.0, $row['difference']);
            $this->assertLessThan($row['high'], $row['low']);
            $this->assertSame('too few to tell', $row['says'], 'one or two are too few');
            $this->assertStringStartsWith('Too few to tell: ', $row['sentence']);
        }
    }

    public function test_it_says_better_only_when_the_interval_leaves_no_doubt(): void
    {
        $reps = fn (int $good, int $bad, array $tried): array => [
            ...array_fill(0, $good, [true, $tried]),
            ...array_fill(0, $bad, [false, $tried]),
        ];
        $says = fn (array ...$of): ?string => WhatHelped::of(array_merge(...$of), 'cue')?->says;
        $this->assertSame('better', $says($reps(18, 2, ['cue']), $reps(8, 12, [])));
        $this->assertSame('worse', $says($reps(4, 16, ['cue']), $reps(15, 5, ['grip'])));
        $this->assertSame('too few to tell', $says($reps(4, 1, ['cue']), $reps(3, 2, [])));
        $this->assertNull($says($reps(4, 1, ['cue'])), 'nothing to compare with');
    }
}
