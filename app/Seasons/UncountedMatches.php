<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Squad;
use App\Seasons\Answers\UncountedMatchView;
use Augendo\Core\Day;
use Augendo\Core\Planning\Silence;

/** Matches of a squad that are over and not counted: whoever was there should say what they took. */
final class UncountedMatches
{
    /**
     * @param  list<string>  $athleteIds  of the squad
     * @return list<UncountedMatchView> the latest first
     */
    public static function of(Squad $squad, array $athleteIds, Day $today): array
    {
        $any = Fixture::query()
            ->where('squad_id', $squad->id)
            ->where('kind', Fixture::MATCH)
            ->where('held_on', '>=', $today->plus(-Silence::ASKED_DAYS)->iso())
            ->where('held_on', '<', $today->iso())
            ->exists();
        if (! $any) {
            return [];
        }
        $fixtures = new Fixtures($athleteIds, $today);
        $missing = [];
        foreach ($athleteIds as $id) {
            foreach ($fixtures->uncounted($id) as $match) {
                if (
                    $match->kind === Fixture::MATCH && $match->squad_id === $squad->id
                    && ! Silence::countsAsExpected($match->day(), $today)
                ) {
                    $missing[$match->id] = [$match, ($missing[$match->id][1] ?? 0) + 1];
                }
            }
        }
        $views = array_map(
            fn (array $of): UncountedMatchView => new UncountedMatchView($of[0]->id, $of[0]->title, $of[0]->day()->iso(), $of[1]),
            array_values($missing),
        );
        usort($views, fn (UncountedMatchView $a, UncountedMatchView $b): int => $b->day <=> $a->day);

        return $views;
    }
}
