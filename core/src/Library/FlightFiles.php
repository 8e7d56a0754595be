<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Skill;

/** Reads the balls and the courts of the library. */
final class FlightFiles
{
    private const WIDEST_M = 50.0;

    /** What a club's own document has besides. */
    private const OF_A_DOCUMENT = ['id', 'version'];

    /**
     * @param  array<string, LibraryObject>  $objects
     * @return array<string, LibraryBall> by the id of the object
     *
     * @throws CaseError
     */
    public static function balls(Node $file, array $objects): array
    {
        $balls = [];
        foreach ($file->keys(['about', 'balls'], ['$schema', ...self::OF_A_DOCUMENT])->get('balls')->entries() as $id => $node) {
            $node->keys(['diameter_m', 'drag_coefficient', 'source']);
            $object = $objects[$id] ?? throw new CaseError('unknown_reference', $node->path, "There is no object “{$id}”.");
            $mass = $object->massKg ?? throw $node->outOfRange("“{$object->name}” has no mass in objects.json.");
            $balls[$id] = new LibraryBall(
                $object,
                new Ball($mass, $node->get('diameter_m')->positive(), $node->get('drag_coefficient')->number(0.0, 2.0)),
                $node->get('source')->string(),
            );
        }

        return $balls;
    }

    /**
     * @param  array<string, Skill>  $skills
     * @return array<string, LibraryCourt> by id
     *
     * @throws CaseError
     */
    public static function courts(Node $file, array $skills): array
    {
        $courts = [];
        foreach ($file->keys(['about', 'courts'], ['$schema', ...self::OF_A_DOCUMENT])->get('courts')->entries() as $id => $node) {
            $node->keys(
                ['name', 'net_m', 'half_width_m', 'tries', 'usual_speed_ms', 'reach_share', 'serves', 'nets', 'stands', 'boxes'],
                ['net_sag'],
            );
            $courts[$id] = new LibraryCourt(
                id: $id,
                name: $node->get('name')->string(),
                netM: $node->get('net_m')->positive(),
                halfWidthM: $node->get('half_width_m')->positive(),
                tries: $node->get('tries')->int(1, 2),
                usualSpeedMs: $node->get('usual_speed_ms')->positive(),
                reachShare: $node->get('reach_share')->number(0.5, 2.5),
                skills: array_map(fn (Node $n): string => self::serve($n, $skills), self::some($node->get('serves'))),
                nets: array_map(fn (Node $n): array => [
                    'name' => $n->keys(['name', 'height_m'])->get('name')->string(),
                    'height_m' => $n->get('height_m')->positive(),
                ], self::some($node->get('nets'))),
                stands: array_map(fn (Node $n): array => [
                    'name' => $n->keys(['name', 'across_m'])->get('name')->string(),
                    'across_m' => $n->get('across_m')->number(-self::WIDEST_M, self::WIDEST_M),
                ], self::some($node->get('stands'))),
                boxes: self::boxes($node->get('boxes')),
                sag: $node->get('net_sag')->optional(self::sag(...)),
            );
        }

        return $courts;
    }

    private static function sag(Node $node): NetSag
    {
        $node->keys(['middle_m', 'post_m', 'post_across_m']);
        $sag = new NetSag(
            $node->get('middle_m')->positive(), $node->get('post_m')->positive(), $node->get('post_across_m')->positive(),
        );

        return $sag->postM > $sag->middleM ? $sag : throw $node->outOfRange('A net that hangs is lower in the middle.');
    }

    /** @param  array<string, Skill>  $skills */
    private static function serve(Node $node, array $skills): string
    {
        $skill = LadderReader::reference($node, $skills, 'skill');

        return $skill->family === Family::Serve ? $skill->id : throw $node->outOfRange("“{$skill->id}” is no serve.");
    }

    /** @return array<string, CourtBox> */
    private static function boxes(Node $all): array
    {
        $boxes = [];
        foreach ($all->entries() as $id => $node) {
            $node->keys(['name', 'near_m', 'far_m', 'right_m', 'left_m']);
            $across = fn (string $name): float => $node->get($name)->number(-self::WIDEST_M, self::WIDEST_M);
            $along = fn (string $name): float => $node->get($name)->number(0.0, self::WIDEST_M);
            $name = $node->get('name')->string();
            $box = new CourtBox($id, $name, $along('near_m'), $along('far_m'), $across('right_m'), $across('left_m'));
            if ($box->nearM >= $box->farM || $box->rightM >= $box->leftM) {
                throw $node->outOfRange('A box reaches from near to far, and from right to left.');
            }
            $boxes[$id] = $box;
        }

        return $boxes === [] ? throw $all->outOfRange('One box at least is needed.') : $boxes;
    }

    /** @return non-empty-list<Node> */
    private static function some(Node $list): array
    {
        return $list->items() ?: throw $list->outOfRange('One at least is needed.');
    }
}
