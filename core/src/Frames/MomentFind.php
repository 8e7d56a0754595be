<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** How a moment is proposed from where the joints are; somebody looks at it and puts it right. */
enum MomentFind: string
{
    /** The throwing hand at its fastest: a release, or a hit from below. */
    case HandFastest = 'hand_fastest';
    /** The throwing hand at its highest about then: a contact overhead. */
    case HandHighest = 'hand_highest';
    /** The throwing hand furthest from the target, before. */
    case HandBack = 'hand_back';
    /** The throwing hand at its lowest, on the way to it. */
    case HandLowest = 'hand_lowest';
    /** The other hand rising at its fastest, before: a toss. */
    case TossHand = 'toss_hand';
    /** The front foot still for the first time, before. */
    case FrontFootDown = 'front_foot_down';
    /** The hips at their highest: a jump. */
    case HipsHighest = 'hips_highest';
    /** The hips at their lowest, before it or after it as the ladder has the moments. */
    case HipsLowest = 'hips_lowest';
    /** The lower foot on the ground again, after. */
    case FootDown = 'foot_down';
}
