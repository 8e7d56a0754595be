<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;

/** The sizes one kind of object comes in, and which of them is thrown at which age and by which hand. */
final readonly class SizeTable
{
    use CopiesItself;

    /**
     * @param  list<string>  $skills  ids of the skills it is thrown in
     * @param  non-empty-list<LibraryObject>  $sizes  the smallest first
     * @param  LibraryObject  $meant  what a ladder names when it means the athlete’s own
     * @param  list<array{int, LibraryObject}>  $ages  own size up to an age in whole years, the youngest first
     * @param  LibraryObject  $grown  own size above all of those
     * @param  list<array{float, LibraryObject}>  $hands  no larger than this in a hand that spans less, centimetres, the smallest first
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $skills,
        public array $sizes,
        public LibraryObject $meant,
        public array $ages,
        public LibraryObject $grown,
        public array $hands,
    ) {}

    /** What an athlete throws on a day: what was chosen for them, else what the table says of their age, no larger than the hand holds. */
    public function of(AthleteProfile $profile, Day $on): OwnSize
    {
        $byTable = $this->inHand($this->ofAge($profile->ageOn($on)), $profile->handSpanCm);

        // One the table does not know is no choice.
        return new OwnSize($this, $byTable, $this->size($profile->ownSizes[$this->id] ?? null));
    }

    /** @param  float|null  $spanCm  from the thumb to the little finger, spread; null: not measured, and then nothing is changed */
    private function inHand(LibraryObject $size, ?float $spanCm): LibraryObject
    {
        foreach ($spanCm === null ? [] : $this->hands as [$below, $largest]) {
            if ($spanCm < $below) {
                return $this->at($size) > $this->at($largest) ? $largest : $size;
            }
        }

        return $size;
    }

    /** @param  int|null  $age  whole years; not known: what the youngest throw */
    private function ofAge(?int $age): LibraryObject
    {
        foreach ($this->ages as [$upTo, $object]) {
            if ($age === null || $age <= $upTo) {
                return $object;
            }
        }

        return $this->grown;
    }

    /**
     * What takes the place of an object a ladder names: as many sizes below their own as it is below the one that is meant. One larger than
     * that is meant as it stands, for whoever throws no less themselves; what is none of these sizes stays.
     */
    public function inPlaceOf(LibraryObject $named, LibraryObject $own): LibraryObject
    {
        [$at, $meant, $mine] = [$this->at($named), $this->at($this->meant), $this->at($own)];
        if ($at === null || ($at > $meant && $mine >= $meant)) {
            return $named;
        }

        return $this->sizes[max(0, $mine + min(0, $at - $meant))];
    }

    public function size(?string $id): ?LibraryObject
    {
        foreach ($this->sizes as $size) {
            if ($size->id === $id) {
                return $size;
            }
        }

        return null;
    }

    /** @return int|null where it stands among the sizes; null: it is none of them */
    private function at(LibraryObject $object): ?int
    {
        foreach ($this->sizes as $at => $size) {
            if ($size->id === $object->id) {
                return $at;
            }
        }

        return null;
    }
}
