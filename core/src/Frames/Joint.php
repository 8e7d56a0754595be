<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** A landmark that the body has on both sides. */
enum Joint: string
{
    case Shoulder = 'shoulder';
    case Elbow = 'elbow';
    case Wrist = 'wrist';
    case Hip = 'hip';
    case Knee = 'knee';
    case Ankle = 'ankle';
    case Heel = 'heel';
    case Toe = 'toe';
}
