<?php

declare(strict_types=1);

namespace App\Records;

use App\Athletes\Athlete;
use Augendo\Core\Day;

/**
 * Something about athletes was kept that others look at: told in the transaction that kept it, by whoever kept it. What follows (revision,
 * plans fitted anew, rows of Today) is the matter of one listener, App\Sessions\FollowChange.
 */
final readonly class AthletesChanged
{
    /**
     * @param  list<string>  $athleteIds
     * @param  Day|null  $plansFrom  what is planned from this day on has to be fitted anew; null: plans stay as they are
     * @param  bool  $atOnce  fitted by the time whoever told it gets an answer; else queued, athlete by athlete
     */
    private function __construct(public array $athleteIds, public ?Day $plansFrom, public bool $atOnce) {}

    public static function one(string|Athlete $athlete, ?Day $plansFrom = null): void
    {
        event(new self([$athlete instanceof Athlete ? $athlete->id : $athlete], $plansFrom, true));
    }

    /** @param  iterable<Athlete|string>  $athletes */
    public static function many(iterable $athletes, ?Day $plansFrom = null): void
    {
        $ids = [];
        foreach ($athletes as $athlete) {
            $ids[] = $athlete instanceof Athlete ? $athlete->id : $athlete;
        }
        if ($ids !== []) {
            event(new self($ids, $plansFrom, false));
        }
    }
}
