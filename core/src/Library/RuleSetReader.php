<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\LimitReader;
use Augendo\Core\Cases\Node;
use Augendo\Core\Limits\Limit;

/**
 * Reads a rule set. A coach writes a limit once; `by_age` and `per_side` make one limit of it for each age band and each side, named
 * `id:from-to:side`.
 */
final readonly class RuleSetReader
{
    public function __construct(private LimitReader $limits) {}

    public function read(Node $file): RuleSet
    {
        $file->keys(['id', 'version', 'name', 'notice', 'source', 'limits'], ['$schema']);
        $source = $file->get('source')->string();
        $limits = [];
        foreach ($file->get('limits')->items() as $node) {
            foreach ($this->expand($node, $source) as $limit) {
                if (isset($limits[$limit->id])) {
                    throw $node->get('id')->outOfRange("Two limits are named “{$limit->id}”.");
                }
                $limits[$limit->id] = $limit;
            }
        }

        return new RuleSet(
            $file->get('id')->string(), $file->get('version')->int(1), $file->get('name')->string(),
            $file->get('notice')->string(), array_values($limits),
        );
    }

    /** @return list<Limit> */
    private function expand(Node $node, string $source): array
    {
        $common = array_map(fn (Node $n): mixed => $n->raw(), $node->entries());
        $bands = $node->get('by_age')->optional(fn (Node $n): array => $n->items()) ?? [null];
        $sides = $node->get('per_side')->optional(fn (Node $n): bool => $n->bool()) === true ? ['dominant', 'other'] : [null];
        unset($common['by_age'], $common['per_side']);
        $limits = [];
        foreach ($bands as $band) {
            foreach ($sides as $side) {
                $fields = [...$common, ...($band === null ? [] : array_map(fn (Node $n): mixed => $n->raw(), $band->entries()))];
                $fields['source'] ??= $source;
                $name = [$node->get('id')->string()];
                if ($band !== null) {
                    [$from, $to] = LimitReader::ages($band->get('ages'));
                    $name[] = "{$from}-{$to}";
                }
                if ($side !== null) {
                    $name[] = $side;
                    $fields['filter'] = (object) [...(array) ($fields['filter'] ?? []), 'side' => $side];
                    if (isset($fields['owed_by'])) {
                        $fields['owed_by'] = (object) [...(array) $fields['owed_by'], 'side' => $side];
                    }
                    $fields['label'] = $node->get('label')->string().($side === 'other' ? ', other side' : '');
                }
                $fields['id'] = implode(':', $name);
                $limits[] = $this->limits->read(new Node((object) $fields, $node->path));
            }
        }

        return $limits;
    }
}
