<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** What somebody does at a place. */
enum Task: string
{
    case Works = 'works';
    case Feeds = 'feeds';
    case Catches = 'catches';
    case Measures = 'measures';
}
