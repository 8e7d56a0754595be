<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;

/** A finished return to play: the weeks after it have a maximum of their own. */
final readonly class DoneReturn
{
    /**
     * @param  float  $usualWeek  units of a usual week before the injury; 0 when nobody knows
     * @param  Side  $side  that was hurt, where the channel has two
     */
    public function __construct(public Channel $channel, public Day $doneOn, public float $usualWeek, public Side $side = Side::Dominant) {}
}
