<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** How far a clip may judge repetitions that were counted on court. */
final class ClipRule
{
    private const OWN_EYE_UNDER_YEARS = 16;

    /**
     * All repetitions of a clip are judged and named, or none counts: nobody picks the good ones.
     *
     * @param  array<int, array<string, bool>>  $shown  right or wrong by checkpoint, by repetition of the clip
     * @param  list<int>  $named  repetitions that were named as one on court
     * @return int|null the first that is not; null: all are
     */
    public static function notJudged(array $shown, array $named): ?int
    {
        foreach ($shown as $rep => $checkpoints) {
            if ($checkpoints === [] || ! in_array($rep, $named, true)) {
                return $rep;
            }
        }

        return null;
    }

    /**
     * What is seen of a repetition once a clip was looked at. Under sixteen, and where nobody knows the age, a clip makes nothing good
     * that nobody judged on court.
     *
     * @param  bool|null  $good  as judged on court; null: not seen there
     * @param  array<string, bool>  $before  right or wrong by checkpoint, as it stood
     * @param  array<string, bool>  $shown  the same, as the clip shows it
     * @return array<string, bool>|null null: the clip may not judge it
     */
    public static function seen(?bool $good, array $before, array $shown, ?int $age): ?array
    {
        $needsOwnEye = $age === null || $age < self::OWN_EYE_UNDER_YEARS;

        return $needsOwnEye && $good === null && ! in_array(false, $shown, true) ? null : [...$before, ...$shown];
    }
}
