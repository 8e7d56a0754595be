<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\ThrowReach;

/** Reads one dose of a library file: a block of a rung, or a drill that belongs to none. */
final readonly class DoseReader
{
    /**
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryObject>  $objects
     */
    public function __construct(private array $skills, private array $objects) {}

    /** @throws CaseError */
    public function read(Node $node): BlockDose
    {
        $node->keys(
            ['block', 'title', 'text', 'skill', 'object', 'sets', 'reps', 'effort'],
            [
                'side', 'surface', 'reps_min', 'effort_min', 'distance_m', 'distance_min_m', 'distance_share', 'rest_s', 'hold_s',
                'legs', 'drop_cm', 'judged', 'loads', 'feed', 'varied', 'tempo', 'counts', 'play',
                'eyes_shut', 'alternates', 'target_m', 'spread_m',
            ],
        );
        $share = fn (Node $n): float => $n->number(0, 1);
        $metres = fn (Node $n): float => $n->positive();
        $effort = $share($node->get('effort'));
        $distance = $node->get('distance_m')->optional($metres);
        $effortMin = $node->get('effort_min')->optional($share) ?? $effort;
        $distanceMin = $node->get('distance_min_m')->optional($metres) ?? $distance;
        if ($node->get('reps')->int(0, 200) === 0 && $node->get('judged')->optional(fn (Node $n): bool => $n->bool()) === true) {
            throw $node->get('reps')->outOfRange('A judged block needs repetitions: 1 or more.');
        }
        $distanceShare = $node->get('distance_share')->optional($share);
        if ($distanceShare !== null && $distance === null) {
            throw $node->get('distance_share')->outOfRange('A share needs metres as well, for whoever has no longest throw on record.');
        }
        if ($distanceShare !== null && $distanceShare <= 0.0) {
            throw $node->get('distance_share')->outOfRange('A share of the longest throw lies above 0 and up to 1.');
        }
        $skill = LadderReader::reference($node->get('skill'), $this->skills, 'skill');
        $tooEasy = $distanceShare === null || $skill->family !== Family::Throw
            ? null
            : ThrowReach::refusesShare($effort, $distanceShare);
        if ($tooEasy !== null) {
            throw $node->get('distance_share')->outOfRange($tooEasy);
        }
        if ($effortMin > $effort) {
            throw $node->get('effort_min')->outOfRange("The least effort {$effortMin} is above the asked {$effort}.");
        }

        return new BlockDose(
            kind: $node->get('block')->enum(BlockKind::class),
            title: $node->get('title')->string(),
            text: $node->get('text')->string(),
            skill: $skill,
            object: LadderReader::reference($node->get('object'), $this->objects, 'object'),
            side: $node->get('side')->optional(fn (Node $n): Side => $n->enum(Side::class)) ?? Side::Dominant,
            surface: $node->get('surface')->optional(fn (Node $n): Surface => $n->enum(Surface::class)),
            sets: $sets = $node->get('sets')->int(1, 20),
            reps: $reps = $node->get('reps')->int(0, 200),
            repsMin: $node->get('reps_min')->optional(fn (Node $n): int => $n->int(0, $sets * $reps)) ?? intdiv($sets * $reps, 2),
            effort: $effort,
            effortMin: $effortMin,
            distanceM: $distance,
            distanceMinM: $distanceMin,
            restS: $node->get('rest_s')->optional(fn (Node $n): int => $n->int(0, 900)) ?? 60,
            holdS: $node->get('hold_s')->optional(fn (Node $n): int => $n->int(1, 120)),
            legs: $node->get('legs')->optional(fn (Node $n): int => $n->int(1, 2)) ?? $skill->legs,
            dropCm: $node->get('drop_cm')->optional(fn (Node $n): float => $n->number(0, 200)),
            judged: $node->get('judged')->optional(fn (Node $n): bool => $n->bool()) ?? false,
            loads: $node->get('loads')->optional(
                fn (Node $list): array => array_map(fn (Node $n): Channel => $n->enum(Channel::class), $list->items()),
            ),
            distanceShare: $distanceShare,
            manner: self::manner($node),
        );
    }

    /** @throws CaseError */
    private static function manner(Node $node): ?Manner
    {
        try {
            $manner = new Manner(
                feed: $node->get('feed')->optional(fn (Node $n): Feed => $n->enum(Feed::class)),
                varied: $node->get('varied')->optional(fn (Node $n): bool => $n->bool()) ?? false,
                tempo: $node->get('tempo')->optional(fn (Node $n): Tempo => $n->enum(Tempo::class)),
                counts: $node->get('counts')->optional(
                    fn (Node $list): array => array_map(fn (Node $n): string => $n->string(), $list->items()),
                ) ?? [],
                play: $node->get('play')->optional(fn (Node $n): string => $n->string()),
                eyesShut: $node->get('eyes_shut')->optional(fn (Node $n): bool => $n->bool()) ?? false,
                alternates: $node->get('alternates')->optional(fn (Node $n): bool => $n->bool()) ?? false,
                targetM: $node->get('target_m')->optional(fn (Node $n): float => $n->positive()),
                spreadM: $node->get('spread_m')->optional(fn (Node $n): float => $n->positive()),
            );
        } catch (InvalidValue $refused) {
            throw $node->outOfRange($refused->getMessage());
        }

        // Nothing said is not the same as a feed of none.
        return $manner == new Manner ? null : $manner;
    }
}
