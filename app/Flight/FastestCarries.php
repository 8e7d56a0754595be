<?php

declare(strict_types=1);

namespace App\Flight;

use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\ThrowDemand;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Family;
use Illuminate\Support\Facades\Cache;

/** How far the fastest throw on record carries each ball, of whoever has a speed and no longest throw. Flown once for each figure. */
final class FastestCarries
{
    public function __construct(private readonly Library $library, private readonly FlightTables $tables) {}

    /**
     * @param  array<string, float>  $referenceSpeedMs  by skill
     * @param  array<string, float>  $longestThrowM  by skill
     * @return array<string, array<string, float>> metres by skill and object
     */
    public function of(int $workspaceId, array $referenceSpeedMs, array $longestThrowM): array
    {
        $carries = [];
        foreach (array_diff_key($referenceSpeedMs, $longestThrowM) as $skill => $speedMs) {
            if ($this->library->skills()[$skill]->family === Family::Throw) {
                foreach ($this->tables->balls($workspaceId) as $id => $of) {
                    $ball = $of->ball;
                    $key = "carries|{$ball->massKg}|{$ball->diameterM}|{$ball->dragCoefficient}|{$speedMs}";
                    $carries[$skill][$id] = (float) Cache::rememberForever(
                        $key, fn (): float => ThrowDemand::carriesM($ball, new Air, $speedMs),
                    );
                }
            }
        }

        return $carries;
    }
}
