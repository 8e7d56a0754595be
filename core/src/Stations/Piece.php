<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\Family;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;

/** One block of one athlete, as a place to work at has to know it. */
final readonly class Piece
{
    /** Somebody who serves has so many at hand, and collects them together with the others. */
    private const BALLS_OF_A_SERVER = 3;

    /**
     * @param  string  $skill  id
     * @param  int  $seconds  work and prescribed rest
     * @param  float|null  $distanceM  null: it needs no length
     * @param  bool  $hard  a ball or implement that hurts whom it hits
     * @param  bool  $far  an implement that needs a sector
     * @param  bool  $landing  somebody jumps and lands
     * @param  int  $balls  for this athlete, at once
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $skill,
        public BlockKind $kind,
        public int $seconds,
        public ?float $distanceM,
        public bool $hard,
        public bool $far,
        public bool $landing,
        public bool $needsAdult,
        public int $balls,
    ) {
        if ($seconds < 1 || $balls < 0 || ($distanceM !== null && $distanceM < 0)) {
            throw new InvalidValue('A piece of work lasts a second or more, with no fewer than 0 balls and 0 m.');
        }
    }

    /**
     * The dose of a block as a piece of work; null where there is nothing to do at a place of its own: everybody warms up and cools
     * down where they
     * stand, and a block without work has no place.
     */
    public static function of(BlockPlan $plan): ?self
    {
        $dose = $plan->asked;
        $seconds = SessionClock::blockSeconds($plan);
        if (in_array($dose->kind, [BlockKind::WarmUp, BlockKind::CoolDown], true) || $seconds === 0) {
            return null;
        }
        $object = $dose->object;
        $inHand = $object->massKg !== null && $dose->kind !== BlockKind::Rehearsal;

        return new self(
            skill: $dose->skill->id,
            kind: $dose->kind,
            seconds: $seconds,
            distanceM: $inHand ? $plan->distanceM : null,
            hard: $inHand && $object->hard,
            far: $inHand && $object->far,
            landing: $dose->skill->landingsPerRep > 0 && $dose->kind !== BlockKind::Rehearsal,
            needsAdult: $inHand && $object->far,
            balls: match (true) {
                ! $inHand => 0,
                $dose->skill->family === Family::Serve => self::BALLS_OF_A_SERVER,
                default => 1,
            },
        );
    }

    /** @return int half lanes it takes: two rehearse where one throws */
    public function halfLanes(): int
    {
        return $this->kind === BlockKind::Rehearsal ? 1 : 2;
    }
}
