<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\Drill;
use Augendo\Core\Library\DrillAbout;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Skill;
use Augendo\Core\Readiness\Readiness;

/** Drills that cost no limit: somebody may do them while the others work, as often as there is time. */
final class FreeDrills
{
    /**
     * @param  list<Drill>  $drills
     * @param  list<Skill>  $skills  those the athlete knows
     * @param  list<Channel>  $resting  parts that a way back keeps for itself
     * @return list<Drill> those that today allows, what moves first
     */
    public static function of(Readiness $readiness, Handedness $throwing, array $drills, array $skills, array $resting): array
    {
        if ($readiness->isIll()) {
            return [];
        }
        $may = function (Drill $drill) use ($readiness, $throwing, $skills, $resting): bool {
            $loaded = $drill->dose->loadedChannels();
            $isReferred = $readiness->openReferrals !== [] && $loaded !== [];
            $rests = array_filter($loaded, fn (Channel $channel): bool => in_array($channel, $resting, true)) !== [];

            return self::isFree($drill) && ! $isReferred && ! $rests
                && array_filter($skills, $drill->isFor(...)) !== []
                && $readiness->forWork($loaded, $throwing->bodySide($drill->dose->side))->allowsWork();
        };
        $about = array_flip(array_column(DrillAbout::cases(), 'value'));
        $free = array_values(array_filter($drills, $may));
        usort($free, fn (Drill $a, Drill $b): int => $about[$a->about->value] <=> $about[$b->about->value]);

        return $free;
    }

    /** Nothing thrown, nothing landed; whoever moves needs no partner who is free as well. */
    private static function isFree(Drill $drill): bool
    {
        return $drill->about !== DrillAbout::WarmUp
            && ($drill->dose->reps === 0 || $drill->dose->skill->isFootwork())
            && ($drill->about !== DrillAbout::Footwork || $drill->with === DrillWith::Alone);
    }
}
