<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** What a season keeps to for the sake of the athlete’s other skills that are planned with it. */
final readonly class Together
{
    /**
     * @param  list<int>|null  $leads  days of a fortnight on which a session of this skill may be heavy, 1 Monday to 14 the second Sunday;
     *         null: any
     * @param  list<string>  $skills  ids of the skills that have a season of their own: what they took is theirs to go on from
     * @param  list<int>  $heavy  ordinals of heavy days of another skill that loads the same part
     * @param  list<int>|null  $lightMondays  ordinals of the Mondays of the lighter weeks, the same for all skills; null: the season's own
     */
    public function __construct(
        public ?array $leads = null,
        public array $skills = [],
        public array $heavy = [],
        public ?array $lightMondays = null,
    ) {}

    /** 1 Monday to 14 the second Sunday, of fortnights that are the same for everybody; the first began on Monday 1969-12-29. */
    public static function dayOfFortnight(int $day): int
    {
        return (($day + 3) % 14 + 14) % 14 + 1;
    }
}
