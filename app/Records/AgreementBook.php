<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\RepEvent;
use App\Models\Sheet;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\Agreement;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What two people said of the same repetitions: one counted them, the other judged along. */
final class AgreementBook
{
    private const DAYS = 60;

    /** @var list<array{athlete: string, rung: string, people: string, said: array{string, string}, failed: array{string|null, string|null}}> */
    private array $pairs = [];

    /** @var array<int, string> names of the people by id */
    private array $names;

    /** @param  list<string>  $athleteIds */
    public function __construct(array $athleteIds, Day $on, private readonly Library $library, private readonly RepLog $log)
    {
        $sheets = Sheet::query()->with('events')->whereIn('athlete_id', $athleteIds)->where('held_on', '>', $on->plus(-self::DAYS)->iso())->where('held_on', '<=', $on->iso())
            ->whereIn('id', DB::table('rep_events')->where('kind', 'second')->select('sheet_id'))->get();
        foreach ($sheets as $sheet) {
            $this->read($sheet);
        }
        $ids = array_merge([], ...array_map(fn (array $pair): array => explode(' ', $pair['people']), $this->pairs));
        $this->names = DB::table('users')->whereIn('id', $ids)->pluck('name', 'id')->all();
    }

    /** Both counted a set to the same length: then its n-th repetition is the same for both. Another set says nothing. */
    private function read(Sheet $sheet): void
    {
        $rung = $this->log->rung($sheet);
        $key = fn (RepEvent $rep): string => "{$rep->block_id}|{$rep->set_no}|{$rep->user_id}";
        $counted = collect(SheetEvents::standing($sheet->events))->groupBy($key);
        $along = collect(SheetEvents::standing($sheet->events, 'second'))->groupBy($key);
        foreach ($rung === null ? [] : $counted as $reps) {
            foreach ($along as $seconds) {
                if ($seconds->count() !== $reps->count() || ! $this->isOfTheSameSet($reps, $seconds)) {
                    continue;
                }
                foreach ($reps->values() as $i => $rep) {
                    $second = $seconds->values()[$i];
                    // What one of them did not see says nothing about how the two see.
                    if (in_array($rep->verdict, ['good', 'not_good'], true) && in_array($second->verdict, ['good', 'not_good'], true)) {
                        [$one, $other] = $rep->user_id < $second->user_id ? [$rep, $second] : [$second, $rep];
                        $this->pairs[] = [
                            'athlete' => $sheet->athlete_id, 'rung' => "{$sheet->ladder}/{$sheet->rung}", 'people' => "{$one->user_id} {$other->user_id}",
                            'said' => [$one->verdict, $other->verdict], 'failed' => [RepLog::failedOn($one, $rung), RepLog::failedOn($other, $rung)],
                        ];
                    }
                }
            }
        }
    }

    /**
     * @param  Collection<int, RepEvent>  $reps
     * @param  Collection<int, RepEvent>  $seconds
     */
    private function isOfTheSameSet(Collection $reps, Collection $seconds): bool
    {
        [$one, $other] = [$reps->firstOrFail(), $seconds->firstOrFail()];

        return $one->block_id === $other->block_id && (int) $one->set_no === (int) $other->set_no && $one->user_id !== $other->user_id;
    }

    /** @return list<array{who: string, agreement: Agreement, splits: string|null}> by pair of people, the weakest first */
    public function byPeople(): array
    {
        $rows = array_map(fn (Collection $pairs): array => ['who' => $this->who($pairs), 'agreement' => self::agreement($pairs), 'splits' => $this->splits($pairs)], collect($this->pairs)->groupBy('people')->all());
        usort($rows, fn (array $a, array $b): int => ($a['agreement']->kappa ?? 1.0) <=> ($b['agreement']->kappa ?? 1.0));

        return $rows;
    }

    /** Said in a row of many, and only when two people see differently. */
    public function warning(string $athleteId, string $ladder, string $rung): ?string
    {
        $pairs = $this->of($athleteId, $ladder, $rung);
        $agreement = $pairs->isEmpty() ? null : self::agreement($pairs);

        return $agreement?->isWeak() === true ? "two see it differently: {$agreement->same} of {$agreement->n} alike" : null;
    }

    /** @return Collection<int, array{athlete: string, rung: string, people: string, said: array{string, string}, failed: array{string|null, string|null}}> */
    private function of(string $athleteId, string $ladder, string $rung): Collection
    {
        return collect($this->pairs)->where('athlete', $athleteId)->where('rung', "{$ladder}/{$rung}");
    }

    /** What is said beside the evidence of a gate; null while too few repetitions were judged by two. */
    public function sentence(string $athleteId, string $ladder, string $rung): ?string
    {
        $pairs = $this->of($athleteId, $ladder, $rung);
        if ($pairs->count() < Agreement::LEAST_PAIRS) {
            return null;
        }
        $agreement = self::agreement($pairs);
        $splits = $this->splits($pairs);

        return "{$agreement->same} of {$agreement->n} repetitions judged alike by two".self::beyondChance($agreement).'. '
            .($agreement->isWeak() ? 'Weak: look together before you decide'.($splits === null ? '.' : ", first at {$splits}.") : 'They see the same.');
    }

    public static function beyondChance(Agreement $agreement): string
    {
        return $agreement->kappa === null ? '' : sprintf(', %.2f beyond chance (%.2f to %.2f)', $agreement->kappa, $agreement->interval[0] ?? 0.0, $agreement->interval[1] ?? 0.0);
    }

    /** @param  Collection<int, array{athlete: string, rung: string, people: string, said: array{string, string}, failed: array{string|null, string|null}}>  $pairs */
    private static function agreement(Collection $pairs): Agreement
    {
        return Agreement::of(array_values(array_column($pairs->all(), 'said')));
    }

    /** @param  Collection<int, array{athlete: string, rung: string, people: string, said: array{string, string}, failed: array{string|null, string|null}}>  $pairs */
    private function splits(Collection $pairs): ?string
    {
        $checkpoint = Agreement::splitsOn(array_values(array_column($pairs->all(), 'failed')));
        foreach ($checkpoint === null ? [] : $pairs as $pair) {
            [$ladder, $rung] = explode('/', $pair['rung']);
            foreach ($this->library->ladder($ladder)->rung($rung)->checkpoints ?? [] as $each) {
                if ($each->id === $checkpoint) {
                    return "“{$each->name}”";
                }
            }
        }

        return null;
    }

    /** @param  Collection<int, array{athlete: string, rung: string, people: string, said: array{string, string}, failed: array{string|null, string|null}}>  $pairs */
    private function who(Collection $pairs): string
    {
        return implode(' and ', array_map(fn (string $id): string => $this->names[(int) $id] ?? 'somebody', explode(' ', $pairs->firstOrFail()['people'])));
    }
}
