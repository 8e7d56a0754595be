<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/** Soreness that grew while somebody worked: the work stops, and going on takes a reason. */
final class Grown
{
    /**
     * @param  list<SorenessReport>  $reports  of one day, in order of time
     * @return list<SorenessReport> those made while working that are higher than anything said of the place before that
     *         day; what nobody asked about counts as nothing sore, so any soreness there is more
     */
    public static function during(array $reports): array
    {
        $highest = [];
        $grown = [];
        foreach ($reports as $report) {
            $place = "{$report->place()}|{$report->kind->value}";
            if ($report->moment === Moment::During && $report->score > ($highest[$place] ?? 0)) {
                $grown[] = $report;
            }
            $highest[$place] = max($highest[$place] ?? 0, $report->score);
        }

        return $grown;
    }
}
