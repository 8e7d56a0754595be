<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/** How a ball is held, in its parts. Of one that is changed in several at once nobody knows which of them worked. */
final readonly class Grip
{
    public const PARTS = ['fingers', 'pressure', 'thumb'];

    public function __construct(public string $fingers, public string $pressure, public string $thumb) {}

    /** @return list<string> the parts that differ, as PARTS; another way of writing the same is no change */
    public function changedFrom(self $before): array
    {
        return array_values(array_filter(
            self::PARTS, fn (string $part): bool => self::plain($this->{$part}) !== self::plain($before->{$part}),
        ));
    }

    /** @param  list<string>  $changed */
    public static function isTooMuchAtOnce(array $changed): bool
    {
        return count($changed) > 1;
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower(trim($text, " \t\n.,;")));
    }
}
