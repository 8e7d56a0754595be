<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

/** What becomes of a row. */
enum Verdict: string
{
    case Fresh = 'new';
    case Same = 'same';
    case Differs = 'differs';
    case Unusable = 'unusable';
    /** Somebody said so. */
    case LeftOut = 'left out';

    /**
     * Work of one athlete, one day and one skill, in the file beside what is on record. A row never lowers what was counted, and never adds
     * to it by itself: a second look at the same evening would count it twice.
     */
    public static function ofWork(int $onRecord, int $inFile): self
    {
        return match (true) {
            $onRecord === 0 => self::Fresh,
            $onRecord === $inFile => self::Same,
            default => self::Differs,
        };
    }

    /** Somebody of that name, beside whom the club has: the same person, unless a birth date says otherwise. */
    public static function ofPerson(?string $bornOnRecord, ?string $bornInFile): self
    {
        return $bornInFile === null || $bornInFile === $bornOnRecord ? self::Same : self::Differs;
    }
}
