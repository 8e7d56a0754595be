<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Courtside\Answers\MatchCountView;
use App\Courtside\Answers\MatchSkillView;
use App\Limits\Bounds;
use App\Seasons\Fixture;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\MatchEvent;
use Illuminate\Support\Facades\DB;

/** How many are left in this match? Each counts hard; what was done today counts already. */
final class MatchScreen
{
    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on): MatchCountView
    {
        $day = new AthleteDay($athlete, $on);
        $fixture = Fixture::concerning([$athlete->id])
            ->where('kind', Fixture::MATCH)
            ->where('held_on', $on->iso())
            ->orderBy('starts_at')
            ->first();
        $effort = Felt::Hard->effort();
        $ones = [];
        foreach ($this->skills($athlete, $day, $fixture) as $skill) {
            $ones[$skill->id] = $day->load->price->of(WorkSet::ordinarily($on, 'match', $skill, 1, $effort));
        }
        // What other sessions and matches of the day hold is not left for this one; what this one holds is.
        $held = array_values(
            array_filter(
                $day->load->plansOn($on),
                fn (CostedSet $plan): bool => $fixture === null || $plan->session !== MatchEvent::session($fixture->id),
            ),
        );
        $board = $day->limits->board($on, $day->load->record->with($held));
        $gauges = array_values(
            array_filter($board->hardTouchedBy(array_values($ones))->gauges(), fn (Gauge $gauge): bool => $gauge->allowance !== null),
        );
        $names = $this->library->skillNames();

        return new MatchCountView(
            athlete: Cards::athlete($athlete, $on),
            date: $on->iso(),
            title: $fixture === null ? 'Match' : $fixture->title,
            match_id: $fixture?->id,
            effort: $effort,
            skills: array_map(
                fn (string $id, CostedSet $one): MatchSkillView => new MatchSkillView(
                    $id,
                    $names[$id],
                    Bounds::costs($one, Side::Dominant, $gauges),
                    MayPlay::today($day->returns, $this->library->skills()[$id], $athlete, $day->readiness),
                ),
                array_keys($ones),
                $ones,
            ),
            bounds: array_map(Bounds::answer(...), $gauges),
            emergency: Cards::emergency($athlete->id),
            logged: DB::table('work_sets')
                ->where('athlete_id', $athlete->id)
                ->where('day', $on->iso())
                ->whereNotNull('client_id')
                ->pluck('client_id')
                ->all(),
        );
    }

    /** @return list<Skill> what the match is expected to ask for, then what the athlete climbs */
    private function skills(Athlete $athlete, AthleteDay $day, ?Fixture $fixture): array
    {
        $skills = [];
        foreach ($fixture->doses ?? [] as $dose) {
            $skills[$dose['skill']] = $this->library->skills()[$dose['skill']];
        }
        foreach ($day->ladders->placementsOf($athlete) as $placement) {
            $skill = $day->ladders->ladder($placement)->skill;
            $skills[$skill->id] = $skill;
        }

        return array_values($skills);
    }
}
