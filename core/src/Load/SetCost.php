<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Tolerance;

/**
 * Prices sets for one athlete: stress units, landing units, counts and metres. A speed that was measured can raise a price, never lower
 * it below what was felt.
 */
final readonly class SetCost
{
    private const HIGH_EFFORT = 0.85;

    private const HIGH_SPEED_SHARE = 0.9;

    private const ORDINARY_DROP_CM = 30.0;

    public function __construct(
        private AthleteProfile $athlete,
        private EffortCurve $curve = EffortCurve::Speed,
    ) {}

    public function of(WorkSet $set): CostedSet
    {
        $stress = $set->reps * $this->weight($set) * $set->implement->factor($set->massKg, $set->referenceMassKg);
        $counts = $set->implement === Implement::Shadow ? 0 : $set->reps;

        return new CostedSet(
            day: $set->day->ordinal,
            session: $set->session,
            skill: $set->skill->id,
            family: $set->skill->family,
            side: $set->side,
            implement: $set->implement,
            cost: [
                'reps' => (float) $counts,
                'shadow' => (float) ($set->reps - $counts),
                'high_reps' => $counts > 0 && $this->isHigh($set) ? (float) $counts : 0.0,
                'metres' => $counts * ($set->distanceM ?? 0.0),
                'arm' => $stress * $set->skill->arm,
                'hand' => $stress * $set->skill->hand,
                'trunk' => $stress * $set->skill->trunk,
                'landings' => $this->landings($set),
            ],
            effort: $set->effort ?? 1.0,
            distanceM: $set->distanceM,
        );
    }

    public function longestThrowM(Skill $skill): ?float
    {
        return $this->athlete->longestThrowM[$skill->id] ?? null;
    }

    /**
     * @param  string  $object  id of what is thrown
     * @return float|null the longest throw on record, or how far the fastest carries where none is, metres; null: it is no throw, or
     *                    neither is known
     */
    public function reachM(Skill $skill, string $object): ?float
    {
        return $this->thrownM($skill) ?? ($skill->family === Family::Throw ? $this->athlete->carriesM[$skill->id][$object] ?? null : null);
    }

    /** @return float|null metres an effort goes at most; null: it is no throw, or nothing says how far it goes */
    public function furthestM(Skill $skill, string $object, float $effort): ?float
    {
        $reach = $this->reachM($skill, $object);

        return $reach === null ? null : ThrowReach::furthestM($effort, $reach);
    }

    /** Whether a throw is called easier than its distance lets it be. */
    public function isCalledTooEasy(Skill $skill, string $object, float $effort, ?float $distanceM): bool
    {
        $reach = $this->reachM($skill, $object);

        return $reach !== null && $distanceM !== null && ! ThrowReach::reaches($effort, $distanceM, $reach);
    }

    /** The longest of what is thrown; a serve asks for no distance. */
    private function thrownM(Skill $skill): ?float
    {
        return $skill->family === Family::Throw ? $this->longestThrowM($skill) : null;
    }

    /** @return float the share of full stress one repetition costs, 0 to 1 */
    public function weight(WorkSet $set): float
    {
        $speedShare = $this->curve === EffortCurve::Speed ? $this->speedShare($set) : null;
        $energyShare = $speedShare === null ? null : min(1.0, $speedShare ** 2);
        $distanceShare = $this->distanceShare($set);
        $floor = $distanceShare === null ? 0.0 : min(1.0, $distanceShare);

        if ($set->effort === null) {
            return $energyShare === null ? 1.0 : max(0.5, $energyShare, $floor);
        }

        return max($this->curve->stressShare($set->effort), $energyShare ?? 0.0, $floor);
    }

    /** High-effort when any sign says hard; an unknown effort is one. */
    private function isHigh(WorkSet $set): bool
    {
        return $set->effort === null
            || Tolerance::atLeast($set->effort, self::HIGH_EFFORT)
            || Tolerance::atLeast($this->speedShare($set) ?? 0.0, self::HIGH_SPEED_SHARE)
            || Tolerance::atLeast($this->distanceShare($set) ?? 0.0, self::HIGH_EFFORT);
    }

    private function speedShare(WorkSet $set): ?float
    {
        $reference = $this->athlete->referenceSpeedMs[$set->skill->id] ?? null;

        return $set->speedMs === null || $reference === null ? null : $set->speedMs / $reference;
    }

    /** A drag-free range grows with the square of release speed, so d/D is the least share of full energy that reaches d. */
    private function distanceShare(WorkSet $set): ?float
    {
        if (
            $set->skill->family === Family::Throw
            && $set->distanceM !== null
            && in_array($set->skill->id, $this->athlete->lapsedThrows, true)
        ) {
            return 1.0;
        }
        $longest = $this->thrownM($set->skill);

        return $set->distanceM === null || $longest === null ? null : $set->distanceM / $longest;
    }

    private function landings(WorkSet $set): float
    {
        $height = $set->dropCm === null ? 1.0 : min(2.0, max(0.5, $set->dropCm / self::ORDINARY_DROP_CM));

        return $set->reps * $set->skill->landingsPerRep * Surface::factor($set->surface) * ($set->legs === 1 ? 1.5 : 1.0) * $height;
    }
}
