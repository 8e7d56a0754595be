<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\LimitBandView;
use App\Http\Views\LimitRuleView;
use App\Http\Views\LimitsView;
use App\Http\Views\SquadLimitRowView;
use App\Http\Views\SquadView;
use App\Models\Athlete;
use App\Models\Squad;
use App\Models\User;
use App\Records\LimitBook;
use App\Records\LoadBook;
use App\Records\ReturnBook;
use App\Wording\Wording;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Load\Side;

/** Which bounds hold, from whom, and who is close to what. */
final class LimitsScreen
{
    private const CLOSEST = 3;

    public function __construct(private readonly Library $library, private readonly LoadBook $loads) {}

    public function view(User $user, Squad $squad): LimitsView
    {
        $on = $user->workspace->today();
        $ruleSet = $this->library->ruleSet($squad->rule_set);
        $athletes = $squad->athletes()->whereIn('athletes.id', $user->visibleAthletes()->select('athletes.id'))->get()->all();
        $loads = $this->loads->for($athletes, $on);
        $book = new LimitBook($athletes, $squad, $on, $this->library, new ReturnBook($athletes, $on));
        $rows = array_map(function (Athlete $athlete) use ($loads, $book, $on): SquadLimitRowView {
            $load = $loads[$athlete->id];
            $tapes = array_values(array_filter(Tapes::inPlay($book->of($athlete->id, $load)->board($on, $load->record)->states($load->plansOn($on)), $on), fn ($tape): bool => $tape->hard));

            return new SquadLimitRowView(Parts::athlete($athlete, $on), array_slice($tapes, 0, self::CLOSEST), self::fullness($tapes[0] ?? null));
        }, $athletes);
        usort($rows, fn (SquadLimitRowView $a, SquadLimitRowView $b): int => $b->fullness <=> $a->fullness);

        return new LimitsView(
            $on->iso(), new SquadView($squad->id, $squad->name, $squad->school?->value),
            $user->visibleSquads()->get()->map(fn (Squad $each): SquadView => new SquadView($each->id, $each->name, $each->school?->value))->all(),
            $ruleSet->name, $ruleSet->version, $ruleSet->notice, $this->rules($ruleSet->limits), $rows,
        );
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
            $group[0]->label, $group[0]->isHard(), Wording::limitAbout($group[0]), $group[0]->filter->sides !== null, $group[0]->source,
            array_map(fn (Limit $limit): LimitBandView => new LimitBandView(
                $limit->ages === null ? 'every age' : ($limit->ages[1] >= 100 ? "{$limit->ages[0]}+" : "{$limit->ages[0]}–{$limit->ages[1]}"), Wording::limitValue($limit),
            ), $group),
        ), $groups));
    }

    private static function fullness(?\App\Http\Views\TapeView $tape): float
    {
        return match (true) {
            $tape === null => 0.0,
            $tape->max === null || $tape->max <= 0.0 => $tape->kind === 'rest' ? 1.0 : 0.0,
            default => max($tape->used ?? 0.0, ($tape->used ?? 0.0) + ($tape->planned ?? 0.0)) / $tape->max,
        };
    }
}
