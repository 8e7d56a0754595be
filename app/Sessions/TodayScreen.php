<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Cards;
use App\Athletes\KeptRows;
use App\Athletes\Squad;
use App\Courtside\Corrections;
use App\Gates\SecondLooks;
use App\Library\LibraryProblems;
use App\Limits\RuleSets;
use App\People\User;
use App\Seasons\UncountedMatches;
use App\Sessions\Answers\TodayView;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\Cache;

/** Who may do what today, and who is missing. */
final class TodayScreen
{
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
        [$rows, $areKept] = $this->kept->of($this->rows, $revisions, $squad, $on);
        if (! $areKept) {
            KeepRows::ask($squad);
        }
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
            rows: [],
        );

        return substr_replace(json_encode($view, JSON_THROW_ON_ERROR), implode(',', $rows).']}', -2);
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
