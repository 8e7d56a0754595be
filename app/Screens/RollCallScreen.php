<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\RollCallRowView;
use App\Http\Views\RollCallView;
use App\Models\Athlete;
use App\Models\Link;
use App\Models\Squad;
use App\Models\User;
use App\Records\HealthLog;
use App\Records\ReadinessBook;
use Illuminate\Support\Facades\DB;

/** How is everybody? The whole squad on one screen, those who have not answered first. */
final class RollCallScreen
{
    public function view(User $user, Squad $squad): RollCallView
    {
        $on = $user->workspace->today();
        $athletes = $squad->athletes()->whereIn('athletes.id', $user->visibleAthletes()->select('athletes.id'))->get()->all();
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $book = new ReadinessBook($athletes, $on);
        $today = DB::table('soreness_reports')
            ->whereIn('athlete_id', $ids)
            ->where('day', $on->iso())
            ->whereNull('withdrawn_at')
            ->get()
            ->sortBy(ReadinessBook::instant(...))
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

            return new RollCallRowView(
                Parts::athlete($athlete, $on), $readiness->word->value, Parts::why($readiness),
                $report === null ? null : substr($report->at, 11, 5),
                $report !== null && HealthLog::mayWithdraw($report, $user) ? $report->id : null,
                isset($before[$athlete->id]) ? substr($before[$athlete->id], 0, 10) : null,
                in_array($athlete->id, $worked, true) && ! in_array($athlete->id, $mornings, true),
                $ill[$athlete->id] ?? null, in_array($athlete->id, $linked, true),
            );
        }, $athletes);
        usort(
            $rows,
            fn (RollCallRowView $a, RollCallRowView $b): int => ($a->answered_at === null ? 0 : 1) <=> ($b->answered_at === null ? 0 : 1),
        );

        return new RollCallView(
            $on->iso(), Parts::squad($squad), Parts::squads($user), $rows,
            'Who has not answered trains at six tenths of the dose and half effort at most, and moves no gate and no stage of a return.',
        );
    }
}
