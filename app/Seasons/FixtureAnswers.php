<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\People\User;
use App\Seasons\Answers\FixtureView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Illuminate\Support\Collection;

/** Matches and training elsewhere of a squad, with the work each is expected to cost in words. */
final class FixtureAnswers
{
    public function __construct(private readonly Library $library) {}

    /**
     * @param  Collection<int, Athlete>  $athletes  of the squad, whom the user may see
     * @return list<FixtureView> in order
     */
    public function between(Squad $squad, Collection $athletes, Day $from, ?Day $to): array
    {
        $names = $this->library->skillNames();
        $nameOf = $athletes->mapWithKeys(fn (Athlete $athlete): array => [$athlete->id => $athlete->name()])->all();

        return Fixture::query()
            ->withCount('lineUps')
            ->where('held_on', '>=', $from->iso())
            ->when($to !== null, fn ($query) => $query->where('held_on', '<=', $to?->iso()))
            ->where('squad_id', $squad->id)
            ->where(fn ($query) => $query->whereNull('athlete_id')->orWhereIn('athlete_id', array_keys($nameOf)))
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->get()
            ->map(fn (Fixture $each): FixtureView => new FixtureView(
                id: $each->id,
                kind: $each->kind,
                day: $each->day()->iso(),
                starts_at: $each->starts_at,
                title: $each->title,
                sentence: Wording::expectedDoses($each->doses, $names),
                athlete_id: $each->athlete_id,
                athlete_name: $each->athlete_id === null ? null : $nameOf[$each->athlete_id] ?? null,
                players: $each->lined_up ? $each->line_ups_count : null,
            ))->all();
    }
}
