<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Gates\Answers\AgreementView;
use App\Gates\Answers\GateRowView;
use App\Gates\Answers\GatesView;
use App\Health\DayReadiness;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoads;
use App\People\User;
use App\Returns\ReturnsUnderWay;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Readiness\Word;

/** Who is ready, who is stuck and why, whom to watch next. */
final class GatesScreen
{
    public function __construct(private readonly Library $library, private readonly AthleteLoads $loads) {}

    public function view(User $user, Squad $squad): GatesView
    {
        $on = $user->workspace->today();
        $athletes = $user->athletesOf($squad)->get()->all();
        $loads = $this->loads->for($athletes, $on);
        $returns = new ReturnsUnderWay($athletes, $on);
        $limits = new AthleteLimits($athletes, $squad, $on, $returns);
        $health = new DayReadiness($athletes, $on);
        $ladders = new Standings($athletes, $on, $this->library, $health);
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $agreements = new Agreements($ids, $on, $this->library);
        $ready = MatchReadiness::since($ids);
        $rows = [];
        foreach ($athletes as $athlete) {
            $readiness = $health->readiness($athlete, $squad);
            foreach ($ladders->placementsOf($athlete) as $placement) {
                $result = $ladders->gate(
                    $athlete, $placement, $readiness, $loads[$athlete->id],
                    $limits->of($athlete->id, $loads[$athlete->id]),
                );
                $rows[] = $this->row(
                    $athlete, $placement, $ladders, $result,
                    Standings::word($athlete, $ladders->rung($placement), $readiness),
                    $returns->open($athlete->id) !== null, $on, $agreements,
                    $ready["{$athlete->id} {$placement->ladder}"] ?? null,
                );
            }
        }
        usort(
            $rows,
            fn (GateRowView $a, GateRowView $b): int => [
                Attention::from($a->group)->place(),
                $b->opens + $b->steps_back,
            ] <=> [Attention::from($b->group)->place(), $a->opens + $a->steps_back],
        );

        return new GatesView(
            $on->iso(), Cards::squad($squad),
            Cards::squads($user), $rows,
            array_map(
                fn (array $row): AgreementView => Agreements::answer($row['who'], $row['agreement'], $row['splits']),
                $agreements->byPeople(),
            ),
        );
    }

    private function row(
        Athlete $athlete, Placement $placement, Standings $ladders, GateResult $result, Word $word, bool $returns,
        Day $on, Agreements $agreements, ?string $ready,
    ): GateRowView {
        $ladder = $ladders->ladder($placement);
        $rung = $ladders->rung($placement);
        $watch = Watch::of($rung->gate, $result->observed, $result->good);
        $missing = Wording::missing($result, $rung->gate, $word);
        $attention = Attention::of($returns, $word, $result->decision, $watch);

        return new GateRowView(
            Cards::athlete($athlete, $on), $word->value, RungAnswers::rung($ladder, $rung),
            RungAnswers::gate($result, $rung, $ladder->after($rung->id), $word, $ladders->reps($athlete, $placement)), $attention->value,
            $returns ? 'On the way back: its stages decide.' : ($missing[0] ?? null),
            $watch->opens, $watch->stepsBack, $on->daysSince(Instant::of($placement->entered_at)->day),
            ($of = $agreements->onRung($athlete->id, $ladder->id, $rung->id)) !== null && $of['agreement']->isWeak()
                ? JudgingWording::disagreement($of['agreement'])
                : null,
            $ready,
        );
    }
}
