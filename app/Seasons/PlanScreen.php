<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\People\User;
use App\Seasons\Answers\PlanView;
use App\Seasons\Answers\SeasonRowView;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Skill;
use Augendo\Core\Planning\Silence;
use Illuminate\Support\Collection;

/** What is ahead of a squad beside its sessions: matches and seasons. */
final class PlanScreen
{
    public function __construct(private readonly Library $library, private readonly FixtureAnswers $fixtures) {}

    public function view(User $user, Squad $squad): PlanView
    {
        $on = $user->workspace->today();
        $athletes = $user->athletesOf($squad)->get();
        $ids = $athletes->pluck('id')->all();
        [$beside, $skills] = (new Collection($this->library->skills()))
            ->partition(fn (Skill $skill): bool => $skill->family === Family::Beside);
        $seasons = Season::query()->with('athlete')->whereIn('athlete_id', $ids)->where('state', 'open')->orderBy('goal_on')->get();
        $placed = Placement::standing()->whereIn('athlete_id', $ids)->distinct()->pluck('athlete_id')->all();
        $planned = $seasons->pluck('athlete_id')->all();

        return new PlanView(
            date: $on->iso(),
            matches_from: Silence::firstDeclared($on)->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            fixtures: $this->fixtures->between($squad, $athletes, $on, null),
            seasons: $seasons->map(fn (Season $season): SeasonRowView => $this->season($season, $on))->all(),
            working_out: $seasons->where('waiting', true)->count(),
            without: $athletes->filter(
                fn (Athlete $athlete): bool => in_array($athlete->id, $placed, true) && ! in_array($athlete->id, $planned, true),
            )
                ->map(fn (Athlete $athlete) => Cards::athlete($athlete, $on))
                ->values()
                ->all(),
            skills: $this->named($skills),
            beside: $this->named($beside),
        );
    }

    /**
     * @param  Collection<string, Skill>  $skills
     * @return list<NamedView>
     */
    private function named(Collection $skills): array
    {
        $names = $this->library->skillNames();

        return $skills->map(fn (Skill $skill): NamedView => new NamedView($skill->id, $names[$skill->id]))->values()->all();
    }

    private function season(Season $season, Day $on): SeasonRowView
    {
        $ladder = $this->library->ladder($season->ladder);

        return new SeasonRowView(
            id: $season->id,
            athlete: Cards::athlete($season->athlete, $on),
            ladder_name: $ladder->name,
            goal: $season->goal_rung === null ? null : $ladder->rung($season->goal_rung)?->name,
            goal_on: $season->goalOn()->iso(),
            missed: SeasonScreen::missed($season, $on),
        );
    }
}
