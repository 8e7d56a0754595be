<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\KeptRows;
use App\Athletes\Squad;
use App\Courtside\Corrections;
use App\Gates\SecondLooks;
use App\Health\DayReadiness;
use App\Library\LibraryProblems;
use App\Limits\RuleSets;
use App\People\User;
use App\Seasons\UncountedMatches;
use App\Sessions\Answers\TodayView;
use App\Sessions\Answers\WaitingRowView;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\Cache;

/** Who may do what today, and who is missing. */
final class TodayScreen
{
    /** So many rows that are not kept are worked out in one look; the rest is asked for afterwards, so many at a time. */
    public const ROWS_AT_ONCE = 20;

    public function __construct(
        private readonly Library $library,
        private readonly KeptRows $kept,
        private readonly TodayRows $rows,
        private readonly RuleSets $ruleSets,
        private readonly SecondLooks $looks,
    ) {}

    /** @return string JSON of a TodayView; a kept row goes out as it was written, neither read nor written anew */
    public function json(User $user, Squad $squad): string
    {
        $on = $user->workspace->today();
        $revisions = $user->athletesOf($squad)->toBase()->pluck('athletes.revision', 'athletes.id')->all();
        $ids = array_keys($revisions);
        RefitPlans::queue($ids, $on);
        $rows = $this->kept->kept($this->rows, $revisions, $squad, $on);
        $missing = array_map(strval(...), array_keys(array_diff_key($revisions, $rows)));
        $later = [];
        if ($missing !== []) {
            KeepRows::ask($squad);
            $later = count($missing) <= self::ROWS_AT_ONCE ? [] : array_slice($this->worstFirst($missing, $squad, $on), self::ROWS_AT_ONCE);
            $now = array_values(array_diff($missing, array_map(fn (Athlete $athlete): string => $athlete->id, $later)));
            $rows = [...$rows, ...$this->kept->made($this->rows, $now, $squad, $on)];
        }
        $rows = KeptRows::inOrder($rows, $revisions);
        $about = $this->aboutRules($squad);

        $view = new TodayView(
            date: $on->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            rule_set: $about['name'],
            rule_notice: $about['notice'],
            refitting: Sheet::waiting($ids, $on)->count(),
            corrected: $user->role->decides() ? Corrections::lately($user, $squad, $on) : [],
            second_looks: $user->role->decides() ? $this->looks->open($ids) : [],
            uncounted: $user->role->records() ? UncountedMatches::of($squad, $ids, $on) : [],
            problems: LibraryProblems::now($this->library),
            order: $ids,
            waiting: array_map(fn (Athlete $athlete): WaitingRowView => new WaitingRowView($athlete->id, $athlete->name()), $later),
            rows: [],
        );

        return substr_replace(json_encode($view, JSON_THROW_ON_ERROR), implode(',', $rows).']}', -2);
    }

    /**
     * Rows that the look at the squad left for later.
     *
     * @param  list<string>  $ids  of athletes; who is not of the squad, or not of this person's, is left out
     * @return string JSON of a TodayRowsView
     */
    public function rowsJson(User $user, Squad $squad, array $ids): string
    {
        $revisions = $user->athletesOf($squad)->toBase()->pluck('athletes.revision', 'athletes.id')->all();
        $asked = array_slice(array_intersect_key($revisions, array_flip($ids)), 0, self::ROWS_AT_ONCE, true);
        [$rows] = $this->kept->of($this->rows, $asked, $squad, $user->workspace->today());

        return '{"rows":['.implode(',', $rows).']}';
    }

    /**
     * @param  list<string>  $ids
     * @return list<Athlete> whoever may do least today first
     */
    private function worstFirst(array $ids, Squad $squad, Day $on): array
    {
        $places = array_flip($ids);
        $athletes = Athlete::query()->whereIn('id', $ids)->get();
        $health = new DayReadiness($athletes->all(), $on);
        $order = fn (Athlete $athlete): array => [-$health->readiness($athlete, $squad)->word->rank(), $places[$athlete->id]];

        return $athletes->sortBy($order)->values()->all();
    }

    /** @return array{name: string, notice: string} read anew when a library file changes */
    private function aboutRules(Squad $squad): array
    {
        $key = "rules.{$this->library->fingerprint()}.{$this->ruleSets->versionOf($squad)}.".config('app.build');

        return Cache::rememberForever($key, function () use ($squad): array {
            $ruleSet = $this->ruleSets->of($squad);

            return ['name' => $ruleSet->name, 'notice' => $ruleSet->notice];
        });
    }
}
