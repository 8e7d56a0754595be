<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** Which of the matches of one day somebody has counted: several may be played on one. */
final class CountedMatches
{
    private const NAMED = 'fixture ';

    /** @return string what work of this match is kept under: one session, however many skills it asked for */
    public static function session(string $match): string
    {
        return self::NAMED.$match;
    }

    public static function isNamed(string $session): bool
    {
        return self::named($session) !== null;
    }

    /** @return string|null id of the match the work is of; null: it names none */
    public static function named(string $session): ?string
    {
        return str_starts_with($session, self::NAMED) ? substr($session, strlen(self::NAMED)) : null;
    }

    /**
     * Work that names its match counts for that one. Work of the day that names none counts for the first match nobody named: a second one
     * still stands as expected.
     *
     * @param  list<string>  $matches  ids of one athlete's day, in order
     * @param  list<string>  $sessions  of the work of these matches on record
     * @return list<string> ids of those that are counted
     */
    public static function of(array $matches, array $sessions): array
    {
        $named = array_values(array_filter($matches, fn (string $id): bool => in_array(self::session($id), $sessions, true)));
        $others = array_filter($sessions, fn (string $session): bool => ! self::isNamed($session));
        $first = array_values(array_diff($matches, $named))[0] ?? null;

        return $others === [] || $first === null ? $named : [...$named, $first];
    }
}
