<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\Fault;
use Augendo\Core\Load\Skill;

/** What a coach may put on a sheet: the rung's own blocks and drills, the rung below, the other ladders, the drills of the library. */
final class Addable
{
    /**
     * @param  list<OnLadder>  $others  what else the athlete climbs
     * @param  list<Drill>  $drills
     * @param  list<string>  $focus  ids of the faults worked on: what mends them comes first
     * @return array<string, WorkSource> by a name that stays the same as long as the library does. Only the rung itself is judged
     */
    public static function to(OnLadder $own, array $others, array $drills, array $focus = []): array
    {
        $found = [];
        $faults = $own->rung->faults;
        usort($faults, fn (Fault $a, Fault $b): int => in_array($b->id, $focus, true) <=> in_array($a->id, $focus, true));
        foreach ($faults as $fault) {
            $found[self::key($own, $fault->id)] = new WorkSource(
                Weave::drillFor($own->rung->ownDose(), $fault), 'fault', $own->ladder->id, $own->rung->id, $fault->id,
            );
        }
        $found += self::blocks($own, judged: true);
        $below = $own->begunAgain();
        $found += $below === $own ? [] : self::blocks($below, judged: false);
        foreach ($others as $other) {
            $found += self::blocks($other, judged: false);
        }
        $known = array_map(fn (OnLadder $at): Skill => $at->ladder->skill, [$own, ...$others]);
        foreach ($drills as $drill) {
            if ($drill->isFor($known)) {
                $found["drill/{$drill->id}"] = new WorkSource($drill->dose, 'drill', name: $drill->id);
            }
        }

        return $found;
    }

    /** @return array<string, WorkSource> */
    private static function blocks(OnLadder $at, bool $judged): array
    {
        $found = [];
        foreach ($at->rung->blocks as $i => $dose) {
            // Of another rung only its work: the sheet has a warm-up and a cool-down.
            if ($judged || ! in_array($dose->kind, [BlockKind::WarmUp, BlockKind::CoolDown], true)) {
                $found[self::key($at, (string) $i)] = new WorkSource(
                    $judged ? $dose : $dose->with(['judged' => false]), 'ladder', $at->ladder->id, $at->rung->id,
                );
            }
        }

        return $found;
    }

    private static function key(OnLadder $at, string $name): string
    {
        return "{$at->ladder->id}/{$at->rung->id}/{$name}";
    }
}
