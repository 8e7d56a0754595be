<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** Who goes home with whom after a session. */
final class PickUp
{
    /** Whoever is younger is handed to somebody. */
    private const ALONE_FROM_AGE = 16;

    /** With whom somebody went home is nobody's matter any longer than this. */
    public const KEPT_DAYS = 30;

    /** @param  int|null  $age  whole years; null: not known, and taken for a child */
    public static function isNeeded(?int $age): bool
    {
        return $age === null || $age < self::ALONE_FROM_AGE;
    }

    /**
     * @param  list<string>  $names  whom the guardian named
     * @return bool whether a name is one of them, however it is written
     */
    public static function isOnList(string $name, array $names): bool
    {
        $plain = fn (string $of): string => mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $of)));

        return in_array($plain($name), array_map($plain, $names), true);
    }
}
