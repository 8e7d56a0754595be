<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Gates\Answers\PlacingView;
use App\Sessions\Sheet;
use App\Wording\JudgingWording;
use Augendo\Core\Library\Library;

/** Where a newcomer with skill stands in finding a rung. */
final class NewcomerPlace
{
    public function __construct(private readonly Library $library, private readonly FindPlace $placing) {}

    public function answer(Athlete $athlete, string $ladderId): ?PlacingView
    {
        $placing = $this->placing->placing($athlete, $ladderId);
        if ($placing === null) {
            return null;
        }
        $rungs = $this->library->ladder($ladderId)->rungs;
        $standsOn = $this->placing->standsOn($athlete, $ladderId);
        $next = match (true) {
            $placing->place !== null => 'place',
            $placing->look === $standsOn => 'more',
            default => 'look',
        };

        return new PlacingView(
            $ladderId,
            JudgingWording::placing($placing, $placing->seen[$standsOn] ?? ['judged' => 0, 'good' => 0, 'safety' => 0]),
            $next, $rungs[$placing->look ?? $placing->place ?? 0]->name,
            Sheet::query()
                ->where('athlete_id', $athlete->id)
                ->where('ladder', $ladderId)
                ->whereIn('state', ['planned', 'running'])
                ->orderByDesc('held_on')
                ->value('id'),
        );
    }
}
