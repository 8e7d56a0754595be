<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/**
 * What differs between two files of a ladder, place by place, so that one change can be taken without the others. Files are read as
 * decoded JSON; nothing is judged here: whoever keeps the outcome reads it as a ladder first.
 */
final class LadderChanges
{
    /** What each file has of its own. */
    private const ITS_OWN = ['$schema', 'id', 'version', 'copied_from'];

    /** In which order a list stands. */
    public const ORDER = '*order';

    /**
     * @param  array<string, mixed>  $from
     * @param  array<string, mixed>  $to
     * @return list<LadderChange> in the order of the files
     */
    public static function between(array $from, array $to): array
    {
        $without = fn (array $file): array => array_diff_key($file, array_flip(self::ITS_OWN));

        return self::inside([], $without($from), $without($to));
    }

    /**
     * Who has changed what, since one was made of the other.
     *
     * @param  array<string, mixed>  $begun  as both stood then
     * @param  array<string, mixed>  $ours
     * @param  array<string, mixed>  $theirs
     * @return array<string, 'ours'|'theirs'|'both'> by pointer
     */
    public static function since(array $begun, array $ours, array $theirs): array
    {
        $pointer = fn (LadderChange $change): string => $change->pointer();
        $byUs = array_map($pointer, self::between($begun, $ours));
        $byThem = array_map($pointer, self::between($begun, $theirs));

        return [
            ...array_fill_keys($byUs, 'ours'),
            ...array_fill_keys($byThem, 'theirs'),
            ...array_fill_keys(array_intersect($byUs, $byThem), 'both'),
        ];
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  list<LadderChange>  $changes  as `between` gives them
     * @return array<string, mixed> the file with those changes: as it would stand in the second one
     */
    public static function taken(array $file, array $changes): array
    {
        foreach ($changes as $change) {
            /** @var array<string, mixed> $file the top of a file has names, not numbers */
            $file = self::put($file, $change->path, $change);
        }

        return $file;
    }

    /**
     * @param  list<string>  $path
     * @return list<LadderChange>
     */
    private static function inside(array $path, mixed $from, mixed $to): array
    {
        // By value: 9 and 9.0 are one length, and keys stand in any order.
        if ($from == $to && gettype($from) === gettype($to)) {
            return [];
        }
        if (is_array($from) && is_array($to) && $path !== [] && self::isKeyed($from) && self::isKeyed($to)) {
            return self::inList($path, self::byKey($from), self::byKey($to));
        }
        if (is_array($from) && is_array($to) && ! array_is_list($from) && ! array_is_list($to)) {
            $changes = [];
            foreach (array_keys($from + $to) as $key) {
                $changes = [...$changes, ...self::inside([...$path, (string) $key], $from[$key] ?? null, $to[$key] ?? null)];
            }

            return $changes;
        }

        return $path === [] || $from == $to ? [] : [new LadderChange($path, $from, $to)];
    }

    /**
     * @param  non-empty-list<string>  $path
     * @param  array<array-key, mixed>  $from
     * @param  array<array-key, mixed>  $to
     * @return list<LadderChange> what is new after what it stands behind, and the order last: taken one by one they fit each other
     */
    private static function inList(array $path, array $from, array $to): array
    {
        $changes = [];
        foreach ($from as $key => $item) {
            $changes = [...$changes, ...(
                isset($to[$key])
                    ? self::inside([...$path, (string) $key], $item, $to[$key])
                    : [new LadderChange([...$path, (string) $key], $item, null)]
            )];
        }
        foreach (array_diff_key($to, $from) as $key => $item) {
            $changes[] = new LadderChange([...$path, (string) $key], null, $item, self::before(array_keys($to), $key));
        }
        $keys = fn (array $of): array => array_map(strval(...), array_keys($of));
        if ($keys(array_intersect_key($from, $to)) !== $keys(array_intersect_key($to, $from))) {
            $changes[] = new LadderChange([...$path, self::ORDER], $keys($from), $keys($to));
        }

        return $changes;
    }

    /**
     * @param  list<string|int>  $keys
     * @return string|null what stands before a key in a list
     */
    private static function before(array $keys, string|int $key): ?string
    {
        $at = array_search($key, $keys, true);

        return $at === false || $at === 0 ? null : (string) $keys[$at - 1];
    }

    /**
     * @param  array<array-key, mixed>  $in
     * @param  non-empty-list<string>  $path
     * @return array<array-key, mixed>
     */
    private static function put(array $in, array $path, LadderChange $change): array
    {
        $key = $path[0];
        $rest = array_slice($path, 1);
        $isList = self::isKeyed($in);
        $items = $isList ? self::byKey($in) : $in;
        if ($key === self::ORDER && $rest === []) {
            return self::inOrder($items, array_values(array_filter((array) $change->after, is_string(...))));
        }
        if ($rest !== []) {
            $inner = $items[$key] ?? [];
            // What it would stand in is not there: then neither is the place.
            if (! is_array($inner) || ($inner === [] && ! isset($items[$key]) && $isList)) {
                return $in;
            }
            $items[$key] = self::put($inner, $rest, $change);
        } elseif ($change->after === null) {
            unset($items[$key]);
        } elseif ($isList && ! isset($items[$key])) {
            $items = self::insert($items, $key, $change);
        } else {
            $items[$key] = $change->after;
        }

        return $isList ? array_values($items) : $items;
    }

    /**
     * @param  array<array-key, mixed>  $items
     * @return array<array-key, mixed>
     */
    private static function insert(array $items, string $key, LadderChange $change): array
    {
        $at = $change->follows === null ? 0 : array_search($change->follows, array_map(strval(...), array_keys($items)), true);
        $place = $at === false ? count($items) : ($change->follows === null ? 0 : $at + 1);

        return array_slice($items, 0, $place, true) + [$key => $change->after] + array_slice($items, $place, null, true);
    }

    /**
     * @param  array<array-key, mixed>  $items
     * @param  list<string>  $keys
     * @return list<mixed> those that are named in that order, the others where they were at the end
     */
    private static function inOrder(array $items, array $keys): array
    {
        $named = array_filter(array_combine($keys, array_map(fn (string $key): mixed => $items[$key] ?? null, $keys)));

        return array_values($named + $items);
    }

    /**
     * Whether a list's items have names of their own. An empty list is no such list: nothing in it is named.
     *
     * @param  array<array-key, mixed>  $list
     */
    private static function isKeyed(array $list): bool
    {
        return $list !== [] && array_is_list($list)
            && array_filter($list, fn (mixed $item): bool => self::keyOf($item) === null) === [];
    }

    /**
     * @param  array<array-key, mixed>  $list
     * @return array<array-key, mixed> items by their key; two of one title are numbered
     */
    private static function byKey(array $list): array
    {
        $items = [];
        foreach ($list as $item) {
            $base = (string) self::keyOf($item);
            $key = $base;
            for ($nth = 2; isset($items[$key]); $nth++) {
                $key = "{$base} ({$nth})";
            }
            $items[$key] = $item;
        }

        return $items;
    }

    private static function keyOf(mixed $item): ?string
    {
        $key = is_array($item) ? $item['id'] ?? $item['title'] ?? null : null;

        return is_string($key) ? $key : null;
    }
}
