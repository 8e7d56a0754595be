<?php

declare(strict_types=1);

namespace App\Sessions;

use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;
use Augendo\Core\Planning\Claim;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Planning\WorkSource;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\StepAsked;
use Augendo\Core\Stations\RoomChange;

/**
 * Why a sheet is what it is, one reason at a time. Kept as a reason with its figures and the version of its form; SheetWording puts
 * it in words when it is read. Version 0 holds the words of the days when words were kept: there is no way back from words to figures.
 */
final readonly class SheetNote
{
    private const VERSION = 1;

    /**
     * @param  'trim'|'swap'|'floor_not_known'|'way_back'|'way_back_elsewhere'|'layoff'|'drill'|'emphasis'|'gave_way'
     *         |'room'|'test_waits'|'swapped'|'other_work'|'serve_target'|'as_written'  $why
     * @param  array<string, mixed>  $figures
     * @param  int|null  $block  position of the block it is about, from 0; null: the whole sheet
     */
    private function __construct(
        public string $why,
        public array $figures,
        public ?int $block = null,
        private int $version = self::VERSION,
    ) {}

    public static function trim(Trim $trim): self
    {
        return new self('trim', $trim->toArray(), $trim->block);
    }

    /** @param  LibraryObject|null  $for  what stands in for it; null: nothing at hand can */
    public static function swap(BlockDose $block, ?LibraryObject $for): self
    {
        return new self('swap', ['title' => $block->title, 'asked' => $block->object->id, 'for' => $for?->id]);
    }

    /** What becomes of a block in the spaces there are. */
    public static function room(RoomChange $change): self
    {
        return new self('room', [
            'title' => $change->asked->title, 'distance_m' => $change->asked->distanceM, 'how' => $change->how,
            'instead' => $change->instead?->title, 'shorter_m' => $change->instead?->distanceM,
        ]);
    }

    public static function floorNotKnown(): self
    {
        return new self('floor_not_known', []);
    }

    /**
     * @param  int|null  $stage  that is trained, from 0; null: nothing of the return
     * @param  Word|null  $word  that allows no work of it today; null where the word is not the cause
     */
    public static function wayBack(StepAsked $asked, ?int $stage, ?Word $word): self
    {
        return new self('way_back', ['asked' => $asked->toArray(), 'stage' => $stage, 'word' => $word?->value]);
    }

    public static function wayBackElsewhere(Site $site): self
    {
        return new self('way_back_elsewhere', ['site' => $site->value]);
    }

    public static function layoff(int $idleDays, Rung $below): self
    {
        return new self('layoff', ['idle_days' => $idleDays, 'below' => $below->id]);
    }

    public static function drill(Fault $fault): self
    {
        return new self('drill', ['fault' => $fault->id]);
    }

    public static function emphasis(Emphasis $emphasis): self
    {
        return new self('emphasis', ['emphasis' => $emphasis->value]);
    }

    /** @param  Word  $word  of the day, which is not Full */
    public static function testWaits(Word $word): self
    {
        return new self('test_waits', ['word' => $word->value]);
    }

    /** @param  non-empty-list<Claim>  $first  what of the day comes first and took the room */
    public static function gaveWay(array $first): self
    {
        return new self('gave_way', ['to' => array_map(fn (Claim $claim): array => [
            'kind' => $claim->kind->value, 'title' => $claim->title, 'starts_at' => $claim->startsAt,
        ], $first)]);
    }

    /**
     * The work of the day was taken away, and this is what was left.
     *
     * @param  string  $change  id of the change of the plan, by which it is taken back
     * @param  Rung  $rung  whose work it was
     */
    public static function swapped(string $change, string $ladder, Rung $rung): self
    {
        return new self('swapped', ['change' => $change, 'ladder' => $ladder, 'rung' => $rung->id]);
    }

    /** @param  int  $block  position on the sheet, from 0 */
    public static function otherWork(WorkSource $source, int $block): self
    {
        return new self('other_work', [
            'from' => $source->from, 'ladder' => $source->ladder, 'rung' => $source->rung, 'name' => $source->name,
        ], $block);
    }

    /** @param  int  $block  position on the sheet, from 0 */
    public static function serveTarget(ServeChange $change, int $block): self
    {
        return new self('serve_target', [
            'pace' => $change->pace, 'topspin_rpm' => $change->topspinRpm, 'higher_m' => $change->higherM, 'aimed' => $change->aimed,
        ], $block);
    }

    /**
     * The reasons that still stand, beside blocks that stand elsewhere now.
     *
     * @param  list<self>  $notes
     * @param  array<int, int>  $places  new position by the old one; a block that is not named is not there any more
     * @return list<self>
     */
    public static function moved(array $notes, array $places): array
    {
        $stand = array_filter($notes, fn (self $note): bool => $note->block === null || isset($places[$note->block]));

        return array_values(array_map(
            fn (self $note): self => $note->block === null ? $note : $note->at($places[$note->block]), $stand,
        ));
    }

    /** The same reason beside a block. */
    public function at(int $block): self
    {
        return new self($this->why, $this->figures, $block, $this->version);
    }

    /** @return array{v: int, why: string, block: int|null, figures: array<string, mixed>} */
    public function toArray(): array
    {
        return ['v' => $this->version, 'why' => $this->why, 'block' => $this->block, 'figures' => $this->figures];
    }

    /** @param  array<string, mixed>  $kept */
    public static function fromArray(array $kept): self
    {
        return isset($kept['v'])
            ? new self($kept['why'], $kept['figures'], $kept['block'], $kept['v'])
            : new self('as_written', ['words' => $kept['sentence']], $kept['block'], 0);
    }
}
