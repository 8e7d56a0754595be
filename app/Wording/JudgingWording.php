<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Day;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Gates\Placing;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Rung;
use Augendo\Core\Library\Tag;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Readiness\Word;

/** What judged repetitions say, in sentences. */
final class JudgingWording
{
    /**
     * What whoever watches looks at first, and what good looks like.
     *
     * @param  callable(string): string  $mirror
     * @return list<string>
     */
    public static function lookFor(Rung $rung, callable $mirror): array
    {
        return array_map(
            fn (Checkpoint $checkpoint): string => "{$checkpoint->name}: ".lcfirst($mirror($checkpoint->good)), $rung->lookedAtFirst(),
        );
    }

    public static function agreement(Agreement $of, ?string $splitsOn): string
    {
        return "Two people judged {$of->same} of {$of->n} repetitions alike. "
            .(
                $of->isWeak()
                    ? 'That is weak: look together before you decide'.($splitsOn === null ? '.' : ", first at “{$splitsOn}”.")
                    : 'They agree well.'
            );
    }

    /**
     * A decision that would not pass any more.
     *
     * @param  list<Criterion>  $failing
     */
    public static function secondLook(string $name, string $to, Day $day, array $failing, GateResult $now, ?Gate $gate): string
    {
        $said = $gate === null ? [] : array_map(
            fn (Criterion $of): string => lcfirst(Wording::criterion($of)).': '.rtrim(Wording::evidence($of, $now, $gate, Word::Full), '.'),
            $failing,
        );

        return "{$name} moved on to “{$to}”, ".Wording::day($day).'. With what was put right since, it would not pass any more: '
            .implode('; ', $said).'.';
    }

    /** Which fault leads the last judged repetitions. */
    public static function pattern(FaultPattern $pattern, Fault $fault): string
    {
        return "{$pattern->times} of the last {$pattern->faults} faults: {$fault->name}.";
    }

    public const TWO_AT_ONCE = 'Several things were changed at once: nobody can say which one it was. Change one, and look again.';

    /**
     * What repetitions were besides good or faulty.
     *
     * @param  list<Tag>  $tags  of the rung
     * @param  array<string, list<string>>  $byRep  as TapFold::tags
     * @return list<string>
     */
    public static function tags(array $tags, array $byRep, Handedness $side): array
    {
        $times = array_count_values(array_merge(...array_values($byRep)));
        $seen = array_filter($tags, fn (Tag $tag): bool => isset($times[$tag->id]));

        return array_values(array_map(
            fn (Tag $tag): string => "{$tag->name}, ".Wording::count($times[$tag->id], 'time').": {$side->mirror($tag->means)}", $seen,
        ));
    }

    /** In a row of many. */
    public static function disagreement(Agreement $of): string
    {
        return "two see it differently: {$of->same} of {$of->n} alike";
    }

    public static function progress(CheckpointProgress $of): string
    {
        [$right, $seen] = $of->first;
        if ($of->latest === null) {
            return "{$right} of {$seen} right so far; not enough yet to set first looks against latest.";
        }

        [$rightNow, $seenNow] = $of->latest;
        if ([$right, $seen] === [$rightNow, $seenNow]) {
            return "{$right} of {$seen} right then and now.";
        }
        $so = "First {$right} of {$seen} right, now {$rightNow} of {$seenNow}";

        return $of->says === 'too few to tell' ? "{$so}. Too few to tell." : "{$so}: "
            .self::points($of->difference)
            .' points ('
            .self::points($of->low)
            .' to '
            .self::points($of->high)
            .'). '
            .ucfirst($of->says)
            .'.';
    }

    public static function setLength(SetLength $of): string
    {
        return "Quality goes after repetition {$of->after} of a session: "
            .Wording::percent($of->before)
            .' good up to it, '
            .Wording::percent($of->later)
            .' after.';
    }

    /** @return array<string, array{string, string}> name and evidence of each criterion */
    public static function matchReady(MatchReady $of, Word $word): array
    {
        $days = array_map(fn (int $day): string => Wording::day(Day::fromOrdinal($day)), $of->goodDays);

        return [
            'held' => [
                'Where it counts',
                $of->criteria['held'] === Verdict::Pass
                    ? 'a rung whose outcome counts is held'
                    : 'no rung whose outcome counts is held yet',
            ],
            'varied' => [
                'Varied practice',
                $of->judged === 0
                    ? 'none judged yet'
                    : "{$of->good} of {$of->judged} good in "
                        .MatchReady::MAX_AGE_DAYS
                        .' days; a day counts from '
                        .MatchReady::LEAST_REPS
                        .' judged',
            ],
            'apart' => ['Two days a week apart', $days === [] ? 'no good day yet' : 'good on '.implode(', ', $days)],
            'safety' => [
                'Safety',
                $of->safetyFaults === 0
                    ? 'no safety fault in varied practice'
                    : Wording::count($of->safetyFaults, 'safety fault').' in varied practice',
            ],
            'readiness' => ['Today’s word', Wording::word($word)],
            'clearance' => ['Clearance', $of->criteria['clearance'] === Verdict::Pass ? 'none needed' : 'a referral or a way back is open'],
        ];
    }

    /** @param  array{judged: int, good: int, safety: int}  $seen  on the rung that is looked at */
    public static function placing(Placing $of, array $seen): string
    {
        $so = "{$seen['good']} of {$seen['judged']} judged good".($seen['safety'] === 0 ? '' : ", {$seen['safety']} that can hurt");

        return match (true) {
            $of->place !== null => "{$so}. The place is found.",
            $seen['judged'] < Placing::REPS => "{$so}; "
                .Placing::REPS
                .' are asked for, '
                .Placing::LEAST_GOOD
                .' of them good and none that can hurt.',
            default => "{$so}. On to the next rung.",
        };
    }

    /** @param  list<array{who: string, at: string, said: string|null}>  $words  in order; said null: taken back */
    public static function twoWords(int $setNo, array $words): string
    {
        $each = implode(
            '; ',
            array_map(fn (array $word): string => "{$word['who']}, {$word['at']}: ".($word['said'] ?? 'taken back'), $words),
        );

        return "One repetition of set {$setNo}, two words. {$each}. ".(
            in_array(null, array_column($words, 'said'), true) ? 'It does not count while it is taken back.' : 'The later one stands.'
        );
    }

    /** @param  array{array{string, int}, array{string, int}}  $counted  who, and how many */
    public static function countedTwice(int $setNo, array $counted): string
    {
        return "Two devices counted set {$setNo} at the same time: {$counted[0][1]} by {$counted[0][0]}, "
            ."{$counted[1][1]} by {$counted[1][0]}. All of them count. If some were counted twice, undo those.";
    }

    private static function points(?float $share): string
    {
        return ((float) $share > 0 ? '+' : '').round(100 * (float) $share);
    }
}
