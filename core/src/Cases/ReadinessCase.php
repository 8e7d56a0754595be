<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Day;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessClearance;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;

/** Kind `readiness`: the day's word by channel. */
final readonly class ReadinessCase
{
    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'on', 'birth_date', 'reports'], ['school', 'clearances']);
        $on = $case->get('on')->day();
        $birth = $case->get('birth_date')->optional(fn (Node $n): Day => $n->day());
        $readiness = Readiness::on(
            $on,
            $birth === null ? null : $on->ageOf($birth),
            array_map(fn (Node $node): SorenessReport => self::report($node, $on), $case->get('reports')->items()),
            array_map(
                fn (Node $node): SorenessClearance => self::clearance($node, $on),
                $case->get('clearances')->optional(fn (Node $n): array => $n->items()) ?? [],
            ),
            $case->get('school')->optional(fn (Node $n): School => $n->enum(School::class)),
        );

        return [
            'word' => $readiness->word->value,
            'channels' => array_map(fn (Word $word): string => $word->value, $readiness->channels),
            'multipliers' => array_map(fn (Word $word): ?float => $word->multiplier(), $readiness->channels),
        ];
    }

    private static function report(Node $node, Day $on): SorenessReport
    {
        $node->keys(['at', 'moment', 'site', 'kind', 'score'], ['side']);
        $at = $node->get('at')->instant();
        if ($at->day->isAfter($on)) {
            throw new CaseError('future_date', $node->path.'/at', "A report at {$at->text} is after {$on->iso()}.");
        }
        $site = $node->get('site')->enum(Site::class);
        $score = $node->get('score')->int(0, 10);
        if ($site === Site::None && $score !== 0) {
            throw $node->get('score')->outOfRange('“Nothing sore” has the score 0; a sore place needs its site.');
        }

        return new SorenessReport(
            at: $at,
            moment: $node->get('moment')->enum(Moment::class),
            site: $site,
            side: $node->get('side')->optional(fn (Node $n): string => $n->word(['left', 'right'])),
            kind: $node->get('kind')->enum(Kind::class),
            score: $score,
        );
    }

    private static function clearance(Node $node, Day $on): SorenessClearance
    {
        $node->keys(['at', 'sites']);
        $at = $node->get('at')->instant();
        if ($at->day->isAfter($on)) {
            throw new CaseError('future_date', $node->path.'/at', "A clearance at {$at->text} is after {$on->iso()}.");
        }

        return new SorenessClearance($at, $node->get('sites')->optional(
            fn (Node $list): array => array_map(fn (Node $n): Site => $n->enum(Site::class), $list->items()),
        ));
    }
}
