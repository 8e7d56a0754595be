<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Gates\Answers\UnmetView;
use App\Gates\Placement;
use App\Health\DayReadiness;
use App\Limits\AthleteLoads;
use App\People\User;
use App\Returns\Answers\AttemptView;
use App\Returns\Answers\OpenableView;
use App\Returns\Answers\ProgrammeView;
use App\Returns\Answers\ReturnRefView;
use App\Returns\Answers\ReturnView;
use App\Returns\Answers\StageView;
use App\Returns\Answers\StepTakenView;
use App\Wording\ReturnWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\Programme;
use Augendo\Core\Returning\ProgrammeStage;
use Augendo\Core\Returning\StageCriterion;
use Augendo\Core\Returning\StageWork;
use Augendo\Core\Returning\StepAsked;

/** Who is on the way back, what is awaited, and from whom. */
final class ReturnScreen
{
    private const ACCEPTABLE = ['advance', 'step_back', 'restart', 'done'];

    public function __construct(
        private readonly Library $library,
        private readonly AthleteLoads $loads,
        private readonly Programmes $programmes,
    ) {}

    /** @return list<ReturnRefView> open ones first, what is awaited from the coach before the rest */
    public function board(User $user): array
    {
        $on = $user->workspace->today();
        $athletes = $user->visibleAthletes()->with('squads')->get()->all();
        $book = new ReturnsUnderWay($athletes, $on);
        $health = new DayReadiness($athletes, $on);
        $refs = [];
        foreach ($athletes as $athlete) {
            foreach ($book->all($athlete->id) as $return) {
                $readiness = $health->readiness($athlete, $athlete->squads->first());
                $refs[] = ReturnRefs::of($return, $athlete, $on, $book->work($return, $readiness));
            }
        }
        $order = ['coach', 'clinician', 'athlete', 'nobody'];
        usort(
            $refs,
            fn (ReturnRefView $a, ReturnRefView $b): int => [
                $a->state !== 'open',
                array_search($a->awaited_from, $order, true),
                $a->athlete->name,
            ] <=> [$b->state !== 'open', array_search($b->awaited_from, $order, true), $b->athlete->name],
        );

        return $refs;
    }

    public function view(User $user, PlayReturn $return): ReturnView
    {
        $on = $user->workspace->today();
        $athlete = $return->athlete;
        $day = new AthleteDay($athlete, $on);
        $return = PlayReturn::with(['attempts', 'clearances.by', 'measures.by', 'steps.by'])->findOrFail($return->id);
        $work = $day->returns->work($return, $day->readiness);
        $programme = $return->programmeAsOpened();
        $longest = $this->loads->profiles([$athlete], $on)[$athlete->id]->longestThrowM[$this->library->ladder($return->ladder)->skill->id]
            ?? null;
        $unmet = ReturnsUnderWay::unmet($return);
        $word = ReturnsUnderWay::word($return, $day->readiness);
        $hindrance = $this->hindrance($return, $work, $unmet, $word);
        $after = array_values(
            array_filter(
                $day->limits->on($on, $day->load->record),
                fn (Limit $limit): bool => str_starts_with($limit->id, 'after-return-'),
            ),
        )[0] ?? null;

        return new ReturnView(
            ref: ReturnRefs::of($return, $athlete, $on, $work),
            summary: $programme->summary,
            cautions: $programme->cautions,
            ladder_name: $this->library->ladder($return->ladder)->name,
            word: $word->value,
            acceptable: $return->state === 'open' && in_array($work->step->action, self::ACCEPTABLE, true) && $hindrance === null,
            hindrance: $hindrance,
            action_stage: $work->step->stage,
            unmet: array_map(
                fn (StageCriterion $criterion): UnmetView => new UnmetView(
                    $criterion->id,
                    $criterion->label,
                    $criterion->unit,
                    $criterion->atLeast,
                ),
                $unmet,
            ),
            stages: array_map(fn (ProgrammeStage $stage, int $i): StageView => new StageView(
                name: $stage->name,
                text: $athlete->throwing_side->mirror($stage->text),
                dose: ReturnWording::dose($stage, $longest),
                asks: ReturnWording::asks($stage),
                state: $return->state === 'done' || $i < $return->stage ? 'passed' : ($i === $return->stage ? 'current' : 'ahead'),
                clean: self::cleanRun($day->returns, $return, $i),
                passes: $stage->passes,
                needs_clearance: $stage->needsClearance,
            ), $programme->stages, array_keys($programme->stages)),
            attempts: $return->attempts->reverse()->map(
                fn (ReturnAttempt $attempt): AttemptView => self::attempt($return, $attempt, $day->returns, $user),
            )->values()->all(),
            clearances: $return->clearances
                ->reverse()
                ->map(fn (ReturnClearance $clearance): string => self::clearance($return, $clearance))
                ->values()
                ->all(),
            steps: $return->steps->reverse()->map(
                fn (ReturnStepTaken $step): StepTakenView => new StepTakenView(
                    substr($step->decided_at, 0, 10),
                    self::asked($return, $step),
                    $step->by->name,
                ),
            )->values()->all(),
            measures: $return->measures
                ->reverse()
                ->map(fn (ReturnMeasure $measure): string => self::measure($return, $measure))
                ->values()
                ->all(),
            opened_on: substr($return->opened_on, 0, 10),
            after: $return->state === 'done' && $after !== null
                ? "{$after->label}: ".Wording::limit($after->gauge($day->load->record, $on)->read([]), $on)
                : null,
        );
    }

    /** @return list<OpenableView> */
    public function openable(Athlete $athlete): array
    {
        $ladders = Placement::standing()->where('athlete_id', $athlete->id)->distinct()->orderBy('ladder')->pluck('ladder')->all();

        $known = $this->programmes->all($athlete->workspace_id);

        return array_map(function (string $id) use ($known): OpenableView {
            $ladder = $this->library->ladder($id);
            $programmes = array_filter(
                array_column($known, 'document'),
                fn (Programme $programme): bool => in_array($ladder->skill->family, $programme->families, true),
            );

            return new OpenableView($id, $ladder->name, array_values(array_map(
                fn ($programme): ProgrammeView => new ProgrammeView(
                    $programme->id,
                    $programme->name,
                    $programme->summary,
                    $programme->channel->value,
                    array_map(fn ($family): string => $family->value, $programme->families),
                ),
                $programmes,
            )));
        }, $ladders);
    }

    /** @param  list<StageCriterion>  $unmet */
    private function hindrance(PlayReturn $return, StageWork $work, array $unmet, Word $word): ?string
    {
        if ($return->state !== 'open' || ! in_array($work->step->action, ['advance', 'done'], true)) {
            return null;
        }

        return match (true) {
            $unmet !== [] => 'First measure: '.implode(
                '; ',
                array_map(
                    fn (StageCriterion $criterion): string => lcfirst($criterion->label)
                        .', at least '
                        .Wording::percent($criterion->atLeast),
                    $unmet,
                ),
            ).'.',
            $word !== Word::Full => 'Nobody moves on while the word of the returning place is '.Wording::word($word).'.',
            default => null,
        };
    }

    /** Clean attempts in the unbroken run on the stage that ends the record, as the engine counts them. */
    private static function cleanRun(ReturnsUnderWay $book, PlayReturn $return, int $stage): int
    {
        $clean = 0;
        foreach (array_reverse($book->attempts($return)) as $attempt) {
            if ($attempt->stage !== $stage) {
                break;
            }
            $clean += $attempt->isClean() ? 1 : 0;
        }

        return $clean;
    }

    private static function attempt(PlayReturn $return, ReturnAttempt $attempt, ReturnsUnderWay $book, User $user): AttemptView
    {
        $morning = $book->nextMorning($return, $attempt);

        return new AttemptView(
            $attempt->id, substr($attempt->day, 0, 10), ReturnWording::attempt($return, $attempt, $morning), $morning,
            $morning === null && ReturnSteps::mayEnterMorning($attempt, $user),
        );
    }

    private static function clearance(PlayReturn $return, ReturnClearance $clearance): string
    {
        $through = $clearance->through_stage === null
            ? 'for all stages'
            : 'through “'.($return->programmeAsOpened()->stages[$clearance->through_stage]->name ?? '').'”';

        $day = Wording::day(Day::of(substr($clearance->document_date, 0, 10)));

        return "{$clearance->clinician_name}, {$clearance->clinician_role}, {$day}: {$through}. Recorded by {$clearance->by->name}.";
    }

    private static function measure(PlayReturn $return, ReturnMeasure $measure): string
    {
        foreach ($return->programmeAsOpened()->stages as $stage) {
            foreach ($stage->criteria as $criterion) {
                if ($criterion->id === $measure->criterion) {
                    $ratio = Wording::percent($measure->injured / max(1e-9, $measure->sound));
                    $day = Wording::day(Day::of(substr($measure->measured_on, 0, 10)));

                    return "{$criterion->label}: ".Wording::number($measure->injured).' over '.Wording::number($measure->sound)
                        ." {$criterion->unit}, {$ratio}, {$day}, measured by {$measure->measured_by}.";
                }
            }
        }

        return $measure->criterion;
    }

    /** What was asked for when the step was taken. Form 1 of the evidence kept words. */
    private static function asked(PlayReturn $return, ReturnStepTaken $step): string
    {
        return isset($step->evidence['v'])
            ? ReturnWording::sentence($return, StepAsked::fromArray($step->evidence['asked']))
            : $step->evidence['sentence'];
    }
}
