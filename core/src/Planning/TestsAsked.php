<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\TestProtocol;
use Augendo\Core\Library\TestTable;
use Augendo\Core\Tolerance;

/** Test days of a season: what is measured on them, and when it was last. */
final readonly class TestsAsked
{
    /** @param  Day|null  $last  of the last measurement that still holds; null: none does, and one is asked for as soon as it can be */
    public function __construct(public TestTable $table, public TestProtocol $protocol, public ?Day $last) {}

    /**
     * Nobody is tested at full effort whose age does not ask for it, or who has not come near it.
     *
     * @param  float  $reached  effort of the last heavy day, 0 to 1
     */
    public function mayBeGiven(DoseShares $shares, float $reached): bool
    {
        return $shares->askForFullEffort() && Tolerance::atLeast($reached, $this->table->leastEffortBefore);
    }
}
