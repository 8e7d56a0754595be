<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\AthleteDay;
use App\Gates\Placement;
use App\Health\DayReadiness;
use App\Limits\MeasuredEfforts;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\Carried;
use Augendo\Core\Planning\Learnt;
use Augendo\Core\Planning\Suggestion;
use Illuminate\Support\Facades\DB;

/** What the record of an athlete says about a season on one rung. */
final class RecordSays
{
    public function __construct(private readonly MeasuredEfforts $efforts) {}

    /** @return list<Suggestion> */
    public function of(AthleteDay $day, Placement $placement, Rung $rung, Channel $channel): array
    {
        $measured = $this->efforts->of($day->athlete->id, $day->load->profile, $day->on);

        return array_values(array_filter([
            Learnt::soreMornings($this->mornings($day, $rung, $channel)),
            Learnt::fading($this->judged($day, $placement)),
            Learnt::harderThanAsked($measured[$rung->ownDose()->skill->id] ?? []),
        ]));
    }

    /** @return list<array{float, bool}> see Learnt */
    private function mornings(AthleteDay $day, Rung $rung, Channel $channel): array
    {
        $side = $rung->ownDose()->side;
        $reports = DB::table('soreness_reports')
            ->where('athlete_id', $day->athlete->id)
            ->where('day', '>', $day->on->plus(-Learnt::DAYS)->iso())
            ->whereNull('withdrawn_at')
            ->get();

        return Learnt::mornings(
            Carried::series($day->load->record, $channel, $side),
            array_values($reports->map(DayReadiness::report(...))->all()),
            $channel,
            $day->athlete->throwing_side->bodySide($side),
        );
    }

    /** @return list<list<bool>> */
    private function judged(AthleteDay $day, Placement $placement): array
    {
        $sessions = [];
        foreach ($day->ladders->reps($day->athlete, $placement) as $rep) {
            if ($rep->good !== null) {
                $sessions[$rep->session][] = $rep->good;
            }
        }

        return array_values($sessions);
    }
}
