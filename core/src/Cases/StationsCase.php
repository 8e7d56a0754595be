<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\Surface;
use Augendo\Core\Stations\Attendee;
use Augendo\Core\Stations\Hour;
use Augendo\Core\Stations\LeftOut;
use Augendo\Core\Stations\Piece;
use Augendo\Core\Stations\Place;
use Augendo\Core\Stations\Placed;
use Augendo\Core\Stations\Round;
use Augendo\Core\Stations\Space;
use Augendo\Core\Stations\StationFlag;
use Augendo\Core\Stations\StationPlan;

/** Kind `stations`: a squad's hour. */
final readonly class StationsCase
{
    private const KINDS = [
        BlockKind::Rehearsal, BlockKind::Part, BlockKind::Whole, BlockKind::Target, BlockKind::GameLike, BlockKind::OtherSide,
    ];

    private const MOST_SPACES = 60;

    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $case->keys([
            'kind', 'minutes', 'adults', 'balls', 'warm_up_min', 'cool_down_min', 'change_over_min', 'least_round_min',
            'spaces', 'athletes',
        ]);
        $spaces = array_map(self::space(...), $case->get('spaces')->items());
        self::distinct($case->get('spaces'), array_map(fn (Space $space): string => $space->id, $spaces));
        if (count($spaces) > self::MOST_SPACES) {
            throw $case->get('spaces')->outOfRange('At most '.self::MOST_SPACES.' spaces.');
        }
        $attendees = array_map(self::attendee(...), $case->get('athletes')->items());
        self::distinct($case->get('athletes'), array_map(fn (Attendee $attendee): string => $attendee->id, $attendees));
        $plan = StationPlan::make(new Hour(
            minutes: $case->get('minutes')->int(0, 24 * 60),
            adults: $case->get('adults')->int(0),
            balls: $case->get('balls')->int(0),
            warmUpMin: $case->get('warm_up_min')->int(0),
            coolDownMin: $case->get('cool_down_min')->int(0),
            changeOverMin: $case->get('change_over_min')->int(0),
            leastRoundMin: $case->get('least_round_min')->int(1),
            spaces: $spaces,
            attendees: $attendees,
        ));

        return [
            'rounds' => array_map(self::round(...), $plan->rounds),
            'useful_share' => (object) $plan->usefulShare(),
            'left_out' => array_map(
                fn (LeftOut $left): array => ['id' => $left->id, 'work' => $left->work, 'why' => $left->why->value],
                $plan->leftOut,
            ),
            'flags' => array_map(fn (StationFlag $flag): array => array_filter([
                'code' => $flag->code, 'space' => $flag->space, 'skill' => $flag->skill,
                'wanted' => $flag->wanted, 'there' => $flag->there,
            ], fn (mixed $value): bool => $value !== null), $plan->flags),
        ];
    }

    private static function space(Node $node): Space
    {
        $node->keys(['id', 'length_m', 'lanes', 'surface', 'sector']);

        return new Space(
            id: $node->get('id')->string(),
            lengthM: $node->get('length_m')->positive(),
            lanes: $node->get('lanes')->int(1),
            surface: $node->get('surface')->optional(fn (Node $n): Surface => $n->enum(Surface::class)),
            sector: $node->get('sector')->bool(),
        );
    }

    private static function attendee(Node $node): Attendee
    {
        $node->keys(['id', 'may_catch', 'work']);

        return new Attendee(
            $node->get('id')->string(),
            $node->get('may_catch')->bool(),
            array_map(self::piece(...), $node->get('work')->items()),
        );
    }

    private static function piece(Node $node): Piece
    {
        $node->keys(['skill', 'kind', 'seconds', 'distance_m', 'hard', 'far', 'landing', 'needs_adult', 'balls']);

        return new Piece(
            skill: $node->get('skill')->string(),
            kind: BlockKind::from($node->get('kind')->word(array_map(fn (BlockKind $kind): string => $kind->value, self::KINDS))),
            seconds: $node->get('seconds')->int(1),
            distanceM: $node->get('distance_m')->optional(fn (Node $n): float => $n->number(0.0)),
            hard: $node->get('hard')->bool(),
            far: $node->get('far')->bool(),
            landing: $node->get('landing')->bool(),
            needsAdult: $node->get('needs_adult')->bool(),
            balls: $node->get('balls')->int(0),
        );
    }

    /** @param  list<string>  $ids */
    private static function distinct(Node $list, array $ids): void
    {
        if (count(array_unique($ids)) !== count($ids)) {
            throw $list->outOfRange('Two have the same id.');
        }
    }

    /** @return array<string, mixed> */
    private static function round(Round $round): array
    {
        return [
            'start_min' => $round->startMin,
            'minutes' => $round->minutes,
            'places' => array_map(fn (Place $place): array => [
                'space' => $place->space,
                'skill' => $place->skill,
                'adult' => $place->adult,
                'athletes' => array_map(
                    fn (Placed $placed): array => ['id' => $placed->id, 'work' => $placed->work, 'task' => $placed->task->value],
                    $place->placed,
                ),
            ], $round->places),
            'off' => $round->off,
        ];
    }
}
