<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

enum Verdict: string
{
    case Pass = 'pass';
    case Fail = 'fail';
    case Unknown = 'unknown';
    case Short = 'short';

    /** A thing that may be true, false or not known. */
    public static function of(?bool $holds): self
    {
        return match ($holds) {
            true => self::Pass,
            false => self::Fail,
            null => self::Unknown,
        };
    }
}
