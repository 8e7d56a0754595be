<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\AthleteView;
use App\Courtside\MissingCounts;
use App\Flight\UsualServe;
use App\Gates\Agreements;
use App\Gates\Answers\DecisionView;
use App\Gates\Answers\JudgedSessionView;
use App\Gates\Decision;
use App\Gates\KeptEvidence;
use App\Gates\MatchReadiness;
use App\Gates\NewcomerPlace;
use App\Gates\Placement;
use App\Gates\Progress;
use App\Gates\RungAnswers;
use App\Gates\SecondLooks;
use App\Gates\Standings;
use App\Health\Answers\ClearanceView;
use App\Health\Answers\ReferralView;
use App\Health\Answers\SorenessView;
use App\Health\Clearance;
use App\Health\DayReadiness;
use App\Health\ReadinessAnswers;
use App\Library\Answers\LadderView;
use App\Library\Answers\RungView;
use App\Limits\Answers\LoadDayView;
use App\Limits\AthleteLoad;
use App\Limits\Tapes;
use App\People\User;
use App\Returns\Answers\ReturnRefView;
use App\Returns\PlayReturn;
use App\Returns\ReturnRefs;
use App\Seasons\WeeksElsewhere;
use App\Seasons\WorkBeside;
use App\Sessions\SheetRefs;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Load\LoadStatistics;
use Augendo\Core\Load\Measure;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Illuminate\Support\Facades\DB;

/** Where an athlete stands, and how she got here. */
final class AthleteScreen
{
    private const DAYS_BACK = 69;

    private const DAYS_AHEAD = 6;

    public function __construct(
        private readonly Library $library,
        private readonly Progress $progress,
        private readonly NewcomerPlace $place,
        private readonly SecondLooks $looks,
        private readonly WeeksElsewhere $elsewhere,
        private readonly WorkBeside $beside,
        private readonly UsualServe $usualServe,
    ) {}

    public function view(User $user, Athlete $athlete): AthleteView
    {
        $on = $user->workspace->today();
        $day = new AthleteDay($athlete, $on);
        $agreements = new Agreements([$athlete->id], $on, $this->library);
        [$squad, $load, $readiness, $ladders, $limits] = [$day->squad, $day->load, $day->readiness, $day->ladders, $day->limits];

        return new AthleteView(
            athlete: Cards::athlete($athlete, $on),
            date: $on->iso(),
            squad: $squad->name,
            word: $readiness->word->value,
            why: ReadinessAnswers::why($readiness),
            school: $readiness->school->value,
            channels: ReadinessAnswers::channels($readiness),
            referrals: array_map(fn (SorenessReport $report): ReferralView => new ReferralView(
                report_at: $report->at->text,
                site: $report->site->value,
                side: $report->side,
                kind: $report->kind->value,
                score: $report->score,
                sentence: Wording::referral($report),
            ), $readiness->openReferrals),
            clearances: Clearance::query()
                ->where('athlete_id', $athlete->id)
                ->orderByDesc('id')
                ->get()
                ->sortByDesc(DayReadiness::instant(...))
                ->values()
                ->map(self::clearance(...))
                ->all(),
            serves: $this->usualServe->own($day) !== null,
            ladders: array_values(
                array_map(
                    fn (Placement $placement): LadderView => $this->ladder($athlete, $placement, $day, $agreements),
                    $ladders->placementsOf($athlete),
                ),
            ),
            days: $this->days($load, $on),
            tapes: Tapes::inPlay($limits->board($on, $load->record)->states($load->plansOn($on)), $on),
            soreness: $this->soreness($athlete, $squad, $on),
            second_looks: $user->role->decides() ? $this->looks->open([$athlete->id]) : [],
            decisions: Decision::query()
                ->with('decider')
                ->where('athlete_id', $athlete->id)
                ->orderByDesc('decided_at')
                ->get()
                ->map($this->decision(...))
                ->all(),
            sheets: SheetRefs::for([$athlete->id], $on->plus(-14), $on->plus(14), $on)[$athlete->id] ?? [],
            statistics: $this->statistics(LoadStatistics::of($load->record->wholeSeries(Measure::Arm), $on->ordinal)),
            returns: array_map(
                fn (PlayReturn $return): ReturnRefView => ReturnRefs::of(
                    $return,
                    $athlete,
                    $on,
                    $day->returns->work($return, $readiness),
                ),
                $day->returns->all($athlete->id),
            ),
            growing_fast: Adjustment::isGrowingFast($day->limitBook->growthCmAMonth($athlete->id), $day->load->age),
            missing_counts: MissingCounts::of($athlete->id),
            elsewhere: $this->elsewhere->view($day),
            beside: $this->beside->due($day),
        );
    }

    private function ladder(Athlete $athlete, Placement $placement, AthleteDay $day, Agreements $agreements): LadderView
    {
        [$ladders, $readiness] = [$day->ladders, $day->readiness];
        $ladder = $ladders->ladder($placement);
        $current = $ladders->rung($placement);
        $next = $ladder->after($current->id);
        $entered = Placement::query()
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder->id)
            ->orderBy('entered_at')
            ->pluck('entered_on', 'rung');
        $decided = Decision::query()
            ->with('decider')
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder->id)
            ->orderBy('decided_at')
            ->get()
            ->keyBy('rung');
        $marks = DB::table('rep_strips')->where('athlete_id', $athlete->id)->where('ladder', $ladder->id)->get()->groupBy('rung');
        $count = fn (string $rung, string $letters): int => (int) ($marks[$rung] ?? collect())->sum(
            fn (object $strip): int => strlen((string) preg_replace("/[^{$letters}]/", '', $strip->marks)),
        );
        $at = (int) $ladder->position($current->id);

        $gate = $ladders->gate($athlete, $placement, $readiness, $day->load, $day->limits);
        $word = Standings::word($athlete, $current, $readiness);
        $reps = $ladders->reps($athlete, $placement);
        $looked = GateResult::sessions($current->gate, $day->on, $reps);

        return new LadderView(
            id: $ladder->id,
            name: $ladder->name,
            summary: $ladder->summary,
            rungs: array_map(fn (Rung $rung, int $i): RungView => new RungView(
                id: $rung->id,
                name: $rung->name,
                goal: $athlete->sideFor($ladder->skill)->mirror($rung->goal),
                state: $i < $at ? 'held' : ($i === $at ? 'current' : 'ahead'),
                entered_on: isset($entered[$rung->id]) ? substr($entered[$rung->id], 0, 10) : null,
                decision: isset($decided[$rung->id])
                    ? ucfirst(str_replace('_', ' ', $decided[$rung->id]->action)).', '.$decided[$rung->id]->decider->name
                    : null,
                observed: $count($rung->id, 'gbGB'),
                good: $count($rung->id, 'gG'),
            ), $ladder->rungs, array_keys($ladder->rungs)),
            current: $current->id,
            next: $next?->id,
            previous: $ladder->before($current->id)?->id,
            gate: RungAnswers::gate(
                result: $gate,
                rung: $current,
                next: $next,
                athlete: $athlete,
                readiness: $day->readiness,
                reps: $reps,
            ),
            gate_asks: Wording::gateAsks($current->gate),
            sessions: array_map(
                fn (object $strip): JudgedSessionView => new JudgedSessionView(
                    $strip->sheet_id,
                    substr($strip->day, 0, 10),
                    $strip->marks,
                    in_array($strip->sheet_id, $looked, true),
                ),
                array_reverse($ladders->sessions($athlete, $placement)),
            ),
            skill: $ladder->skill->id,
            progress: $this->progress->progress($athlete, $ladder->id, $day->on),
            set_length: $this->progress->setLength($athlete, $ladder->id, $day->squad, $day->on),
            agreement: $agreements->sentenceOn($athlete->id, $ladder->id, $current->id),
            match_ready: MatchReadiness::answer(
                $ladders->matchReady($athlete, $placement, $readiness, $gate, $day->returns->open($athlete->id) !== null),
                $athlete,
                $ladder->id,
                $word,
            ),
            placing: $this->place->answer($athlete, $ladder->id),
        );
    }

    /** @return list<LoadDayView> */
    private function days(AthleteLoad $load, Day $on): array
    {
        $record = $load->record;
        $series = array_map(
            fn (Measure $measure) => $record->wholeSeries($measure),
            [
                'arm' => Measure::Arm,
                'hand' => Measure::Hand,
                'trunk' => Measure::Trunk,
                'landings' => Measure::Landings,
                'high' => Measure::HighReps,
                'reps' => Measure::Reps,
            ],
        );
        $planned = [];
        foreach ($load->plans as $set) {
            $planned[$set->day]['arm'] = ($planned[$set->day]['arm'] ?? 0.0) + $set->cost['arm'];
            $planned[$set->day]['landings'] = ($planned[$set->day]['landings'] ?? 0.0) + $set->cost['landings'];
        }

        return array_map(fn (int $day): LoadDayView => new LoadDayView(
            date: Day::fromOrdinal($day)->iso(),
            arm: $series['arm']->on($day),
            hand: $series['hand']->on($day),
            trunk: $series['trunk']->on($day),
            landings: $series['landings']->on($day),
            high_reps: $series['high']->on($day),
            reps: $series['reps']->on($day),
            planned_arm: $planned[$day]['arm'] ?? 0.0,
            planned_landings: $planned[$day]['landings'] ?? 0.0,
        ), range($on->ordinal - self::DAYS_BACK, $on->ordinal + self::DAYS_AHEAD));
    }

    /** @return list<SorenessView> */
    private function soreness(Athlete $athlete, Squad $squad, Day $on): array
    {
        $school = $squad->school ?? School::byDefaultAt($athlete->ageOn($on));
        $rows = DB::table('soreness_reports')
            ->leftJoin('users', 'users.id', '=', 'soreness_reports.reported_by')
            ->where('athlete_id', $athlete->id)
            ->whereNull('withdrawn_at')
            ->where('day', '>=', $on->plus(-self::DAYS_BACK)->iso())
            ->get(['soreness_reports.*', 'users.name as by'])
            ->sortBy(DayReadiness::instant(...))
            ->values();

        return $rows->map(fn (object $row): SorenessView => new SorenessView(
            at: $row->at,
            day: $row->day,
            moment: Wording::moment(\Augendo\Core\Readiness\Moment::from($row->moment)),
            site: $row->site,
            site_name: Wording::site(Site::from($row->site)),
            side: $row->side,
            kind: Wording::kind(Kind::from($row->kind)),
            score: (int) $row->score,
            word: $school->wordOf(Kind::from($row->kind), (int) $row->score)->value,
            note: $row->note,
            by: $row->by ?? 'by personal link',
        ))->all();
    }

    /** Whose account it was recorded with, who made that account, and when. */
    private static function account(int $userId): string
    {
        $user = DB::table('users')
            ->leftJoin('users as maker', 'maker.id', '=', 'users.invited_by')
            ->leftJoin('users as confirmer', 'confirmer.id', '=', 'users.confirmed_by')
            ->where('users.id', $userId)
            ->first(['users.name', 'users.created_at', 'users.confirmed_at', 'maker.name as maker', 'confirmer.name as confirmer']);
        if ($user === null) {
            return 'an account that is gone';
        }
        $made = $user->created_at === null
            ? ''
            : ', account made '.($user->maker === null ? '' : "by {$user->maker} ").Wording::day(Day::of(substr($user->created_at, 0, 10)));

        return $user->name.$made.(
            $user->confirmer === null ? '' : ", confirmed by {$user->confirmer} ".Wording::day(Day::of(substr($user->confirmed_at, 0, 10)))
        );
    }

    private static function clearance(Clearance $clearance): ClearanceView
    {
        $sites = $clearance->sites === null
            ? 'the whole body'
            : implode(', ', array_map(fn (string $site): string => Wording::site(Site::from($site)), $clearance->sites));

        return new ClearanceView(
            $clearance->at,
            "Cleared by {$clearance->clinician_name}, {$clearance->clinician_role}, document of "
                .Wording::day(Day::of(substr($clearance->document_date, 0, 10)))
                ." for {$sites}, recorded "
                .Wording::day(Instant::of($clearance->at)->day)
                .' by '
                .self::account($clearance->recorded_by)
                .'.',
        );
    }

    private function decision(Decision $decision): DecisionView
    {
        $ladder = $this->library->ladder($decision->ladder, $decision->ladder_version);
        $rung = $ladder->rung($decision->rung);
        $to = $ladder->rung($decision->to_rung);
        $verb = match ($decision->action) {
            'advance' => 'Advanced to',
            'step_back' => 'Stepped back to',
            'pause' => 'Paused on',
            'match_ready' => 'Match ready on',
            default => 'Repeats',
        };

        return new DecisionView(
            id: $decision->id,
            day: substr($decision->day, 0, 10),
            ladder_name: $ladder->name,
            rung_name: $rung->name ?? $decision->rung,
            to_rung_name: $to->name ?? $decision->to_rung,
            action: $decision->action,
            sentence: "{$verb} “".($to->name ?? $decision->to_rung).'”',
            by: $decision->decider->name,
            evidence: KeptEvidence::words($decision, $this->library),
            reason: $decision->reason,
        );
    }

    /** @return array<string, float|null> */
    private function statistics(LoadStatistics $of): array
    {
        return [
            'acute' => $of->acute,
            'chronic_week' => $of->chronicWeek,
            'ratio_ewma' => $of->ratioEwma,
            'monotony' => $of->monotony,
            'strain' => $of->strain,
        ];
    }
}
