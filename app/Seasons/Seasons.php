<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Sessions\RefitPlans;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SessionLife;
use Illuminate\Support\Facades\DB;

/** Seasons: planned from the record as it is, agreed to, and put on the calendar two weeks at a time. */
final class Seasons
{
    public function __construct(private readonly Library $library, private readonly WeeksAhead $ahead) {}

    /**
     * A season as it would be, without keeping it.
     *
     * @param  array<string, mixed>  $given  validated
     */
    public function draft(Athlete $athlete, array $given, Day $today, ?Season $over = null): Season
    {
        $season = $over === null
            ? new Season([
                'athlete_id' => $athlete->id,
                'squad_id' => $this->squadOf($athlete)->id,
                'starts_on' => $today->iso(),
                'agreed' => [],
                'state' => 'open',
                'version' => 0,
            ])
            : $over;
        $season->fill([
            ...array_intersect_key($given, array_flip(['goal_rung', 'goal_on', 'weekdays', 'minutes', 'moves', 'off', 'heeded', 'tests'])),
            'ladder' => $over->ladder ?? $given['ladder'],
        ]);
        $season->setRelation('athlete', $athlete);
        $ladder = $this->library->ladder($season->ladder);
        if ($season->goal_rung !== null && $ladder->rung($season->goal_rung) === null) {
            throw new Problem(
                ProblemType::NoSuchRung,
                "“{$ladder->name}” has no such rung.",
                ['goal_rung' => ['Choose a rung of this ladder.']],
            );
        }
        $this->refuseMoves($season, $today);

        return $season;
    }

    /** @throws Problem when a session was moved where it cannot be */
    private function refuseMoves(Season $season, Day $today): void
    {
        $taken = [];
        $squad = $season->moves === [] ? null : $this->ahead->squadDays($season, $today);
        foreach ($season->moves as $from => $to) {
            $day = Day::of($to);
            $why = match (true) {
                $today->isAfter($day) => 'That day is over.',
                $squad->isWith(Day::of($from)) => 'The squad trains on '.Wording::day(Day::of($from)).'. Move its session on the calendar.',
                $squad->isWith($day) => 'The squad trains that day.',
                $day->isAfter($season->goalOn()) => 'That day lies after the goal.',
                isset($taken[$to]) => 'Another session was moved there already.',
                in_array($to, $season->off, true) => 'That day is taken off.',
                in_array(SeasonAsk::weekday($day->ordinal), $season->weekdays, true)
                    && ! isset($season->moves[$to]) => 'There is a session that day already.',
                Fixture::concerning([$season->athlete_id])
                    ->where('kind', Fixture::MATCH)
                    ->where('held_on', $to)
                    ->exists() => 'A match is played that day.',
                default => null,
            };
            if ($why !== null) {
                throw new Problem(ProblemType::NotMoved, $why.' The session stays where it was.', ['moves' => [$why]]);
            }
            $taken[$to] = $from;
        }
    }

    /** @param  array<string, mixed>  $given  validated */
    public function open(Athlete $athlete, array $given, User $by): Season
    {
        $season = $this->draft($athlete, $given, $by->workspace->today());
        $plan = $this->ahead->plan($season, $by->workspace->today());

        return Alone::with($athlete->id, function () use ($athlete, $given, $by, $season, $plan): Season {
            if (self::hasOpen($athlete, $given['ladder'])) {
                throw new Problem(
                    ProblemType::ASeasonIsOpen,
                    "{$athlete->given_name} has a season on this ladder already. Change that one, or close it first.",
                );
            }
            $season->fill(['created_by' => $by->id]);
            $this->agree($season, $plan, $by->workspace->today());
            FollowSessions::ofOthers($season);
            self::note($season, $by);

            return $season;
        });
    }

    private static function hasOpen(Athlete $athlete, string $ladder): bool
    {
        return Season::openOf($athlete)->where('ladder', $ladder)->exists();
    }

    private static function note(Season $season, User $by): void
    {
        $asked = ['ladder' => $season->ladder, 'goal' => $season->goal_rung, 'on' => $season->goal_on];
        Audit::of($by, $season->athlete, 'season planned', $asked);
    }

    /**
     * The same season for everybody of a squad who stands on a ladder and has none: so many rungs up, or as they stand. Kept at once for
     * all; the weeks of each are worked out by the worker, one athlete after the other.
     *
     * @param  array{goal_on: string, weekdays: list<int>, minutes: int|null, rungs_up: int}  $given  validated
     * @return array{int, list<string>}
     */
    public function openForSquad(Squad $squad, array $given, User $by): array
    {
        $asked = [];
        $left = [];
        foreach ($squad->athletes()->whereNull('erased_at')->get() as $athlete) {
            $placement = Placement::standing()->where('athlete_id', $athlete->id)->orderByDesc('entered_at')->first();
            if ($placement === null) {
                $left[] = "{$athlete->given_name} stands on no ladder yet";

                continue;
            }
            $ladder = $this->library->ladder($placement->ladder);
            $goal = $ladder->rungs[min(count($ladder->rungs) - 1, (int) $ladder->position($placement->rung) + $given['rungs_up'])];
            $ask = [...$given, 'ladder' => $ladder->id, 'goal_rung' => $goal->id, 'moves' => [], 'off' => []];
            $asked[] = $this->draft($athlete, $ask, $by->workspace->today())->fill([
                'agreed_at' => now()->toIso8601String(),
                'created_by' => $by->id,
                'waiting' => true,
            ]);
        }
        $made = Alone::with(array_map(fn (Season $each): string => $each->athlete_id, $asked), function () use ($asked, $by, &$left): int {
            $made = 0;
            foreach ($asked as $season) {
                if (self::hasOpen($season->athlete, $season->ladder)) {
                    $left[] = "{$season->athlete->given_name} has a season already";

                    continue;
                }
                $season->save();
                self::note($season, $by);
                WorkOutSeason::dispatch($season->id)->afterCommit();
                $made++;
            }

            return $made;
        });
        if ($made === 0) {
            throw new Problem(
                ProblemType::NobodyToPlanFor,
                $left === [] ? 'Nobody is in this squad yet. Add an athlete under People.' : implode('; ', $left).'.',
                ['goal_on' => ['Nobody to plan for.']],
            );
        }

        return [$made, $left];
    }

    /** Works out the weeks of a season that was kept for a whole squad, unless somebody changed or closed it meanwhile. */
    public function workOut(Season $season): void
    {
        if (! $season->waiting || $season->state !== 'open') {
            return;
        }
        $today = $season->squad->workspace->today();
        $plan = $this->ahead->plan($season, $today);
        Alone::with($season->athlete_id, function () use ($season, $plan, $today): void {
            $same = ['id' => $season->id, 'state' => 'open', 'waiting' => true, 'version' => $season->version];
            if (Season::query()->where($same)->exists()) {
                $this->agree($season, $plan, $today);
            }
        });
    }

    /**
     * @param  array<string, mixed>  $given  validated
     *
     * @throws Problem when somebody changed it since it was read
     */
    public function change(Season $season, array $given, User $by): void
    {
        $refuse = function () use ($season, $given): void {
            $kept = DB::table('seasons')->where('id', $season->id)->first();
            if ($kept === null || (int) $kept->version !== $given['version'] || $kept->state !== 'open') {
                $version = (int) ($kept->version ?? 0);
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    "Somebody changed this season since you opened it (version {$version}, yours {$given['version']}). "
                        .'What you set is kept on the screen: look at both, then save again.',
                    extra: ['version' => $version],
                );
            }
        };
        $refuse();
        $season->loadMissing('athlete', 'squad');
        // Worked out before the write lock is taken, and kept only if nobody was faster.
        $plan = $this->ahead->plan($this->draft($season->athlete, $given, $by->workspace->today(), $season), $by->workspace->today());
        Alone::with($season->athlete_id, function () use ($season, $plan, $refuse, $by): void {
            $refuse();
            $this->agree($season, $plan, $by->workspace->today());
            FollowSessions::ofOthers($season);
            Audit::of($by, $season->athlete, 'season changed', ['goal' => $season->goal_rung, 'on' => $season->goal_on]);
        });
    }

    public function close(Season $season, User $by): void
    {
        Alone::with($season->athlete_id, function () use ($season, $by): void {
            $season->update(['state' => 'closed', 'version' => $season->version + 1]);
            $this->takeOff($season, $by->workspace->today(), []);
            FollowSessions::ofOthers($season);
            Audit::of($by, $season->athlete, 'season closed');
        });
    }

    /** Keeps what is planned now as what was agreed to, and puts the next two weeks on the calendar. */
    public function agree(Season $season, SeasonPlan $plan, Day $today): void
    {
        $past = array_filter($season->agreed, fn (string $day): bool => $day < $today->iso(), ARRAY_FILTER_USE_KEY);
        $ahead = [];
        foreach ($plan->days as $day) {
            $ahead[$day->day->iso()] = self::expected($day);
        }
        // What could not be planned as asked is kept as it was planned.
        $season->fill([
            'goal_on' => $plan->ask->goalDay->iso(), 'weekdays' => $plan->ask->weekdays,
            'agreed' => [...$past, ...$ahead], 'agreed_at' => now()->toIso8601String(),
            'version' => $season->version + 1, 'waiting' => false,
        ])->save();
        $this->putOnCalendar($season, $plan, $today);
    }

    /** @return array<string, mixed> a planned day as it is kept */
    public static function expected(SeasonDay $day): array
    {
        return [
            'title' => $day->match !== null ? $day->match->title : $day->rung?->name, 'match' => $day->match !== null,
            'stage' => $day->stage,
            'reps' => $day->reps(), 'arm' => round($day->cost('arm'), 3), 'landings' => round($day->cost('landings'), 3),
        ];
    }

    private function putOnCalendar(Season $season, SeasonPlan $plan, Day $today): void
    {
        $days = array_values(
            array_filter(
                $plan->days,
                fn (SeasonDay $day): bool => $day->match === null && SessionLife::needsSheets($day->day, $today),
            ),
        );
        $this->takeOff($season, $today, array_map(fn (SeasonDay $day): string => $day->day->iso(), $days));
        $placement = Placement::standing()
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->orderByDesc('entered_at')
            ->firstOrFail();
        $used = $this->ahead->sheetsUsed($season, $plan->ask, $today);
        foreach ($days as $day) {
            $iso = $day->day->iso();
            $there = Sheet::query()->where('athlete_id', $season->athlete_id)->where('ladder', $season->ladder)->where('held_on', $iso);
            if ($there->where(fn ($own) => $own->whereIn('state', ['running', 'finished'])->orWhere('edited', true))->exists()) {
                continue;
            }
            $sheet = $used[$iso] ?? null;
            $pace = ['emphasis' => $day->emphasis?->value, 'minutes' => $season->minutes ?? $sheet->pace['minutes'] ?? null];
            if ($day->held !== null) {
                $pace += [
                    'reps' => $day->held->reps,
                    'effort' => $day->held->effort,
                    'distance_m' => $day->held->distanceM,
                    'share' => $plan->growsTo,
                ];
            }
            $sheet ??= Sheet::planned($this->session($season, $day->day), $placement);
            $sheet->fill(['season_id' => $season->id, 'pace' => $pace]);
            if ($sheet->isDirty()) {
                $sheet->save();
                RefitPlans::afterCommit($sheet);
            }
        }
        $season->update(['followed_on' => $today->iso()]);
    }

    /**
     * Sheets of the season that are no longer in it go, as long as nobody has worked on them or edited them.
     *
     * @param  list<string>  $keep  days
     */
    private function takeOff(Season $season, Day $today, array $keep): void
    {
        $gone = Sheet::query()
            ->where('season_id', $season->id)
            ->where('held_on', '>=', $today->iso())
            ->whereNotIn('held_on', $keep)
            ->where('state', 'planned')
            ->where('edited', false)
            ->whereNotIn('id', DB::table('rep_events')->select('sheet_id'))
            ->get();
        foreach ($gone as $sheet) {
            assert($sheet instanceof Sheet);
            $session = $sheet->trainingSession()->firstOrFail();
            if (! $session->extra) {
                // The squad's session is theirs without the season, too: at the rung's own dose.
                $minutes = $sheet->pace['minutes'] ?? null;
                $sheet->update(['season_id' => null, 'pace' => $minutes === null ? null : ['minutes' => $minutes]]);
                RefitPlans::afterCommit($sheet);

                continue;
            }
            $sheet->delete();
            if ($session->sheets()->doesntExist()) {
                $session->delete();
            }
        }
        AthletesChanged::one($season->athlete_id);
    }

    /** Puts the next weeks on the calendar anew, once a day and whenever the squad's sessions change. */
    public function follow(Season $season): void
    {
        if ($season->waiting || $season->state !== 'open') {
            return;
        }
        $today = $season->squad->workspace->today();
        if ($today->isAfter($season->goalOn())) {
            return;
        }
        $plan = $this->ahead->plan($season, $today);
        Alone::with($season->athlete_id, function () use ($season, $plan, $today): void {
            $same = ['id' => $season->id, 'state' => 'open', 'waiting' => false, 'version' => $season->version];
            $days = $this->ahead->squadDays($season, $today);
            // Somebody was taken out, or a session moved, while this was worked out: the change itself asks for the next run.
            $stands = $days->with === $plan->ask->withSquad && array_diff($days->lost, $plan->ask->off) === [];
            if ($stands && Season::query()->where($same)->exists()) {
                $this->putOnCalendar($season, $plan, $today);
            }
        });
    }

    private function session(Season $season, Day $day): TrainingSession
    {
        return TrainingSession::ofDay($season->squad_id, $day, $season->ladder, '17:00', 'Season session');
    }

    private function squadOf(Athlete $athlete): Squad
    {
        /** @var Squad */
        return $athlete->squads()->orderBy('squads.id')->firstOrFail();
    }
}
