<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;

/** Something to do, and where it comes from: what a sheet is given beside the doses of its own rung. */
final readonly class WorkSource
{
    /**
     * @param  'own'|'other_side'|'ladder'|'fault'|'drill'|'template'  $from  a rung of the sheet's own ladder, its dose on the other side,
     *         a rung of any ladder, the drill that mends a fault, a drill of the library, doses somebody put together
     * @param  string|null  $ladder  id; null: a drill of the library, which belongs to none
     * @param  string|null  $rung  id
     * @param  string|null  $name  id of the fault or of the drill; null: a block of the rung
     * @param  Layoff|null  $layoff  how long what another ladder works had not worked; null: that of the sheet holds
     */
    public function __construct(
        public BlockDose $dose,
        public string $from,
        public ?string $ladder = null,
        public ?string $rung = null,
        public ?string $name = null,
        public ?Layoff $layoff = null,
    ) {}

    public function withDose(BlockDose $dose): self
    {
        return new self($dose, $this->from, $this->ladder, $this->rung, $this->name, $this->layoff);
    }
}
