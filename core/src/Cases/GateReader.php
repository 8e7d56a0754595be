<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Gates\Gate;

/** Reads the parameters of a gate, of a case or a ladder; what is not given keeps its default. */
final class GateReader
{
    private const KEYS = [
        'window_sessions', 'min_reps', 'min_sessions', 'target_rate', 'confidence', 'lower_bound', 'streak', 'safety_window_reps',
        'max_safety_faults', 'max_fade', 'soreness_days', 'soreness_max', 'needs_morning_after', 'step_back_rate', 'max_age_days',
        'confirm_after_fail',
    ];

    /** @throws CaseError */
    public static function read(Node $node): Gate
    {
        $node->keys([], self::KEYS);
        $default = new Gate;
        $int = fn (
            string $key,
            int $least,
            int $most = 100_000,
        ): ?int => $node->get($key)->optional(fn (Node $n): int => $n->int($least, $most));
        $share = fn (string $key): ?float => $node->get($key)->optional(fn (Node $n): float => $n->number(0, 1));
        $confidence = $share('confidence');
        if ($confidence === 0.0 || $confidence === 1.0) {
            throw $node->get('confidence')->outOfRange('A confidence lies strictly between 0 and 1.');
        }

        return new Gate(
            windowSessions: $int('window_sessions', 1) ?? $default->windowSessions,
            minReps: $int('min_reps', 0) ?? $default->minReps,
            minSessions: $int('min_sessions', 0) ?? $default->minSessions,
            targetRate: $share('target_rate') ?? $default->targetRate,
            confidence: $confidence ?? $default->confidence,
            lowerBound: $share('lower_bound') ?? $default->lowerBound,
            streak: $int('streak', 0),
            safetyWindowReps: $int('safety_window_reps', 1) ?? $default->safetyWindowReps,
            maxSafetyFaults: $int('max_safety_faults', 0) ?? $default->maxSafetyFaults,
            maxFade: $share('max_fade') ?? $default->maxFade,
            sorenessDays: $int('soreness_days', 1) ?? $default->sorenessDays,
            sorenessMax: $int('soreness_max', 0, 10) ?? $default->sorenessMax,
            needsMorningAfter: $node->get('needs_morning_after')->optional(fn (Node $n): bool => $n->bool()) ?? $default->needsMorningAfter,
            stepBackRate: $share('step_back_rate') ?? $default->stepBackRate,
            maxAgeDays: $int('max_age_days', 1) ?? $default->maxAgeDays,
            confirmAfterFail: $node->get('confirm_after_fail')->optional(fn (Node $n): bool => $n->bool()) ?? $default->confirmAfterFail,
        );
    }
}
