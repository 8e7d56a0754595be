<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Returns\PlayReturn;
use App\Returns\ReturnsUnderWay;
use App\Wording\ReturnWording;
use App\Wording\Wording;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\StepAsked;

/** Whether somebody may play a match that asks for a skill. */
final class MayPlay
{
    /** On a way back nobody plays before a stage that is match play, unless the match loads no part of it. */
    public static function returning(PlayReturn $return, Skill $skill): ?string
    {
        return MatchReady::waitsForReturn($return->site->channels(), $return->stageAtHand()->isMatchPlay, $skill)
            ? 'On the way back: its stages decide when a match is due.'
            : null;
    }

    /** Ahead of the day: nobody knows the word of it. */
    public static function ahead(ReturnsUnderWay $returns, Skill $skill, Athlete $athlete): ?string
    {
        foreach ($returns->allOpen($athlete->id) as $return) {
            $why = self::returning($return, $skill);
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    /** On the day itself the word decides, too, and a stage that is match play has to be due. */
    public static function today(ReturnsUnderWay $returns, Skill $skill, Athlete $athlete, Readiness $readiness): ?string
    {
        $word = $readiness->forWork($skill->loadedChannels(), $athlete->throwing_side->bodySide(Side::Dominant));

        return self::ahead($returns, $skill, $athlete)
            ?? (MatchReady::mayPlay($word) ? null
                : 'Not today: a match asks for everything, and the word is '.Wording::word($word).'.'
                    .($word === Word::Unknown ? ' Check in first.' : ''))
            ?? self::stageIsNotDue($returns, $skill, $athlete, $readiness);
    }

    private static function stageIsNotDue(ReturnsUnderWay $returns, Skill $skill, Athlete $athlete, Readiness $readiness): ?string
    {
        foreach ($returns->allOpen($athlete->id) as $return) {
            $work = $returns->work($return, $readiness);
            if (MatchReady::loadsAny($return->site->channels(), $skill) && $work->stage !== $return->stage) {
                return 'On the way back, and match play is not due today. '.ReturnWording::sentence($return, StepAsked::of($work));
            }
        }

        return null;
    }
}
