<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\AgreementView;
use App\Http\Views\GateRowView;
use App\Http\Views\GatesView;
use App\Models\Athlete;
use App\Models\Placement;
use App\Models\Squad;
use App\Models\User;
use App\Records\AgreementBook;
use App\Records\LadderBook;
use App\Records\LimitBook;
use App\Records\LoadBook;
use App\Records\ReadinessBook;
use App\Records\ReturnBook;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Readiness\Word;

/** Who is ready, who is stuck and why, whom to watch next. */
final class GatesScreen
{
    private const ORDER = ['ready' => 0, 'watch' => 1, 'stuck' => 2, 'rest' => 3, 'return' => 4];

    /** A look is worth asking for from this chance on. */
    private const WORTH_A_LOOK = 0.15;

    public function __construct(private readonly Library $library, private readonly LoadBook $loads) {}

    public function view(User $user, Squad $squad): GatesView
    {
        $on = $user->workspace->today();
        $athletes = $squad
            ->athletes()
            ->whereIn('athletes.id', $user->visibleAthletes()->select('athletes.id'))
            ->whereNull('erased_at')
            ->get()
            ->all();
        $loads = $this->loads->for($athletes, $on);
        $returns = new ReturnBook($athletes, $on);
        $limits = new LimitBook($athletes, $squad, $on, $returns);
        $health = new ReadinessBook($athletes, $on);
        $ladders = new LadderBook($athletes, $on, $this->library, $health);
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $agreements = new AgreementBook($ids, $on, $this->library);
        $ready = Seeing::matchReadySince($ids);
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
                    LadderBook::word($athlete, $ladders->rung($placement), $readiness),
                    $returns->open($athlete->id) !== null, $on, $agreements,
                    $ready["{$athlete->id} {$placement->ladder}"] ?? null,
                );
            }
        }
        usort(
            $rows,
            fn (GateRowView $a, GateRowView $b): int => [
                self::ORDER[$a->group],
                $b->opens + $b->steps_back,
            ] <=> [self::ORDER[$b->group], $a->opens + $a->steps_back],
        );

        return new GatesView(
            $on->iso(), Parts::squad($squad),
            Parts::squads($user), $rows,
            array_map(
                fn (array $row): AgreementView => Seeing::agreement($row['who'], $row['agreement'], $row['splits']),
                $agreements->byPeople(),
            ),
        );
    }

    private function row(
        Athlete $athlete, Placement $placement, LadderBook $ladders, GateResult $result, Word $word, bool $returns,
        Day $on, AgreementBook $agreements, ?string $ready,
    ): GateRowView {
        $ladder = $ladders->ladder($placement);
        $rung = $ladders->rung($placement);
        $watch = Watch::of($rung->gate, $result->observed, $result->good);
        $missing = Wording::missing($result, $rung->gate, $word);
        $group = match (true) {
            $returns => 'return',
            ! $word->allowsWork() => 'rest',
            $result->decision === GateDecision::Advance => 'ready',
            $result->decision === GateDecision::Collect, $watch->opens + $watch->stepsBack >= self::WORTH_A_LOOK => 'watch',
            default => 'stuck',
        };

        return new GateRowView(
            Parts::athlete($athlete, $on), $word->value, Parts::rung($ladder, $rung),
            Parts::gate($result, $rung, $ladder->after($rung->id), $word, $ladders->reps($athlete, $placement)), $group,
            $returns ? 'On the way back: its stages decide.' : ($missing[0] ?? null),
            $watch->opens, $watch->stepsBack, $on->daysSince(Instant::of($placement->entered_at)->day),
            ($of = $agreements->onRung($athlete->id, $ladder->id, $rung->id)) !== null && $of['agreement']->isWeak()
                ? JudgingWording::disagreement($of['agreement'])
                : null,
            $ready,
        );
    }
}
