<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Returns\PlayReturn;
use App\Wording\Wording;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;

/** Whether somebody may play a match that asks for a skill. */
final class MayPlay
{
    /** On a way back nobody plays before its stages say so, unless the match loads no part of it. */
    public static function returning(?PlayReturn $return, Skill $skill): ?string
    {
        return $return !== null && MatchReady::waitsForReturn($return->site->channels(), $skill)
            ? 'On the way back: its stages decide when a match is due.'
            : null;
    }

    /** On the day itself the word decides, too. */
    public static function today(?PlayReturn $return, Skill $skill, Athlete $athlete, Readiness $readiness): ?string
    {
        $word = $readiness->forWork($skill->loadedChannels(), $athlete->throwing_side->bodySide(Side::Dominant));

        return self::returning($return, $skill) ?? (MatchReady::mayPlay($word) ? null
            : 'Not today: a match asks for everything, and the word is '.Wording::word($word).'.'
                .($word === Word::Unknown ? ' Check in first.' : ''));
    }
}
