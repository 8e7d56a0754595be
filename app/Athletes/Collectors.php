<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\CollectorsView;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use Augendo\Core\Planning\PickUp;

/** Whom a child may be handed to: the guardian's list, kept by them, or by the coach from a signed paper. */
final class Collectors
{
    /** @param  list<string>  $names  the whole list as it is to be */
    public static function keep(Athlete $athlete, array $names, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $names, $by): void {
            $kept = self::names($athlete->id);
            $wanted = array_values(array_unique(array_map(trim(...), $names)));
            Collector::query()->where('athlete_id', $athlete->id)->whereNotIn('name', $wanted)->delete();
            foreach (array_diff($wanted, $kept) as $name) {
                Collector::query()->create(['athlete_id' => $athlete->id, 'name' => $name, 'named_by' => $by->id]);
            }
            Audit::of($by, $athlete, 'who may collect changed');
        });
    }

    /** @return list<string> by name */
    public static function names(string $athleteId): array
    {
        return self::namesOf([$athleteId])[$athleteId] ?? [];
    }

    /**
     * @param  list<string>  $athleteIds
     * @return array<string, list<string>> by athlete, those who have named somebody
     */
    public static function namesOf(array $athleteIds): array
    {
        $names = [];
        foreach (Collector::query()->whereIn('athlete_id', $athleteIds)->orderBy('name')->get() as $collector) {
            $names[$collector->athlete_id][] = $collector->name;
        }

        return $names;
    }

    public static function view(Athlete $athlete, User $by): CollectorsView
    {
        return new CollectorsView(
            needed: PickUp::isNeeded($athlete->ageOn($by->workspace->today())),
            names: self::names($athlete->id),
            may_change: $by->can('nameCollectors', $athlete),
        );
    }
}
