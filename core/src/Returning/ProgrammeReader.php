<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\ThrowReach;

/** Reads a return programme file. */
final class ProgrammeReader
{
    private const FULL_EFFORT = 1.0;

    private const FULL_EFFORT_MOST_REPS = 39;

    /** @throws CaseError */
    public static function read(Node $file): Programme
    {
        $file->keys(['id', 'version', 'name', 'summary', 'families', 'channel', 'cautions', 'stages'], ['$schema']);
        $stages = array_map(self::stage(...), $file->get('stages')->items());
        if ($stages === []) {
            throw $file->get('stages')->outOfRange('A programme has at least one stage.');
        }
        if (! $stages[0]->needsClearance) {
            throw new CaseError(
                'out_of_range',
                $file->path.'/stages/0/needs_clearance',
                'Nobody starts a way back without a clearance: the first stage needs one.',
            );
        }

        return new Programme(
            id: $file->get('id')->string(),
            version: $file->get('version')->int(1),
            name: $file->get('name')->string(),
            summary: $file->get('summary')->string(),
            families: array_map(fn (Node $n): Family => $n->enum(Family::class), $file->get('families')->items()),
            channel: $file->get('channel')->enum(Channel::class),
            cautions: array_map(fn (Node $n): string => $n->string(), $file->get('cautions')->items()),
            stages: $stages,
        );
    }

    private static function stage(Node $node): ProgrammeStage
    {
        $node->keys(
            ['name', 'text', 'sets', 'reps', 'effort'],
            [
                'distance_share', 'object', 'surface', 'legs', 'rest_s', 'passes', 'min_gap_days', 'needs_clearance',
                'criteria', 'target_rate', 'match_play',
            ],
        );
        $share = fn (Node $n): float => $n->number(0, 1);
        [$sets, $reps, $effort] = [$node->get('sets')->int(1, 20), $node->get('reps')->int(1, 200), $share($node->get('effort'))];
        if ($effort >= self::FULL_EFFORT && $sets * $reps > self::FULL_EFFORT_MOST_REPS) {
            throw $node->get('reps')->outOfRange('A stage at full effort stays under 40 repetitions, this one has '.$sets * $reps.'.');
        }
        $far = $node->get('distance_share')->optional($share);
        $tooEasy = $far === null ? null : ThrowReach::refusesShare($effort, $far);
        if ($tooEasy !== null) {
            throw $node->get('distance_share')->outOfRange($tooEasy);
        }

        return new ProgrammeStage(
            name: $node->get('name')->string(),
            text: $node->get('text')->string(),
            sets: $sets,
            reps: $reps,
            effort: $effort,
            distanceShare: $far,
            object: $node->get('object')->optional(fn (Node $n): string => $n->word(['own', 'shadow'])) === 'shadow' ? 'shadow' : 'own',
            surface: $node->get('surface')->optional(fn (Node $n): Surface => $n->enum(Surface::class)),
            legs: $node->get('legs')->optional(fn (Node $n): int => $n->int(1, 2)) ?? 2,
            restS: $node->get('rest_s')->optional(fn (Node $n): int => $n->int(0, 900)) ?? 90,
            passes: $node->get('passes')->optional(fn (Node $n): int => $n->int(1, 9)) ?? 1,
            minGapDays: $node->get('min_gap_days')->optional(fn (Node $n): int => $n->int(0, 30)) ?? 2,
            needsClearance: $node->get('needs_clearance')->optional(fn (Node $n): bool => $n->bool()) ?? false,
            criteria: array_map(self::criterion(...), $node->get('criteria')->optional(fn (Node $n): array => $n->items()) ?? []),
            targetRate: $node->get('target_rate')->optional($share),
            isMatchPlay: $node->get('match_play')->optional(fn (Node $n): bool => $n->bool()) ?? false,
        );
    }

    private static function criterion(Node $node): StageCriterion
    {
        $node->keys(['id', 'label', 'unit', 'at_least']);

        return new StageCriterion(
            $node->get('id')->string(),
            $node->get('label')->string(),
            $node->get('unit')->string(),
            $node->get('at_least')->number(0.1, 2),
        );
    }
}
