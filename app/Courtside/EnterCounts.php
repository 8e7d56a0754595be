<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Sessions\FinishSheet;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Augendo\Core\Courtside\CountChange;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What was done, entered after the fact: the sums of a session nobody counted, or counts put right. What stood before stays readable. */
final class EnterCounts
{
    public function __construct(private readonly RepLog $log) {}

    /**
     * @param  array{
     *     id: string, reason: string|null, blocks: list<array{id: string, reps: int, good?: int|null}>, minutes: int|null,
     *     session_rpe: int|null,
     * }  $given  validated; sent before, it changes nothing
     */
    public function enter(Sheet $sheet, array $given, User $by): void
    {
        if ($sheet->day()->isAfter($by->workspace->today())) {
            throw new Problem(ProblemType::NotToday, 'This session has not come yet. What was done is entered on its day or after it.');
        }
        Alone::with($sheet->athlete_id, function () use ($sheet, $given, $by): void {
            if (Sent::before('corrections', $given['id'], ['sheet_id' => $sheet->id])) {
                return;
            }
            $changes = $this->changes($sheet->refresh(), $given['blocks']);
            $lowers = array_filter($changes, fn (CountChange $change): bool => $change->lowers()) !== [];
            if ($lowers && mb_strlen((string) $given['reason']) < CountChange::REASON_AT_LEAST) {
                throw new Problem(
                    ProblemType::AReasonIsNeeded,
                    'Fewer than were counted gives more room today. Write why.',
                    ['reason' => ['Write why it was fewer.']],
                );
            }
            if ($changes !== []) {
                $this->keep($sheet, $changes, $lowers, $given, $by);
            }
            $said = array_filter(
                ['minutes' => $given['minutes'], 'session_rpe' => $given['session_rpe']],
                fn (?int $value): bool => $value !== null,
            );
            // Today's session may still go on; one of another day is over.
            if ($said !== [] || ! $sheet->day()->equals($by->workspace->today())) {
                FinishSheet::by($by, $sheet, $said);
            }
        });
    }

    /**
     * @param  list<array{id: string, reps: int, good?: int|null}>  $blocks
     * @return array<string, CountChange> by block, those that change something
     */
    private function changes(Sheet $sheet, array $blocks): array
    {
        $standing = TapFold::standing($sheet->taps());
        $known = $sheet->blocks->keyBy('id');
        $changes = [];
        foreach ($blocks as $i => $block) {
            if (! isset($known[$block['id']])) {
                $why = 'This block is not on the sheet any more. Load the page again.';
                throw new Problem(ProblemType::NotFound, $why, ["blocks.{$i}.id" => [$why]]);
            }
            $of = array_values(array_filter($standing, fn (Tap $rep): bool => $rep->blockId === $block['id']));
            $good = $block['good'] ?? null;
            if ($good !== null && ! $known[$block['id']]->judged) {
                $why = "“{$known[$block['id']]->title}” is not judged: leave out how many were good.";
                throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ["blocks.{$i}.good" => [$why]]);
            }
            $change = CountChange::of($of, $block['reps'], $good);
            if (! $change->isNothing()) {
                $changes[$block['id']] = $change;
            }
        }

        return $changes;
    }

    /**
     * @param  non-empty-array<string, CountChange>  $changes
     * @param  array{id: string, reason: string|null}  $given
     */
    private function keep(Sheet $sheet, array $changes, bool $lowers, array $given, User $by): void
    {
        $this->log->append($sheet, $this->events($sheet, $changes, $given['id'], $by), $by);
        DB::table('corrections')->insert([
            'id' => $given['id'], 'athlete_id' => $sheet->athlete_id, 'sheet_id' => $sheet->id,
            'counts' => json_encode(array_map(
                fn (CountChange $change): array => ['before' => $change->before, 'after' => $change->after],
                $changes,
            ), JSON_THROW_ON_ERROR),
            'lowers' => $lowers, 'reason' => $given['reason'], 'made_by' => $by->id, 'made_at' => Carbon::now(),
        ]);
        $athlete = Athlete::query()->findOrFail($sheet->athlete_id);
        Audit::of($by, $athlete, $lowers ? 'counts lowered' : 'counts entered', [
            'day' => $sheet->day()->iso(),
            'before' => array_sum(array_map(fn (CountChange $change): int => $change->before, $changes)),
            'after' => array_sum(array_map(fn (CountChange $change): int => $change->after, $changes)),
        ]);
        AthletesChanged::one($athlete, $by->workspace->today());
    }

    /**
     * As taps of a device of its own, at the hour of the session; without a verdict, unless they were ticked as judged.
     *
     * @param  array<string, CountChange>  $changes
     * @return list<array<string, mixed>>
     */
    private function events(Sheet $sheet, array $changes, string $id, User $by): array
    {
        $zone = $by->workspace->timezone;
        $start = Carbon::parse("{$sheet->day()->iso()} {$sheet->trainingSession()->value('starts_at')}", $zone)->min(Carbon::now($zone));
        $seq = 0;
        $events = [];
        foreach ($changes as $blockId => $change) {
            $block = $sheet->blocks->firstOrFail('id', $blockId);
            $setNo = 1 + (int) DB::table('rep_events')->where('block_id', $blockId)->max('set_no');
            $event = function (array $with) use (&$seq, $id, $block, $setNo, $start): array {
                $seq++;

                return [
                    'id' => (string) Str::uuid7(), 'block_id' => $block->id, 'set_no' => $setNo,
                    'side' => $block->side->value, 'at' => $start->copy()->addSeconds($seq)->toIso8601String(),
                    'seq' => $seq, 'device' => $id, ...$with,
                ];
            };
            foreach ($change->withdraw as $target) {
                $events[] = $event(['kind' => 'withdraw', 'target_id' => $target]);
            }
            foreach ($change->verdicts() as $isGood) {
                $verdict = match ($isGood) {
                    true => 'good',
                    false => 'not_good',
                    null => null,
                };
                $events[] = $event(['kind' => 'rep', 'verdict' => $verdict, ...self::dose($block)]);
            }
        }

        return $events;
    }

    /** @return array{effort: float, distance_m: float|null} */
    private static function dose(SheetBlock $block): array
    {
        return ['effort' => (float) $block->effort, 'distance_m' => $block->distance_m === null ? null : (float) $block->distance_m];
    }
}
