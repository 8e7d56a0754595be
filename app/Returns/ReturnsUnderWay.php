<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\Athlete;
use Augendo\Core\Day;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\Attempt;
use Augendo\Core\Returning\StageClearance;
use Augendo\Core\Returning\StageCriterion;
use Augendo\Core\Returning\StageWork;
use Illuminate\Support\Facades\DB;

/** Who is on the way back, and what each return asks for on a day. Fetched for many athletes at once. */
final class ReturnsUnderWay
{
    /** @var array<string, list<PlayReturn>> by athlete, the latest last */
    private array $returns = [];

    /** @var array<string, array<string, list<object>>> reports of the mornings after attempts, by athlete and day */
    private array $mornings = [];

    /** @param  list<Athlete>  $athletes */
    public function __construct(array $athletes, private readonly Day $on)
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $all = PlayReturn::with(['attempts', 'clearances', 'measures'])
            ->whereIn('athlete_id', $ids)
            ->where('state', '!=', 'closed')
            ->orderBy('opened_on')
            ->orderBy('created_at')
            ->get();
        $days = [];
        foreach ($all as $return) {
            $this->returns[$return->athlete_id][] = $return;
            foreach ($return->attempts as $attempt) {
                $days[] = Day::of(substr($attempt->day, 0, 10))->plus(1)->iso();
            }
        }
        if ($days !== []) {
            $rows = DB::table('soreness_reports')->whereIn('athlete_id', array_keys($this->returns))->whereIn('day', array_unique($days))
                ->where('moment', Moment::Morning->value)->whereNull('withdrawn_at')->get();
            foreach ($rows as $row) {
                $this->mornings[$row->athlete_id][substr($row->day, 0, 10)][] = $row;
            }
        }
    }

    /** @return PlayReturn|null the open return on a ladder, or on any when none is named */
    public function open(string $athleteId, ?string $ladder = null): ?PlayReturn
    {
        foreach ($this->returns[$athleteId] ?? [] as $return) {
            if ($return->state === 'open' && ($ladder === null || $return->ladder === $ladder)) {
                return $return;
            }
        }

        return null;
    }

    /** @return list<PlayReturn> */
    public function allOpen(string $athleteId): array
    {
        return array_values(array_filter($this->all($athleteId), fn (PlayReturn $return): bool => $return->state === 'open'));
    }

    /** @return list<PlayReturn> open and finished ones */
    public function all(string $athleteId): array
    {
        return $this->returns[$athleteId] ?? [];
    }

    public function work(PlayReturn $return, Readiness $readiness): StageWork
    {
        return StageWork::on(
            on: $this->on,
            programme: $return->programmeAsOpened(),
            stage: $return->stage,
            attempts: $this->attempts($return),
            clearances: self::clearances($return, $this->on),
            accepted: $return->notBefore(),
            word: self::word($return, $readiness),
        );
    }

    /** The word of the returning place: of its channels and its side. */
    public static function word(PlayReturn $return, Readiness $readiness): Word
    {
        return $readiness->forWork($return->site->channels(), $return->side ?? 'right');
    }

    /** @return list<Attempt> up to the day */
    public function attempts(PlayReturn $return): array
    {
        $upTo = $return->attempts->filter(fn (ReturnAttempt $attempt): bool => substr($attempt->day, 0, 10) <= $this->on->iso());

        return $upTo->map(fn (ReturnAttempt $attempt): Attempt => new Attempt(
            day: Day::of(substr($attempt->day, 0, 10)),
            stage: $attempt->stage,
            completed: $attempt->completed,
            during: $attempt->during,
            eased: $attempt->eased,
            nextMorning: $this->nextMorning($return, $attempt),
            redFlag: $attempt->red_flag,
            jointSore: $attempt->joint_sore,
        ))->values()->all();
    }

    /**
     * The morning after: what was entered by hand, else the worst the report of that morning says of the returning
     * channel; null until reported.
     */
    public function nextMorning(PlayReturn $return, ReturnAttempt $attempt): ?int
    {
        if ($attempt->morning_entered !== null) {
            return $attempt->morning_entered;
        }
        $reports = $this->mornings[$return->athlete_id][Day::of(substr($attempt->day, 0, 10))->plus(1)->iso()] ?? [];
        if ($reports === []) {
            return null;
        }
        $scores = array_map(
            fn (object $report): int => Site::from($report->site)->sharesChannelWith($return->site) ? (int) $report->score : 0,
            $reports,
        );

        return max($scores);
    }

    /** @return list<StageCriterion> of the stage at hand, not yet met */
    public static function unmet(PlayReturn $return): array
    {
        $latest = $return->measures->keyBy('criterion');

        return array_values(array_filter($return->programmeAsOpened()->stages[$return->stage]->criteria, function (
            StageCriterion $criterion,
        ) use ($latest): bool {
            $measure = $latest[$criterion->id] ?? null;

            return $measure === null || ! $criterion->isMet((float) $measure->injured, (float) $measure->sound);
        }));
    }

    /** @return list<StageClearance> */
    public static function clearances(PlayReturn $return, Day $on): array
    {
        $upTo = $return->clearances->filter(
            fn (ReturnClearance $clearance): bool => substr($clearance->document_date, 0, 10) <= $on->iso(),
        );

        return $upTo->map(
            fn (ReturnClearance $clearance): StageClearance => new StageClearance(
                Day::of(substr($clearance->document_date, 0, 10)),
                $clearance->through_stage,
            ),
        )->values()->all();
    }
}
