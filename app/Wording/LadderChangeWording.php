<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Library\LadderChange;
use Augendo\Core\Library\LadderChanges;

/** Where two files of a ladder differ, and how, in words. */
final class LadderChangeWording
{
    private const LISTS = [
        'rungs' => 'Rung', 'faults' => 'Fault', 'checkpoints' => 'Checkpoint', 'moments' => 'Moment', 'tags' => 'Tag', 'blocks' => 'block',
        'drills' => 'drill for',
    ];

    private const KEYS = [
        'effort' => 'effort', 'effort_min' => 'least effort', 'reps' => 'repetitions', 'reps_min' => 'least repetitions',
        'distance_m' => 'metres', 'distance_min_m' => 'least metres', 'distance_share' => 'share of the longest throw',
        'hold_s' => 'seconds held', 'rest_s' => 'seconds of rest', 'drop_cm' => 'height of the box, cm', 'how' => 'the drill written out',
        'seated' => 'from a chair', 'cool_down' => 'cool-down', 'warm_up' => 'warm-up', 'set_up' => 'set-up', 'without' => 'not looked at',
        'picture' => 'what the drill looks like',
        'needs' => 'what it builds on', 'summary' => 'what it is', 'target_rate' => 'share good', 'min_reps' => 'repetitions seen',
        'min_sessions' => 'days', 'text' => 'what to do', 'with' => 'whom the drill takes', 'good' => 'what good is',
    ];

    /** Lists that name what stands in another one. */
    private const NAMES_OF = ['without' => 'checkpoints', 'pair' => 'faults', 'drills' => 'faults'];

    /** Shares that are said in per cent. */
    private const SHARES = [
        'effort', 'effort_min', 'distance_share', 'target_rate', 'lower_bound', 'confidence', 'max_fade', 'step_back_rate',
    ];

    /** What an item is told by. */
    private const IN_SHORT = ['name', 'title', 'goal', 'good', 'cue', 'drill', 'text', 'means', 'ladder', 'rung'];

    /** @var array<string, string> names by list and id */
    private array $names = [];

    /**
     * @param  array<string, mixed>  $ours
     * @param  array<string, mixed>  $theirs
     */
    public function __construct(array $ours, array $theirs)
    {
        foreach ([$theirs, $ours] as $file) {
            foreach (array_keys(self::LISTS) as $list) {
                foreach ($file[$list] ?? [] as $item) {
                    $this->names["{$list}/{$item['id']}"] = (string) $item['name'];
                }
            }
        }
    }

    public function place(LadderChange $change): string
    {
        $words = [];
        $path = $change->path;
        for ($i = 0; $i < count($path); $i++) {
            $list = self::LISTS[$path[$i]] ?? null;
            $next = $path[$i + 1] ?? null;
            if ($list !== null && $next !== null && $next !== LadderChanges::ORDER) {
                $words[] = "{$list} “".$this->named($path[$i], $next).'”';
                $i++;
            } elseif ($path[$i] === LadderChanges::ORDER) {
                $words[] = 'order';
            } elseif (! in_array($path[$i], ['teaching', 'gate', 'dose'], true)) {
                $words[] = self::KEYS[$path[$i]] ?? str_replace('_', ' ', $path[$i]);
            } elseif ($next === null || $path[$i] !== 'teaching') {
                $words[] = ['teaching' => 'how it is taught', 'gate' => 'gate', 'dose' => 'dose of the drill'][$path[$i]];
            }
        }

        return ucfirst(implode(', ', $words));
    }

    /** @return string|null null: it is not there */
    public function value(LadderChange $change, mixed $value): ?string
    {
        $key = $change->path[count($change->path) - 1];
        $list = $change->path[count($change->path) - 2] ?? '';

        return match (true) {
            $value === null => null,
            $key === LadderChanges::ORDER => implode(', ', array_map(
                fn (string $id): string => $this->names["{$list}/{$id}"] ?? $id, array_values(array_filter((array) $value, is_string(...))),
            )),
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && array_is_list($value) => implode('; ', array_map(
                fn (mixed $each): string => is_string($each) ? $this->named($key, $each) : self::inShort($each), $value,
            )),
            is_array($value) => self::inShort($value),
            is_numeric($value) => in_array($key, self::SHARES, true)
                ? Wording::percent((float) $value)
                : Wording::number((float) $value, 2),
            default => is_scalar($value) ? (string) $value : '',
        };
    }

    private function named(string $list, string $id): string
    {
        $of = self::NAMES_OF[$list] ?? $list;

        return $this->names["{$of}/{$id}"] ?? $id;
    }

    /** A whole item by its name and what it says. */
    private static function inShort(mixed $item): string
    {
        if (! is_array($item)) {
            return is_scalar($item) ? (string) $item : '';
        }
        $words = array_filter(array_intersect_key($item, array_flip(self::IN_SHORT)));

        return $words === []
            ? implode(', ', array_map(
                fn (string|int $key, mixed $value): string => str_replace('_', ' ', (string) $key).' '.self::inShort($value),
                array_keys($item),
                $item,
            ))
            : implode('. ', array_map(fn (mixed $word): string => rtrim(is_string($word) ? $word : '', '.'), $words)).'.';
    }
}
