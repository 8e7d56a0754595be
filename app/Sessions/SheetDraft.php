<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\Wording\SheetWording;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\WorkSource;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A sheet as somebody wants it: its blocks in the new order, some changed, some gone, some new. */
final readonly class SheetDraft
{
    /**
     * @param  list<SheetBlock>  $blocks  in order, not kept yet
     * @param  list<SheetNote>  $notes
     */
    private function __construct(private array $blocks, private array $notes) {}

    /**
     * @param  list<array{BlockPlan, string|null}>  $doses  in order, each with the id of the block it is; null: a new one
     * @param  list<SheetNote>  $notes
     */
    public static function made(Sheet $sheet, array $doses, array $notes): self
    {
        $blocks = array_map(fn (array $dose, int $position): SheetBlock => SheetBlock::of($dose[0], $position)->forceFill([
            'id' => $dose[1] ?? (string) Str::uuid7(), 'sheet_id' => $sheet->id,
        ]), $doses, array_keys($doses));

        return new self($blocks, $notes);
    }

    /**
     * @param  list<array<string, mixed>>  $given  validated: what of a block is not said stays as it is
     *
     * @throws Problem when a block is not there any more, or was counted and is to go
     */
    public static function of(OpenSheet $open, array $given): self
    {
        $library = app(Library::class);
        $rows = $open->sheet->blocks->keyBy('id');
        $old = $rows->keys()->flip();
        $doses = $notes = $places = [];
        foreach ($given as $position => $each) {
            $row = $rows[$each['id']] ?? null;
            if ($row === null) {
                $source = self::source($open, $each);
                $notes[] = SheetNote::otherWork($source, $position);
            }
            $plan = self::planned($row === null ? $source->dose : $row->dose($library), $each);
            $doses[] = [$plan, $each['id']];
            // What was said of another dose than this does not hold any more.
            if ($row !== null && SheetBlock::given($plan) == SheetBlock::given($row->plan($library))) {
                $places[$old[$row->id]] = $position;
            }
        }
        self::refuseCounted($rows->except(array_column($given, 'id'))->all());

        return self::made($open->sheet, $doses, [...SheetNote::moved($open->sheet->notes(), $places), ...$notes]);
    }

    /** The sheet as it would be, without keeping anything. */
    public function onto(Sheet $sheet): void
    {
        $sheet->setRelation('blocks', $sheet->newCollection()->make($this->blocks));
        $sheet->fill(['edited' => true, 'trims' => array_map(fn (SheetNote $note): array => $note->toArray(), $this->notes)]);
    }

    /** In the transaction of whoever saves: blocks and reasons, as a version of its own. */
    public function keep(Sheet $sheet): void
    {
        $this->onto($sheet);
        $sheet->update(['version' => $sheet->version + 1]);
        $sheet->blocks()->whereNotIn('id', array_column($this->blocks, 'id'))->delete();
        // Places are taken one by one: none of them twice at any time. What stays is read after it was put out of the way, or a block
        // that keeps its place would seem to stand there already.
        $sheet->blocks()->increment('position', count($this->blocks) + $sheet->blocks()->count());
        $rows = $sheet->blocks()->get()->keyBy('id');
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
        $resting = $open->allowed()->restingIn($source->dose);
        if ($resting !== []) {
            throw new Problem(
                ProblemType::OverAHardLimit,
                "“{$source->dose->title}”: ".SheetWording::whyNot(Word::Full, $resting).' Choose something else.',
            );
        }

        return $source;
    }

    /** @param  array<string, mixed>  $given */
    private static function planned(BlockDose $dose, array $given): BlockPlan
    {
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
