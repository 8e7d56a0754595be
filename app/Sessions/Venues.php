<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Sessions\Answers\VenueView;

/** The venues of a club, said once. */
final class Venues
{
    /** @return list<VenueView> by name */
    public function all(User $user): array
    {
        return array_values(Venue::query()->where('workspace_id', $user->workspace_id)->orderBy('name')->get()->map(
            fn (Venue $venue): VenueView => new VenueView(
                id: $venue->id,
                name: $venue->name,
                length_m: $venue->length_m,
                width_m: $venue->width_m,
                floor: $venue->floor,
                balls: $venue->balls,
                objects: $venue->objects,
            ),
        )->all());
    }

    /** @param  array<string, mixed>  $given  validated; sent before, it is the same one */
    public function keep(array $given, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($given, $by): void {
            $known = Venue::query()->find($given['id']);
            $namesake = Venue::named($by->workspace_id, $given['name']);
            if ($known !== null && $known->workspace_id !== $by->workspace_id) {
                throw new Problem(ProblemType::NotAdded, 'This id is taken. Load the page again.');
            }
            if ($namesake !== null && $namesake->id !== $given['id']) {
                throw new Problem(
                    ProblemType::NotKept,
                    "There is “{$given['name']}” already. Change that one, or choose another name.",
                    ['name' => ['This name is taken.']],
                );
            }
            Venue::query()->updateOrCreate(['id' => $given['id']], [...$given, 'workspace_id' => $by->workspace_id]);
            Audit::of($by, null, 'venue kept', ['name' => $given['name']]);
        });
    }

    /** Sessions that named it keep what they had. */
    public function remove(Venue $venue, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($venue, $by): void {
            $venue->delete();
            Audit::of($by, null, 'venue taken away', ['name' => $venue->name]);
        });
    }
}
