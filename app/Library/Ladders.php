<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Athlete;
use App\Athletes\Roster;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\VersionedDocuments;
use App\Returns\PlayReturn;
use App\Seasons\Season;
use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Ladders a club can climb: those that ship, and its own copies. A new version is for what is planned from now on; what was done keeps
 * the version it was done by.
 *
 * @extends VersionedDocuments<Ladder>
 */
final class Ladders extends VersionedDocuments
{
    /** The version of what a copy was made of: what has changed there since is told by it. */
    private const BEGUN = 0;

    protected function table(): string
    {
        return 'ladders';
    }

    protected function noun(): string
    {
        return 'ladder';
    }

    protected function shippedFiles(): array
    {
        $ids = $this->library->ladderIds();

        return array_combine($ids, array_map(fn (string $id): string => "ladders/{$id}.json", $ids));
    }

    protected function shipped(string $id): Ladder
    {
        return $this->library->ladder($id);
    }

    protected function read(Node $node): Ladder
    {
        $ladder = $this->library->readLadder($node);
        foreach ($ladder->needs as $i => [$needed, $rung]) {
            $other = in_array($needed, $this->library->ladderIds(), true) ? $this->library->ladder($needed) : null;
            if ($other === null) {
                throw new CaseError(
                    'unknown_reference',
                    "/needs/{$i}/ladder",
                    "There is no ladder “{$needed}” to build on; there are ".implode(', ', $this->library->ladderIds()).'.',
                );
            }
            if ($other->rung($rung) === null) {
                throw new CaseError(
                    'unknown_reference',
                    "/needs/{$i}/rung",
                    "“{$other->name}” has no rung “{$rung}”; it has "
                        .implode(', ', array_map(fn (Rung $each): string => $each->id, $other->rungs))
                        .'.',
                );
            }
        }

        return $ladder;
    }

    public function draft(array $definition, string $slug, int $version): array
    {
        // An empty object comes out of a form as an empty list.
        if (($definition['seated']['drills'] ?? null) === []) {
            $definition['seated']['drills'] = new \stdClass;
        }
        foreach ($definition['rungs'] ?? [] as $i => $rung) {
            if (($rung['gate'] ?? null) === []) {
                unset($definition['rungs'][$i]['gate']);
            }
        }
        $problems = $this->problemsIn(
            json_encode([...$definition, 'id' => $slug, 'version' => $version], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
        );
        if ($problems !== []) {
            throw new Problem(
                ProblemType::ThisLadderCannotBeUsedYet,
                count($problems).(count($problems) === 1 ? ' place' : ' places').' to mend, named below.',
                array_map(fn (string $message): array => [$message], array_column($problems, 'message', 'path')),
            );
        }

        return parent::draft($definition, $slug, $version);
    }

    /** @return list<string> ids of the ladders a club can use, those that ship first */
    public function ids(int $workspaceId): array
    {
        return [...$this->library->ladderIds(), ...array_keys($this->own($workspaceId))];
    }

    /** @return array<string, int> latest versions of a club's own ladders, by id */
    public function own(int $workspaceId): array
    {
        return DB::table('ladders')
            ->where('workspace_id', $workspaceId)
            ->groupBy('slug')
            ->orderBy('slug')
            ->selectRaw('slug, max(version) as version')
            ->pluck('version', 'slug')
            ->map(fn ($version): int => (int) $version)
            ->all();
    }

    /** @throws Problem when the club has no such ladder */
    public function ladder(User $user, string $id, ?int $version = null): Ladder
    {
        if (! in_array($id, $this->ids($user->workspace_id), true)) {
            throw new Problem(ProblemType::NotFound, 'There is no such ladder.');
        }

        return $this->library->ladder($id, $version);
    }

    /** A ladder of the shelf as its file has it, in its latest version. */
    public function definition(string $id): object
    {
        return json_decode($this->fileText($id, null), false, 512, JSON_THROW_ON_ERROR);
    }

    /**
     * A ladder as its file has it.
     *
     * @param  int|null  $version  of an own one; null: the latest
     * @return array<string, mixed>
     */
    public function file(string $id, ?int $version = null): array
    {
        return json_decode($this->fileText($id, $version), true, 512, JSON_THROW_ON_ERROR);
    }

    private function fileText(string $id, ?int $version): string
    {
        return (new KeptLadders)->text($id, $version) ?? $this->shippedText($id);
    }

    /** @return array<string, mixed>|null the file an own ladder was begun as, as it was then; null: it was begun before that was kept */
    public function begunAs(string $id): ?array
    {
        $isKept = DB::table('ladders')->where('slug', $id)->where('version', self::BEGUN)->exists();

        return $isKept ? $this->file($id, self::BEGUN) : null;
    }

    /** @return list<array{version: int, saved_at: string, by: string}> of an own ladder, newest first */
    public function versions(string $id): array
    {
        return DB::table('ladders')
            ->join('users', 'users.id', '=', 'ladders.saved_by')
            ->where('slug', $id)
            ->where('version', '>', self::BEGUN)
            ->orderByDesc('version')
            ->get(['version', 'saved_at', 'users.name'])
            ->map(
                fn (object $row): array => ['version' => (int) $row->version, 'saved_at' => (string) $row->saved_at, 'by' => $row->name],
            )->all();
    }

    /**
     * What stands in the way of using a text as a ladder: the places where it is not of the right shape, or else where
     * a reference leads nowhere.
     *
     * @return list<array{path: string, message: string}>
     */
    public function problemsIn(string $text): array
    {
        $problems = SchemaCheck::text($text, 'ladder');
        if ($problems === []) {
            try {
                $this->read(Node::parse($text));
            } catch (CaseError $error) {
                $problems = [['path' => $error->path, 'message' => $error->getMessage()]];
            }
        }

        return $problems;
    }

    /** @param  array<string, mixed>  $definition */
    public function save(array $definition, int $version, User $by): string
    {
        return Alone::inClub($by->workspace_id, function () use ($definition, $version, $by): string {
            $known = $this->ids($by->workspace_id);
            $from = $version === 0 && in_array($definition['id'] ?? '', $known, true)
                ? $definition['id']
                : ($definition['copied_from'] ?? null);
            unset($definition['copied_from']);
            if (in_array($from, $known, true)) {
                $definition['copied_from'] = $from;
            }
            if ($version > 0) {
                [$next] = $this->draft($definition, self::text($definition['id'] ?? null), $version + 1);
                $this->refuseGone($next, $by);
            }
            $begun = $version === 0 && in_array($from, $known, true) ? $this->fileText($from, null) : null;
            $slug = parent::save($definition, $version, $by);
            if ($begun !== null) {
                DB::table('ladders')->insert([
                    'workspace_id' => $by->workspace_id, 'slug' => $slug, 'version' => self::BEGUN, 'definition' => $begun,
                    'saved_by' => $by->id, 'saved_at' => Carbon::now(),
                ]);
            }
            $this->library->forget($slug);
            $climbers = $this->climbers($slug)->get();
            AthletesChanged::many($climbers, $by->workspace->today());

            return $slug;
        });
    }

    /**
     * Files of ladders: looked through first; kept all together, or not at all.
     *
     * @param  list<array{name: string, text: string}>  $files
     * @return list<array{
     *     file: string, name: string|null, rungs: int, becomes: string|null, problems: list<array{path: string, message: string}>,
     * }>
     */
    public function import(array $files, bool $keep, User $by): array
    {
        $own = $this->own($by->workspace_id);
        $rows = array_map(function (array $file) use ($own): array {
            $problems = $this->problemsIn($file['text']);
            $ladder = $problems === [] ? $this->read(Node::parse($file['text'])) : null;

            return [
                'file' => $file['name'], 'name' => $ladder?->name, 'rungs' => count($ladder->rungs ?? []),
                'becomes' => $ladder === null ? null : (
                    isset($own[$ladder->id]) ? 'version '.($own[$ladder->id] + 1).' of your own ladder' : 'a new ladder of your own'
                ),
                'problems' => $problems,
            ];
        }, $files);
        if ($keep) {
            if (array_filter($rows, fn (array $row): bool => $row['problems'] !== []) !== []) {
                throw new Problem(
                    ProblemType::NothingWasImported,
                    'Mend what is named below, or leave that file out: files go in together or not at all.',
                    ['files' => ['Nothing was imported.']],
                );
            }
            Alone::inClub($by->workspace_id, function () use ($files, $own, $by): void {
                foreach ($files as $file) {
                    $definition = json_decode($file['text'], true, 512, JSON_THROW_ON_ERROR);
                    $this->save($definition, $own[$definition['id']] ?? 0, $by);
                }
            });
        }

        return $rows;
    }

    /**
     * Moves everybody of a squad who stands on the ladder a copy began as to the same rung of the copy; evidence is collected anew there.
     *
     * @return list<string> who moved, and who could not and why
     */
    public function adopt(User $by, Squad $squad, string $id): array
    {
        $copy = $this->ladder($by, $id);
        $from = $copy->copiedFrom ?? throw new Problem(
            ProblemType::NotACopy,
            'This ladder did not begin as a copy of another. Place athletes on it under Intake.',
        );

        return Alone::inClub($by->workspace_id, function () use ($by, $squad, $copy, $from): array {
            $said = [];
            foreach ($squad->athletes()->whereNull('erased_at')->get() as $athlete) {
                $placement = Placement::standing()
                    ->where('athlete_id', $athlete->id)
                    ->where('ladder', $from)
                    ->orderByDesc('entered_at')
                    ->first();
                if ($placement === null) {
                    continue;
                }
                if ($copy->rung($placement->rung) === null) {
                    $said[] = "{$athlete->given_name} stays: the copy has no rung “{$placement->rung}”.";

                    continue;
                }
                if (
                    PlayReturn::query()->where('athlete_id', $athlete->id)->where('ladder', $from)->where('state', 'open')->exists()
                    || Season::openOf($athlete)->where('ladder', $from)->exists()
                ) {
                    $said[] = "{$athlete->given_name} stays: a return or a season is open on the old ladder.";

                    continue;
                }
                if ($copy->position($placement->rung) !== 0 && ! Roster::hasWhatItBuildsOn($athlete, $copy)) {
                    $said[] = "{$athlete->given_name} stays: the copy builds on something that is not behind them yet.";

                    continue;
                }
                $this->move($athlete, $from, $copy, $placement->rung, $by);
                $said[] = "{$athlete->given_name} goes on at “{$copy->rung($placement->rung)->name}”.";
            }

            return $said === [] ? ['Nobody of this squad stands on the ladder it was copied from.'] : $said;
        });
    }

    private function move(Athlete $athlete, string $from, Ladder $to, string $rung, User $by): void
    {
        $today = $by->workspace->today();
        Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $from)->update(['left_on' => $today->iso()]);
        Placement::query()->create([
            'athlete_id' => $athlete->id, 'ladder' => $to->id, 'ladder_version' => $to->version, 'rung' => $rung,
            'entered_on' => $today->iso(), 'entered_at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
        ]);
        $athlete->sheets()
            ->where('held_on', '>=', $today->iso())
            ->where('ladder', $from)
            ->where('state', 'planned')
            ->where('edited', false)
            ->update(['ladder' => $to->id, 'rung' => $rung]);
        Audit::of($by, $athlete, 'moved to a copy of the ladder', ['ladder' => $to->name, 'rung' => $rung]);
        AthletesChanged::one($athlete, $today);
    }

    /** @return Builder<Athlete> who stands on a ladder, or stood */
    private function climbers(string $slug): Builder
    {
        return Athlete::query()->whereNull('erased_at')->whereIn('id', Placement::query()->where('ladder', $slug)->select('athlete_id'));
    }

    /** A rung somebody stands on, plans towards or comes back on cannot be taken away. */
    private function refuseGone(Ladder $next, User $by): void
    {
        $held = [];
        foreach ($this->climbers($next->id)->get() as $athlete) {
            $rung = Placement::standing()
                ->where('athlete_id', $athlete->id)
                ->where('ladder', $next->id)
                ->orderByDesc('entered_at')
                ->orderByDesc('id')
                ->value('rung');
            $goal = Season::openOf($athlete)->where('ladder', $next->id)->value('goal_rung');
            foreach (array_filter([$rung, $goal]) as $id) {
                if ($next->rung($id) === null) {
                    $held[] = "{$athlete->given_name} "
                        .($id === $rung ? 'stands' : 'plans towards')
                        ." “{$this->library->ladder($next->id)->rung($id)?->name}”";
                }
            }
        }
        if ($held !== []) {
            throw new Problem(
                ProblemType::SomebodyIsOnThatRung,
                implode('; ', $held).'. Leave that rung in, or move them first.',
                ['/rungs' => ['A rung somebody is on cannot be taken away.']],
            );
        }
    }
}
