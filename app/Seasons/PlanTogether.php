<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Gates\Placement;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\Sharing;
use Augendo\Core\Planning\SkillsPlan;

/** All skills of one athlete in one plan: a season each, in the coach's order, with the days each of them may be heavy on. */
final class PlanTogether
{
    public function __construct(
        private readonly Library $library,
        private readonly Seasons $seasons,
        private readonly WeeksAhead $ahead,
    ) {}

    /**
     * As they would be, without keeping them.
     *
     * @param  array{evenly: bool, skills: non-empty-list<array<string, mixed>>}  $given  validated
     * @return non-empty-list<Season> in the order given
     */
    public function drafts(Athlete $athlete, array $given, Day $today): array
    {
        $open = collect(self::open($athlete))->keyBy('ladder');
        $left = $open->keys()->diff(array_column($given['skills'], 'ladder'))->filter(
            fn (string $ladder): bool => ! $today->isAfter($open[$ladder]->goalOn()),
        );
        if ($left->isNotEmpty()) {
            $names = $left->map(fn (string $ladder): string => "“{$this->library->ladder($ladder)->name}”")->implode(', ');
            throw new Problem(
                ProblemType::ChangedMeanwhile,
                "{$athlete->given_name} has a season on {$names} too. Put it in the order, or close it first.",
            );
        }
        $drafts = [];
        foreach ($given['skills'] as $place => $asked) {
            $season = $open[$asked['ladder']] ?? null;
            $asked['weekdays'] = array_map(intval(...), $asked['weekdays']);
            $keeps = $season === null ? ['moves' => [], 'off' => []] : [];
            $drafts[] = $this->seasons->draft($athlete, [...$asked, ...$keeps], $today, $season)
                ->fill(['place' => $place, 'evenly' => $given['evenly']]);
        }

        return $drafts;
    }

    /** @param  non-empty-list<Season>  $seasons  in the coach's order */
    public function plan(array $seasons, Day $today): SkillsPlan
    {
        $sharing = $seasons[0]->evenly ? Sharing::Evenly : Sharing::InOrder;

        return $this->ahead->together($seasons, $sharing, new AthleteDay($seasons[0]->athlete, $today, $seasons[0]->squad));
    }

    /** @return list<Season> those that are open on a ladder the athlete stands on, in the coach's order */
    public static function open(Athlete $athlete): array
    {
        $stoodOn = Placement::standing()->where('athlete_id', $athlete->id)->select('ladder');

        return array_values(
            Season::openOf($athlete)->with('squad')->whereIn('ladder', $stoodOn)
                ->orderBy('place')->orderBy('created_at')->orderBy('id')->get()->all(),
        );
    }

    /**
     * @param  array{evenly: bool, skills: non-empty-list<array<string, mixed>>}  $given  validated
     *
     * @throws Problem when somebody changed one of them since they were read
     */
    public function keep(Athlete $athlete, array $given, User $by): void
    {
        $today = $by->workspace->today();
        $versions = array_column($given['skills'], 'version', 'ladder');
        $this->refuseChanged($athlete, $versions);
        $seasons = $this->drafts($athlete, $given, $today);
        $plan = $this->plan($seasons, $today);
        $leads = $plan->leads();
        Alone::with($athlete->id, function () use ($athlete, $seasons, $leads, $plan, $versions, $by, $today): void {
            $this->refuseChanged($athlete, $versions);
            foreach ($seasons as $at => $season) {
                $season->fill(['leads' => $leads[$at], 'created_by' => $season->exists ? $season->created_by : $by->id]);
                $this->seasons->agree($season, $plan->skills[$at]->plan, $today);
            }
            Audit::of($by, $athlete, 'skills planned together', ['ladders' => array_keys($versions)]);
        });
    }

    /**
     * @param  array<string, int|null>  $versions  by ladder; null: none was there
     */
    private function refuseChanged(Athlete $athlete, array $versions): void
    {
        $kept = Season::openOf($athlete)->pluck('version', 'ladder')->all();
        foreach ($versions as $ladder => $version) {
            if (($kept[$ladder] ?? null) !== $version) {
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    "Somebody changed the season on “{$this->library->ladder($ladder)->name}” since you opened this page. "
                        .'What you set is kept on the screen: look at both, then save again.',
                    extra: ['version' => (int) ($kept[$ladder] ?? 0)],
                );
            }
        }
    }
}
