<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use Augendo\Core\Day;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One club: its people and their records, closed to every other.
 *
 * @property int $id
 * @property string $name
 * @property string $timezone
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property int $asks_wellness
 * @property int|null $head_id
 */
final class Workspace extends Model
{
    protected $guarded = [];

    /** @return HasMany<Squad, $this> */
    public function squads(): HasMany
    {
        return $this->hasMany(Squad::class);
    }

    /**
     * The last day that what is asked for a day takes in. A day that is over ends with itself; today, and a day ahead,
     * take in what somebody
     * hours ahead of the club did or said until now, although it is dated a day later.
     *
     * @param  list<Athlete>  $athletes  of one club
     */
    public static function lastDayOf(array $athletes, Day $on): Day
    {
        $today = self::todayOf($athletes);

        return $today === null || $today->isAfter($on) ? $on : $on->plus(1);
    }

    /**
     * The day it is where these athletes train; null where there are none.
     *
     * @param  list<Athlete>  $athletes  of one club
     */
    public static function todayOf(array $athletes): ?Day
    {
        // Asked for several times in a look: the athlete remembers it.
        return $athletes === [] ? null : $athletes[0]->loadMissing('workspace')->workspace->today();
    }

    /** @return float the instant a day of the club begins, seconds since 1970 */
    public function midnightS(Day $day): float
    {
        return (float) Carbon::parse($day->iso(), $this->timezone)->timestamp;
    }

    /** @param  float  $atS  seconds since 1970 */
    public function dayAt(float $atS): Day
    {
        return Day::of(Carbon::createFromTimestamp($atS, $this->timezone)->toDateString());
    }

    /** The day it is where the club trains. */
    public function today(): Day
    {
        return Day::of(Carbon::now($this->timezone)->toDateString());
    }
}
