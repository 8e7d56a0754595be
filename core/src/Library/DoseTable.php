<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\InvalidValue;

/** Doses by age: a ladder names one dose, a nine-year-old does less of it, a seasoned adult may do more. */
final readonly class DoseTable
{
    /** @var non-empty-array<int, DoseShares> by age in whole years from which they hold, the youngest first */
    private array $fromAge;

    /**
     * @param  array<int, DoseShares>  $fromAge  by age in whole years
     * @param  string  $source  who says so
     *
     * @throws InvalidValue
     */
    public function __construct(array $fromAge, public string $source)
    {
        if ($fromAge === []) {
            throw new InvalidValue('A table of doses needs one age at least.');
        }
        ksort($fromAge);
        $this->fromAge = $fromAge;
    }

    /** @param  int|null  $age  whole years; not known, or below every row: the least of each */
    public function at(?int $age): DoseShares
    {
        $found = null;
        foreach ($age === null ? [] : $this->fromAge as $from => $shares) {
            $found = $from <= $age ? $shares : $found;
        }
        if ($found !== null) {
            return $found;
        }
        $all = array_values($this->fromAge);

        return new DoseShares(
            asked: min(array_map(fn (DoseShares $each): float => $each->asked, $all)),
            begun: min(array_map(fn (DoseShares $each): float => $each->begun, $all)),
            most: min(array_map(fn (DoseShares $each): float => $each->most, $all)),
            hardest: min(array_map(fn (DoseShares $each): float => $each->hardest, $all)),
        );
    }
}
