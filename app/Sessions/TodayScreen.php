<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Library\Answers\LibraryProblemView;
use App\Limits\RuleSets;
use App\People\User;
use App\Sessions\Answers\TodayView;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Illuminate\Support\Facades\Cache;

/** Who may do what today, and who is missing. */
final class TodayScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly TodayRows $rows,
        private readonly RuleSets $ruleSets,
    ) {}

    /** @return string JSON of a TodayView; a kept row goes out as it was written, neither read nor written anew */
    public function json(User $user, Squad $squad): string
    {
        $on = $user->workspace->today();
        $revisions = $user->athletesOf($squad)->toBase()->pluck('athletes.revision', 'athletes.id')->all();
        $ids = array_keys($revisions);
        RefitPlans::queue($ids, $on);
        [$rows, $areKept] = $this->rows->of($revisions, $squad, $on);
        if (! $areKept) {
            KeepRows::ask($squad);
        }
        $about = $this->aboutLibrary($squad);

        $view = new TodayView(
            $on->iso(), Cards::squad($squad),
            Cards::squads($user),
            $about['name'], $about['notice'],
            Sheet::waiting($ids, $on)->count(),
            array_map(fn (array $problem): LibraryProblemView => new LibraryProblemView(...$problem), $about['problems']),
            [],
        );

        return substr_replace(json_encode($view, JSON_THROW_ON_ERROR), implode(',', $rows).']}', -2);
    }

    /** @return array{name: string, notice: string, problems: list<array{string, string, string}>} read anew when a library file changes */
    private function aboutLibrary(Squad $squad): array
    {
        return Cache::rememberForever("library.{$this->library->fingerprint()}.{$this->ruleSets->versionOf($squad)}.".config(
            'app.build',
        ), function () use ($squad): array {
            $ruleSet = $this->ruleSets->of($squad);

            return ['name' => $ruleSet->name, 'notice' => $ruleSet->notice, 'problems' => array_map(
                fn (LibraryProblem $problem): array => [$problem->libraryFile, $problem->path, $problem->getMessage()],
                $this->library->problems(),
            )];
        });
    }
}
