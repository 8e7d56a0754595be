<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/** What has to happen before an incident may be closed. */
enum Closing: string
{
    /** Somebody of the family was told, and it is written down who. */
    case TellGuardian = 'tell_guardian';

    /** Somebody was told, and it is written down who. */
    case TellSomebody = 'tell_somebody';

    /** A clinician has cleared the head knock. */
    case ClearHead = 'clear_head';

    private const GROWN_UP_YEARS = 18;

    /**
     * @param  bool  $isHead  whether it is a head knock
     * @param  bool  $headIsOpen  whether a referral for the head is open
     * @param  int|null  $age  whole years; not known counts as a child
     * @param  bool  $told  whether it is written down who was told
     * @return list<self> empty when it may be closed
     */
    public static function missing(bool $isHead, bool $headIsOpen, ?int $age, bool $told): array
    {
        $tell = $age === null || $age < self::GROWN_UP_YEARS ? self::TellGuardian : self::TellSomebody;

        return [...$told ? [] : [$tell], ...$isHead && $headIsOpen ? [self::ClearHead] : []];
    }
}
