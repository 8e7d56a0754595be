<?php

declare(strict_types=1);

namespace App\Gates;

use App\Courtside\RepLog;
use App\Gates\Answers\AgreementView;
use App\Sessions\Sheet;
use App\Wording\JudgingWording;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Mechanics\Agreement;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What two people said of the same repetitions: one counted them, the other judged along.
 *
 * @phpstan-type Pair array{
 *     athlete: string, rung: string, people: array{int, int}, said: array{string, string}, failed: array{string|null, string|null},
 * }
 */
final class Agreements
{
    /** @var Collection<int, Pair> failed: the name of the checkpoint each saw fail */
    private readonly Collection $pairs;

    /** @param  list<string>  $athleteIds */
    public function __construct(array $athleteIds, Day $on, private readonly Library $library)
    {
        $this->pairs = Sheet::query()
            ->with('events')
            ->whereIn('athlete_id', $athleteIds)
            ->where('held_on', '>', $on->plus(-Agreement::DAYS)->iso())
            ->where('held_on', '<=', $on->iso())
            ->whereIn('id', DB::table('rep_events')->where('kind', 'second')->select('sheet_id'))
            ->get()
            ->flatMap($this->read(...))
            ->values();
    }

    /** @return list<Pair> of a sheet; none while its ladder’s file cannot be read */
    private function read(Sheet $sheet): array
    {
        try {
            $rung = $this->library->ladder($sheet->ladder, $sheet->ladder_version)->rung($sheet->rung);
        } catch (LibraryProblem) {
            return [];
        }
        $names = array_column(array_map(fn (Checkpoint $each): array => [$each->id, $each->name], $rung->checkpoints ?? []), 1, 0);
        $bySet = fn (string $kind): Collection => collect(TapFold::standing($sheet->taps(), $kind))->groupBy([
            fn (Tap $rep): string => $rep->set(),
            'by',
        ]);
        $along = $bySet('second');
        $pairs = [];
        foreach ($rung === null ? [] : $bySet('rep') as $set => $counters) {
            foreach ($counters as $counter => $reps) {
                foreach ($along->get($set, collect())->except([$counter]) as $second => $seconds) {
                    $good = fn (Collection $judged): array => $judged->map(fn (Tap $rep): ?bool => $rep->isGood())->all();
                    foreach (Agreement::bothSaw($good($reps), $good($seconds)) as $i) {
                        $two = collect([(int) $counter => $reps[$i], (int) $second => $seconds[$i]])->sortKeys();
                        $pairs[] = [
                            'athlete' => $sheet->athlete_id, 'rung' => "{$sheet->ladder}/{$sheet->rung}",
                            'people' => $two->keys()->all(), 'said' => $two->pluck('verdict')->all(),
                            'failed' => $two->map(
                                fn (Tap $rep): ?string => $names[RepLog::failedOn($rep, $rung)] ?? null,
                            )->values()->all(),
                        ];
                    }
                }
            }
        }

        return $pairs;
    }

    /** @return list<array{who: string, agreement: Agreement, splits: string|null}> by pair of people, the weakest first */
    public function byPeople(): array
    {
        $names = DB::table('users')->whereIn('id', $this->pairs->pluck('people')->flatten()->unique())->pluck('name', 'id');

        return $this->pairs->groupBy(fn (array $pair): string => implode(' ', $pair['people']))->map(fn (Collection $pairs): array => [
            'who' => implode(' and ', array_map(fn (int $id): string => $names[$id], $pairs->firstOrFail()['people'])), ...self::of($pairs),
        ])->sortBy(fn (array $row): float => $row['agreement']->kappa ?? 1.0)->values()->all();
    }

    /** @return array{agreement: Agreement, splits: string|null}|null of one athlete on one rung; null while nobody judged along */
    public function onRung(string $athleteId, string $ladder, string $rung): ?array
    {
        $pairs = $this->pairs->where('athlete', $athleteId)->where('rung', "{$ladder}/{$rung}");

        return $pairs->isEmpty() ? null : self::of($pairs);
    }

    /**
     * @param  Collection<int, Pair>  $pairs
     * @return array{agreement: Agreement, splits: string|null}
     */
    private static function of(Collection $pairs): array
    {
        return [
            'agreement' => Agreement::of($pairs->pluck('said')->all()),
            'splits' => Agreement::splitsOn($pairs->pluck('failed')->all()),
        ];
    }

    /** Whether two people see the same on a rung, in a sentence; null while too little was judged by two. */
    public function sentenceOn(string $athleteId, string $ladder, string $rung): ?string
    {
        $of = $this->onRung($athleteId, $ladder, $rung);

        return $of === null || ! $of['agreement']->isEnough() ? null : JudgingWording::agreement($of['agreement'], $of['splits']);
    }

    public static function answer(string $who, Agreement $of, ?string $splitsOn): AgreementView
    {
        return new AgreementView(
            who: $who,
            both: $of->n,
            same: $of->same,
            kappa: $of->kappa,
            low: $of->interval[0] ?? null,
            high: $of->interval[1] ?? null,
            splits_on: $splitsOn,
            weak: $of->isWeak(),
            enough: $of->isEnough(),
        );
    }
}
