<?php

declare(strict_types=1);

namespace Augendo\Core\Scoring;

enum ScoreKind: string
{
    case TargetRound = 'target_round';
    case ClearTargets = 'clear_targets';
    case InARow = 'in_a_row';
    case ServeGame = 'serve_game';
    case Grouping = 'grouping';
    case TimedGaps = 'timed_gaps';

    public function lessIsBetter(): bool
    {
        return in_array($this, [self::ClearTargets, self::Grouping, self::TimedGaps], true);
    }

    /**
     * @param  non-empty-list<float>  $values
     */
    public function best(array $values): float
    {
        return $this->lessIsBetter() ? min($values) : max($values);
    }
}
