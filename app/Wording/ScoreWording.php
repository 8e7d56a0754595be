<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Scoring\ScoreKind;

/** Scores in words. */
final class ScoreWording
{
    private const SURE = 0.8;

    /**
     * @param  list<array{int, int}>  $rates  how many came out well and of how many, round by round
     * @return string|null null: nothing is a share of anything
     */
    public static function rate(array $rates): ?string
    {
        [$good, $all] = [array_sum(array_column($rates, 0)), array_sum(array_column($rates, 1))];
        if ($all === 0) {
            return null;
        }
        [$low, $high] = Statistics::wilsonInterval($good, $all, self::SURE);

        return "{$good} of {$all}: ".Wording::percent($good / $all)
            .' ('.Wording::percent($low).' to '.Wording::percent($high).', 80 % sure)';
    }

    public static function value(ScoreKind $kind, float $value): string
    {
        return match ($kind) {
            ScoreKind::TargetRound => Wording::number($value).' points',
            ScoreKind::ClearTargets => Wording::number($value).' throws',
            ScoreKind::InARow => Wording::number($value).' in a row',
            ScoreKind::ServeGame => Wording::percent($value).' first serves',
            ScoreKind::Grouping => Wording::number($value, 2).' m off',
            ScoreKind::TimedGaps => Wording::number($value, 1).' s',
        };
    }
}
