<?php

declare(strict_types=1);

namespace Augendo\Core\Scoring;

use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Instant;
use Augendo\Core\Library\CourtBox;

/**
 * A round as it was tapped: begun by a tap of its own, it holds the repetitions of its block that came after, until it is full or the next
 * one begins. A device folds the same way: resources/app/rules/round.ts, bound by tests/examples/device-rules.json ("round").
 */
final readonly class RoundPlayed
{
    /**
     * @param  string  $id  of the tap that began it
     * @param  list<Outcome>  $outcomes  in the order they were tapped, no more than the round holds
     * @param  int|null  $by  whoever began it
     */
    private function __construct(
        public string $id,
        public string $blockId,
        public Round $round,
        public array $outcomes,
        public Instant $at,
        public ?int $by,
    ) {}

    /**
     * @param  list<Tap>  $taps  of one sheet, in any order
     * @param  callable(Round): (CourtBox|null)  $box  the box it is played on
     * @return list<self> in the order they were begun
     */
    public static function of(array $taps, callable $box): array
    {
        // A repetition is of the round that was begun last on its block.
        $begun = $current = $of = [];
        foreach (TapFold::inOrder($taps) as $tap) {
            if ($tap->kind === 'round') {
                $current[$tap->blockId] = $tap->id;
                if ($tap->note !== null && $tap->note !== Round::NONE) {
                    $begun[$tap->id] = $tap;
                }
            } elseif (isset($current[$tap->blockId])) {
                $of[$tap->id] = $current[$tap->blockId];
            }
        }
        $came = TapFold::cameOut($taps);
        $reps = [];
        foreach (TapFold::standing($taps) as $rep) {
            if (isset($of[$rep->id], $came[$rep->id])) {
                $reps[$of[$rep->id]][] = $rep;
            }
        }

        return array_values(array_map(function (Tap $tap) use ($reps, $came, $box): self {
            $round = Round::read((string) $tap->note);
            $on = $box($round);
            $outcomes = array_map(fn (Tap $rep): Outcome => Outcome::read($came[$rep->id], $rep->at, $on), $reps[$tap->id] ?? []);

            return new self($tap->id, $tap->blockId, $round, self::upToItsEnd($round, $outcomes), $tap->at, $tap->by);
        }, $begun));
    }

    /**
     * @param  list<Outcome>  $outcomes
     * @return list<Outcome>
     */
    private static function upToItsEnd(Round $round, array $outcomes): array
    {
        $most = match ($round->kind) {
            ScoreKind::TargetRound => $round->figures['zones'] * $round->figures['balls'],
            default => PHP_INT_MAX,
        };
        $hits = match ($round->kind) {
            ScoreKind::ClearTargets => $round->figures['targets'],
            ScoreKind::TimedGaps => $round->figures['gaps'] * $round->figures['passes'],
            default => PHP_INT_MAX,
        };
        $kept = [];
        $hit = 0;
        foreach ($outcomes as $outcome) {
            if (count($kept) >= $most || $hit >= $hits) {
                break;
            }
            $kept[] = $outcome;
            $hit += $outcome->isHit() ? 1 : 0;
        }

        return $kept;
    }

    public function hits(): int
    {
        return count(array_filter($this->outcomes, fn (Outcome $outcome): bool => $outcome->isHit()));
    }

    /**
     * What was seen, as a score is read from it (see Score); null while the round is not finished, or says too little.
     *
     * @param  list<string>  $safe  misses that harm nothing
     * @return array<string, mixed>|null on a court with how many went where as well
     */
    public function seen(array $safe): ?array
    {
        $seen = $this->score($safe);

        return $seen === null || $this->round->on === null ? $seen : [...$seen, 'counts' => $this->counts()];
    }

    /**
     * @param  list<string>  $safe
     * @return array<string, mixed>|null
     */
    private function score(array $safe): ?array
    {
        $figures = $this->round->figures;
        $hit = array_map(fn (Outcome $outcome): bool => $outcome->isHit(), $this->outcomes);
        $throws = count($hit);

        return match ($this->round->kind) {
            ScoreKind::TargetRound => $throws < $figures['zones'] * $figures['balls'] ? null : [
                'points_each' => $figures['points'],
                'zones' => array_chunk($hit, max(1, $figures['balls'])),
                'safe' => count(array_filter($this->outcomes, fn (Outcome $each): bool => ! $each->isHit() && $each->isAcceptable($safe))),
            ],
            ScoreKind::ClearTargets => $this->hits() < $figures['targets'] ? null : [
                'throws' => $throws, 'targets' => $figures['targets'],
            ],
            ScoreKind::InARow => $throws === 0 ? null : [
                'attempts' => array_map(fn (Outcome $outcome): bool => $outcome->isAcceptable($safe), $this->outcomes),
            ],
            ScoreKind::ServeGame => self::points($hit) === [] ? null : ['points' => self::points($hit)],
            ScoreKind::Grouping => count($this->places()) < Grouping::LEAST_POINTS ? null : ['points' => $this->places()],
            ScoreKind::TimedGaps => $this->hits() < $figures['gaps'] * $figures['passes'] ? null : [
                'passes' => $figures['passes'], 'times' => $this->times(), 'throws' => $throws,
            ],
        };
    }

    /** @return list<array{float, float}> where they landed, as far as somebody touched */
    public function places(): array
    {
        return array_values(array_filter(array_map(fn (Outcome $outcome): ?array => $outcome->place, $this->outcomes)));
    }

    /** @return array<string, int> how many came out so, by word: what a serve window is counted from */
    private function counts(): array
    {
        return array_count_values(array_filter(array_map(fn (Outcome $outcome): ?string => $outcome->word, $this->outcomes)));
    }

    /**
     * A first serve that is out is followed by the second; a point that waits for its second serve is none yet.
     *
     * @param  list<bool>  $hit
     * @return list<array{bool, bool|null}>
     */
    private static function points(array $hit): array
    {
        $points = [];
        $waits = false;
        foreach ($hit as $in) {
            if ($waits) {
                $points[] = [false, $in];
                $waits = false;
            } elseif ($in) {
                $points[] = [true, null];
            } else {
                $waits = true;
            }
        }

        return $points;
    }

    /** @return list<float> seconds of each gap, from the first ball at it to its last pass; missed ones take their time */
    private function times(): array
    {
        $passes = $this->round->figures['passes'];
        $times = [];
        $hit = 0;
        $began = null;
        foreach ($this->outcomes as $outcome) {
            $began ??= $outcome->at->microseconds;
            $hit += $outcome->isHit() ? 1 : 0;
            if ($outcome->isHit() && $hit % $passes === 0) {
                $times[] = ($outcome->at->microseconds - $began) / 1e6;
                $began = null;
            }
        }

        return $times;
    }
}
