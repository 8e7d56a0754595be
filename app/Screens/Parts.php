<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\AthleteCardView;
use App\Http\Views\BoundView;
use App\Http\Views\ChannelView;
use App\Http\Views\CostView;
use App\Http\Views\CriterionView;
use App\Http\Views\GateView;
use App\Http\Views\ReasonView;
use App\Http\Views\ReturnRefView;
use App\Http\Views\RungRefView;
use App\Http\Views\SheetRefView;
use App\Http\Views\SquadView;
use App\Models\Athlete;
use App\Models\RepEvent;
use App\Models\Sheet;
use App\Models\Squad;
use App\Models\User;
use App\Records\AthleteDay;
use App\Records\RepStrip;
use App\Records\SheetDesk;
use App\Records\SheetEvents;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Reason;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** Views that several screens show. */
final class Parts
{
    private const FACES_UNDER_YEARS = 9;

    public static function athlete(Athlete $athlete, Day $on): AthleteCardView
    {
        return new AthleteCardView(
            $athlete->id, $athlete->name(), $athlete->given_name, $athlete->ageOn($on), $athlete->throwing_side->value,
            self::isYoung($athlete, $on),
        );
    }

    public static function squad(Squad $squad): SquadView
    {
        return new SquadView($squad->id, $squad->name, $squad->school?->value, $squad->floor);
    }

    /** @return list<SquadView> those somebody works with */
    public static function squads(User $user): array
    {
        return $user->visibleSquads()->get()->map(self::squad(...))->values()->all();
    }

    /** Under nine years drawn faces stand for scores; who is of unknown age reads numbers. */
    public static function isYoung(Athlete $athlete, Day $on): bool
    {
        $age = $athlete->ageOn($on);

        return $age !== null && $age < self::FACES_UNDER_YEARS;
    }

    /** @return list<ChannelView> */
    public static function channels(Readiness $readiness): array
    {
        return array_map(fn (Channel $channel): ChannelView => new ChannelView(
            $channel->value, $readiness->channels[$channel->value]->value,
            array_map(
                fn (Reason $reason): ReasonView => new ReasonView(
                    $reason->word->value,
                    Wording::reason($reason),
                    $reason->report?->at->text,
                ),
                $readiness->reasons[$channel->value],
            ),
        ), Channel::cases());
    }

    /** The one reason a coach reads first: the worst of the worst channel. */
    public static function why(Readiness $readiness): string
    {
        foreach ($readiness->channels as $channel => $word) {
            if ($word === $readiness->word) {
                $reason = $readiness->reasons[$channel][0];

                return $reason->rule === 'nothing_sore' ? 'Nothing sore.' : Wording::reason($reason);
            }
        }

        return '';
    }

    public static function rung(Ladder $ladder, Rung $rung): RungRefView
    {
        return new RungRefView(
            $ladder->id, $ladder->name, $rung->id, $rung->name, (int) $ladder->position($rung->id) + 1,
            count($ladder->rungs),
        );
    }

    /** Where a sheet stands: on its rung, or on a stage of a return. */
    public static function rungOf(SheetDesk $desk): RungRefView
    {
        $stage = $desk->sheet->return_stage;
        if ($stage === null) {
            return self::rung($desk->ladder(), $desk->rung());
        }
        $programme = $desk->sheet->playReturn()->firstOrFail()->programmeAsOpened();

        return new RungRefView(
            $desk->ladder()->id, "way back: {$programme->name}", $desk->rung()->id, $desk->rung()->name, $stage + 1,
            count($programme->stages),
        );
    }

    /** The return a sheet belongs to, as it stands on its day or on another. */
    public static function returnOf(SheetDesk $desk, ?Day $on = null): ?ReturnRefView
    {
        $return = $desk->sheet->return_id === null ? null : $desk->sheet->playReturn()->first();
        if ($return === null) {
            return null;
        }
        $day = new AthleteDay($desk->athlete, $on ?? $desk->day(), $desk->squad);

        return ReturnScreen::ref($return, $desk->athlete, $day->on, $day->returns->work($return, $day->readiness));
    }

    /**
     * @param  Word  $word  of the channels and the side the rung loads
     * @param  list<JudgedRep>  $reps  of the rung, oldest first
     */
    public static function gate(GateResult $result, Rung $rung, ?Rung $next, Word $word, array $reps): GateView
    {
        return new GateView(
            $result->decision->value, Wording::gateHeadline($result, $next?->name), Wording::missing($result, $rung->gate, $word),
            array_map(fn (Criterion $criterion): CriterionView => new CriterionView(
                $criterion->value, Wording::criterion($criterion), $result->criteria[$criterion->value]->value,
                Wording::evidence($criterion, $result, $rung->gate, $word), $criterion->mayBeOverridden(),
            ), Criterion::cases()),
            $result->observed, $result->good, $result->rate, $result->lowerBound, RepStrip::write(array_slice($reps, -10)),
        );
    }

    /** @return list<string> where two devices say different things of a sheet, or counted the same set at once */
    public static function conflicts(Sheet $sheet, User $user): array
    {
        [$changed, $counted] = [SheetEvents::changedTwice($sheet->events), SheetEvents::countedTwice($sheet->events)];
        if ($changed === [] && $counted === []) {
            return [];
        }
        $names = User::query()->where('workspace_id', $user->workspace_id)->pluck('name', 'id')->all();
        $who = fn (RepEvent $event): string => $names[$event->user_id] ?? 'somebody';
        $block = fn (RepEvent $event): string => "“{$sheet->blocks->firstWhere('id', $event->block_id)?->title}”. ";
        $said = fn (RepEvent $event): ?string => $event->kind === 'withdraw' ? null : match (SheetEvents::isGood($event)) {
            true => 'good',
            false => 'not good'.($event->fault === null ? '' : " ({$event->fault})"),
            null => 'not seen',
        };

        return [
            ...array_map(fn (array $each): string => $block($each[0]).JudgingWording::twoWords((int) $each[0]->set_no, array_map(
                fn (RepEvent $event): array => ['who' => $who($event), 'at' => substr($event->at, 11, 5), 'said' => $said($event)],
                $each[1],
            )), $changed),
            ...array_map(fn (array $each): string => $block($each[0][0]).JudgingWording::countedTwice(
                (int) $each[0][0]->set_no, [[$who($each[0][0]), count($each[0])], [$who($each[1][0]), count($each[1])]],
            ), $counted),
        ];
    }

    public static function bound(Gauge $gauge): BoundView
    {
        $state = $gauge->read([]);

        return new BoundView(
            $gauge->limit->id, $gauge->limit->label, Wording::unit($gauge->limit), (float) $gauge->allowance,
            (float) $state->max, (float) $state->used,
        );
    }

    /**
     * What one repetition takes of each bound.
     *
     * @param  list<Gauge>  $budget
     * @return list<CostView>
     */
    public static function costs(CostedSet $oneRep, Side $side, array $budget): array
    {
        $costs = [];
        foreach ($budget as $gauge) {
            if ($gauge->limit->measure !== null && $gauge->limit->touches($oneRep)) {
                $costs[] = new CostView($side->value, $gauge->limit->id, $oneRep->cost[$gauge->limit->measure->value]);
            }
        }

        return $costs;
    }

    /** Whom to call, and what is to be done; null when nobody wrote it down. */
    public static function emergency(string $athleteId): ?string
    {
        $intake = DB::table('intakes')->where('athlete_id', $athleteId)->first(['emergency_contact', 'emergency_plan']);

        return trim(implode("\n", array_filter([$intake?->emergency_contact, $intake?->emergency_plan]))) ?: null;
    }

    /**
     * @param  object{
     *     id: string, title: string, starts_at: string, held_on: string, state: string, trims: string,
     *     planned: int|string|null, done: int|string|null, asked: int|string|null,
     * }  $row
     */
    public static function sheetRef(object $row): SheetRefView
    {
        // One that waits to be fitted anew shows what holds now.
        $planned = $row->stale && $row->state === 'planned'
            ? array_sum(array_map(fn (BlockPlan $plan): int => $plan->reps, SheetDesk::open(Sheet::query()->findOrFail($row->id))->plans()))
            : (int) $row->planned;

        return new SheetRefView(
            $row->id, $row->title, $row->starts_at, substr($row->held_on, 0, 10), $row->state, $planned, (int) $row->done,
            count(json_decode($row->trims, true)), $planned === 0 && (int) $row->asked > 0,
        );
    }
}
