<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Answers\NamedView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Answers\LadderChangeView;
use App\Library\Answers\LadderCompareView;
use App\People\User;
use App\Wording\LadderChangeWording;
use Augendo\Core\Library\LadderChange;
use Augendo\Core\Library\LadderChanges;

/** A club's own ladder beside what it came from as that stands now, or beside an earlier version; single changes taken over. */
final class LadderComparison
{
    /** What the copy began as, as it stands now. */
    public const ORIGIN = 'origin';

    public function __construct(private readonly Ladders $shelf) {}

    /**
     * One that ships, or was imported and has one version, is held against nothing.
     *
     * @throws Problem when there is no such ladder, or no such other file of it
     */
    public function view(User $user, string $id, ?string $with): LadderCompareView
    {
        $ladder = $this->shelf->ladder($user, $id);
        $isOwn = isset($this->shelf->own($user->workspace_id)[$id]);
        $own = $isOwn ? $this->own($user, $id) : [];
        $against = $isOwn ? $this->against($user, $id, $own) : [];
        $with ??= $against[0]->id ?? null;
        if ($with === null) {
            return new LadderCompareView($id, $ladder->name, $ladder->version, '', [], []);
        }
        $other = $this->other($id, $own, $against, $with);
        $changes = LadderChanges::between($own, $other);
        $begun = $with === self::ORIGIN ? $this->shelf->begunAs($id) : null;
        $since = $begun === null ? [] : LadderChanges::since($begun, $own, $other);
        $words = new LadderChangeWording($own, $other);

        return new LadderCompareView(
            id: $id,
            name: (string) $own['name'],
            version: (int) $own['version'],
            with: $with,
            against: $against,
            changes: array_map(fn (LadderChange $change): LadderChangeView => new LadderChangeView(
                pointer: $change->pointer(),
                place: $words->place($change),
                ours: $words->value($change, $change->before),
                theirs: $words->value($change, $change->after),
                since: $since[$change->pointer()] ?? null,
            ), $changes),
        );
    }

    /**
     * Takes single changes into the next version of the own ladder.
     *
     * @param  array{version: int, with: string, pointers: list<string>}  $given  validated
     *
     * @throws Problem when a place does not differ any more, or the ladder could not be used so
     */
    public function take(User $user, string $id, array $given): void
    {
        $own = $this->own($user, $id);
        $changes = LadderChanges::between($own, $this->other($id, $own, $this->against($user, $id, $own), $given['with']));
        $taken = array_values(array_filter(
            $changes, fn (LadderChange $change): bool => in_array($change->pointer(), $given['pointers'], true),
        ));
        if (count($taken) !== count($given['pointers'])) {
            throw new Problem(
                ProblemType::ChangedMeanwhile,
                'One of these places does not differ any more. Load the page again and choose anew.',
                extra: ['version' => (int) $own['version']],
            );
        }
        $this->shelf->save(LadderChanges::taken($own, $taken), $given['version'], $user);
    }

    /** @return array<string, mixed> */
    private function own(User $user, string $id): array
    {
        $version = $this->shelf->own($user->workspace_id)[$id]
            ?? throw new Problem(ProblemType::NotACopy, 'Only a ladder of your own takes changes: make a copy first.');

        return $this->shelf->file($id, $version);
    }

    /**
     * @param  array<string, mixed>  $own
     * @return list<NamedView> what it can be held against
     */
    private function against(User $user, string $id, array $own): array
    {
        $from = $own['copied_from'] ?? null;
        $origin = is_string($from) && in_array($from, $this->shelf->ids($user->workspace_id), true)
            ? [new NamedView(self::ORIGIN, "“{$this->shelf->ladder($user, $from)->name}”, as it stands now")]
            : [];
        $versions = array_filter($this->shelf->versions($id), fn (array $kept): bool => $kept['version'] < $own['version']);

        return [
            ...$origin,
            ...array_values(array_map(
                fn (array $kept): NamedView => new NamedView((string) $kept['version'], "version {$kept['version']}, {$kept['by']}"),
                $versions,
            )),
        ];
    }

    /**
     * @param  array<string, mixed>  $own
     * @param  list<NamedView>  $against
     * @return array<string, mixed>
     */
    private function other(string $id, array $own, array $against, string $with): array
    {
        if (! in_array($with, array_column($against, 'id'), true)) {
            throw new Problem(ProblemType::NotFound, 'There is no such version of this ladder.');
        }

        return $with === self::ORIGIN ? $this->shelf->file((string) $own['copied_from']) : $this->shelf->file($id, (int) $with);
    }
}
