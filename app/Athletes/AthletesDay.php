<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Gates\Placement;
use App\Gates\Standings;
use App\Health\DatedBounds;
use App\Health\DayReadiness;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoad;
use App\Limits\AthleteLoads;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Day;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Readiness\Readiness;

/** Everything that is known of several athletes of a squad on one day, fetched at once: load, limits, words, ladders and returns. */
final class AthletesDay
{
    /** @var array<string, AthleteLoad> by athlete id */
    public readonly array $loads;

    public readonly DayReadiness $health;

    public readonly ReturnsUnderWay $returns;

    public readonly AthleteLimits $limitBook;

    public readonly Standings $standings;

    /** @var array<string, Readiness> by athlete id */
    private array $readiness = [];

    /** @var array<string, GateResult> by athlete and ladder */
    private array $gates = [];

    /** @var array<string, LimitCalendar> by athlete id */
    private array $limits = [];

    /** @param  non-empty-list<Athlete>  $athletes */
    public function __construct(public readonly array $athletes, public readonly Squad $squad, public readonly Day $on)
    {
        $dated = DatedBounds::of($athletes, $on);
        $this->loads = app(AthleteLoads::class)->for($athletes, $on, dated: $dated);
        $this->health = new DayReadiness($athletes, $on, $dated);
        $this->returns = new ReturnsUnderWay($athletes, $on);
        $this->limitBook = new AthleteLimits($athletes, $squad, $on, $this->returns, dated: $dated);
        $profiles = array_map(fn (AthleteLoad $load): AthleteProfile => $load->profile, $this->loads);
        $this->standings = new Standings($athletes, $on, app(Library::class), $this->health, $profiles);
    }

    public function readiness(Athlete $athlete): Readiness
    {
        return $this->readiness[$athlete->id] ??= $this->health->readiness($athlete, $this->squad);
    }

    /** Worked out once, however many rows tell it. */
    public function gate(Athlete $athlete, Placement $placement): GateResult
    {
        return $this->gates["{$athlete->id} {$placement->ladder}"] ??= $this->standings->gate(
            $athlete,
            $placement,
            $this->readiness($athlete),
            $this->loads[$athlete->id],
            $this->limits($athlete),
        );
    }

    public function limits(Athlete $athlete): LimitCalendar
    {
        return $this->limits[$athlete->id] ??= $this->limitBook->of($athlete->id, $this->loads[$athlete->id]);
    }
}
