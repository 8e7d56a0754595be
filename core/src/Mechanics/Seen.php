<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/** One repetition looked at checkpoint by checkpoint: seen and right, seen and wrong, or not seen. Not seen is not a pass. */
final class Seen
{
    /** Not good, and nobody said why: counted under no checkpoint. */
    public const UNNAMED = '';

    /**
     * @param  list<string>  $required  ids of the checkpoints that are looked for
     * @param  array<string, bool>  $seen  right or wrong, by checkpoint; one that is not there was not seen
     * @return bool|null good, not good, or not observed
     */
    public static function verdict(array $required, array $seen): ?bool
    {
        $of = array_intersect_key($seen, array_flip($required));

        return match (true) {
            in_array(false, $of, true) => false,
            $required !== [] && count($of) === count($required) => true,
            default => null,
        };
    }

    /**
     * What one tap says about the checkpoints: all were right, or the one whose fault was named was wrong.
     *
     * @param  list<string>  $required
     * @param  bool|null  $good  null when not observed
     * @param  string|null  $faulty  the checkpoint the named fault belongs to
     * @return array<string, bool> by checkpoint
     */
    public static function implied(array $required, ?bool $good, ?string $faulty): array
    {
        return match (true) {
            $good === true => array_fill_keys($required, true),
            $good === false && $faulty !== null => [$faulty => false],
            // Only one was looked for: it was that one.
            $good === false && count($required) === 1 => [$required[0] => false],
            default => [],
        };
    }

    /**
     * How often each checkpoint was right, of how often it was seen.
     *
     * @param  list<string>  $required
     * @param  list<array{good: bool|null, faulty: string|null, seen: array<string, bool>|null}>  $reps  judged; seen
     *         where somebody looked that closely
     * @return array<string, array{int, int}> right and seen, by checkpoint, and UNNAMED
     */
    public static function tally(array $required, array $reps): array
    {
        $tally = [];
        foreach ($reps as $rep) {
            $seen = $rep['seen'] ?? self::implied($required, $rep['good'], $rep['faulty']);
            if ($seen === [] && $rep['good'] === false) {
                $seen = [self::UNNAMED => false];
            }
            foreach ($seen as $checkpoint => $right) {
                [$rightSoFar, $of] = $tally[$checkpoint] ?? [0, 0];
                $tally[$checkpoint] = [$rightSoFar + ($right ? 1 : 0), $of + 1];
            }
        }

        return $tally;
    }
}
