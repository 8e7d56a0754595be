<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\Wording\Wording;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\WorkSource;
use Illuminate\Support\Facades\DB;

/** A sheet as somebody wants it: its blocks in the new order, some changed, some gone, some new. */
final readonly class SheetDraft
{
    /**
     * @param  list<SheetBlock>  $blocks  in order, not kept yet
     * @param  list<string>  $removed  ids of blocks that are gone
     * @param  list<SheetNote>  $notes
     */
    private function __construct(private array $blocks, private array $removed, private array $notes) {}

    /**
     * @param  list<array<string, mixed>>  $given  validated: what of a block is not said stays as it is
     *
     * @throws Problem when a block is not there any more, or was counted and is to go
     */
    public static function of(OpenSheet $open, array $given): self
    {
        $rows = $open->sheet->blocks->keyBy('id');
        $places = $rows->keys()->flip();
        $notes = array_filter($open->sheet->notes(), fn (SheetNote $note): bool => $note->block === null);
        $blocks = [];
        foreach ($given as $position => $each) {
            $row = $rows[$each['id']] ?? null;
            $source = $row === null ? self::source($open, $each) : null;
            $dose = $row === null ? $source?->dose : $row->dose(app(Library::class));
            assert($dose !== null);
            $plan = self::planned(BlockPlan::asAsked($dose), $each);
            $blocks[] = SheetBlock::of($plan, $position)->forceFill(['id' => $each['id'], 'sheet_id' => $open->sheet->id]);
            if ($source !== null) {
                $notes[] = SheetNote::otherWork($source, $position);
            } elseif ($row !== null && SheetBlock::given($plan) == SheetBlock::given($row->plan(app(Library::class)))) {
                $its = array_filter($open->sheet->notes(), fn (SheetNote $note): bool => $note->block === $places[$row->id]);
                $notes = [...$notes, ...array_map(fn (SheetNote $note): SheetNote => $note->at($position), $its)];
            }
        }
        $removed = array_values(array_diff($rows->keys()->all(), array_column($given, 'id')));
        self::refuseCounted($rows->only($removed)->all());

        return new self($blocks, $removed, array_values($notes));
    }

    /** The sheet as it would be, without keeping anything. */
    public function onto(Sheet $sheet): void
    {
        $sheet->setRelation('blocks', $sheet->newCollection()->make($this->blocks));
        $sheet->fill(['edited' => true, 'trims' => $this->notesKept()]);
    }

    /** In the transaction of whoever saves. */
    public function keep(Sheet $sheet): void
    {
        SheetBlock::query()->whereIn('id', $this->removed)->delete();
        $rows = $sheet->blocks()->get()->keyBy('id');
        // Places are taken one by one: none of them twice at any time.
        DB::table('sheet_blocks')->where('sheet_id', $sheet->id)->increment('position', count($this->blocks) + count($rows));
        foreach ($this->blocks as $block) {
            $row = $rows[$block->id] ?? null;
            if ($row === null) {
                $block->save();
            } else {
                $row->setRawAttributes([...$row->getAttributes(), ...$block->getAttributes()])->save();
            }
        }
        $sheet->unsetRelation('blocks');
    }

    /** @return list<array<string, mixed>> */
    public function notesKept(): array
    {
        return array_map(fn (SheetNote $note): array => $note->toArray(), $this->notes);
    }

    /** @param  array<string, mixed>  $given */
    private static function source(OpenSheet $open, array $given): WorkSource
    {
        $source = $open->addable()[$given['add'] ?? ''] ?? null;
        if ($source === null || SheetBlock::query()->whereKey($given['id'])->exists()) {
            throw new Problem(
                ProblemType::ChangedMeanwhile,
                'A block is not on this sheet any more, or not in the library. Load the page again; your doses stay on the screen.',
            );
        }
        $kept = $open->keptForTheWayBack($source->dose);
        if ($kept !== []) {
            $parts = implode(' and ', array_map(fn (Channel $channel): string => Wording::channel($channel), $kept));
            throw new Problem(
                ProblemType::OverAHardLimit,
                "“{$source->dose->title}” loads the {$parts}, which the way back keeps for its own stages. Choose something else.",
            );
        }

        return $source;
    }

    /** @param  array<string, mixed>  $given */
    private static function planned(BlockPlan $plan, array $given): BlockPlan
    {
        $dose = $plan->asked;
        $done = $dose->done(
            object: isset($given['object']) ? app(Library::class)->objects()[$given['object']] : $dose->object,
            side: isset($given['side']) ? Side::from($given['side']) : $dose->side,
            surface: array_key_exists('surface', $given) ? Surface::tryFrom((string) $given['surface']) : $dose->surface,
            restS: $given['rest_s'] ?? $dose->restS,
            holdS: array_key_exists('hold_s', $given) ? $given['hold_s'] : $dose->holdS,
        );

        return new BlockPlan($done, $given['sets'], $given['reps'], $given['effort'], $given['distance_m']);
    }

    /** @param  array<string, SheetBlock>  $gone */
    private static function refuseCounted(array $gone): void
    {
        foreach ($gone as $block) {
            if (DB::table('rep_events')->where('block_id', $block->id)->exists()) {
                throw new Problem(
                    ProblemType::AlreadyCounted,
                    "“{$block->title}” was counted: it stays on the sheet. Lower its repetitions to what was done instead.",
                );
            }
        }
    }
}
