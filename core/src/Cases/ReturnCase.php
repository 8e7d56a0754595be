<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Day;
use Augendo\Core\Returning\Attempt;
use Augendo\Core\Returning\ReturnStep;
use Augendo\Core\Returning\Stage;
use Augendo\Core\Returning\StageClearance;

/** Kind `return`: the next step of a staged return to play. */
final readonly class ReturnCase
{
    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'on', 'stages', 'stage', 'attempts', 'clearances']);
        $on = $case->get('on')->day();
        $stages = array_map(self::stage(...), $case->get('stages')->items());
        if ($stages === []) {
            throw $case->get('stages')->outOfRange('A programme has at least one stage.');
        }
        $last = count($stages) - 1;
        $step = ReturnStep::next(
            $on, $stages, $case->get('stage')->int(0, $last),
            array_map(fn (Node $node): Attempt => self::attempt($node, $on, $last), $case->get('attempts')->items()),
            array_map(fn (Node $node): StageClearance => self::clearance($node, $on, $last), $case->get('clearances')->items()),
        );

        return ['action' => $step->action, 'stage' => $step->stage, 'not_before' => $step->notBefore?->iso()];
    }

    private static function stage(Node $node): Stage
    {
        $node->keys([], ['passes', 'min_gap_days', 'needs_clearance']);

        return new Stage(
            $node->get('passes')->optional(fn (Node $n): int => $n->int(1)) ?? 1,
            $node->get('min_gap_days')->optional(fn (Node $n): int => $n->int(0)) ?? 2,
            $node->get('needs_clearance')->optional(fn (Node $n): bool => $n->bool()) ?? false,
        );
    }

    private static function attempt(Node $node, Day $on, int $lastStage): Attempt
    {
        $node->keys(['date', 'stage', 'completed', 'during', 'eased', 'next_morning', 'red_flag']);

        return new Attempt(
            day: self::past($node->get('date'), $on),
            stage: $node->get('stage')->int(0, $lastStage),
            completed: $node->get('completed')->bool(),
            during: $node->get('during')->int(0, 10),
            eased: $node->get('eased')->bool(),
            nextMorning: $node->get('next_morning')->optional(fn (Node $n): int => $n->int(0, 10)),
            redFlag: $node->get('red_flag')->bool(),
        );
    }

    private static function clearance(Node $node, Day $on, int $lastStage): StageClearance
    {
        $node->keys(['date', 'through_stage']);

        return new StageClearance(
            self::past($node->get('date'), $on),
            $node->get('through_stage')->optional(fn (Node $n): int => $n->int(0, $lastStage)),
        );
    }

    private static function past(Node $date, Day $on): Day
    {
        $day = $date->day();

        return $day->isAfter($on)
            ? throw new CaseError('future_date', $date->path, "{$day->iso()} is after {$on->iso()}.")
            : $day;
    }
}
