<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Film\Answers\FilmAskView;
use App\Film\AskedClips;
use App\Film\FilmConsents;
use App\Health\Answers\CheckInPageView;
use App\People\Link;
use App\Seasons\WeeksElsewhere;
use App\Seasons\WorkBeside;
use App\Sessions\WorkLog;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Planning\Homework;
use Augendo\Core\Readiness\Moment;
use Illuminate\Support\Facades\DB;

/** The page behind a personal link: no account, one athlete, and the least that does the job. */
final class CheckInScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly WeeksElsewhere $elsewhere,
        private readonly WorkBeside $beside,
    ) {}

    public function view(Athlete $athlete, Link $link): CheckInPageView
    {
        $workspace = $athlete->workspace()->firstOrFail();
        $on = $workspace->today();
        $day = new AthleteDay($athlete, $on);
        $reports = DB::table('soreness_reports')
            ->where('athlete_id', $athlete->id)
            ->where('day', $on->iso())
            ->whereNull('withdrawn_at')
            ->get()
            ->sortBy(DayReadiness::instant(...))
            ->values();
        $yesterday = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('day', $on->plus(-1)->iso())->sum('reps');
        $next = DB::table('sheets')
            ->join('training_sessions', 'training_sessions.id', '=', 'sheets.training_session_id')
            ->where('sheets.athlete_id', $athlete->id)
            ->where('sheets.state', 'planned')
            ->where('sheets.held_on', '>=', $on->iso())->orderBy('sheets.held_on')->first([
                'sheets.id',
                'sheets.held_on',
                'training_sessions.starts_at',
            ]);

        return new CheckInPageView(
            given_name: $athlete->given_name,
            young: Cards::isYoung($athlete, $on),
            asks_wellness: (bool) $workspace->asks_wellness,
            morning_after: $yesterday > 0 && $reports->doesntContain('moment', 'morning')
                ? "Yesterday: {$yesterday} repetitions. How is the body this morning?"
                : null,
            asks_growth: Adjustment::isGrowingFast($day->limitBook->growthCmAMonth($athlete->id), $day->load->age),
            today: $reports->map(fn (object $row): string => $row->site === 'none' ? 'Nothing sore, '.Wording::moment(
                Moment::from($row->moment),
            ) : Wording::report(DayReadiness::report($row)))->all(),
            word: $day->readiness->word->value,
            next: $next === null
                ? null
                : Wording::day(Day::of(substr($next->held_on, 0, 10)))
                    .", {$next->starts_at}: "
                    .(int) DB::table('sheet_blocks')->where('sheet_id', $next->id)->sum('reps')
                    .' repetitions planned',
            date: $on->iso(),
            tasks: $this->tasks($day, $athlete),
            days: array_map(fn (Day $each): string => $each->iso(), Homework::toldOf($on)),
            practised: $this->practised($athlete, $on),
            elsewhere: $this->elsewhere->view($day),
            beside: $this->beside->due($day),
            film: $this->film($athlete, $link, $on),
            shows_scores: $athlete->shows_scores,
        );
    }

    /** @return FilmAskView|null null where nothing is asked of whoever holds this link */
    private function film(Athlete $athlete, Link $link, Day $on): ?FilmAskView
    {
        if (! in_array($link->held_by, FilmConsent::asked($athlete->ageOn($on)), true)) {
            return null;
        }
        $given = FilmConsents::of($athlete->id)->where('role', $link->held_by)->filter(FilmConsents::holds(...));
        $measure = $given->where('kind', FilmConsent::MEASURE);

        return new FilmAskView(
            agreed: $measure->isNotEmpty(),
            pictures: $measure->contains('pictures', true),
            as_athlete: $link->held_by === FilmConsent::ATHLETE,
            clip: AskedClips::view($athlete, $on),
            sends: $given->contains('kind', FilmConsent::SEND),
        );
    }

    /** @return list<NamedView> */
    private function tasks(AthleteDay $day, Athlete $athlete): array
    {
        $names = $this->library->skillNames();
        $tasks = [];
        foreach ($day->ladders->placementsOf($athlete) as $placement) {
            $skill = $day->ladders->ladder($placement)->skill->id;
            $tasks[$skill] = new NamedView($skill, $names[$skill] ?? $skill);
        }

        return array_values($tasks);
    }

    /** @return list<string> */
    private function practised(Athlete $athlete, Day $on): array
    {
        $names = $this->library->skillNames();
        $rows = DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('source', WorkLog::HOME)
            ->where('day', '>=', $on->plus(1 - count(Homework::toldOf($on)))->iso())
            ->orderByDesc('day')
            ->orderByDesc('id')
            ->get();

        return $rows->map(
            fn (object $row): string => Wording::day(Day::of(substr($row->day, 0, 10))).', '
                .lcfirst(Wording::entered($row->source, (int) $row->reps, $names[$row->skill] ?? $row->skill)).'.',
        )->all();
    }
}
