<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

enum Family: string
{
    case Throw = 'throw';
    case Serve = 'serve';
    case Strike = 'strike';
    case Pass = 'pass';
    case Jump = 'jump';
    /** Strength, bands, sprints: beside the skill, on the same body. */
    case Beside = 'beside';
}
