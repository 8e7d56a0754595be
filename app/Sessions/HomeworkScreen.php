<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Film\FilmReviews;
use App\Gates\JudgedEvidence;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Answers\FigurePoseView;
use App\Library\ClubDrills;
use App\Sessions\Answers\HomeworkBlockView;
use App\Sessions\Answers\HomeworkDayView;
use App\Sessions\Answers\HomeworkView;
use App\Wording\JudgingWording;
use App\Wording\LadderWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\BuiltSession;
use Augendo\Core\Planning\Homework;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\SessionFrame;

/** What to practise alone until the next session, how many, what to look for, when to stop. */
final class HomeworkScreen
{
    private const AHEAD_DAYS = 7;

    /** Instead of the id of a drill: the one of the fault. */
    private const OF_THE_FAULT = 'fault';

    public function __construct(private readonly ClubDrills $drills, private readonly Library $library) {}

    /**
     * @param  string|null  $asked  id of the drill to give; null: that of the fault, or the club's own where one mends it
     *
     * @throws Problem when the athlete stands on no such ladder, or there is no such drill to do alone
     */
    public function view(Athlete $athlete, Day $on, ?string $ladderId, ?string $asked): HomeworkView
    {
        $day = new AthleteDay($athlete, $on);
        $placements = $day->ladders->placementsOf($athlete);
        $placement = $ladderId === null ? (array_values($placements)[0] ?? null) : ($placements[$ladderId] ?? null);
        if ($placement === null) {
            throw new Problem(
                ProblemType::NotOnALadder,
                "{$athlete->given_name} stands on no such ladder yet. Place the athlete first, under Intake.",
            );
        }
        $ladder = $day->ladders->ladder($placement);
        $rung = $day->ladders->rung($placement);
        $focus = FocusPoints::of(
            JudgedEvidence::lately($athlete, $ladder->id, $rung->id, $on->plus(1)), $rung->faults,
            FilmReviews::asked($athlete->id, $ladder->id, $rung->id, $on),
        );
        $own = $ladder->drillsFor($day->load->profile, $this->drills->own($athlete->workspace_id));
        $focus = Homework::focus($focus, $own, $ladder->skill);
        $drills = Homework::drills(
            $own + $ladder->drillsFor($day->load->profile, $this->library->drills()), $focus, $ladder->skill,
        );
        if ($asked !== null && $asked !== self::OF_THE_FAULT && ! isset($drills[$asked])) {
            throw new Problem(
                ProblemType::SomeOfItCannotBeUsed,
                'There is no such drill to do alone. Choose one of the list.',
                ['drill' => ['Choose one of the list.']],
            );
        }
        $usual = $focus === null ? null : Homework::mending($own, $focus, $ladder->skill) ?? self::OF_THE_FAULT;
        $id = $asked === null || $asked === self::OF_THE_FAULT && $focus === null ? $usual : $asked;
        $drill = ($drills[$id] ?? null)?->forAthlete($day->load->profile, $on);
        $planned = array_values(
            array_unique(
                array_map(
                    fn (CostedSet $set): int => $set->day,
                    array_filter($day->load->plans, fn (CostedSet $set): bool => $set->day > $on->ordinal),
                ),
            ),
        );
        $sheetDays = Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('held_on', '>', $on->iso())
            ->where('state', 'planned')
            ->orderBy('held_on')
            ->pluck('held_on')
            ->map(fn (string $held): int => Day::of(substr($held, 0, 10))->ordinal)
            ->all();
        $next = $sheetDays === [] ? null : Day::fromOrdinal(min($sheetDays));
        $waits = $day->returns->open($athlete->id) !== null;
        $days = $waits ? [] : Homework::between(
            from: $on->plus(1),
            to: $next ?? $on->plus(self::AHEAD_DAYS),
            rung: $rung,
            focus: $focus,
            drill: $drill,
            taken: [
                ...$planned,
                ...$sheetDays,
            ],
            frameOn: fn (Day $at): SessionFrame => new SessionFrame(
                on: $at,
                session: 'homework',
                price: $day->load->price,
                readiness: $day->health->readiness($athlete, $day->squad, expected: true),
                record: $day->load->record->with($day->load->plansOn($on)),
                limits: $day->limits,
                otherPlans: array_values(array_filter($day->load->plans, fn (CostedSet $set): bool => $set->day >= $at->ordinal)),
                layoff: Layoff::of($day->load->record, $at, $rung, $day->load->price),
                throwing: $athlete->throwing_side,
            ),
        );
        $mirror = $athlete->sideFor($ladder->skill)->mirror(...);

        return new HomeworkView(
            athlete: Cards::athlete($athlete, $on),
            date: $on->iso(),
            ladder_name: $ladder->name,
            rung_name: $rung->name,
            goal: $mirror($rung->goal),
            focus: $focus?->name,
            cue: $focus === null ? null : $mirror($focus->cue),
            drill: $id,
            drills: [
                ...($focus?->with !== DrillWith::Alone ? [] : [new NamedView(self::OF_THE_FAULT, $mirror($focus->drill))]),
                ...array_map(
                    fn (string $each, Drill $of): NamedView => new NamedView($each, $mirror($of->dose->title)),
                    array_keys($drills), $drills,
                ),
            ],
            picture: FigurePoseView::ofPicture(
                $this->library->figures(), $drill === null ? $focus?->picture : $drill->picture, $athlete->sideFor($ladder->skill),
            ),
            look_for: JudgingWording::lookFor($rung, $mirror),
            days: array_map(
                fn (array $each): HomeworkDayView => new HomeworkDayView($each[0]->iso(), $this->blocks($each[1], $mirror)),
                $days,
            ),
            none: match (true) {
                $days !== [] => null,
                $waits => 'On the way back nothing is practised alone: each stage is watched.',
                Homework::alone($rung, $focus, $drill)->blocks === [] => 'This rung has nothing that is safe to do alone.',
                default => 'No day before the next session has room, or the word leaves nothing. Rest is the homework.',
            },
            stop_when: [
                'It hurts, anywhere, or something tingles, swells or locks: stop, and say so the same day.',
                'Three of the last five were not like the picture: stop for today, fewer good ones are worth more.',
                'The count is done: stop, even when it goes well.',
            ],
            report_back: 'Say how many, how hard, and how it feels the next morning: on the personal page, or to the coach. What is '
                .'done at home counts like any other work.',
            next_session: $next?->iso(),
        );
    }

    /**
     * @param  callable(string): string  $mirror
     * @return list<HomeworkBlockView>
     */
    private function blocks(BuiltSession $built, callable $mirror): array
    {
        $working = array_filter($built->blocks, fn (BlockPlan $block): bool => $block->reps > 0);

        return array_values(array_map(fn (BlockPlan $block): HomeworkBlockView => new HomeworkBlockView(
            $block->asked->title, $mirror($block->asked->text),
            implode(' + ', $block->repsBySet())
                .' times, '
                .Wording::dose($block->effort, $block->distanceM)
                .', '
                .lcfirst(Wording::object($block->asked->object)),
            $block->asked->holdS, LadderWording::manner($block->asked->manner),
        ), $working));
    }
}
