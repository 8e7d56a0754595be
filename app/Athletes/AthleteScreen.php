<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\AthleteView;
use App\Courtside\MissingCounts;
use App\Gates\Agreements;
use App\Gates\Answers\DecisionView;
use App\Gates\Decision;
use App\Gates\KeptEvidence;
use App\Gates\MatchReadiness;
use App\Gates\NewcomerPlace;
use App\Gates\Placement;
use App\Gates\Progress;
use App\Gates\RungAnswers;
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
use App\Sessions\SheetRefs;
use App\Wording\Wording;
use Augendo\Core\Day;
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
    ) {}

    public function view(User $user, Athlete $athlete): AthleteView
    {
        $on = $user->workspace->today();
        $day = new AthleteDay($athlete, $on);
        $agreements = new Agreements([$athlete->id], $on, $this->library);
        [$squad, $load, $readiness, $ladders, $limits] = [$day->squad, $day->load, $day->readiness, $day->ladders, $day->limits];

        return new AthleteView(
            Cards::athlete($athlete, $on), $on->iso(), $squad->name, $readiness->word->value, ReadinessAnswers::why($readiness),
            $readiness->school->value,
            ReadinessAnswers::channels($readiness),
            array_map(fn (SorenessReport $report): ReferralView => new ReferralView(
                $report->at->text, $report->site->value, $report->side, $report->kind->value, $report->score, Wording::referral($report),
            ), $readiness->openReferrals),
            Clearance::query()
                ->where('athlete_id', $athlete->id)
                ->orderByDesc('id')
                ->get()
                ->sortByDesc(DayReadiness::instant(...))
                ->values()
                ->map(self::clearance(...))
                ->all(),
            array_values(
                array_map(
                    fn (Placement $placement): LadderView => $this->ladder($athlete, $placement, $day, $agreements),
                    $ladders->placementsOf($athlete),
                ),
            ),
            $this->days($load, $on), Tapes::inPlay($limits->board($on, $load->record)->states($load->plansOn($on)), $on),
            $this->soreness($athlete, $squad, $on),
            Decision::query()
                ->with('decider')
                ->where('athlete_id', $athlete->id)
                ->orderByDesc('decided_at')
                ->get()
                ->map($this->decision(...))
                ->all(),
            SheetRefs::for([$athlete->id], $on->plus(-14), $on->plus(14), $on)[$athlete->id] ?? [],
            $this->statistics(LoadStatistics::of($load->record->wholeSeries(Measure::Arm), $on->ordinal)),
            array_map(
                fn (PlayReturn $return): ReturnRefView => ReturnRefs::of(
                    $return,
                    $athlete,
                    $on,
                    $day->returns->work($return, $readiness),
                ),
                $day->returns->all($athlete->id),
            ),
            Adjustment::isGrowingFast($day->limitBook->growthCmAMonth($athlete->id), $day->load->age), MissingCounts::of($athlete->id),
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

        return new LadderView(
            $ladder->id, $ladder->name, $ladder->summary,
            array_map(fn (Rung $rung, int $i): RungView => new RungView(
                $rung->id, $rung->name, $athlete->sideFor($ladder->skill)->mirror($rung->goal),
                $i < $at ? 'held' : ($i === $at ? 'current' : 'ahead'),
                isset($entered[$rung->id]) ? substr($entered[$rung->id], 0, 10) : null,
                isset($decided[$rung->id])
                    ? ucfirst(str_replace('_', ' ', $decided[$rung->id]->action)).', '.$decided[$rung->id]->decider->name
                    : null,
                $count($rung->id, 'gbGB'), $count($rung->id, 'gG'),
            ), $ladder->rungs, array_keys($ladder->rungs)),
            $current->id, $next?->id, $ladder->before($current->id)?->id,
            RungAnswers::gate($gate, $current, $next, $word, $ladders->reps($athlete, $placement)),
            Wording::gateAsks($current->gate),
            $ladder->skill->id, $this->progress->progress($athlete, $ladder->id, $day->on),
            $this->progress->setLength($athlete, $ladder->id, $day->squad, $day->on),
            $agreements->sentenceOn($athlete->id, $ladder->id, $current->id),
            MatchReadiness::answer(
                $ladders->matchReady($athlete, $placement, $readiness, $gate, $day->returns->open($athlete->id) !== null),
                $athlete,
                $ladder->id,
                $word,
            ),
            $this->place->answer($athlete, $ladder->id),
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
            Day::fromOrdinal($day)->iso(), $series['arm']->on($day), $series['hand']->on($day),
            $series['trunk']->on($day), $series['landings']->on($day),
            $series['high']->on($day), $series['reps']->on($day), $planned[$day]['arm'] ?? 0.0, $planned[$day]['landings'] ?? 0.0,
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
            $row->at, $row->day, Wording::moment(\Augendo\Core\Readiness\Moment::from($row->moment)), $row->site,
            Wording::site(Site::from($row->site)), $row->side,
            Wording::kind(Kind::from($row->kind)), (int) $row->score,
            $school->wordOf(Kind::from($row->kind), (int) $row->score)->value, $row->note,
            $row->by ?? 'by personal link',
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
            $decision->id, substr($decision->day, 0, 10), $ladder->name, $rung->name ?? $decision->rung,
            $to->name ?? $decision->to_rung, $decision->action,
            "{$verb} “".($to->name ?? $decision->to_rung).'”', $decision->decider->name,
            KeptEvidence::words($decision, $this->library),
            $decision->reason,
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
