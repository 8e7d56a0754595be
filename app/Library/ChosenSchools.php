<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use Augendo\Core\Library\SchoolQuestion;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The schools a club teaches by. What is said of one athlete goes before what is said of the squad, of one ladder before all ladders. */
final class ChosenSchools
{
    /**
     * Answers of athletes, as core Schools takes them.
     *
     * @param  list<Athlete>  $athletes  of one club
     * @return array<string, array<string, array<string, string>>> by athlete, ladder, question; only what was chosen
     */
    public static function of(array $athletes): array
    {
        $rows = self::said($athletes);
        if ($rows->isEmpty()) {
            return [];
        }
        $ladders = app(Ladders::class)->ids($athletes[0]->workspace_id);
        $chosen = [];
        foreach ($rows as $row) {
            foreach ($row->ladder === null ? $ladders : [$row->ladder] as $ladder) {
                $chosen[$row->of_athlete][$ladder][$row->question] = $row->answer;
            }
        }

        return $chosen;
    }

    /**
     * All that was said of athletes and their squads, the last one wins: squads before athletes, all ladders before one, of two squads the
     * one that was there first.
     *
     * @param  list<Athlete>  $athletes
     * @return Collection<int, \stdClass>
     */
    private static function said(array $athletes): Collection
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);

        return DB::table('schools')
            ->leftJoin('athlete_squad', fn ($join) => $join->on('athlete_squad.squad_id', '=', 'schools.squad_id')
                ->whereNull('athlete_squad.left_on'))
            ->where(fn ($of) => $of->whereIn('schools.athlete_id', $ids)->orWhereIn('athlete_squad.athlete_id', $ids))
            ->get([
                'schools.squad_id', 'schools.ladder', 'question', 'answer',
                DB::raw('coalesce(schools.athlete_id, athlete_squad.athlete_id) as of_athlete'),
            ])
            ->sort(fn (object $a, object $b): int => self::rank($a) <=> self::rank($b));
    }

    /** @return list<int> */
    private static function rank(object $row): array
    {
        return [$row->squad_id === null ? 1 : 0, $row->ladder === null ? 0 : 1, -(int) $row->squad_id];
    }

    /** @return array<string, string> what was chosen here and nowhere above, by question */
    public static function here(Squad|Athlete $for, ?string $ladder): array
    {
        return self::rows($for, $ladder)->pluck('answer', 'question')->all();
    }

    /** @return array<string, string> what holds here without what was chosen here, by question */
    public static function above(Squad|Athlete $for, ?string $ladder): array
    {
        if ($for instanceof Squad) {
            return $ladder === null ? [] : self::here($for, null);
        }

        return self::said([$for])
            ->filter(fn (object $row): bool => $row->squad_id !== null || $ladder !== null)
            ->filter(fn (object $row): bool => $row->ladder === null || ($row->ladder === $ladder && $row->squad_id !== null))
            ->pluck('answer', 'question')
            ->all();
    }

    /** One answer for a squad or an athlete; null: as it is above. What is planned is fitted to it. */
    public static function choose(Squad|Athlete $for, ?string $ladder, SchoolQuestion $question, ?string $answer, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($for, $ladder, $question, $answer, $by): void {
            self::rows($for, $ladder)->where('question', $question->value)->delete();
            if ($answer !== null) {
                DB::table('schools')->insert([
                    'squad_id' => $for instanceof Squad ? $for->id : null,
                    'athlete_id' => $for instanceof Athlete ? $for->id : null,
                    'ladder' => $ladder, 'question' => $question->value, 'answer' => $answer,
                    'chosen_by' => $by->id, 'chosen_at' => Carbon::now(),
                ]);
            }
            Audit::of($by, $for instanceof Athlete ? $for : null, 'school chosen', [
                'for' => $for instanceof Squad ? $for->name : null, 'ladder' => $ladder,
                'question' => $question->value, 'answer' => $answer,
            ]);
            $today = $by->workspace->today();
            $for instanceof Athlete ? AthletesChanged::one($for, $today) : AthletesChanged::many($for->athletes()->get(), $today);
        });
    }

    /** @return list<string> ladders that are climbed now */
    public static function climbed(Squad|Athlete $for): array
    {
        $ids = $for instanceof Athlete ? [$for->id] : $for->athletes()->pluck('athletes.id')->all();

        return DB::table('placements')
            ->whereIn('athlete_id', $ids)
            ->whereNull('left_on')
            ->distinct()
            ->orderBy('ladder')
            ->pluck('ladder')
            ->all();
    }

    private static function rows(Squad|Athlete $for, ?string $ladder): \Illuminate\Database\Query\Builder
    {
        return DB::table('schools')
            ->where($for instanceof Squad ? 'squad_id' : 'athlete_id', $for->id)
            ->when($ladder === null, fn ($query) => $query->whereNull('ladder'), fn ($query) => $query->where('ladder', $ladder));
    }
}
