<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\BlockDose;

/** What becomes of a block that no space can hold as it is. */
final readonly class RoomChange
{
    /**
     * @param  'shorter'|'indoors'|'nothing_thrown'|'out'  $how
     * @param  BlockDose|null  $instead  null: left out
     */
    private function __construct(public BlockDose $asked, public string $how, public ?BlockDose $instead) {}

    public static function shorter(BlockDose $asked, float $distanceM): self
    {
        return new self($asked, 'shorter', $asked->with(['distanceM' => $distanceM]));
    }

    public static function indoors(BlockDose $asked, BlockDose $indoor): self
    {
        return new self($asked, 'indoors', $indoor);
    }

    /** The body is warmed up all the same. */
    public static function nothingThrown(BlockDose $asked): self
    {
        $without = ['sets' => 1, 'reps' => 0, 'repsMin' => 0, 'distanceM' => null, 'distanceMinM' => null];

        return new self($asked, 'nothing_thrown', $asked->with($without));
    }

    public static function out(BlockDose $asked): self
    {
        return new self($asked, 'out', null);
    }
}
