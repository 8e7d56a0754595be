<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\AthleteDay;
use App\Gates\Placement;
use App\Limits\MeasuredEfforts;
use Augendo\Core\Day;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\Carried;
use Augendo\Core\Planning\Learnt;
use Augendo\Core\Planning\Suggestion;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Site;
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

    /** @return list<array{float, bool}> units of each day with work that was asked about on the morning after, and whether it was sore */
    private function mornings(AthleteDay $day, Rung $rung, Channel $channel): array
    {
        $side = $rung->ownDose()->side;
        $worked = Carried::series($day->load->record, $channel, $side);
        $body = $channel->hasSides() ? $day->athlete->throwing_side->bodySide($side) : null;
        $reports = DB::table('soreness_reports')
            ->where('athlete_id', $day->athlete->id)
            ->where('day', '>', $day->on->plus(-Learnt::DAYS)->iso())
            ->where('moment', Moment::Morning->value)
            ->whereNull('withdrawn_at')
            ->get(['day', 'site', 'side', 'score']);
        $sore = [];
        foreach ($reports as $report) {
            $isThere = in_array($channel, Site::from($report->site)->channels(), true)
                && ($body === null || $report->side === null || $report->side === $body);
            $iso = substr($report->day, 0, 10);
            $sore[$iso] = ($sore[$iso] ?? false) || $isThere && $report->score > Learnt::CALM_SCORE;
        }
        $mornings = [];
        foreach ($sore as $iso => $wasSore) {
            $units = $worked->on(Day::of($iso)->ordinal - 1);
            if ($units > 0.0) {
                $mornings[] = [$units, $wasSore];
            }
        }

        return $mornings;
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
