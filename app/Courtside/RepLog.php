<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Devices\CounterLoad;
use App\Devices\PriceSpeeds;
use App\Gates\SecondLooks;
use App\Limits\AthleteLoads;
use App\People\User;
use App\Records\Alone;
use App\Sessions\SessionState;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Mechanics\Seen;
use Augendo\Core\Returning\StageRung;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Keeps taps, and derives from them the work sets, the daily totals and the strip of judged repetitions, all in one transaction. */
final class RepLog
{
    public function __construct(
        private readonly Library $library,
        private readonly AthleteLoads $loads,
        private readonly SecondLooks $looks,
        private readonly CounterLoad $counters,
        private readonly BlockRounds $rounds,
    ) {}

    /**
     * @param  list<array<string, mixed>>  $events  validated, each with its client-made id
     * @return list<string> ids that are taken by taps of another sheet, and so were not kept; one that was sent before changes nothing
     */
    public function append(Sheet $sheet, array $events, User $user): array
    {
        return Alone::with($sheet->athlete_id, function () use ($sheet, $events, $user): array {
            $now = Carbon::now();
            $rung = $this->rung($sheet);
            $new = DB::table('rep_events')->insertOrIgnore(array_map(fn (array $event): array => [
                'id' => $event['id'], 'sheet_id' => $sheet->id, 'block_id' => $event['block_id'], 'set_no' => $event['set_no'],
                'kind' => $event['kind'], 'target_id' => $event['target_id'] ?? null,
                'verdict' => self::verdict($event, $rung),
                'seen' => empty($event['seen']) ? null : json_encode($event['seen'], JSON_THROW_ON_ERROR),
                'fault' => $event['fault'] ?? null, 'note' => $event['note'] ?? null,
                'side' => $event['side'], 'effort' => $event['effort'] ?? null, 'distance_m' => $event['distance_m'] ?? null,
                'at' => $event['at'], 'seq' => $event['seq'], 'device' => $event['device'], 'user_id' => $user->id, 'received_at' => $now,
            ], $events));
            if ($new > 0) {
                if (in_array($sheet->state, ['planned', Sheet::CALLED_OFF], true)) {
                    // Somebody counted where no connection told that it was called off: what was done was done.
                    $sheet->update(['state' => 'running', 'started_at' => $events[0]['at']]);
                    $sheet->trainingSession()
                        ->where('state', '!=', SessionState::Planned->value)
                        ->update(['state' => SessionState::Planned->value]);
                }
                $this->derive($sheet);
                if ($sheet->return_stage === null) {
                    $this->looks->after($sheet);
                }
                PriceSpeeds::afterTaps($sheet);
            }

            return $new === count($events)
                ? []
                : DB::table('rep_events')
                    ->whereIn('id', array_column($events, 'id'))
                    ->where('sheet_id', '!=', $sheet->id)
                    ->pluck('id')
                    ->all();
        });
    }

    /** Work sets, strip and daily totals of one sheet, made anew from its events. */
    public function derive(Sheet $sheet): void
    {
        $sheet->setRelation('events', $sheet->events()->get())->setRelation('blocks', $sheet->blocks()->get());
        $standing = TapFold::standing($sheet->taps());
        $blocks = $sheet->blocks->keyBy('id')->all();
        $athlete = $sheet->athlete()->firstOrFail();
        $price = new SetCost($this->loads->profiles([$athlete], $sheet->day())[$athlete->id]);

        // A round that was scored is work of the same session, and no tap of its sheet.
        DB::table('work_sets')->where('session', $sheet->id)->where('source', 'courtside')->delete();
        DB::table('work_sets')->insert($this->workSets($sheet, $standing, $blocks, $price));
        $this->counters->ofSheet($athlete, $sheet);
        DailyTotals::refresh($athlete->id, $sheet->day()->iso());
        $this->rounds->keep($sheet, $this->rung($sheet));

        $judged = TapFold::evidence($standing, $sheet->judgedSides());
        DB::table('rep_strips')->where('sheet_id', $sheet->id)->delete();
        if ($judged !== []) {
            $safety = $this->safetyFaults($sheet);
            DB::table('rep_strips')->insert([
                'sheet_id' => $sheet->id, 'athlete_id' => $athlete->id, 'ladder' => $sheet->ladder,
                'rung' => $sheet->return_stage === null ? $sheet->rung : StageRung::id($sheet->return_stage),
                'day' => $sheet->day()->iso(), 'last_at' => $judged[count($judged) - 1]->at->text,
                'marks' => RepStrip::write(TapFold::judged($judged, $safety)),
                'varied' => RepStrip::write(
                    TapFold::judged(
                        array_values(
                            array_filter($judged, fn (Tap $rep): bool => $blocks[$rep->blockId]->kind === BlockKind::GameLike),
                        ),
                        $safety,
                    ),
                ),
                'checkpoints' => json_encode((object) self::byCheckpoint($judged, $this->rung($sheet)), JSON_THROW_ON_ERROR),
            ]);
        }
    }

    /** @return Rung|null the rung a sheet was run on, as its ladder was then */
    public function rung(Sheet $sheet): ?Rung
    {
        return $this->library->ladder($sheet->ladder, $sheet->ladder_version)->rung($sheet->rung);
    }

    /**
     * The verdict of a tap: from its checkpoints where somebody looked that closely, else as it was given.
     *
     * @param  array<string, mixed>  $event
     */
    private static function verdict(array $event, ?Rung $rung): ?string
    {
        if (empty($event['seen']) || $rung === null) {
            return $event['verdict'] ?? null;
        }

        return match (Seen::verdict(self::required($rung), self::asSeen($event['seen']))) {
            true => 'good',
            false => 'not_good',
            null => 'unobserved',
        };
    }

    /** @return list<string> */
    private static function required(Rung $rung): array
    {
        return array_map(fn (Checkpoint $checkpoint): string => $checkpoint->id, $rung->checkpoints);
    }

    /**
     * @param  array<string, string>  $seen  right or wrong by checkpoint
     * @return array<string, bool>
     */
    private static function asSeen(array $seen): array
    {
        return array_map(fn (string $word): bool => $word === 'right', $seen);
    }

    /** @return string|null the checkpoint a repetition failed on, as far as anybody said */
    public static function failedOn(Tap $rep, Rung $rung): ?string
    {
        $seen = self::asSeen($rep->seen ?? []) ?: Seen::implied(
            self::required($rung),
            $rep->isGood(),
            $rung->fault((string) $rep->fault)?->checkpoint,
        );

        return $rep->verdict === 'not_good' ? array_search(false, $seen, true) ?: null : null;
    }

    /**
     * @param  list<Tap>  $judged
     * @return array<string, array{int, int}> right and seen, by checkpoint, as Seen::tally
     */
    private static function byCheckpoint(array $judged, ?Rung $rung): array
    {
        return $rung === null ? [] : Seen::tally(self::required($rung), array_map(fn (Tap $rep): array => [
            'good' => $rep->isGood(), 'faulty' => $rung->fault((string) $rep->fault)?->checkpoint,
            'seen' => $rep->seen === null ? null : self::asSeen($rep->seen),
        ], $judged));
    }

    /** @return list<string> ids of the faults of the sheet's ladder that can hurt */
    public function safetyFaults(Sheet $sheet): array
    {
        $faults = $this->rung($sheet)->faults ?? [];

        return array_values(array_map(fn ($fault): string => $fault->id, array_filter($faults, fn ($fault): bool => $fault->safety)));
    }

    /**
     * @param  list<Tap>  $standing
     * @param  array<string, SheetBlock>  $blocks
     * @return list<array<string, mixed>>
     */
    private function workSets(Sheet $sheet, array $standing, array $blocks, SetCost $price): array
    {
        $speeds = DB::table('rep_speeds')->where('sheet_id', $sheet->id)->pluck('speed_ms', 'rep_id')->all();
        $groups = [];
        foreach ($standing as $rep) {
            $speed = $speeds[$rep->id] ?? '';
            $groups["{$rep->set()}|{$rep->side}|{$rep->effort}|{$rep->distanceM}|{$speed}"][] = $rep;
        }
        $rows = [];
        foreach ($groups as $reps) {
            $block = $blocks[$reps[0]->blockId];
            $dose = $block->dose($this->library);
            $set = new WorkSet(
                day: $sheet->day(),
                session: $sheet->id,
                skill: $dose->skill,
                reps: count($reps),
                effort: $reps[0]->effort,
                implement: $dose->object->implement,
                distanceM: $reps[0]->distanceM,
                speedMs: isset($speeds[$reps[0]->id]) ? (float) $speeds[$reps[0]->id] : null,
                massKg: $dose->object->massKg,
                referenceMassKg: $dose->object->referenceMassKg,
                side: Side::from($reps[0]->side),
                surface: $dose->surface,
                legs: $dose->legs,
                dropCm: $dose->dropCm,
            );
            $rows[] = self::row(
                $sheet->athlete_id, $set, 'courtside', $block->object, $block->id,
            ) + DailyTotals::toColumns($price->of($set));
        }

        return $rows;
    }

    /** @return array<string, mixed> the columns of a work set but its price */
    public static function row(string $athleteId, WorkSet $set, string $source, string $object, ?string $blockId): array
    {
        return [
            'athlete_id' => $athleteId, 'day' => $set->day->iso(), 'session' => $set->session, 'block_id' => $blockId, 'source' => $source,
            'skill' => $set->skill->id, 'reps' => $set->reps, 'effort' => $set->effort, 'object' => $object,
            'implement' => $set->implement->value,
            'side' => $set->side->value, 'surface' => $set->surface?->value, 'distance_m' => $set->distanceM, 'speed_ms' => $set->speedMs,
            'legs' => $set->legs, 'drop_cm' => $set->dropCm,
        ];
    }
}
