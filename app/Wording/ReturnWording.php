<?php

declare(strict_types=1);

namespace App\Wording;

use App\Returns\PlayReturn;
use App\Returns\ReturnAttempt;
use Augendo\Core\Day;
use Augendo\Core\Returning\ProgrammeStage;
use Augendo\Core\Returning\StageWork;
use Augendo\Core\Returning\StepAsked;

/** The way back in words. */
final class ReturnWording
{
    public static function sentence(PlayReturn $return, StepAsked $asked): string
    {
        $stages = $return->programmeAsOpened()->stages;
        $name = "“{$stages[$asked->stage]->name}”";
        $from = $asked->waitsUntil === null ? '' : ', not before '.Wording::day($asked->waitsUntil);

        return match ($asked->action) {
            'stop' => 'Stopped. A clinician’s clearance dated after what happened opens the way again.',
            'clear' => "{$name} needs a clinician’s clearance before anybody starts it.",
            'wait' => 'Waits for the morning after: anything sore, and where?',
            'start' => "Start {$name}{$from}.",
            'repeat' => "Repeat {$name}{$from}.",
            'step_back' => "Step back to {$name}{$from}.",
            'restart' => "Too long ago: start again at {$name}.",
            'advance' => "Ready for {$name}{$from}.",
            default => 'Done. The weeks after stay lighter.',
        };
    }

    /** @return array{string, string} what is awaited, from whom */
    public static function awaited(PlayReturn $return, StageWork $work): array
    {
        return match (true) {
            in_array($work->step->action, ['stop', 'clear'], true) => ['clearance', 'clinician'],
            $work->step->action === 'wait' => ['the morning after', 'athlete'],
            in_array($work->step->action, ['advance', 'done', 'step_back', 'restart'], true) => ['the decision', 'coach'],
            $work->why === 'word' => ['a better day', 'athlete'],
            $work->why === 'not_before' => ['rest until '.Wording::day($work->notBefore ?? throw new \LogicException), 'nobody'],
            default => ['the session', 'coach'],
        };
    }

    public static function dose(ProgrammeStage $stage, ?float $longestThrowM): string
    {
        $distance = match (true) {
            $stage->distanceShare === null => '',
            $longestThrowM === null => ', '.Wording::percent($stage->distanceShare).' of the longest throw (not measured yet)',
            default => ', '
                .Wording::number(round($stage->distanceShare * $longestThrowM * 2) / 2)
                .' m ('
                .Wording::percent($stage->distanceShare)
                .' of the longest)',
        };

        return "{$stage->sets} × {$stage->reps} at ".Wording::percent($stage->effort).$distance
            .($stage->object === 'shadow' ? ', nothing in the hand' : '')
            .($stage->surface === null ? '' : ", {$stage->surface->value} floor").($stage->legs === 1 ? ', one leg' : '');
    }

    public static function asks(ProgrammeStage $stage): string
    {
        $asks = [$stage->passes === 1 ? '1 clean pass' : "{$stage->passes} clean passes"];
        $asks[] = "{$stage->minGapDays} days between";
        if ($stage->needsClearance) {
            $asks[] = 'a clearance first';
        }
        foreach ($stage->criteria as $criterion) {
            $asks[] = lcfirst($criterion->label).' at least '.Wording::percent($criterion->atLeast);
        }
        if ($stage->targetRate !== null) {
            $asks[] = Wording::percent($stage->targetRate).' good';
        }

        if ($stage->isMatchPlay) {
            $asks[] = 'a match may be played for it';
        }

        return implode(', ', $asks);
    }

    public static function attempt(PlayReturn $return, ReturnAttempt $attempt, ?int $nextMorning): string
    {
        $parts = [
            Wording::day(Day::of(substr($attempt->day, 0, 10))), "“{$return->programmeAsOpened()->stages[$attempt->stage]->name}”",
            $attempt->completed ? 'completed' : 'not completed', "at work {$attempt->during}".($attempt->eased ? ', eased' : ''),
            $nextMorning === null ? 'the morning after not reported' : "the morning after {$nextMorning}",
        ];

        return implode(': ', [array_shift($parts), implode(', ', $parts)]).($attempt->red_flag ? '. A sign that needs a clinician.' : '.');
    }
}
