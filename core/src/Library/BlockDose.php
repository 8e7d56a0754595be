<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;

/** What a block of a rung prescribes before anything is trimmed, and how far a trim may go. */
final readonly class BlockDose
{
    use CopiesItself;

    private const LEAST_M = 2.0;

    /**
     * @param  int  $reps  a set; 0 for a block without counted repetitions
     * @param  int  $repsMin  the least in all sets together that is still worth doing
     * @param  float  $effort  0 to 1, asked
     * @param  bool  $judged  whether the repetitions are watched as evidence for the gate
     * @param  float|null  $distanceM  metres: as meant, or of whoever has no longest throw on record
     * @param  list<Channel>|null  $loads  the parts it loads, counted or not; null: those of its skill
     * @param  float|null  $distanceShare  of the athlete's own longest throw, 0 to 1; null: the metres are meant
     * @param  Manner|null  $manner  null: nobody has said how
     */
    public function __construct(
        public BlockKind $kind,
        public string $title,
        public string $text,
        public Skill $skill,
        public LibraryObject $object,
        public Side $side,
        public ?Surface $surface,
        public int $sets,
        public int $reps,
        public int $repsMin,
        public float $effort,
        public float $effortMin,
        public ?float $distanceM,
        public ?float $distanceMinM,
        public int $restS,
        public ?int $holdS,
        public int $legs,
        public ?float $dropCm,
        public bool $judged,
        public ?array $loads = null,
        public ?float $distanceShare = null,
        public ?Manner $manner = null,
    ) {}

    /** @return list<Channel> the parts that have to be well enough for it */
    public function loadedChannels(): array
    {
        return $this->loads ?? $this->skill->loadedChannels();
    }

    /** Whether it is done with one side of the body: footwork is done with both, unless it asks for the other hand. */
    public function isOneSided(): bool
    {
        return ! $this->skill->isFootwork() || $this->side === Side::Other;
    }

    /**
     * The same dose for one athlete: its distance the share of their own longest throw, where that is on record, and its object the one
     * of their age and of their hand, or chosen for them. Where none is known, the numbers of the ladder stand.
     */
    public function forAthlete(AthleteProfile $profile, Day $on): self
    {
        $object = $profile->sizes?->objectFor($this->skill->id, $this->object, $profile, $on) ?? $this->object;
        $longest = $profile->longestThrowM[$this->skill->id] ?? null;
        if ($longest === null || $this->distanceShare === null || $this->distanceM === null) {
            return $object === $this->object ? $this : $this->with(['object' => $object]);
        }
        $distance = self::inHalves($this->distanceShare * $longest);
        $least = self::inHalves($distance * ($this->distanceMinM ?? $this->distanceM) / $this->distanceM);

        return $this->with(['object' => $object, 'distanceM' => $distance, 'distanceMinM' => min($distance, $least)]);
    }

    /**
     * The same dose with a share of its repetitions: fewer in a set, or more sets of the same length.
     *
     * @param  float  $share  above 0
     */
    public function scaled(float $share): self
    {
        $whole = $this->sets * $this->reps;
        if ($whole === 0 || abs($share - 1.0) < 1e-9) {
            return $this;
        }
        $sets = max($this->sets, (int) floor($share * $this->sets + 1e-9));
        $reps = max(1, (int) round($share * $whole / $sets));

        return $this->with([
            'sets' => $sets,
            'reps' => $reps,
            'repsMin' => min($sets * $reps, $share < 1.0 ? (int) ceil($share * $this->repsMin) : $this->repsMin),
        ]);
    }

    /** Metres somebody can pace: halves, and never none. */
    private static function inHalves(float $metres): float
    {
        return max(self::LEAST_M, round($metres * 2) / 2);
    }

    /** The same dose with no more than an effort, 0 to 1. */
    public function atMost(float $effort): self
    {
        return $this->effort <= $effort ? $this : $this->with(['effort' => $effort, 'effortMin' => min($effort, $this->effortMin)]);
    }

    /** The same dose landed on a floor; null: not known, and that counts as hard. What lands nowhere stays as it is. */
    public function onFloor(?Surface $floor): self
    {
        return $this->skill->landingsPerRep > 0 ? $this->with(['surface' => $floor]) : $this;
    }

    /**
     * The same dose as a coach wants it done. With another object, or on the other side, it is no evidence of the rung any more.
     *
     * @param  int|null  $holdS  seconds; null: not held
     */
    public function done(LibraryObject $object, Side $side, ?Surface $surface, int $restS, ?int $holdS): self
    {
        return $this->with([
            'object' => $object,
            'side' => $side,
            'surface' => $surface,
            'restS' => $restS,
            'holdS' => $holdS,
            'judged' => $this->judged && $object->id === $this->object->id && $side === $this->side,
        ]);
    }

    /** The same dose done with the other arm or the other direction of turn. */
    public function onSide(Side $side): self
    {
        return $this->with(['side' => $side]);
    }
}
