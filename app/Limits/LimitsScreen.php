<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Limits\Answers\LimitBandView;
use App\Limits\Answers\LimitRuleView;
use App\Limits\Answers\LimitShareView;
use App\Limits\Answers\LimitsView;
use App\Limits\Answers\RuleComparedView;
use App\Limits\Answers\RuleCompareView;
use App\Limits\Answers\SquadLimitRowView;
use App\People\User;
use App\Returns\ReturnsUnderWay;
use App\Wording\Wording;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\Replay;
use Augendo\Core\Load\Side;

/** Which bounds hold, from whom, and who is close to what. */
final class LimitsScreen
{
    private const CLOSEST = 3;

    public function __construct(private readonly RuleSets $ruleSets, private readonly AthleteLoads $loads) {}

    public function view(User $user, Squad $squad): LimitsView
    {
        $on = $user->workspace->today();
        $ruleSet = $this->ruleSets->of($squad);
        $athletes = $user->athletesOf($squad)->get()->all();
        $loads = $this->loads->for($athletes, $on);
        $book = new AthleteLimits($athletes, $squad, $on, new ReturnsUnderWay($athletes, $on));
        $rows = array_map(function (Athlete $athlete) use ($loads, $book, $on): SquadLimitRowView {
            $load = $loads[$athlete->id];
            $tapes = array_values(
                array_filter(
                    Tapes::inPlay($book->of($athlete->id, $load)->board($on, $load->record)->states($load->plansOn($on)), $on),
                    fn ($tape): bool => $tape->hard,
                ),
            );

            return new SquadLimitRowView(
                Cards::athlete($athlete, $on),
                array_slice($tapes, 0, self::CLOSEST),
                self::fullness($tapes[0] ?? null),
            );
        }, $athletes);
        usort($rows, fn (SquadLimitRowView $a, SquadLimitRowView $b): int => $b->fullness <=> $a->fullness);

        return new LimitsView(
            date: $on->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            rule_set: $ruleSet->name,
            version: $ruleSet->version,
            notice: $ruleSet->notice,
            rules: $this->rules($ruleSet->limits),
            rows: $rows,
            rule_set_id: $squad->rule_set,
            shares: $this->shares($athletes, $ruleSet),
        );
    }

    /**
     * @param  list<Athlete>  $athletes
     * @return list<LimitShareView>
     */
    private function shares(array $athletes, RuleSet $ruleSet): array
    {
        $labels = [];
        foreach ($ruleSet->limits as $limit) {
            $labels[$limit->baseId()] ??= $limit->label;
        }
        $all = RuleSets::shares(array_map(fn (Athlete $athlete): string => $athlete->id, $athletes));
        $views = [];
        foreach ($athletes as $athlete) {
            foreach ($all[$athlete->id] ?? [] as $id => $row) {
                $views[] = new LimitShareView(
                    athlete_id: $athlete->id,
                    athlete_name: $athlete->name(),
                    limit_id: $id,
                    label: $labels[$id] ?? $id,
                    share: (float) $row->share,
                    reason: $row->reason,
                    by: $row->by,
                    day: substr($row->set_at, 0, 10),
                );
            }
        }

        return $views;
    }

    /**
     * The squad’s last weeks, held against the rule set in force and against another one.
     */
    public function compare(User $user, Squad $squad, RuleSet $other, int $days): RuleCompareView
    {
        $today = $user->workspace->today();
        $athletes = $user->athletesOf($squad)->get()->all();
        // The record up to yesterday, whole days.
        $loads = $this->loads->for($athletes, $today);
        $returns = new ReturnsUnderWay($athletes, $today);
        $inForce = $this->ruleSets->of($squad);
        $limitsUnder = fn (RuleSet $rules): AthleteLimits => new AthleteLimits($athletes, $squad, $today, $returns, $rules);
        $books = [$limitsUnder($inForce), $limitsUnder($other)];
        $rows = array_map(function (Athlete $athlete) use ($loads, $books, $today, $days): RuleComparedView {
            [$now, $then] = array_map(
                fn (AthleteLimits $book): array => Replay::over(
                    $book->of($athlete->id, $loads[$athlete->id]),
                    $loads[$athlete->id]->record,
                    $today->plus(-$days),
                    $today->plus(-1),
                ),
                $books,
            );

            $load = $loads[$athlete->id];
            $coming = Replay::ahead($books[1]->of($athlete->id, $load), $load->record, $load->plans);
            $say = fn (array $each): string => Wording::day($each[0]).': '
                .Wording::limitNames(array_map(fn (LimitState $state): Limit => $state->limit, $each[1]));

            return new RuleComparedView(
                Cards::athlete($athlete, $today), count($now), count($then), array_map($say, array_slice($then, -4)),
                array_map($say, $coming),
            );
        }, $athletes);
        usort($rows, fn (RuleComparedView $a, RuleComparedView $b): int => [$b->then_days, $b->now_days, count($b->coming)]
            <=> [$a->then_days, $a->now_days, count($a->coming)]);
        $counted = fn (string $which): int => count(array_filter($rows, fn (RuleComparedView $row): bool => $row->{$which} > 0));

        return new RuleCompareView(
            $inForce->name, $other->name, $days,
            "With “{$other->name}” ".Wording::count($counted('then_days'), 'athlete')
                ." would have been over a hard limit in the last {$days} days;"
                ." with “{$inForce->name}”, in force, {$counted('now_days')}.",
            self::trimmed($other, $rows),
            $rows,
        );
    }

    /** @param  list<RuleComparedView>  $rows */
    private static function trimmed(RuleSet $other, array $rows): string
    {
        $days = array_sum(array_map(fn (RuleComparedView $row): int => count($row->coming), $rows));
        $whose = count(array_filter($rows, fn (RuleComparedView $row): bool => $row->coming !== []));

        return $days === 0
            ? "Everything planned ahead holds with “{$other->name}” as it is."
            : 'Ahead, '.Wording::count($days, 'planned day').' of '.Wording::count($whose, 'athlete')
                ." would be trimmed to fit “{$other->name}”.";
    }

    /**
     * Limits that differ in age and side alone are one line.
     *
     * @param  list<Limit>  $limits
     * @return list<LimitRuleView>
     */
    private function rules(array $limits): array
    {
        $groups = [];
        foreach ($limits as $limit) {
            if ($limit->filter->sides !== [Side::Other]) {
                $groups["{$limit->label}|{$limit->severity->value}|".strtok($limit->id, ':')][] = $limit;
            }
        }

        return array_values(array_map(fn (array $group): LimitRuleView => new LimitRuleView(
            id: $group[0]->baseId(),
            scalable: $group[0]->isScalable(),
            label: $group[0]->label,
            hard: $group[0]->isHard(),
            about: Wording::limitAbout($group[0]),
            per_side: $group[0]->filter->sides !== null,
            source: $group[0]->source,
            bands: array_map(fn (Limit $limit): LimitBandView => new LimitBandView(
                $limit->ages === null ? 'every age' : (
                    $limit->ages[1] >= 100 ? "{$limit->ages[0]}+" : "{$limit->ages[0]}–{$limit->ages[1]}"
                ),
                Wording::limitValue($limit),
            ), $group),
        ), $groups));
    }

    private static function fullness(?Answers\TapeView $tape): float
    {
        return match (true) {
            $tape === null => 0.0,
            $tape->max === null || $tape->max <= 0.0 => $tape->kind === 'rest' ? 1.0 : 0.0,
            default => max($tape->used ?? 0.0, ($tape->used ?? 0.0) + ($tape->planned ?? 0.0)) / $tape->max,
        };
    }
}
