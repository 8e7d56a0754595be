<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Athlete;
use App\Models\Squad;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Measure;
use Illuminate\Support\Facades\DB;

/** The limits of each athlete: the squad's rule set, made tighter by growth, by a return under way and by the weeks after one. */
final class LimitBook
{
    /** @var array<string, list<array{Day, float}>> heights by athlete, oldest first */
    private array $heights = [];

    /** @param  list<Athlete>  $athletes */
    public function __construct(array $athletes, private readonly Squad $squad, private readonly Day $on, private readonly Library $library, private readonly ReturnBook $returns)
    {
        $rows = DB::table('heights')->whereIn('athlete_id', array_map(fn (Athlete $athlete): string => $athlete->id, $athletes))
            ->where('measured_on', '<=', $on->iso())->orderBy('measured_on')->orderBy('recorded_at')->get();
        foreach ($rows as $row) {
            $this->heights[$row->athlete_id][] = [Day::of(substr($row->measured_on, 0, 10)), (float) $row->height_cm];
        }
    }

    /** @return list<Limit> in the order of the rule set */
    public function of(AthleteLoad $load, string $athleteId): array
    {
        $limits = $this->library->ruleSet($this->squad->rule_set)->limits;
        if (Adjustment::isGrowingFast($this->growthCmAMonth($athleteId))) {
            $limits = Adjustment::growing($limits);
        }
        $idle = $load->idleDays($this->on, [Channel::Arm]);
        if ($this->returns->open($athleteId) !== null || ($idle !== null && $idle >= Adjustment::LONG_LAYOFF_DAYS)) {
            $limits = Adjustment::returning($limits);
        }
        $after = [];
        foreach ($this->returns->all($athleteId) as $return) {
            if ($return->state !== 'done') {
                continue;
            }
            $channel = $return->programmeAsOpened()->channel;
            $series = $load->loadRecord()->wholeSeries($channel === Channel::Landing ? Measure::Landings : Measure::Arm);
            $applying = array_values(array_filter($limits, fn (Limit $limit): bool => $limit->appliesAt($load->age)));
            $limit = Adjustment::afterReturn($applying, $channel, $series, Day::of(substr($return->ended_on, 0, 10)), $return->usual_week, $this->on);
            if ($limit !== null) {
                $after[$limit->id] = $limit;
            }
        }

        return [...array_values($after), ...$limits];
    }

    /** @return float|null centimetres a month between the last two heights; null when there are not two near enough */
    public function growthCmAMonth(string $athleteId): ?float
    {
        return Adjustment::growthCmAMonth($this->heights[$athleteId] ?? []);
    }
}
