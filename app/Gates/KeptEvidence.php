<?php

declare(strict_types=1);

namespace App\Gates;

use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Library\Library;
use Augendo\Core\Readiness\Word;

/**
 * The evidence a decision was taken on: the core's figures and verdicts as they were, put in words when they are read.
 *
 * Form 2: {v: 2, gate: figures of GateResult, word} or {v: 2, match: figures of MatchReady, word};
 * {v: 2} alone where a coach carried a place over from paper. Form 1, before it, kept words:
 * {criteria: [{label, evidence}]}.
 */
final class KeptEvidence
{
    /** @return array{v: 2, gate: array<string, mixed>, word: string} */
    public static function ofGate(GateResult $result, Word $word): array
    {
        return ['v' => 2, 'gate' => $result->toArray(), 'word' => $word->value];
    }

    /** @return array{v: 2, match: array<string, mixed>, word: string} */
    public static function ofMatch(MatchReady $ready, Word $word): array
    {
        return ['v' => 2, 'match' => $ready->toArray(), 'word' => $word->value];
    }

    /** @return list<string> each criterion with its evidence */
    public static function words(Decision $decision, Library $library): array
    {
        $kept = $decision->evidence;
        if (! isset($kept['v'])) {
            return array_map(fn (array $each): string => "{$each['label']}: {$each['evidence']}", $kept['criteria'] ?? []);
        }
        if (! isset($kept['word'])) {
            return [];
        }
        $word = Word::from($kept['word']);
        if (isset($kept['match'])) {
            $words = JudgingWording::matchReady(MatchReady::fromArray($kept['match']), $word);

            return array_values(array_map(fn (array $each): string => "{$each[0]}: {$each[1]}", $words));
        }
        $result = GateResult::fromArray($kept['gate']);
        $gate = $library->ladder($decision->ladder, $decision->ladder_version)->rung($decision->rung)?->gate;

        // Those that were asked then: one that came later has no verdict here.
        return $gate === null ? [] : array_map(
            fn (Criterion $each): string => Wording::criterion($each).': '.Wording::evidence($each, $result, $gate, $word),
            array_map(Criterion::from(...), array_keys($result->criteria)),
        );
    }
}
