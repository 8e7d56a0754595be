<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/** What an answer to “ill today?” makes of a fever. */
enum IllAnswer
{
    /** It begins today. */
    case Opens;

    /** It turned out to be none: the answer that opened it, earlier today, is mended. */
    case TakesBack;

    /** It is over: yesterday was its last day. */
    case Ends;

    case ChangesNothing;
}
