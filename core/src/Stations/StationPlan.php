<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\BlockKind;

/**
 * A squad's hour: everybody goes through their own work in its order, side by side in the spaces there are, in rounds on one clock. What is
 * placed is as much work as can be found room for; the session is as long as its work and no longer.
 */
final readonly class StationPlan
{
    /** Of the time between the first round and the last, everybody who may train should do useful work of their own. */
    public const USEFUL_SHARE = 0.6;

    /** More than this left over at the end is worth saying. */
    private const EARLY_MIN = 3;

    /**
     * @param  list<Round>  $rounds
     * @param  list<LeftOut>  $leftOut
     * @param  list<StationFlag>  $flags
     */
    private function __construct(public Hour $hour, public array $rounds, public array $leftOut, public array $flags) {}

    public static function make(Hour $hour): self
    {
        $fill = new RoundFill($hour);
        $helpers = new Helpers($hour);
        $rounds = [];
        $at = Schedule::begins(count($hour->attendees))->at;
        foreach (RoundSearch::best($hour, $fill)->rounds as ['start' => $start, 'minutes' => $minutes, 'filling' => $filling]) {
            $rounds[] = self::round($hour, $fill, $helpers, $at, $start, $minutes, $filling);
            $at = $filling->at;
        }
        $left = self::leftOut($hour, $fill, $at);
        $plan = new self($hour, $rounds, $left, []);

        return new self($hour, $rounds, $left, $plan->look());
    }

    /** @return int minutes from the start to the end of the last round; the warm-up where there is none */
    public function workEndsMin(): int
    {
        return $this->rounds === [] ? $this->hour->warmUpMin : $this->rounds[count($this->rounds) - 1]->endMin();
    }

    /** @return int minutes from the start to the end of the cool-down: as long as its work, never longer than asked for */
    public function endsMin(): int
    {
        return min($this->hour->minutes, $this->workEndsMin() + $this->hour->coolDownMin);
    }

    /**
     * @return array<string, float> by id: own work placed as a share of the time from the first round to the end of the last; 0 without
     * rounds
     */
    public function usefulShare(): array
    {
        return array_map($this->shareOf(...), array_combine(
            array_column($this->hour->attendees, 'id'), array_map($this->placedSeconds(...), $this->hour->attendees),
        ));
    }

    /** @return float these seconds as a share of the time from the first round to the end of the last; 0 without rounds */
    public function shareOf(int $seconds): float
    {
        return $this->rounds === [] ? 0.0 : $seconds / (60 * ($this->workEndsMin() - $this->rounds[0]->startMin));
    }

    /** @return float the useful share of whoever has least of it, of all who have work; 1 when nobody has */
    public function leastShare(): float
    {
        return $this->leastOf($this->usefulShare());
    }

    /**
     * @param  array<string, float>  $share  of everybody, by id
     * @return float the least of those who have work; 1 when nobody has
     */
    public function leastOf(array $share): float
    {
        $least = 1.0;
        foreach ($this->hour->attendees as $attendee) {
            $least = $attendee->work === [] ? $least : min($least, $share[$attendee->id]);
        }

        return $least;
    }

    /** @return int seconds of work that have a place, of everybody together */
    public function seconds(): int
    {
        return array_sum(array_map($this->placedSeconds(...), $this->hour->attendees));
    }

    public function placedSeconds(Attendee $attendee): int
    {
        $seconds = array_sum(array_map(fn (Piece $piece): int => $piece->seconds, $attendee->work));
        foreach ($this->leftOut as $left) {
            $seconds -= $left->id === $attendee->id ? $attendee->work[$left->work]->seconds : 0;
        }

        return $seconds;
    }

    /** @param  array<int, int>  $at  how far each one was before it */
    private static function round(
        Hour $hour, RoundFill $fill, Helpers $helpers, array $at, int $start, int $minutes, Filling $filling,
    ): Round {
        $places = $busy = [];
        ksort($filling->places);
        foreach ($filling->places as $space => $place) {
            $placed = [];
            ksort($place['pieces']);
            foreach ($place['pieces'] as $i => $pieces) {
                $placed[] = new Placed($hour->attendees[$i]->id, Task::Works, array_slice($fill->todo($i), $at[$i], $pieces));
                $busy[$hour->attendees[$i]->id] = true;
            }
            $places[] = new Place($hour->spaces[$space]->id, $fill->skillOf($place['skill']), $place['adult'], $placed);
        }
        $idle = fn (Attendee $attendee): bool => ! isset($busy[$attendee->id]) && $attendee->fromMin <= $start;
        $places = $helpers->join(
            self::watched($hour, $places),
            array_values(array_filter($hour->attendees, $idle)),
            $minutes,
        );
        foreach ($places as $place) {
            foreach ($place->placed as $placed) {
                $busy[$placed->id] = true;
            }
        }
        $ids = array_map(fn (Attendee $attendee): string => $attendee->id, $hour->attendees);

        return new Round($start, $minutes, $places, array_values(array_filter($ids, fn (string $id): bool => ! isset($busy[$id]))));
    }

    /**
     * Adults nobody has to have stand where it is hard or somebody lands, then where most repetitions of the whole are judged.
     *
     * @param  list<Place>  $places
     * @return list<Place>
     */
    private static function watched(Hour $hour, array $places): array
    {
        $left = $hour->adults - count(array_filter($places, fn (Place $place): bool => $place->adult));
        $worth = [];
        foreach ($places as $p => $place) {
            $worth[$p] = $place->adult ? null : self::worthWatching($hour, $place);
        }
        $worth = array_filter($worth, fn (?array $rank): bool => $rank !== null);
        arsort($worth);
        foreach (array_slice(array_keys($worth), 0, max(0, $left)) as $p) {
            $places[$p] = new Place($places[$p]->space, $places[$p]->skill, true, $places[$p]->placed);
        }

        return array_values($places);
    }

    /** @return array{int, int, int} hard or landed work, seconds of the whole, seconds of anything */
    private static function worthWatching(Hour $hour, Place $place): array
    {
        $worth = [0, 0, 0];
        foreach ($place->pieces($hour) as $piece) {
            $worth[0] = max($worth[0], (int) ($piece->hard || $piece->landing));
            $worth[1] += $piece->kind === BlockKind::Whole ? $piece->seconds : 0;
            $worth[2] += $piece->seconds;
        }

        return $worth;
    }

    /**
     * @param  array<int, int>  $at  how far each one came
     * @return list<LeftOut>
     */
    private static function leftOut(Hour $hour, RoundFill $fill, array $at): array
    {
        $left = [];
        foreach ($hour->attendees as $i => $attendee) {
            $placed = array_slice($fill->todo($i), 0, $at[$i]);
            foreach ($attendee->work as $j => $piece) {
                if (! in_array($j, $placed, true)) {
                    $left[] = new LeftOut($attendee->id, $j, $hour->whyNever($piece) ?? WhyOut::Time);
                }
            }
        }

        return $left;
    }

    /** @return list<StationFlag> */
    private function look(): array
    {
        if ($this->hour->attendees === []) {
            return [new StationFlag('nobody')];
        }

        return [...$this->whatIsMissing(), ...$this->whatIsNear(), ...$this->howItIsSpent()];
    }

    /** @return list<StationFlag> by skill: what no space, no ball, no adult, no time holds */
    private function whatIsMissing(): array
    {
        $flags = [];
        $minutes = 0.0;
        foreach ($this->leftOut as $left) {
            $piece = $this->hour->attendee($left->id)->work[$left->work];
            $flag = match ($left->why) {
                WhyOut::Space => $this->noSpace($piece),
                WhyOut::Balls => new StationFlag('no_balls', skill: $piece->skill, wanted: $piece->balls, there: $this->hour->balls),
                WhyOut::Adult => new StationFlag('no_adult', skill: $piece->skill, wanted: 1, there: 0),
                WhyOut::Time => null,
            };
            $minutes += $left->why === WhyOut::Time ? $piece->seconds / 60 : 0.0;
            if ($flag !== null) {
                $key = $flag->code.' '.$flag->skill;
                $flags[$key] = ($flags[$key]->wanted ?? 0.0) >= ($flag->wanted ?? 0.0) && isset($flags[$key]) ? $flags[$key] : $flag;
            }
        }

        return [...array_values($flags), ...$minutes > 0.0 ? [new StationFlag('time', wanted: $minutes)] : []];
    }

    /** What the longest space it may be thrown in is short of; with no such space at all, a sector is missing. */
    private function noSpace(Piece $piece): StationFlag
    {
        $may = array_filter($this->hour->spaces, fn (Space $space): bool => ! $piece->far || $space->sector);
        $lengths = array_map(fn (Space $space): float => $space->lengthM, array_values($may));

        return new StationFlag(
            'no_space',
            skill: $piece->skill,
            wanted: (float) $piece->distanceM + Space::MARGIN_M,
            there: $lengths === [] ? null : max($lengths),
        );
    }

    /** @return list<StationFlag> by place: what can hurt somebody there */
    private function whatIsNear(): array
    {
        $flags = [];
        foreach ($this->rounds as $round) {
            foreach ($round->places as $place) {
                $pieces = $place->pieces($this->hour);
                $hard = array_filter($pieces, fn (Piece $piece): bool => $piece->hard) !== [];
                $lands = array_filter($pieces, fn (Piece $piece): bool => $piece->landing) !== [];
                $codes = array_keys(array_filter([
                    'hard_floor' => $lands && $this->hour->space($place->space)->isHard(),
                    'one_way' => $hard,
                    'unwatched' => ($hard || $lands) && ! $place->adult,
                ]));
                foreach ($codes as $code) {
                    $flags["{$code} {$place->space} {$place->skill}"] = new StationFlag($code, $place->space, $place->skill);
                }
            }
        }

        return array_values($flags);
    }

    /** @return list<StationFlag> */
    private function howItIsSpent(): array
    {
        $flags = [];
        if ($this->rounds !== [] && $this->leastShare() < self::USEFUL_SHARE) {
            $flags[] = new StationFlag('little', wanted: self::USEFUL_SHARE, there: $this->leastShare());
        }
        $most = max([0, ...array_map(fn (Round $round): int => count($round->places), $this->rounds)]);
        if ($this->rounds !== [] && $this->hour->adults > $most) {
            $flags[] = new StationFlag('idle_adult', wanted: $most, there: $this->hour->adults);
        }
        $over = $this->hour->minutes - $this->endsMin();
        if ($this->rounds !== [] && $over > self::EARLY_MIN) {
            $flags[] = new StationFlag('ends_early', wanted: $this->endsMin(), there: $this->hour->minutes);
        }

        return $flags;
    }
}
