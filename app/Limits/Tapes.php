<?php

declare(strict_types=1);

namespace App\Limits;

use App\Limits\Answers\TapeView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\Status;

/** Limit states as tapes. */
final class Tapes
{
    public static function of(LimitState $state, Day $on): TapeView
    {
        $limit = $state->limit;
        $isLevel = $limit->kind() === 'level' && Wording::unit($limit) === '% effort';
        $scale = $isLevel ? 100 : 1;
        $times = fn (?float $value): ?float => $value === null ? null : $value * $scale;

        return new TapeView(
            limit_id: $limit->id,
            label: $limit->label,
            source: $limit->source,
            hard: $limit->isHard(),
            kind: $limit->kind(),
            unit: Wording::unit($limit),
            used: $times($state->used),
            planned: $state->projected === null || $state->used === null || $limit->kind() === 'ratio'
                ? null
                : $times(max(0.0, $state->projected - $state->used)),
            max: $times($state->max),
            remaining: $times($state->remaining),
            status: $state->status->value,
            sentence: Wording::limit($state, $on),
        );
    }

    /**
     * The limits that are in play, those that bind first: what is over, then what is fullest.
     *
     * @param  list<LimitState>  $states
     * @return list<TapeView>
     */
    public static function inPlay(array $states, Day $on): array
    {
        $inPlay = array_filter($states, fn (LimitState $state): bool => match ($state->limit->kind()) {
            'ratio' => $state->status !== Status::Unknown,
            'rest' => $state->earliest !== null && $state->earliest->isAfter($on),
            default => ($state->used ?? 0.0) > 0.0 || ($state->projected ?? 0.0) > 0.0,
        });
        usort(
            $inPlay,
            fn (LimitState $a, LimitState $b): int => [
                $b->limit->isHard(),
                self::fullness($b),
            ] <=> [$a->limit->isHard(), self::fullness($a)],
        );

        return array_map(fn (LimitState $state): TapeView => self::of($state, $on), $inPlay);
    }

    /**
     * @param  list<LimitState>  $states
     * @param  list<Limit>  $first limits to prefer
     */
    public static function leading(array $states, array $first, Day $on): ?TapeView
    {
        foreach ($first as $limit) {
            foreach ($states as $state) {
                if ($state->limit->id === $limit->id) {
                    return self::of($state, $on);
                }
            }
        }

        return self::inPlay(array_values(array_filter($states, fn (LimitState $state): bool => $state->limit->isHard())), $on)[0] ?? null;
    }

    private static function fullness(LimitState $state): float
    {
        if ($state->status === Status::Over) {
            return 1000.0;
        }
        if ($state->limit->kind() === 'rest') {
            return 10.0;
        }

        return ($state->max ?? 0.0) > 0.0 ? max($state->used ?? 0.0, $state->projected ?? 0.0) / (float) $state->max : 0.0;
    }
}
