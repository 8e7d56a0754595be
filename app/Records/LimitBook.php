<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Athlete;
use App\Models\PlayReturn;
use App\Models\Squad;
use Augendo\Core\Day;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Limits\DoneReturn;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Illuminate\Support\Facades\DB;

/** The limits of each athlete: the squad's rule set, made tighter by growth, by a return under way and by the weeks after one. */
final class LimitBook
{
    /** @var array<string, list<array{Day, float}>> heights by athlete, oldest first */
    private array $heights = [];

    private readonly RuleSet $ruleSet;

    /** @var array<string, array<string, object>> each athlete's own shares of limits */
    private array $shares;

    /**
     * @param  list<Athlete>  $athletes
     * @param  RuleSet|null  $ruleSet  null: the one in force for the squad
     */
    public function __construct(array $athletes, Squad $squad, private readonly Day $on, private readonly ReturnBook $returns, ?RuleSet $ruleSet = null)
    {
        $this->ruleSet = $ruleSet ?? app(RuleSetBook::class)->of($squad);
        $this->shares = RuleSetBook::shares(array_map(fn (Athlete $athlete): string => $athlete->id, $athletes));
        $rows = DB::table('heights')->whereIn('athlete_id', array_map(fn (Athlete $athlete): string => $athlete->id, $athletes))
            ->where('measured_on', '<=', $on->iso())->orderBy('measured_on')->orderBy('recorded_at')->get();
        foreach ($rows as $row) {
            $this->heights[$row->athlete_id][] = [Day::of(substr($row->measured_on, 0, 10)), (float) $row->height_cm];
        }
    }

    public function of(string $athleteId, AthleteLoad $load): LimitCalendar
    {
        $done = array_filter($this->returns->all($athleteId), fn (PlayReturn $return): bool => $return->state === 'done');

        return new LimitCalendar(
            self::shared($this->ruleSet->limits, $this->shares[$athleteId] ?? []), $load->profile, $load->fixtures->matchDays($athleteId), Adjustment::isGrowingFast($this->growthCmAMonth($athleteId)), $this->returns->open($athleteId) !== null,
            array_values(array_map(fn (PlayReturn $return): DoneReturn => new DoneReturn($return->programmeAsOpened()->channel, Day::of(substr($return->ended_on, 0, 10)), $return->usual_week), $done)),
        );
    }

    /**
     * @param  list<Limit>  $limits
     * @param  array<string, object{share: float}>  $shares
     * @return list<Limit>
     */
    private static function shared(array $limits, array $shares): array
    {
        return $shares === [] ? $limits : array_map(fn (Limit $limit): Limit => isset($shares[$limit->baseId()]) ? $limit->scaled((float) $shares[$limit->baseId()]->share) : $limit, $limits);
    }

    /** @return float|null centimetres a month between the last two heights; null when there are not two near enough */
    public function growthCmAMonth(string $athleteId): ?float
    {
        return Adjustment::growthCmAMonth($this->heights[$athleteId] ?? []);
    }
}
