<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Courtside\RepEvent;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class TapsTest extends TestCase
{
    public function test_sending_a_tap_again_changes_nothing(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $taps = array_map(fn (int $i): array => $this->tap($block, $i), range(0, 9));
        $send = fn (array $events) => $this
            ->actingAs($this->coach())
            ->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events])
            ->assertOk();

        $send(array_slice($taps, 0, 6))->assertJsonCount(6, 'kept');
        $before = $this->derived($sheet->id);
        $send(array_slice($taps, 0, 6))->assertJsonCount(6, 'kept');
        $this->assertEquals($before, $this->derived($sheet->id), 'The same taps again.');
        $send($taps);
        $send(array_reverse($taps));
        $this->assertSame(10, RepEvent::query()->where('sheet_id', $sheet->id)->count());
        $this->assertSame(10, (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'));
        $this->assertSame('running', $sheet->refresh()->state);
    }

    public function test_a_fall_is_a_landing_of_the_record_and_no_evidence(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Jonah');
        $block = $this->judgedBlock($sheet);
        $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->assertJsonPath('blocks.0.lands', true);
        $judged = fn (): array => $this->getJson("/api/sheets/{$sheet->id}/after")->assertOk()->json();
        $landings = fn (): float => (float) DB::table('work_sets')->where('session', $sheet->id)->sum('landings');
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 1)]])->assertOk();
        $one = $landings();
        $fall = $this->tap($block, 2, ['kind' => 'fall', 'verdict' => null]);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$fall]])->assertOk()->assertJsonCount(1, 'kept');
        $this->assertSame([2 * $one, 1], [$landings(), $judged()['observed']]);
        $counts = collect($judged()['counts'])->firstWhere('id', $block->id);
        $this->assertSame([2, 1], [$counts['done'], $counts['falls']]);
        $good = $this->tap($block, 3, ['kind' => 'fall', 'verdict' => 'good']);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$good]])->assertOk()->assertJsonCount(0, 'kept');
    }

    public function test_whatever_order_taps_arrive_in_the_count_is_the_same(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $taps = array_map(
            fn (int $i): array => $this->tap(
                $block,
                $i,
                ['verdict' => $i % 3 === 0 ? 'not_good' : 'good', 'fault' => $i % 3 === 0 ? 'toss-behind' : null],
            ),
            range(0, 7),
        );
        $taps[] = $this->tap($block, 8, ['kind' => 'withdraw', 'verdict' => null, 'target_id' => $taps[7]['id']]);
        $taps[] = $this->tap($block, 9, ['kind' => 'correct', 'verdict' => 'good', 'target_id' => $taps[0]['id']]);
        // A device two hours behind writes the same moments with another offset.
        $taps[2]['at'] = (new \DateTimeImmutable($taps[2]['at']))->setTimezone(new \DateTimeZone('-02:00'))->format(DATE_ATOM);
        mt_srand(3);
        foreach (range(1, 4) as $round) {
            DB::table('rep_events')->where('sheet_id', $sheet->id)->delete();
            shuffle($taps);
            foreach (array_chunk($taps, 3) as $part) {
                $this->actingAs($this->coach())->postJson("/api/sheets/{$sheet->id}/events", ['events' => $part])->assertOk();
            }
            $this->assertSame('gggbggb', DB::table('rep_strips')->where('sheet_id', $sheet->id)->value('marks'), "round {$round}");
            $this->assertSame(7, (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badTaps(): iterable
    {
        yield 'an id that is no UUID' => [['id' => 'seven'], 'id', 'UUID of version 7'];
        yield 'an id of version 4' => [['id' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c'], 'id', 'UUID of version 7'];
        yield 'a block of another sheet' => [['block_id' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c'], 'block_id', 'not on the sheet'];
        yield 'a time in the future' => [['at' => '2099-01-01T10:00:00+00:00'], 'at', 'in the future'];
        yield 'a time without an offset' => [['at' => '2026-01-01T10:00:00'], 'at', 'write it as'];
        yield 'an effort above all' => [['effort' => 1.2], 'effort', 'between 0 and 1'];
        yield 'a verdict nobody gives' => [['verdict' => 'splendid'], 'verdict', 'from the list'];
        yield 'a withdrawal of nothing' => [['kind' => 'withdraw', 'verdict' => null], 'target_id', 'Fill in'];
    }

    /** @param  array<string, mixed>  $broken */
    #[DataProvider('badTaps')]
    public function test_one_bad_tap_is_refused_with_its_place_and_the_others_are_kept(array $broken, string $field, string $said): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $bad = $this->tap($block, 1, $broken);
        $answer = $this
            ->actingAs($this->coach())
            ->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 0), $bad, $this->tap($block, 2)]])
            ->assertOk();
        $answer->assertJsonCount(2, 'kept');
        $why = $answer->json('refused')[$bad['id']];
        $this->assertStringStartsWith("events/1/{$field}:", $why);
        $this->assertStringContainsString($said, $why);
        $this->assertSame(2, RepEvent::query()->where('sheet_id', $sheet->id)->count());
    }

    public function test_work_beyond_a_hard_limit_is_recorded_and_the_next_plan_pays(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $taps = array_map(fn (int $i): array => $this->tap($block, $i, ['effort' => 1.0]), range(0, 299));
        $this->actingAs($this->coach())
            ->postJson("/api/sheets/{$sheet->id}/events", ['events' => $taps])
            ->assertOk()
            ->assertJsonCount(300, 'kept');
        $row = collect($this->getJson('/api/today')->json('rows'))->firstWhere('athlete.given_name', 'Mira');
        $this->assertStringStartsWith('None left', $row['headroom']);
        $this->assertSame('over', $row['tape']['status']);
    }

    #[Group('once')]
    public function test_the_rebuild_proves_equality_and_finds_and_mends_tampering(): void
    {
        $this->artisan('augendo:rebuild')->expectsOutputToContain('Equal')->assertSuccessful();
        DB::table('daily_totals')->where('arm', '>', 0)->limit(1)->update(['arm' => DB::raw('arm + 5')]);
        $this->artisan('augendo:rebuild')->expectsOutputToContain('Different')->assertFailed();
        $this->artisan('augendo:rebuild')->assertSuccessful();
        DB::table('rep_strips')->limit(1)->update(['marks' => 'gggg']);
        $this->artisan('augendo:rebuild')->assertFailed();
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_a_block_with_taps_cannot_be_taken_away(): void
    {
        $sheet = $this->sheetOf('Mira');
        $block = $this->judgedBlock($sheet);
        $this->actingAs($this->coach())->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$this->tap($block, 0)]])->assertOk();
        $this->postJson("/api/sheets/{$sheet->id}/fit", ['version' => $sheet->refresh()->version])->assertStatus(409);
        $this->expectException(\Illuminate\Database\QueryException::class);
        $block->delete();
    }

    /** @return array<string, mixed> what was derived from the taps of a sheet */
    private function derived(string $sheetId): array
    {
        $athlete = DB::table('sheets')->where('id', $sheetId)->value('athlete_id');

        return [
            DB::table('work_sets')
                ->where('session', $sheetId)
                ->get()
                ->map(fn (object $row): array => array_diff_key((array) $row, ['id' => 0]))
                ->all(),
            DB::table('daily_totals')
                ->where('athlete_id', $athlete)
                ->orderBy('day')
                ->orderBy('skill')
                ->orderBy('side')
                ->orderBy('implement')
                ->get()
                ->all(),
            DB::table('rep_strips')->where('sheet_id', $sheetId)->get()->all(),
        ];
    }
}
