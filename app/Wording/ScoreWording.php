<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Scoring\Grouping;
use Augendo\Core\Scoring\ScoreKind;

/** Scores in words. */
final class ScoreWording
{
    /** @param  array{int, int, float, float}  $of  as Score::together */
    public static function share(array $of): string
    {
        [$good, $all, $low, $high] = $of;
        $between = Wording::percent($low).' to '.Wording::percent($high).', '.Wording::percent(Grouping::SURE).' sure';

        return "{$good} of {$all}: ".Wording::percent($good / $all)." ({$between})";
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
