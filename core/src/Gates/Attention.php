<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;

/** Where a coach of many looks first, in this order. */
enum Attention: string
{
    /** The gate is open: the decision is the coach's. */
    case Ready = 'ready';

    /** Six judged repetitions more may decide. */
    case Watch = 'watch';

    /** More of the same would not open the gate. */
    case Stuck = 'stuck';

    /** The word leaves nothing of what the rung loads. */
    case Rest = 'rest';

    /** The stages of a return decide, not the ladder. */
    case Return = 'return';

    /** A look is worth asking for from this chance on that it decides. */
    private const WORTH_A_LOOK = 0.15;

    /** @param  Word  $word  of what the rung loads */
    public static function of(bool $onTheWayBack, Word $word, GateDecision $decision, Watch $watch): self
    {
        return match (true) {
            $onTheWayBack => self::Return,
            ! $word->allowsWork() => self::Rest,
            $decision === GateDecision::Advance => self::Ready,
            $decision === GateDecision::Collect, $watch->opens + $watch->stepsBack >= self::WORTH_A_LOOK => self::Watch,
            default => self::Stuck,
        };
    }

    /**
     * Whether a coach has to ask, to decide or to look before somebody trains today: what a look at forty athletes is for.
     *
     * @param  GateDecision|null  $decision  null: on no ladder, or on a way back
     * @param  bool  $isNear  near a hard limit, or over it
     * @param  bool  $isAway  nobody waits for them today, so nobody has to ask
     * @param  int  $openIncidents  what happened and is not closed
     */
    public static function isNeededToday(
        Readiness $readiness, ?GateDecision $decision, bool $isNear, bool $isAway, int $openIncidents,
    ): bool {
        return $isNear
            || $openIncidents > 0
            || $readiness->openReferrals !== []
            || (! $isAway && ! $readiness->checkedIn)
            || $decision === GateDecision::Advance
            || $decision === GateDecision::StepBack;
    }

    /** @return int place in the order of looking, from 0 */
    public function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
