<?php

declare(strict_types=1);

namespace App\Spreadsheets;

/** How far a spreadsheet has come. */
enum ImportState: string
{
    case Arriving = 'arriving';
    case Reading = 'reading';
    /** Its columns wait for somebody to say that they are right. */
    case Read = 'read';
    case Judging = 'judging';
    case Judged = 'judged';
    case Taking = 'taking';
    case Taken = 'taken';
    case TakingBack = 'taking back';
    case TakenBack = 'taken back';
    /** It could not be read at all. */
    case Failed = 'failed';

    /** On record, or on the way there or back. */
    public const ON_RECORD = [self::Taking, self::Taken, self::TakingBack, self::TakenBack];

    /** Something works on it just now, and nobody else may. */
    public function isBusy(): bool
    {
        return in_array($this, [self::Arriving, self::Reading, self::Judging, self::Taking, self::TakingBack], true);
    }
}
