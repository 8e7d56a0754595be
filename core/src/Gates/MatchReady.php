<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Skill;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Tolerance;

/** The gate to a match: held where the outcome counts, under varied practice, on two days at least a week apart. */
final readonly class MatchReady
{
    public const DAYS_APART = 7;

    /** Of a day of varied practice, as many as a coach of twelve really judges. */
    public const LEAST_REPS = 6;

    public const MAX_AGE_DAYS = 60;

    /**
     * @param  array<string, Verdict>  $criteria  held, varied, apart, safety, readiness, clearance
     * @param  list<int>  $goodDays  days of varied practice that were good enough, as ordinals, oldest first
     * @param  int  $judged  judged repetitions of varied practice
     */
    private function __construct(
        public array $criteria, public array $goodDays, public int $judged, public int $good, public int $safetyFaults,
    ) {}

    /**
     * @param  GateResult  $gate  of the rung the athlete stands on
     * @param  list<JudgedRep>  $varied  of varied practice where the outcome counts: game-like work, or where no rung
     *         of the ladder judges any, whatever is judged
     * @param  bool|null  $clearanceOk  null when none is needed
     * @return self|null null on a ladder, or so low on it, that where it lands is not looked at yet
     */
    public static function of(Ladder $ladder, Rung $rung, GateResult $gate, array $varied, Word $word, ?bool $clearanceOk, Day $on): ?self
    {
        $behind = array_filter(
            array_slice($ladder->rungs, 0, (int) $ladder->position($rung->id)),
            fn (Rung $each): bool => ! $each->outcomeIgnored,
        );
        if ($behind === [] && $rung->outcomeIgnored) {
            return null;
        }
        $shown = $gate->criteria[Criterion::Evidence->value] === Verdict::Pass
            && $gate->criteria[Criterion::Mechanics->value] === Verdict::Pass;
        $reps = array_filter(
            $varied,
            fn (JudgedRep $rep): bool => $on->daysSince($rep->at->day) < self::MAX_AGE_DAYS && ! $rep->at->day->isAfter($on),
        );
        $byDay = [];
        foreach (array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null) as $rep) {
            [$judged, $good] = $byDay[$rep->at->day->ordinal] ?? [0, 0];
            $byDay[$rep->at->day->ordinal] = [$judged + 1, $good + ($rep->good === true ? 1 : 0)];
        }
        ksort($byDay);
        $enough = array_filter($byDay, fn (array $day): bool => $day[0] >= self::LEAST_REPS);
        $goodDays = array_keys(
            array_filter($enough, fn (array $day): bool => Tolerance::atLeast($day[1] / $day[0], $rung->gate->targetRate)),
        );
        $safety = count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->safety));

        return new self([
            'held' => Verdict::of($behind !== [] || $shown),
            'varied' => match (true) {
                $goodDays !== [] => Verdict::Pass,
                $enough !== [] => Verdict::Fail,
                default => Verdict::Short,
            },
            'apart' => $goodDays !== [] && max($goodDays) - min($goodDays) >= self::DAYS_APART ? Verdict::Pass : Verdict::Short,
            'safety' => Verdict::of($safety === 0),
            'readiness' => match ($word) {
                Word::Full => Verdict::Pass,
                Word::Unknown => Verdict::Unknown,
                default => Verdict::Fail,
            },
            'clearance' => Verdict::of($clearanceOk ?? true),
        ], $goodDays, array_sum(array_column($byDay, 0)), array_sum(array_column($byDay, 1)), $safety);
    }

    /** @return array<string, mixed> figures and verdicts alone, to be kept and read again by fromArray() */
    public function toArray(): array
    {
        return [
            'criteria' => array_map(fn (Verdict $verdict): string => $verdict->value, $this->criteria),
            'good_days' => array_map(fn (int $day): string => Day::fromOrdinal($day)->iso(), $this->goodDays),
            'judged' => $this->judged,
            'good' => $this->good,
            'safety_faults' => $this->safetyFaults,
        ];
    }

    /** @param  array<string, mixed>  $kept  as toArray() made it */
    public static function fromArray(array $kept): self
    {
        /** @var array{criteria: array<string, string>, good_days: list<string>, judged: int, good: int, safety_faults: int} $kept */
        return new self(
            array_map(Verdict::from(...), $kept['criteria']),
            array_map(fn (string $day): int => Day::of($day)->ordinal, $kept['good_days']),
            $kept['judged'], $kept['good'], $kept['safety_faults'],
        );
    }

    /** Whether a match may be played today: it asks for everything, so the word has to be full. Unknown is not full. */
    public static function mayPlay(Word $word): bool
    {
        return $word === Word::Full;
    }

    /**
     * On a way back nobody plays before they stand on a stage that is match play, unless the match loads no part of it.
     *
     * @param  list<Channel>  $comingBack  the parts on their way back
     */
    public static function waitsForReturn(array $comingBack, bool $isMatchPlay, Skill $skill): bool
    {
        return ! $isMatchPlay && self::loadsAny($comingBack, $skill);
    }

    /** @param  list<Channel>  $channels */
    public static function loadsAny(array $channels, Skill $skill): bool
    {
        return array_filter($skill->loadedChannels(), fn (Channel $channel): bool => in_array($channel, $channels, true)) !== [];
    }

    public function isOpen(): bool
    {
        return array_filter($this->criteria, fn (Verdict $verdict): bool => $verdict !== Verdict::Pass) === [];
    }
}
