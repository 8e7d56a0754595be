<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/**
 * Who has to agree before somebody is filmed: a guardian until they are grown up, and from twelve years on the athlete as well. On paper it
 * takes a second person who saw it signed. An age that is not known asks for both.
 */
final class FilmConsent
{
    public const GUARDIAN = 'guardian';

    public const ATHLETE = 'athlete';

    /** To be filmed, and measured on the device of whoever films. */
    public const MEASURE = 'measure';

    /** To a clip being sent in: it leaves the device. */
    public const SEND = 'send';

    public const KINDS = [self::MEASURE, self::SEND];

    private const ASKED_FROM_YEARS = 12;

    private const GROWN_UP_AT_YEARS = 18;

    /** @return non-empty-list<'guardian'|'athlete'> */
    public static function asked(?int $age): array
    {
        return match (true) {
            $age === null => [self::GUARDIAN, self::ATHLETE],
            self::isGrownUp($age) => [self::ATHLETE],
            $age >= self::ASKED_FROM_YEARS => [self::GUARDIAN, self::ATHLETE],
            default => [self::GUARDIAN],
        };
    }

    public static function isGrownUp(?int $age): bool
    {
        return $age !== null && $age >= self::GROWN_UP_AT_YEARS;
    }

    /** Whether a consent counts: said on a page of one's own, or on paper before a second person. */
    public static function holds(bool $onOwnPage, string $by, ?string $secondPerson): bool
    {
        return $onOwnPage || ! in_array(self::plain((string) $secondPerson), ['', self::plain($by)], true);
    }

    /**
     * @param  list<string>  $given  the roles of those whose consent holds
     * @return list<'guardian'|'athlete'> whose is missing; empty: the camera may open
     */
    public static function missing(?int $age, array $given): array
    {
        return array_values(array_diff(self::asked($age), $given));
    }

    private static function plain(string $name): string
    {
        return mb_strtolower(trim($name));
    }
}
