<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Health\DayReadiness;
use App\People\User;
use App\Sessions\Answers\DoseChangeView;
use App\Sessions\Answers\DoseLineView;
use App\Sessions\Answers\SessionLifeView;
use App\Sessions\Answers\SessionView;
use App\Sessions\Answers\SpaceView;
use App\Sessions\Answers\StationFlagView;
use App\Sessions\Answers\StationMemberView;
use App\Wording\StationWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Stations\Attendee;
use Augendo\Core\Stations\StationFlag;
use Augendo\Core\Stations\StationPlan;
use Augendo\Core\Stations\WhatWouldHelp;
use Illuminate\Support\Facades\DB;

/** Who is where when, with what. */
final class SessionScreen
{
    public function __construct(private readonly Library $library, private readonly CalendarScreen $calendar) {}

    public function view(TrainingSession $session, User $user): SessionView
    {
        $open = Stations::open($session, $user);

        return $this->of($open, $open->plan(), [], $user, []);
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
        $before = self::doses($open);
        $least = $open->betweenTurns($kept)->leastShare();
        DB::beginTransaction();
        try {
            $open->keep($setup, $version);
            $open->asFitted();
            $plan = $open->plan();
            $after = self::doses($open);
            $differences = [
                ...self::differences($kept, $plan, self::reps($before), self::reps($after)),
                ...self::leastWork($least, $open->betweenTurns($plan)->leastShare()),
            ];
            $view = $this->of($open, $plan, $differences, $user, self::changed($open, $before, $after));
        } finally {
            DB::rollBack();
        }

        return $view;
    }

    /**
     * @param  list<string>  $differences
     * @param  list<DoseChangeView>  $changed
     */
    private function of(Stations $open, StationPlan $plan, array $differences, User $user, array $changed): SessionView
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
        $words = new StationWording(array_column($setup['spaces'], 'title', 'id'), $this->library->skillNames());
        $between = $open->betweenTurns($plan);
        $rounds = new Rounds($this->library, $open, $plan, $between);
        $own = $plan->usefulShare();
        $useful = $between->usefulShare();

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
            warm_up_min: $plan->hour->warmUpMin,
            cool_down_min: $plan->hour->coolDownMin,
            ends_at: Rounds::clock($session->starts_at, $plan->endsMin()),
            spaces: array_map(fn (array $kept): SpaceView => new SpaceView(
                id: $kept['id'],
                title: $kept['title'],
                length_m: (float) $kept['length_m'],
                lanes: (int) $kept['lanes'],
                surface: $kept['surface'],
                sector: (bool) $kept['sector'],
            ), array_values($setup['spaces'])),
            members: array_map(fn (Attendee $attendee): StationMemberView => new StationMemberView(
                athlete: Cards::athlete($sheets[$attendee->id]->athlete, $on),
                word: $this->word($book->readiness($sheets[$attendee->id]->athlete, $squad), $on, $today),
                sheet_id: $sheets[$attendee->id]->id,
                late_minutes: (int) ($setup['late'][$attendee->id] ?? 0),
                own_share: $attendee->work === [] ? null : $own[$attendee->id],
                useful_share: $useful[$attendee->id],
                left_out: $rounds->leftOutOf($attendee->id),
                swap: $sheets[$attendee->id]->swappedBy() === null && SwapWork::isDue(
                    $sheets[$attendee->id],
                    $book->readiness($sheets[$attendee->id]->athlete, $squad),
                    $today,
                    $open->plans($sheets[$attendee->id]),
                ),
            ), $plan->hour->attendees),
            rounds: $rounds->views($session->starts_at),
            flags: array_map(
                fn (StationFlag $flag): StationFlagView => new StationFlagView($flag->code, $words->flag($flag)),
                $between->flags(),
            ),
            would_help: $words->wouldHelp(WhatWouldHelp::with($plan)),
            absent: array_map(
                fn (string $id) => Cards::athlete($sheets[$id]->athlete, $on),
                array_values(array_filter($setup['absent'], fn (string $id): bool => isset($sheets[$id]))),
            ),
            differences: $differences,
            changed: $changed,
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

    /** @return array<string, list<BlockPlan>> of all who are there, by athlete */
    private static function doses(Stations $open): array
    {
        $absent = $open->setup()['absent'];
        $there = $open->sheets()->reject(fn (Sheet $sheet): bool => in_array($sheet->athlete_id, $absent, true));

        return $there->keyBy('athlete_id')->map($open->plans(...))->all();
    }

    /** @param  array<string, list<BlockPlan>>  $doses */
    private static function reps(array $doses): int
    {
        return array_sum(array_map(fn (BlockPlan $plan): int => $plan->reps, array_merge(...array_values($doses))));
    }

    /**
     * @param  array<string, list<BlockPlan>>  $before
     * @param  array<string, list<BlockPlan>>  $after
     * @return list<DoseChangeView> of each who does something else, by name
     */
    private static function changed(Stations $open, array $before, array $after): array
    {
        $lines = fn (array $plans): array => array_map(
            DoseLine::of(...), array_values(array_filter($plans, fn (BlockPlan $plan): bool => $plan->reps > 0)),
        );
        $without = fn (array $of, array $others): array => array_values(
            array_filter($of, fn (DoseLineView $each): bool => ! in_array($each, $others)),
        );
        $changed = [];
        foreach ($open->sheets()->sortBy('athlete.given_name') as $sheet) {
            $was = $lines($before[$sheet->athlete_id] ?? []);
            $is = $lines($after[$sheet->athlete_id] ?? []);
            // Who is not there any more, or is there after all, stands among who came.
            if ($was != $is && isset($before[$sheet->athlete_id], $after[$sheet->athlete_id])) {
                $changed[] = new DoseChangeView(
                    $sheet->athlete_id, $sheet->athlete->given_name, $without($was, $is), $without($is, $was),
                );
            }
        }

        return $changed;
    }

    /** @return list<string> what would be otherwise than it is kept */
    private static function differences(StationPlan $kept, StationPlan $plan, int $repsKept, int $reps): array
    {
        $out = fn (StationPlan $of): int => count($of->leftOut);
        $people = fn (StationPlan $of): int => count($of->hour->attendees);

        return array_values(array_filter([
            $kept->hour->minutes === $plan->hour->minutes
                ? null
                : "{$kept->hour->minutes} → {$plan->hour->minutes} minutes in all.",
            $people($kept) === $people($plan) ? null : $people($kept).' → '.Wording::count($people($plan), 'athlete').'.',
            count($kept->rounds) === count($plan->rounds)
                ? null
                : count($kept->rounds).' → '.Wording::count(count($plan->rounds), 'round').'.',
            $out($kept) === $out($plan) ? null : "{$out($kept)} → {$out($plan)} doses without a place.",
            $repsKept === $reps ? null : "{$repsKept} → {$reps} repetitions in all.",
        ]));
    }

    /** @return list<string> */
    private static function leastWork(float $before, float $after): array
    {
        return abs($before - $after) < 0.01 ? [] : [
            'Useful work of whoever has least: '.Wording::percent($before).' → '.Wording::percent($after).' of the time.',
        ];
    }
}
