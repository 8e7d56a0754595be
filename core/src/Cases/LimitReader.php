<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\LevelLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\RatioLimit;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Limits\StreakLimit;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\RatioMethod;
use Augendo\Core\Load\Side;

/** Reads one limit of a case or a rule set. */
final readonly class LimitReader
{
    private const COMMON = ['id', 'kind', 'label', 'source', 'severity'];

    private const OPTIONAL = ['ages', 'filter'];

    private const PARAMETERS = [
        'cap' => [['measure', 'window', 'max'], []],
        'level' => [['measure', 'max'], []],
        'rest' => [['measure', 'table'], ['owed_by', 'waits']],
        'streak' => [['measure', 'max_days'], ['at_least']],
        'step' => [['measure', 'max_increase', 'floor'], []],
        'ratio' => [['measure', 'method', 'low', 'high', 'stop', 'min_days'], ['min_chronic']],
    ];

    /** @param  list<string>  $skills ids a filter may name */
    public function __construct(private array $skills) {}

    /** @throws CaseError */
    public function read(Node $node): Limit
    {
        $node->keys(['kind'], [...self::COMMON, ...self::OPTIONAL, ...array_merge(...array_merge(...array_values(self::PARAMETERS)))]);
        $kind = $node->get('kind')->word(array_keys(self::PARAMETERS));
        [$required, $optional] = self::PARAMETERS[$kind];
        $node->keys([...self::COMMON, ...$required], [...self::OPTIONAL, ...$optional]);
        $terms = new LimitTerms(
            id: $node->get('id')->string(),
            label: $node->get('label')->string(),
            source: $node->get('source')->string(),
            severity: $node->get('severity')->enum(Severity::class),
            ages: $node->get('ages')->optional(self::ages(...)),
            filter: $node->get('filter')->optional($this->filter(...)) ?? new LimitFilter,
        );
        if ($kind === 'level') {
            /** @var 'effort'|'distance' $level */
            $level = $node->get('measure')->word(['effort', 'distance']);

            return new LevelLimit($terms, level: $level, max: $node->get('max')->number(0));
        }
        $measure = $node->get('measure')->enum(Measure::class);

        return match ($kind) {
            'cap' => new CapLimit(
                $terms,
                measure: $measure,
                windowDays: self::windowDays($node->get('window'), $node->get('measure'), $measure),
                max: $node->get('max')->number(0),
            ),
            'rest' => new RestLimit(
                $terms,
                measure: $measure,
                table: array_map(self::tableRow(...), $node->get('table')->items()),
                owedBy: $node->get('owed_by')->optional($this->filter(...)),
                waits: $node->get('waits')->optional(fn (Node $n): Measure => $n->enum(Measure::class)),
            ),
            'streak' => new StreakLimit(
                $terms,
                measure: $measure,
                maxDays: $node->get('max_days')->int(0),
                atLeast: $node->get('at_least')->optional(fn (Node $n): float => $n->positive()),
            ),
            'step' => new StepLimit(
                $terms,
                measure: $measure,
                maxIncrease: $node->get('max_increase')->number(0),
                floor: $node->get('floor')->positive(),
            ),
            default => new RatioLimit(
                $terms, measure: $measure, method: $node->get('method')->enum(RatioMethod::class),
                low: $node->get('low')->number(0), high: $node->get('high')->number(0), stop: $node->get('stop')->number(0),
                minDays: $node->get('min_days')->int(0),
                minChronic: $node->get('min_chronic')->optional(fn (Node $n): float => $n->number(0)) ?? 0.0,
            ),
        };
    }

    /** @return array{int, int} */
    public static function ages(Node $node): array
    {
        $ages = $node->items();
        if (count($ages) !== 2) {
            throw $node->outOfRange('Ages are two whole numbers, from and to.');
        }
        [$from, $to] = [$ages[0]->int(0), $ages[1]->int(0)];

        return $from <= $to ? [$from, $to] : throw $node->outOfRange("Ages from {$from} to {$to} hold for nobody.");
    }

    private function filter(Node $node): LimitFilter
    {
        $node->keys([], ['skills', 'families', 'side', 'objects']);
        $side = $node->get('side');

        return new LimitFilter(
            $node->get('skills')->optional(fn (Node $list): array => array_map($this->skill(...), $list->items())),
            $node->get('families')->optional(
                fn (Node $list): array => array_map(fn (Node $n): Family => $n->enum(Family::class), $list->items()),
            ),
            $side->optional(fn (Node $n): array => is_array($n->raw())
                ? array_map(fn (Node $one): Side => $one->enum(Side::class), $n->items())
                : [$n->enum(Side::class)]),
            $node->get('objects')->optional(
                fn (Node $list): array => array_map(fn (Node $n): Implement => $n->enum(Implement::class), $list->items()),
            ),
        );
    }

    private function skill(Node $node): string
    {
        $skill = $node->string();

        return in_array($skill, $this->skills, true)
            ? $skill
            : throw new CaseError('unknown_reference', $node->path, "There is no skill “{$skill}”.");
    }

    private static function windowDays(Node $window, Node $measureNode, Measure $measure): ?int
    {
        $window->keys([], ['session', 'days']);
        if ($window->get('days')->isNull()) {
            $window->keys(['session'], ['days']);
            if (! $window->get('session')->bool()) {
                throw $window->get('session')->outOfRange('A window is {"session": true} or {"days": N}.');
            }
            if ($measure === Measure::Internal) {
                throw $measureNode->outOfRange('Internal load has no session window; give it days.');
            }

            return null;
        }
        if (! $window->get('session')->isNull()) {
            throw $window->outOfRange('A window is one session or so many days, not both.');
        }

        return $window->get('days')->int(1);
    }

    /** @return array{float, int} */
    private static function tableRow(Node $node): array
    {
        $node->keys(['at_least', 'rest_days']);

        return [$node->get('at_least')->positive(), $node->get('rest_days')->int(0)];
    }
}
