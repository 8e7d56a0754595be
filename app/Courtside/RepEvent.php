<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Records\Record;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Instant;

/**
 * One tap courtside: a repetition (rep), a fall, their withdrawal or correction, what is tried from here on (trying), how hard a
 * set felt (felt), where it
 * landed (landed), a round that begins (round), why
 * it went on after a stop that is no hard limit (going_on), or what a second person saw of the same repetition
 * (second). Never changed, never deleted.
 *
 * @property string $id
 * @property string $sheet_id
 * @property string $block_id
 * @property int $set_no
 * @property string $kind
 * @property string|null $target_id
 * @property string|null $verdict
 * @property string|null $fault
 * @property string $side
 * @property float|null $effort
 * @property float|null $distance_m
 * @property string $at
 * @property int $seq
 * @property string $device
 * @property int $user_id
 * @property string $received_at
 * @property string|null $note
 * @property array<array-key, mixed>|null $seen
 */
final class RepEvent extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['seen' => 'array'];
    }

    public function tap(): Tap
    {
        return new Tap(
            id: (string) $this->id,
            sheetId: (string) $this->sheet_id,
            blockId: (string) $this->block_id,
            setNo: (int) $this->set_no,
            kind: $this->kind,
            targetId: $this->target_id,
            verdict: $this->verdict,
            fault: $this->fault,
            side: $this->side,
            effort: $this->effort,
            distanceM: $this->distance_m,
            at: Instant::of($this->at),
            seq: (int) $this->seq,
            device: $this->device,
            by: $this->user_id,
            note: $this->note,
            seen: $this->seen,
        );
    }
}
