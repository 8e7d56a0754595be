<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Load\Implement;

/** Something to throw, serve or land with. */
final readonly class LibraryObject
{
    use CopiesItself;

    /**
     * @param  float|null  $massKg  null when nothing is in the hand
     * @param  bool  $hard  whether it is caught with a glove, or not at all
     * @param  bool  $far  flies so far that a sector is kept free for it, with a grown-up beside
     * @param  list<array{int, self}>  $younger  what takes its place up to an age in whole years, the youngest first
     * @param  list<array{float, self}>  $smaller  what takes its place in a hand that spans less, centimetres, the smallest first
     */
    public function __construct(
        public string $id,
        public string $name,
        public Implement $implement,
        public ?float $massKg,
        public ?float $referenceMassKg,
        public bool $hard = false,
        public array $younger = [],
        public bool $far = false,
        public array $smaller = [],
    ) {}

    /** @param  float|null  $spanCm  from the thumb to the little finger, spread; null: not measured, and then nothing is changed */
    public function ofHand(?float $spanCm): self
    {
        foreach ($spanCm === null ? [] : $this->smaller as [$below, $object]) {
            if ($spanCm < $below) {
                return $object;
            }
        }

        return $this;
    }

    /** The object of that age in its place: smaller and lighter for the young. */
    public function ofAge(int $age): self
    {
        foreach ($this->younger as [$upTo, $object]) {
            if ($age <= $upTo) {
                return $object;
            }
        }

        return $this;
    }
}
