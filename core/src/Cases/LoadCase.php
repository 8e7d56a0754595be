<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Day;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitBoard;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\LoadStatistics;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;

/** Kind `load`: what the record cost, where each limit stands, and how many repetitions are left. */
final readonly class LoadCase
{
    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'on', 'athlete', 'skills', 'effort_curve', 'limits', 'history', 'plan', 'sessions'], ['template']);
        $on = $case->get('on')->day();
        $skills = array_map(self::skill(...), $case->get('skills')->entries());
        foreach ($skills as $id => $skill) {
            $skills[$id] = new Skill((string) $id, $skill->family, $skill->landingsPerRep, $skill->arm, $skill->hand, $skill->trunk);
        }
        $athlete = self::athlete($case->get('athlete'), $skills);
        $price = new SetCost($athlete, $case->get('effort_curve')->enum(EffortCurve::class));
        $reader = new LimitReader(array_map(strval(...), array_keys($skills)));
        $limits = array_map($reader->read(...), $case->get('limits')->items());

        $history = array_map(
            fn (Node $node): CostedSet => $price->of(self::set($node, $skills, notAfter: $on)),
            $case->get('history')->items(),
        );
        $plan = array_map(fn (Node $node): CostedSet => $price->of(self::set($node, $skills, notBefore: $on)), $case->get('plan')->items());
        $plan = array_values(array_filter($plan, fn (CostedSet $set): bool => $set->day === $on->ordinal));
        $record = new LoadRecord($history, self::internal($case->get('sessions'), $on));
        $board = LimitBoard::of($limits, $record, $on, $athlete->ageOn($on));

        $answer = [
            'days' => self::days($record, $on),
            'statistics' => self::statistics(LoadStatistics::of($record->wholeSeries(Measure::Arm), $on->ordinal)),
            'limits' => array_map(self::state(...), $board->states($plan)),
        ];
        $template = $case->get('template');
        if (! $template->isNull()) {
            $headroom = $board->headroom($price->of(self::set($template, $skills, templateOn: $on)), $plan);
            $answer['headroom'] = [
                'reps' => $headroom->reps,
                'binding' => array_map(fn (Limit $limit): string => $limit->id, $headroom->binding),
            ];
        }

        return $answer;
    }

    private static function skill(Node $node): Skill
    {
        $node->keys(['family', 'landings_per_rep', 'channels']);
        $channels = $node->get('channels')->keys(['arm', 'hand', 'trunk']);

        return new Skill(
            id: '',
            family: $node->get('family')->enum(Family::class),
            landingsPerRep: $node->get('landings_per_rep')->number(0),
            arm: $channels->get('arm')->number(0),
            hand: $channels->get('hand')->number(0),
            trunk: $channels->get('trunk')->number(0),
        );
    }

    /** @param  array<Skill>  $skills */
    private static function athlete(Node $node, array $skills): AthleteProfile
    {
        $node->keys(['birth_date'], ['longest_throw_m', 'reference_speed_ms']);
        $bySkill = function (Node $map) use ($skills): array {
            $values = [];
            foreach ($map->entries() as $skill => $value) {
                if (! isset($skills[$skill])) {
                    throw new CaseError('unknown_reference', $value->path, "There is no skill “{$skill}”.");
                }
                $values[$skill] = $value->positive();
            }

            return $values;
        };

        return new AthleteProfile(
            $node->get('birth_date')->optional(fn (Node $n): Day => $n->day()),
            $node->get('longest_throw_m')->optional($bySkill) ?? [],
            $node->get('reference_speed_ms')->optional($bySkill) ?? [],
        );
    }

    /**
     * A set of history or plan, or (with $templateOn) the template: one repetition, counted on that day.
     *
     * @param  array<Skill>  $skills
     */
    private static function set(Node $node, array $skills, ?Day $notAfter = null, ?Day $notBefore = null, ?Day $templateOn = null): WorkSet
    {
        $node->keys(
            ['date', 'session', 'skill', ...($templateOn === null ? ['reps'] : []), 'effort', 'object'],
            ['distance_m', 'speed_ms', 'mass_kg', 'reference_mass_kg', 'side', 'surface', 'legs', 'drop_cm'],
        );
        $day = $node->get('date')->day();
        if (
            $templateOn === null
            && (($notAfter !== null && $day->isAfter($notAfter)) || ($notBefore !== null && $notBefore->isAfter($day)))
        ) {
            throw new CaseError('future_date', $node->path.'/date', $notAfter !== null
                ? "History on {$day->iso()} is after {$notAfter->iso()}."
                : "A plan for {$day->iso()} is before {$notBefore->iso()}.");
        }
        $skill = $node->get('skill')->string();
        if (! isset($skills[$skill])) {
            throw new CaseError('unknown_reference', $node->path.'/skill', "There is no skill “{$skill}”.");
        }
        $positive = fn (Node $n): float => $n->positive();
        $amount = fn (Node $n): float => $n->number(0);

        return new WorkSet(
            day: $templateOn ?? $day,
            session: $node->get('session')->string(),
            skill: $skills[$skill],
            reps: $templateOn === null ? $node->get('reps')->int(0) : 1,
            effort: $node->get('effort')->optional(fn (Node $n): float => $n->number(0, 1)),
            implement: $node->get('object')->enum(Implement::class),
            distanceM: $node->get('distance_m')->optional($amount),
            speedMs: $node->get('speed_ms')->optional($amount),
            massKg: $node->get('mass_kg')->optional($positive),
            referenceMassKg: $node->get('reference_mass_kg')->optional($positive),
            side: $node->get('side')->optional(fn (Node $n): Side => $n->enum(Side::class)) ?? Side::Dominant,
            surface: $node->get('surface')->optional(fn (Node $n): Surface => $n->enum(Surface::class)),
            legs: $node->get('legs')->optional(fn (Node $n): int => $n->int(1, 2)) ?? 2,
            dropCm: $node->get('drop_cm')->optional($amount),
        );
    }

    /** @return array<int, float> minutes × session RPE by ordinal of the day */
    private static function internal(Node $sessions, Day $on): array
    {
        $internal = [];
        foreach ($sessions->items() as $node) {
            $node->keys(['date', 'minutes', 'rpe']);
            $day = $node->get('date')->day();
            if ($day->isAfter($on)) {
                throw new CaseError('future_date', $node->path.'/date', "A session on {$day->iso()} is after {$on->iso()}.");
            }
            $internal[$day->ordinal] = ($internal[$day->ordinal] ?? 0.0) + $node
                ->get('minutes')
                ->number(0) * $node
                ->get('rpe')
                ->number(0, 10);
        }

        return $internal;
    }

    /** @return list<array<string, mixed>> */
    private static function days(LoadRecord $record, Day $on): array
    {
        $days = [];
        for ($day = $record->firstDay() ?? $on->ordinal + 1; $day <= $on->ordinal; $day++) {
            $row = ['date' => Day::fromOrdinal($day)->iso()];
            foreach (Measure::cases() as $measure) {
                $row[$measure->value] = $record->wholeSeries($measure)->on($day);
            }
            $days[] = $row;
        }

        return $days;
    }

    /** @return array<string, float|null> */
    private static function statistics(LoadStatistics $of): array
    {
        return [
            'acute' => $of->acute, 'chronic_week' => $of->chronicWeek, 'ratio_rolling' => $of->ratioRolling,
            'ratio_uncoupled' => $of->ratioUncoupled, 'ratio_ewma' => $of->ratioEwma, 'monotony' => $of->monotony, 'strain' => $of->strain,
        ];
    }

    /** @return array<string, mixed> */
    private static function state(LimitState $state): array
    {
        return [
            'id' => $state->limit->id, 'used' => $state->used, 'projected' => $state->projected,
            'max' => $state->max, 'remaining' => $state->remaining,
            ...($state->earliest === null ? [] : ['earliest' => $state->earliest->iso()]),
            'status' => $state->status->value,
        ];
    }
}
