<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Gates\Placement;
use App\Health\DayReadiness;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\AthleteLoads;
use App\People\Role;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Seasons\MatchTeam;
use App\Sessions\RefitPlans;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use App\Wording\ReturnWording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\UsualWeek;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\AttemptReading;
use Augendo\Core\Returning\StepAsked;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Opens returns, keeps what comes in, and takes the engine's next step when a coach accepts it. */
final class ReturnSteps
{
    public function __construct(
        private readonly Library $library,
        private readonly AthleteLoads $loads,
        private readonly Programmes $programmes,
    ) {}

    /** @param  array{id: string, programme: string, ladder: string, site: string, side: string|null}  $given validated */
    public function open(Athlete $athlete, array $given, User $by): PlayReturn
    {
        return Alone::with($athlete->id, function () use ($athlete, $given, $by): PlayReturn {
            if (Sent::before('returns', $given['id'], ['athlete_id' => $athlete->id])) {
                return PlayReturn::query()->findOrFail($given['id']);
            }
            $on = $by->workspace->today();
            if ((new ReturnsUnderWay([$athlete], $on))->open($athlete->id, $given['ladder']) !== null) {
                throw new Problem(ProblemType::AlreadyOnTheWayBack, 'There is an open return on this ladder. Finish or close it first.');
            }
            $kept = $this->programmes->all($by->workspace_id)[$given['programme']]
                ?? throw new Problem(
                    ProblemType::NoSuchProgramme,
                    'Choose one of the programmes.',
                    ['programme' => ['No such programme.']],
                );
            $programme = $kept['document'];
            $ladder = $this->library->ladder($given['ladder']);
            if (! in_array($ladder->skill->family, $programme->families, true)) {
                throw new Problem(
                    ProblemType::AnotherProgrammeIsNeeded,
                    "“{$programme->name}” is not made for “{$ladder->name}”.",
                    ['programme' => ['This programme is for another kind of skill.']],
                );
            }
            $return = PlayReturn::query()->create([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'programme' => $programme->id,
                'programme_version' => $programme->version,
                'definition' => $kept['definition'],
                'ladder' => $ladder->id, 'site' => $given['site'], 'side' => $given['side'],
                'usual_week' => $this->usualWeek($athlete, $programme->channel, $on),
                'opened_on' => $on->iso(), 'opened_by' => $by->id,
            ]);
            app(MatchTeam::class)->leaveWhatLoads($athlete, $return, $on);
            Audit::of($by, $athlete, 'return opened', ['programme' => $programme->name]);
            $this->changed($athlete, $on);

            return $return;
        });
    }

    /** @param  array<string, mixed>  $given validated */
    public function clear(PlayReturn $return, array $given, User $by): void
    {
        Alone::with($return->athlete_id, function () use ($return, $given, $by): void {
            if (Sent::before('return_clearances', $given['id'], ['return_id' => $return->id])) {
                return;
            }
            ReturnClearance::query()->create([
                ...$given, 'return_id' => $return->id,
                // A clinician signs with their own name; a coach copies the name from the document.
                'clinician_name' => $by->role === Role::Clinician ? $by->name : $given['clinician_name'],
                'recorded_by' => $by->id, 'recorded_at' => Carbon::now(),
            ]);
            Audit::of($by, $return->athlete, 'return clearance', ['through_stage' => $given['through_stage']]);
            $this->changed($return->athlete, $by->workspace->today());
        });
    }

    /** @param  array<string, mixed>  $given validated */
    public function measure(PlayReturn $return, array $given, User $by): void
    {
        Alone::with($return->athlete_id, function () use ($return, $given, $by): void {
            if (Sent::before('return_measures', $given['id'], ['return_id' => $return->id])) {
                return;
            }
            ReturnMeasure::query()->create([
                ...$given,
                'return_id' => $return->id,
                'recorded_by' => $by->id,
                'recorded_at' => Carbon::now(),
            ]);
            $this->changed($return->athlete, $by->workspace->today());
        });
    }

    /** A sheet for the stage on a day: the one that is there, or a session of its own. */
    public function plan(PlayReturn $return, Day $day, User $by): Sheet
    {
        return Alone::with($return->athlete_id, function () use ($return, $day, $by): Sheet {
            $squad = $return->athlete->squads()->orderBy('squads.id')->firstOrFail();
            $there = Sheet::query()
                ->where('athlete_id', $return->athlete_id)
                ->where('held_on', $day->iso())
                ->where('ladder', $return->ladder)
                ->whereIn('state', ['planned', 'running'])
                ->first();
            if ($there !== null) {
                return $there;
            }
            $session = TrainingSession::ofDay($squad->id, $day, $return->ladder, '17:00', 'Return session');
            $placement = Placement::query()
                ->where('athlete_id', $return->athlete_id)
                ->where('ladder', $return->ladder)
                ->orderByDesc('entered_at')
                ->firstOrFail();
            $sheet = Sheet::planned($session, $placement);
            $sheet->save();
            RefitPlans::afterCommit($sheet);
            Audit::of($by, $return->athlete, 'return session planned', ['day' => $day->iso()]);

            return $sheet;
        });
    }

    public static function mayEnterMorning(ReturnAttempt $attempt, User $by): bool
    {
        $hours = self::hoursSinceMorning($attempt, $by);

        return $hours >= 0 && $hours <= AttemptReading::MORNING_ENTRY_HOURS;
    }

    /** From the start of the day after the attempt, where the club trains. */
    private static function hoursSinceMorning(ReturnAttempt $attempt, User $by): float
    {
        $morning = Carbon::parse(Day::of(substr($attempt->day, 0, 10))->plus(1)->iso(), $by->workspace->timezone);

        return (Carbon::now()->getTimestamp() - $morning->getTimestamp()) / 3600;
    }

    public function enterMorning(PlayReturn $return, ReturnAttempt $attempt, int $score, User $by): void
    {
        $hours = self::hoursSinceMorning($attempt, $by);
        if ($hours < 0) {
            throw new Problem(
                ProblemType::TooEarly,
                'The morning after has not come yet.',
                ['score' => ['The morning after has not come yet.']],
            );
        }
        if ($hours > AttemptReading::MORNING_ENTRY_HOURS) {
            throw new Problem(
                ProblemType::TooLate,
                'A missed morning may be entered for '.AttemptReading::MORNING_ENTRY_HOURS
                    .' hours. It stays not reported, which is never a pass; repeat the stage.',
                ['score' => ['More than '.AttemptReading::MORNING_ENTRY_HOURS.' hours ago.']],
            );
        }
        Alone::with($return->athlete_id, function () use ($return, $attempt, $score, $by): void {
            $attempt->update(['morning_entered' => $score]);
            Audit::of($by, $return->athlete, 'morning after entered by hand', ['day' => substr($attempt->day, 0, 10), 'score' => $score]);
            $this->changed($return->athlete, $by->workspace->today());
        });
    }

    /** @param  array{id: string, action: string, stage: int}  $given what the coach saw and accepts */
    public function accept(PlayReturn $return, array $given, User $by): void
    {
        Alone::with($return->athlete_id, function () use ($return, $given, $by): void {
            if (Sent::before('return_steps', $given['id'], ['return_id' => $return->id])) {
                return;
            }
            $on = $by->workspace->today();
            $athlete = $return->athlete;
            $day = new AthleteDay($athlete, $on);
            [$book, $readiness] = [$day->returns, $day->readiness];
            $fresh = $book->open($athlete->id, $return->ladder)
                ?? throw new Problem(ProblemType::EndedMeanwhile, 'This return is not open any more.');
            $work = $book->work($fresh, $readiness);
            if ($work->step->action !== $given['action'] || $work->step->stage !== $given['stage']) {
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    'What comes next has changed since you looked: '.ReturnWording::sentence($fresh, StepAsked::of($work))
                        .' Load the page again.',
                );
            }
            if (! in_array($given['action'], ['advance', 'step_back', 'restart', 'done'], true)) {
                throw new Problem(ProblemType::NothingToAccept, ReturnWording::sentence($fresh, StepAsked::of($work)));
            }
            if (in_array($given['action'], ['advance', 'done'], true)) {
                $this->refuseWhenNotMet($fresh, ReturnsUnderWay::word($fresh, $readiness));
            }
            $last = $fresh->attempts->last();
            ReturnStepTaken::query()->create([
                'id' => $given['id'], 'return_id' => $fresh->id, 'attempt_id' => $last?->id,
                'action' => $given['action'], 'from_stage' => $fresh->stage,
                'to_stage' => $given['stage'], 'not_before' => $work->step->notBefore?->iso(),
                'evidence' => [
                    'v' => 2,
                    'asked' => StepAsked::of($work)->toArray(),
                    'attempts' => $fresh->attempts->map(fn (ReturnAttempt $attempt): array => [
                        'id' => $attempt->id,
                        'next_morning' => $book->nextMorning($fresh, $attempt),
                    ])->all(),
                ],
                'decided_by' => $by->id, 'decided_at' => Carbon::now(),
            ]);
            $fresh->update($given['action'] === 'done'
                ? ['state' => 'done', 'ended_on' => $on->iso()]
                : ['stage' => $given['stage'], 'not_before' => $work->step->notBefore?->iso()]);
            Audit::of($by, $athlete, "return {$given['action']}", ['stage' => $given['stage']]);
            $this->changed($athlete, $on);
        });
    }

    public function close(PlayReturn $return, string $reason, User $by): void
    {
        Alone::with($return->athlete_id, function () use ($return, $reason, $by): void {
            $return->update(['state' => 'closed', 'ended_on' => $by->workspace->today()->iso(), 'end_reason' => $reason]);
            Audit::of($by, $return->athlete, 'return closed', ['reason' => $reason]);
            $this->changed($return->athlete, $by->workspace->today());
        });
    }

    /** Takes the attempt out of a finished session. Who did not check in moved no stage. */
    public function recordAttempt(Sheet $sheet, Word $word, int $doneOfStage, ?float $goodRate, User $by): void
    {
        $return = $sheet->return_id === null ? null : PlayReturn::query()->find($sheet->return_id);
        if ($return === null || $return->state !== 'open' || $doneOfStage === 0 || $word === Word::Unknown) {
            return;
        }
        $reports = DB::table('soreness_reports')
            ->where('athlete_id', $sheet->athlete_id)
            ->where('day', $sheet->day()->iso())
            ->whereNull('withdrawn_at')
            ->get()
            ->map(DayReadiness::report(...))
            ->all();
        $read = AttemptReading::of(
            day: $sheet->day(),
            stage: $sheet->return_stage,
            asked: $return->programmeAsOpened()->stages[$sheet->return_stage],
            returning: $return->site,
            reports: $reports,
            school: $this->school($sheet),
            done: $doneOfStage,
            goodRate: $goodRate,
        );
        ReturnAttempt::query()->updateOrCreate(['sheet_id' => $sheet->id], [
            'return_id' => $return->id, 'day' => $read->day->iso(), 'stage' => $read->stage,
            'completed' => $read->completed, 'during' => $read->during, 'eased' => $read->eased,
            'joint_sore' => $read->jointSore, 'red_flag' => $read->redFlag, 'recorded_by' => $by->id, 'recorded_at' => Carbon::now(),
        ]);
    }

    private function school(Sheet $sheet): School
    {
        return (new DayReadiness([], $sheet->day()))->school(
            $sheet->athlete()->firstOrFail(),
            $sheet->trainingSession()->with('squad')->firstOrFail()->squad,
        );
    }

    private function refuseWhenNotMet(PlayReturn $return, Word $word): void
    {
        $unmet = ReturnsUnderWay::unmet($return);
        if ($unmet !== []) {
            $names = implode(', ', array_map(fn ($criterion): string => lcfirst($criterion->label), $unmet));
            throw new Problem(ProblemType::SomethingIsStillToBeMeasured, "Before this stage is left: {$names}.", ['criteria' => [$names]]);
        }
        if ($word !== Word::Full) {
            throw new Problem(
                ProblemType::NotOnThisDay,
                'Nobody moves on while the word of the returning place is not Full.',
                ['action' => ['The word is not Full.']],
            );
        }
    }

    /** The best month of the last ten weeks, as a mean week in the channel's units. */
    private function usualWeek(Athlete $athlete, Channel $channel, Day $on): float
    {
        $series = $this->loads->for([$athlete], $on)[$athlete->id]->record->wholeSeries($channel->measure());

        return UsualWeek::read($series, $on->ordinal);
    }

    private function changed(Athlete $athlete, Day $on): void
    {
        AthletesChanged::one($athlete, $on);
    }
}
