<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Health\DayReadiness;
use App\People\User;
use App\Sessions\Answers\SessionLifeView;
use App\Sessions\Answers\SessionView;
use App\Sessions\Answers\StationFlagView;
use App\Sessions\Answers\StationGroupView;
use App\Sessions\Answers\StationMemberView;
use App\Sessions\Answers\StationRoundView;
use App\Sessions\Answers\StationView;
use App\Wording\PlanWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Station;
use Augendo\Core\Planning\StationAthlete;
use Augendo\Core\Planning\StationFlag;
use Augendo\Core\Planning\StationPlan;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** Who is where when, with what. */
final class SessionScreen
{
    public function __construct(private readonly Library $library, private readonly CalendarScreen $calendar) {}

    public function view(TrainingSession $session, User $user): SessionView
    {
        $open = Stations::open($session, $user);

        return $this->of($open, $open->plan(), [], $user);
    }

    private function life(Stations $open, User $user): SessionLifeView
    {
        $session = $open->session;
        $in = $open->sheets()->pluck('athlete_id')->all();
        $mayChange = $user->can('change', $session);
        $on = $session->day();
        $ofSquad = $session->squad->athletes()->pluck('athletes.id')->all();

        return new SessionLifeView(
            state: $session->state->value,
            reason: $session->reason,
            place: $session->place,
            repeats: $session->series_id !== null,
            counted: $session->isCounted(),
            open: $open->sheets()->contains('state', 'running'),
            has_sheets: $session->has_sheets,
            minutes_planned: $session->minutes,
            moved_from: $session->first_on === null ? null : substr($session->first_on, 0, 10),
            not_in: ! $user->can('plan', $session) ? [] : $user->visibleAthletes()
                ->whereNotIn('id', $in)
                ->get()
                ->sortBy(fn (Athlete $athlete): array => [! in_array($athlete->id, $ofSquad, true), $athlete->name()])
                ->map(fn (Athlete $athlete) => Cards::athlete($athlete, $on))
                ->values()
                ->all(),
            changes: $mayChange ? $this->calendar->changesOf($session, $user) : [],
            may_change: $mayChange,
        );
    }

    /**
     * How it would be, without keeping anything.
     *
     * @param  array<string, mixed>  $setup
     */
    public function preview(TrainingSession $session, User $user, array $setup, int $version): SessionView
    {
        $open = Stations::open($session, $user);
        $kept = $open->plan();
        $absent = count($open->setup()['absent']);
        DB::beginTransaction();
        try {
            $open->keep($setup, $version);
            $plan = $open->plan();
            $view = $this->of($open, $plan, self::differences($kept, $plan, $absent, count($setup['absent'])), $user);
        } finally {
            DB::rollBack();
        }

        return $view;
    }

    /** @param  list<string>  $differences */
    private function of(Stations $open, StationPlan $plan, array $differences, User $user): SessionView
    {
        $session = $open->session;
        $life = $this->life($open, $user);
        $setup = $open->setup();
        $on = Day::of(substr($session->held_on, 0, 10));
        $sheets = $open->sheets()->keyBy('athlete_id');
        $athletes = $sheets->map(fn (Sheet $sheet): Athlete => $sheet->athlete)->values()->all();
        $book = new DayReadiness($athletes, $on);
        $squad = $session->squad;
        $today = $squad->workspace->today();
        $start = (int) substr($session->starts_at, 0, 2) * 60 + (int) substr($session->starts_at, 3, 2);
        $open = array_map(fn (Station $station): string => $station->id, $plan->stations);

        return new SessionView(
            id: $session->id,
            version: $session->version,
            squad: Cards::squad($squad),
            title: $session->title,
            day: $on->iso(),
            starts_at: $session->starts_at,
            minutes: $setup['minutes'],
            adults: $setup['adults'],
            balls: $setup['balls'],
            balls_needed: $plan->ballsNeeded,
            warm_up_min: $plan->warmUpMin,
            rotation_min: $plan->rotationMin,
            cool_down_min: $plan->coolDownMin,
            stations: array_map(fn (array $kept): StationView => new StationView(
                id: $kept['id'],
                title: $kept['title'],
                kinds: $kept['kinds'],
                length_m: (float) $kept['length_m'],
                capacity: (int) $kept['capacity'],
                needs_adult: (bool) $kept['needs_adult'],
                surface: $kept['surface'],
                gloves: (bool) $kept['gloves'],
                balls_each: (int) $kept['balls_each'],
                open: in_array($kept['id'], $open, true),
                work: $this->work($plan, Stations::station($kept)),
            ), $setup['stations']),
            groups: array_map(fn (array $group, int $i): StationGroupView => new StationGroupView(self::groupName($i), array_map(function (
                StationAthlete $member,
            ) use (
                $plan, $i, $sheets, $book, $squad, $on, $today,
            ): StationMemberView {
                $sheet = $sheets[$member->id];
                $names = [];
                foreach ($plan->pairs[$i] as $pair) {
                    if (in_array($member->id, $pair, true)) {
                        $names = array_map(
                            fn (string $id): string => $sheets[$id]->athlete->given_name,
                            array_values(array_diff($pair, [$member->id])),
                        );
                    }
                }
                $doses = [];
                foreach ($plan->stations as $station) {
                    $doses[$station->id] = self::dose($member->at($station));
                }

                return new StationMemberView(
                    athlete: Cards::athlete($sheet->athlete, $on),
                    word: $this->word($book->readiness($sheet->athlete, $squad), $on, $today),
                    sheet_id: $sheet->id,
                    with: implode(' and ', $names),
                    late_minutes: $member->lateMinutes,
                    joins_round: $plan->joinsAt($member),
                    doses: $doses === [] ? new \stdClass : $doses,
                );
            }, $group)), $plan->groups, array_keys($plan->groups)),
            rounds: array_map(
                fn (array $round, int $i): StationRoundView => new StationRoundView(
                    self::clock($start + $plan->startsAt($i)),
                    array_map(self::groupName(...), $round),
                ),
                $plan->rounds,
                array_keys($plan->rounds),
            ),
            flags: array_map(
                fn (StationFlag $flag): StationFlagView => new StationFlagView($flag->code, PlanWording::flag($flag)),
                $plan->flags,
            ),
            absent: array_map(
                fn (string $id) => Cards::athlete($sheets[$id]->athlete, $on),
                array_values(array_filter($setup['absent'], fn (string $id): bool => isset($sheets[$id]))),
            ),
            differences: $differences,
            floor: $session->floor ?? $squad->floor,
            can_undo: isset($session->stations['before']),
            life: $life,
            cautions: array_values(
                array_unique(
                    array_merge(
                        [],
                        ...array_map(
                            fn (string $ladder): array => $this->library->ladder($ladder)->cautions,
                            $sheets->pluck('ladder')->unique()->values()->all(),
                        ),
                    ),
                ),
            ),
        );
    }

    /** Of a day ahead nobody can have checked in yet; an open referral holds whatever the day. */
    private function word(Readiness $readiness, Day $on, Day $today): string
    {
        return $on->isAfter($today) && $readiness->openReferrals === [] ? Word::Unknown->value : $readiness->word->value;
    }

    /** @return list<string> */
    private function work(StationPlan $plan, Station $station): array
    {
        $titles = [];
        foreach (array_merge([], ...$plan->groups) as $athlete) {
            foreach ($athlete->at($station) as $block) {
                $titles[$block->asked->title] = true;
            }
        }

        return array_keys($titles);
    }

    /** @param  list<BlockPlan>  $blocks */
    private static function dose(array $blocks): string
    {
        return $blocks === [] ? '' : implode(
            '; ',
            array_map(
                fn (BlockPlan $block): string => implode(' + ', $block->repsBySet())
                    .' '
                    .lcfirst($block->asked->title)
                    .', '
                    .Wording::dose($block->effort, $block->distanceM),
                $blocks,
            ),
        );
    }

    /** @return list<string> */
    private static function differences(StationPlan $kept, StationPlan $plan, int $absentBefore, int $absentNow): array
    {
        $names = fn (StationPlan $of): array => array_map(fn (Station $station): string => $station->title, $of->stations);
        $reps = fn (StationPlan $of): int => array_sum(
            array_map(
                fn (StationAthlete $athlete): int => array_sum(array_map(fn (BlockPlan $block): int => $block->reps, $athlete->blocks)),
                array_merge([], ...$of->groups),
            ),
        );
        $closed = array_diff($names($kept), $names($plan));
        $opened = array_diff($names($plan), $names($kept));

        return array_values(array_filter([
            $kept->minutes === $plan->minutes ? null : "{$kept->minutes} → {$plan->minutes} minutes in all.",
            $kept->rotationMin === $plan->rotationMin ? null : "{$kept->rotationMin} → {$plan->rotationMin} minutes at each station.",
            $closed === [] ? null : 'Closed: '.lcfirst(implode(', ', $closed)).'.',
            $opened === [] ? null : 'Opened: '.lcfirst(implode(', ', $opened)).'.',
            $absentBefore === $absentNow
                ? null
                : count(array_merge([], ...$kept->groups))
                    .' → '
                    .Wording::count(count(array_merge([], ...$plan->groups)), 'athlete')
                    .' in '
                    .Wording::count(count($plan->groups), 'group')
                    .'.',
            $reps($kept) === $reps($plan) ? null : "{$reps($kept)} → {$reps($plan)} repetitions in all.",
        ]));
    }

    private static function groupName(int $i): string
    {
        return chr(ord('A') + $i);
    }

    private static function clock(int $minutes): string
    {
        return sprintf('%02d:%02d', intdiv($minutes, 60) % 24, $minutes % 60);
    }
}
