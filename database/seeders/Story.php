<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\Role;

/** What there is to tell of one athlete: weeks of record that end in a state a coach meets on Today. Days count back from today. */
final readonly class Story
{
    /**
     * @param  'left'|'right'  $side  that throws or serves
     * @param  string|null  $before  the rung before this one; null: began on this one
     * @param  float  $goodRate  share of judged repetitions that are good on this rung
     * @param  string  $fault  the one that leads the others
     * @param  list<array{string, string|null, string, int}>|null  $today  site, side, kind and score of what was reported this morning;
     *                                                                     empty: nothing sore; null: nobody answered
     * @param  array<string, array{float|null, float|null}>  $marks  longest throw in m and speed in m/s, by skill
     * @param  float|null  $fill  share of the weekly rise of arm load that serves at another club fill up
     * @param  bool  $servesAlone  whether there were sixty serves alone on some evenings, and a sore shoulder on most mornings after them
     * @param  array{string, string}|null  $alsoOn  a second ladder and the rung of it
     * @param  bool  $tournament  whether there were two days of one
     * @param  array{string, string|null, string, int, int}|null  $referral  site, side, kind, score and day of what nobody has cleared
     * @param  array{
     *     programme: string, site: string, opened: int, stage: int, cleared: array{int, int}, attempts: list<array{int, int}>,
     * }|null  $return  a way back: its stage now, when it was cleared through which stage, and on which day which stage was tried
     * @param  list<array{int, float}>|null  $heights  day and cm; null: grown at the pace of the age
     * @param  list<Role>  $sharedWith  who sees this athlete besides the coaches
     */
    public function __construct(
        public string $givenName,
        public string $familyName,
        public int $age,
        public string $side,
        public string $ladder,
        public ?string $before,
        public string $rung,
        public int $enteredDaysAgo,
        public float $goodRate,
        public string $fault,
        public ?array $today = [],
        public array $marks = [],
        public ?float $fill = null,
        public bool $tournament = false,
        public bool $servesAlone = false,
        public ?array $alsoOn = null,
        public ?array $referral = null,
        public ?array $return = null,
        public ?array $heights = null,
        public array $sharedWith = [],
    ) {}
}
