<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Athletes\Heights;
use App\Athletes\Squad;
use App\Health\DatedBounds;
use App\Returns\PlayReturn;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Day;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Limits\DoneReturn;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;

/**
 * The limits of each athlete: the squad's rule set, made tighter by growth, by a return under way and by the weeks after one, by days away
 * and by what a clinician restricts.
 */
final class AthleteLimits
{
    private readonly Heights $heights;

    private readonly DatedBounds $dated;

    /** @var array<string, Athlete> by id */
    private readonly array $athletes;

    private readonly RuleSet $ruleSet;

    /** @var array<string, array<string, object>> each athlete's own shares of limits */
    private array $shares;

    /**
     * @param  list<Athlete>  $athletes
     * @param  RuleSet|null  $ruleSet  null: the one in force for the squad
     * @param  DatedBounds|null  $dated  of the athletes and the day, where somebody has asked already
     */
    public function __construct(
        array $athletes, Squad $squad, Day $on, private readonly ReturnsUnderWay $returns, ?RuleSet $ruleSet = null,
        ?DatedBounds $dated = null,
    ) {
        $this->ruleSet = $ruleSet ?? app(RuleSets::class)->of($squad);
        $this->shares = RuleSets::shares(array_map(fn (Athlete $athlete): string => $athlete->id, $athletes));
        $this->athletes = array_combine(array_map(fn (Athlete $athlete): string => $athlete->id, $athletes), $athletes);
        $this->heights = new Heights(array_keys($this->athletes), $on);
        $this->dated = $dated ?? DatedBounds::of($athletes, $on);
    }

    public function of(string $athleteId, AthleteLoad $load): LimitCalendar
    {
        $done = array_filter($this->returns->all($athleteId), fn (PlayReturn $return): bool => $return->state === 'done');

        return new LimitCalendar(
            limits: self::shared($this->ruleSet->limits, $this->shares[$athleteId] ?? []),
            athlete: $load->profile,
            matchDays: $load->fixtures->matchDays($athleteId),
            growingFast: Adjustment::isGrowingFast($this->growthCmAMonth($athleteId), $load->age),
            returning: $this->returns->open($athleteId) !== null,
            doneReturns: array_values(
                array_map(
                    fn (PlayReturn $return): DoneReturn => new DoneReturn(
                        $return->programmeAsOpened()->channel,
                        Day::of(substr($return->ended_on, 0, 10)),
                        $return->usual_week,
                        $return->workingSide($this->athletes[$athleteId]),
                    ),
                    $done,
                ),
            ),
            dated: $this->dated->limits($athleteId),
        );
    }

    /**
     * @param  list<Limit>  $limits
     * @param  array<string, object{share: float}>  $shares
     * @return list<Limit>
     */
    private static function shared(array $limits, array $shares): array
    {
        return $shares === [] ? $limits : array_map(
            fn (Limit $limit): Limit => isset($shares[$limit->baseId()])
                ? $limit->scaled((float) $shares[$limit->baseId()]->share)
                : $limit,
            $limits,
        );
    }

    /** @return float|null centimetres a month between the last two heights; null when there are not two near enough */
    public function growthCmAMonth(string $athleteId): ?float
    {
        return $this->heights->growthCmAMonth($athleteId);
    }
}
