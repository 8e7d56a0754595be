<?php

declare(strict_types=1);

namespace Augendo\Core\Courtside;

use Augendo\Core\CopiesItself;
use Augendo\Core\Instant;

/** One thing said courtside. Taps are never changed: a correction is another tap. */
final readonly class Tap
{
    use CopiesItself;

    /**
     * @param  'rep'|'fall'|'second'|'withdraw'|'correct'|'trying'|'felt'|'going_on'|'landed'|'round'|'tag'  $kind  second: what a second
     *         person saw; round: a game begins on the block; tag: what a repetition is besides, see TapFold::tags
     * @param  string|null  $targetId  the repetition that is withdrawn, corrected, or came out somehow
     * @param  'good'|'not_good'|'unobserved'|null  $verdict
     * @param  'dominant'|'other'  $side
     * @param  float|null  $effort  0 to 1
     * @param  int  $seq  counted by the device, for taps of one instant
     * @param  int|null  $by  whoever tapped
     * @param  string|null  $note  what is tried, why one goes on, where it landed (Scoring\Outcome), or the code of a round (Scoring\Round)
     * @param  array<string, 'right'|'wrong'>|null  $seen  by checkpoint, where somebody looked that closely
     */
    public function __construct(
        public string $id,
        public string $sheetId,
        public string $blockId,
        public int $setNo,
        public string $kind,
        public ?string $targetId,
        public ?string $verdict,
        public ?string $fault,
        public string $side,
        public ?float $effort,
        public ?float $distanceM,
        public Instant $at,
        public int $seq,
        public string $device,
        public ?int $by,
        public ?string $note,
        public ?array $seen,
    ) {}

    /** @return bool|null null when nobody saw it */
    public function isGood(): ?bool
    {
        return ['good' => true, 'not_good' => false][$this->verdict] ?? null;
    }

    /** The set it belongs to. */
    public function set(): string
    {
        return "{$this->blockId}|{$this->setNo}";
    }
}
