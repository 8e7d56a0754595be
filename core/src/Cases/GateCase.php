<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Day;
use Augendo\Core\Gates\DaySoreness;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Word;

/** Kind `gate`: whether an athlete moves on, criterion by criterion. */
final readonly class GateCase
{
    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'on', 'gate', 'reps', 'soreness', 'word'], ['load_ok', 'prerequisites_ok', 'clearance_ok']);
        $on = $case->get('on')->day();
        $known = fn (string $key): ?bool => $case->get($key)->optional(fn (Node $n): bool => $n->bool());
        $result = GateResult::of(GateReader::read($case->get('gate')), $on, new GateEvidence(
            reps: array_map(fn (Node $node): JudgedRep => self::rep($node, $on), $case->get('reps')->items()),
            soreness: array_map(fn (Node $node): DaySoreness => self::soreness($node, $on), $case->get('soreness')->items()),
            word: $case->get('word')->enum(Word::class),
            loadOk: $known('load_ok'),
            prerequisitesOk: $known('prerequisites_ok'),
            clearanceOk: $known('clearance_ok'),
        ));

        return [
            'decision' => $result->decision->value,
            'criteria' => array_map(fn (Verdict $verdict): string => $verdict->value, $result->criteria),
            'observed' => $result->observed, 'good' => $result->good,
            'rate' => $result->rate, 'lower_bound' => $result->lowerBound,
        ];
    }

    private static function rep(Node $node, Day $on): JudgedRep
    {
        $node->keys(['at', 'session', 'good', 'safety']);
        $at = $node->get('at')->instant();
        if ($at->day->isAfter($on)) {
            throw new CaseError('future_date', $node->path.'/at', "A repetition at {$at->text} is after {$on->iso()}.");
        }

        return new JudgedRep(
            $at, $node->get('session')->string(),
            $node->get('good')->optional(fn (Node $n): bool => $n->bool()), $node->get('safety')->bool(),
        );
    }

    private static function soreness(Node $node, Day $on): DaySoreness
    {
        $node->keys(['date', 'moment', 'score']);
        $day = $node->get('date')->day();
        if ($day->isAfter($on)) {
            throw new CaseError('future_date', $node->path.'/date', "A report on {$day->iso()} is after {$on->iso()}.");
        }

        return new DaySoreness($day, $node->get('moment')->enum(Moment::class), $node->get('score')->int(0, 10));
    }
}
