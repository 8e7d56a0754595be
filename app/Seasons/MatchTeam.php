<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthletesDay;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Courtside\Answers\CostView;
use App\Courtside\Corrections;
use App\Courtside\EnteredWork;
use App\Courtside\MayPlay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\Bounds;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Returns\PlayReturn;
use App\Seasons\Answers\MatchPlayerView;
use App\Seasons\Answers\MatchTeamView;
use App\Wording\AwayWording;
use Augendo\Core\Courtside\CountChange;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\CountedMatches;
use Augendo\Core\Planning\ExpectedMatch;
use Augendo\Core\Planning\MatchEvent;
use Illuminate\Support\Facades\DB;

/** Who plays in a match of a squad, and what that takes of each. */
final class MatchTeam
{
    /** Older matches say little about the next. */
    private const RECENT_DAYS = 365;

    public function __construct(private readonly Library $library, private readonly EnteredWork $work) {}

    public function view(User $user, Fixture $match): MatchTeamView
    {
        $today = $user->workspace->today();
        $squad = Squad::query()->findOrFail($match->squad_id);
        $athletes = $user->athletesOf($squad)->get();
        $names = $this->library->skillNames();
        $skills = $this->skills($match);
        $day = $athletes->isEmpty() ? null : new AthletesDay($athletes->all(), $squad, $today);
        $ids = $athletes->pluck('id')->all();
        $counted = $this->counted($ids, $match);
        $doses = $this->doses($match, $ids);
        $kept = $match->lineUps->pluck('doses', 'athlete_id')->all();
        $players = $match->players();

        return new MatchTeamView(
            id: $match->id,
            title: $match->title,
            day: $match->day()->iso(),
            starts_at: $match->starts_at,
            date: $today->iso(),
            lined_up: $match->lined_up,
            skills: array_map(fn (Skill $skill): NamedView => new NamedView($skill->id, $names[$skill->id]), array_values($skills)),
            players: $day === null ? [] : $athletes->map(function (Athlete $athlete) use (
                $match, $day, $skills, $players, $counted, $doses, $kept, $today,
            ): MatchPlayerView {
                [$gauges, $costs] = $this->room($match, $athlete, $day, $skills);

                return new MatchPlayerView(
                    athlete: Cards::athlete($athlete, $today),
                    plays: $players === null || in_array($athlete->id, $players, true),
                    // A match that is over was played by whom it was played.
                    blocked: $today->isAfter($match->day()) ? null : $this->blocked($match, $athlete, $day, $skills),
                    expected: self::byName(array_column($kept[$athlete->id] ?? $doses[$athlete->id], 'reps', 'skill')),
                    counted: self::byName($counted[$athlete->id] ?? []),
                    bounds: array_map(Bounds::answer(...), $gauges),
                    costs: self::byName($costs),
                );
            })->all(),
        );
    }

    /**
     * Says who plays. Only they keep the day free and are charged with it; everybody else trains on.
     *
     * @param  list<string>  $ids  of athletes of the squad
     * @param  string|null  $reason  why somebody is taken out of a match that is over
     *
     * @throws Problem when somebody is not of the squad, away, or on a way back that the match loads; or when a reason is needed
     */
    public function lineUp(Fixture $match, array $ids, ?string $reason, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($match, $ids, $reason, $by): void {
            $match->refresh();
            $squad = Squad::query()->findOrFail($match->squad_id);
            $today = $by->workspace->today();
            $athletes = $squad->athletes()->get()->keyBy('id');
            $skills = $this->skills($match);
            $before = $match->players() ?? $athletes->keys()->all();
            $new = array_values(array_diff($ids, $match->players() ?? []));
            $named = $athletes->only($new)->values()->all();
            if (count($named) !== count($new)) {
                throw new Problem(ProblemType::NotInThisSquad, 'Choose somebody of this squad.', ['athletes' => ['Choose again.']]);
            }
            // A match that is over was played by whom it was played: what may not be planned is recorded all the same.
            $day = $named === [] || $today->isAfter($match->day()) ? null : new AthletesDay($named, $squad, $today);
            foreach ($day === null ? [] : $named as $athlete) {
                $why = $this->blocked($match, $athlete, $day, $skills);
                if ($why !== null) {
                    throw new Problem(ProblemType::NotYet, "{$athlete->given_name} cannot be lined up. {$why}", ['athletes' => [$why]]);
                }
            }
            $this->tellWhoWasNotInIt($match, array_values(array_diff($match->players() ?? [], $ids)), $reason, $by);
            $match->update(['lined_up' => true]);
            $match->lineUps()->whereNotIn('athlete_id', $ids)->delete();
            foreach ($this->doses($match, $new) as $id => $doses) {
                $match->lineUps()->create(['athlete_id' => $id, 'doses' => $doses]);
            }
            Audit::of($by, null, 'line-up named', ['title' => $match->title, 'players' => count($ids)]);
            AthletesChanged::many(array_unique([...$before, ...$ids]), $today);
        });
    }

    /**
     * Of a match that is over, what was expected of who was not in it goes: there is more room since, and Today says so.
     *
     * @param  list<string>  $out  ids of who was in the line-up
     */
    private function tellWhoWasNotInIt(Fixture $match, array $out, ?string $reason, User $by): void
    {
        $today = $by->workspace->today();
        if ($out === [] || ! $today->isAfter($match->day())) {
            return;
        }
        if (mb_strlen(trim((string) $reason)) < CountChange::REASON_AT_LEAST) {
            throw new Problem(
                ProblemType::AReasonIsNeeded,
                'The match is over, and counts for who was in it. Write why somebody was not.',
                ['reason' => ['Write why.']],
            );
        }
        Alone::also($out);
        $this->work->dropEstimates($out, $match->day(), CountedMatches::session($match->id));
        $uncounted = new Fixtures($out, $today);
        foreach ($out as $id) {
            foreach ($uncounted->uncounted($id) as $each) {
                if ($each->id === $match->id) {
                    $reps = $each->event($this->library->skills(), $id)->reps();
                    Corrections::ofEntry($id, ['source' => 'line-up', 'day' => $match->day()->iso()], $reps, trim((string) $reason), $by);
                }
            }
        }
    }

    /** Somebody comes back from an injury: matches ahead that load it are played without them, until the stages say otherwise. */
    public function leaveWhatLoads(Athlete $athlete, PlayReturn $return, Day $today): void
    {
        $ahead = Fixture::query()
            ->where('kind', Fixture::MATCH)
            ->where('held_on', '>=', $today->iso())
            ->whereIn('id', LineUp::query()->where('athlete_id', $athlete->id)->select('fixture_id'))
            ->get();
        foreach ($ahead as $match) {
            foreach ($this->skills($match) as $skill) {
                if (MayPlay::returning($return, $skill) !== null) {
                    $match->lineUps()->where('athlete_id', $athlete->id)->delete();
                }
            }
        }
    }

    /** @return array<string, Skill> of the match, by id */
    private function skills(Fixture $match): array
    {
        return array_intersect_key($this->library->skills(), array_flip(array_column($match->doses, 'skill')));
    }

    /** @param  array<string, Skill>  $skills */
    private function blocked(Fixture $match, Athlete $athlete, AthletesDay $day, array $skills): ?string
    {
        $away = $day->health->dated->away($athlete->id, $match->day());
        if ($away !== null) {
            return AwayWording::absence($away, $day->on);
        }
        $isToday = $match->day()->equals($day->on);
        foreach ($skills as $skill) {
            $why = $isToday
                ? MayPlay::today($day->returns, $skill, $athlete, $day->readiness($athlete))
                : MayPlay::ahead($day->returns, $skill, $athlete);
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    /**
     * What a match is expected to take of each, from their own last ones.
     *
     * @param  list<string>  $ids
     * @return array<string, list<array{skill: string, reps: int, felt: string|null}>> by athlete
     */
    private function doses(Fixture $match, array $ids): array
    {
        $declared = array_map(intval(...), array_column($match->doses, 'reps', 'skill'));
        $felt = array_column($match->doses, 'felt', 'skill');
        $last = $this->last($ids, $match->day());
        $doses = [];
        foreach ($ids as $id) {
            $expected = ExpectedMatch::of($last[$id] ?? [], $declared);
            $doses[$id] = array_map(fn (string $skill, int $reps): array => [
                'skill' => $skill, 'reps' => $reps, 'felt' => array_key_exists($skill, $felt) ? $felt[$skill] : Felt::Hard->value,
            ], array_keys($expected), $expected);
        }

        return $doses;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, list<array<string, int>>> by athlete, repetitions by skill of each match before the day, the latest first
     */
    private function last(array $ids, Day $before): array
    {
        $matches = [];
        $rows = DB::table('work_sets')
            ->whereIn('athlete_id', $ids)
            ->where('source', 'match')
            ->where('estimated', false)
            ->where('day', '<', $before->iso())
            ->where('day', '>=', $before->plus(-self::RECENT_DAYS)->iso())
            ->groupBy('athlete_id', 'day', 'session', 'skill')
            ->orderByDesc('day')
            ->selectRaw('athlete_id, day, session, skill, sum(reps) as reps')
            ->get();
        foreach ($rows as $row) {
            // What names no match is one of that day, as far as anybody knows.
            $of = CountedMatches::isNamed($row->session) ? $row->session : $row->day;
            $before = $matches[$row->athlete_id][$of][$row->skill] ?? 0;
            $matches[$row->athlete_id][$of][$row->skill] = $before + (int) $row->reps;
        }

        return array_map(array_values(...), $matches);
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, array<string, int>> by athlete and skill
     */
    private function counted(array $ids, Fixture $match): array
    {
        $sameDay = Fixture::query()
            ->where('squad_id', $match->squad_id)
            ->where('kind', Fixture::MATCH)
            ->where('held_on', $match->day()->iso())
            ->orderBy('starts_at')
            ->pluck('id')
            ->all();
        $rows = DB::table('work_sets')
            ->whereIn('athlete_id', $ids)
            ->where('source', 'match')
            ->where('day', $match->day()->iso())
            ->groupBy('athlete_id', 'session', 'skill')
            ->selectRaw('athlete_id, session, skill, sum(reps) as reps')
            ->get()
            ->groupBy('athlete_id');
        $counted = [];
        foreach ($rows as $id => $of) {
            $named = CountedMatches::session($match->id);
            $isNamed = $of->contains('session', $named);
            if (! in_array($match->id, CountedMatches::of($sameDay, $of->pluck('session')->all()), true)) {
                continue;
            }
            foreach ($of as $row) {
                if ($isNamed ? $row->session === $named : ! CountedMatches::isNamed($row->session)) {
                    $counted[$id][$row->skill] = ($counted[$id][$row->skill] ?? 0) + (int) $row->reps;
                }
            }
        }

        return $counted;
    }

    /**
     * What is left on the day, and what one repetition of each skill takes of it: the device counts with that.
     *
     * @param  array<string, Skill>  $skills
     * @return array{list<Gauge>, array<string, list<CostView>>}
     */
    private function room(Fixture $match, Athlete $athlete, AthletesDay $day, array $skills): array
    {
        if (! $match->day()->equals($day->on)) {
            return [[], []];
        }
        $load = $day->loads[$athlete->id];
        $ones = array_map(
            fn (Skill $skill): CostedSet => $load->price->of(WorkSet::ordinarily($day->on, 'match', $skill, 1, Felt::Hard->effort())),
            $skills,
        );
        // What this match is expected to take is not taken from it.
        $own = MatchEvent::session($match->id);
        $beside = array_values(array_filter($load->plansOn($day->on), fn (CostedSet $set): bool => $set->session !== $own));
        $board = $day->limits($athlete)->board($day->on, $load->record->with($beside))->hardTouchedBy(array_values($ones));
        $gauges = array_values(array_filter($board->gauges(), fn (Gauge $gauge): bool => $gauge->allowance !== null));

        return [$gauges, array_map(fn (CostedSet $one): array => Bounds::costs($one, Side::Dominant, $gauges), $ones)];
    }

    /**
     * Nothing by name is an empty object, not an empty list.
     *
     * @template T
     *
     * @param  array<string, T>  $of
     * @return array<string, T>|\stdClass
     */
    private static function byName(array $of): array|\stdClass
    {
        return $of === [] ? new \stdClass : $of;
    }
}
