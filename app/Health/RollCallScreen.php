<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Health\Answers\RollCallRowView;
use App\Health\Answers\RollCallView;
use App\People\Link;
use App\People\User;
use App\Wording\AwayWording;
use Illuminate\Support\Facades\DB;

/** How is everybody? The whole squad on one screen, those who have not answered first. */
final class RollCallScreen
{
    public function view(User $user, Squad $squad): RollCallView
    {
        $on = $user->workspace->today();
        $athletes = $user->athletesOf($squad)->get()->all();
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $book = new DayReadiness($athletes, $on);
        $today = DB::table('soreness_reports')
            ->whereIn('athlete_id', $ids)
            ->where('day', $on->iso())
            ->whereNull('withdrawn_at')
            ->get()
            ->sortBy(DayReadiness::instant(...))
            ->keyBy('athlete_id');
        $mornings = DB::table('soreness_reports')
            ->whereIn('athlete_id', $ids)
            ->where('day', $on->iso())
            ->where('moment', 'morning')
            ->whereNull('withdrawn_at')
            ->pluck('athlete_id')
            ->all();
        $before = DB::table('soreness_reports')
            ->whereIn('athlete_id', $ids)
            ->where('day', '<', $on->iso())
            ->whereNull('withdrawn_at')
            ->groupBy('athlete_id')
            ->selectRaw('athlete_id, max(day) as day')
            ->pluck('day', 'athlete_id');
        $worked = DB::table('work_sets')
            ->whereIn('athlete_id', $ids)
            ->where('day', $on->plus(-1)->iso())
            ->distinct()
            ->pluck('athlete_id')
            ->all();
        $ill = DB::table('wellness')
            ->whereIn('athlete_id', $ids)
            ->where('day', $on->iso())
            ->orderBy('received_at')
            ->pluck('ill', 'athlete_id');
        $linked = Link::query()
            ->whereIn('athlete_id', $ids)
            ->where('purpose', Link::CHECK_IN)
            ->tap(Link::live(...))
            ->pluck('athlete_id')
            ->all();
        $rows = array_map(function (Athlete $athlete) use (
            $user, $squad, $on, $book, $today, $mornings, $before, $worked, $ill, $linked,
        ): RollCallRowView {
            $readiness = $book->readiness($athlete, $squad);
            $report = $today[$athlete->id] ?? null;
            $away = $book->dated->away($athlete->id, $on);

            return new RollCallRowView(
                athlete: Cards::athlete($athlete, $on),
                word: $readiness->word->value,
                why: ReadinessAnswers::why($readiness),
                answered_at: $report === null ? null : substr($report->at, 11, 5),
                report_id: $report !== null && HealthLog::mayWithdraw($report, $user) ? $report->id : null,
                last_answer: isset($before[$athlete->id]) ? substr($before[$athlete->id], 0, 10) : null,
                morning_after: in_array($athlete->id, $worked, true) && ! in_array($athlete->id, $mornings, true),
                ill: $ill[$athlete->id] ?? null,
                away: $away === null ? null : AwayWording::absence($away, $on),
                has_link: in_array($athlete->id, $linked, true),
            );
        }, $athletes);
        usort(
            $rows,
            // Who has to be asked comes first; who is away is asked last.
            fn (RollCallRowView $a, RollCallRowView $b): int => [$a->away !== null, $a->answered_at !== null]
                <=> [$b->away !== null, $b->answered_at !== null],
        );

        return new RollCallView(
            $on->iso(), Cards::squad($squad), Cards::squads($user), $rows,
            'Not checked in: 60 % of the dose, half effort, no moving up.',
        );
    }
}
