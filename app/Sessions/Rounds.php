<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Sessions\Answers\DoseLineView;
use App\Sessions\Answers\RestView;
use App\Sessions\Answers\RotationRoundView;
use App\Sessions\Answers\RotationView;
use App\Sessions\Answers\RoundPlacedView;
use App\Sessions\Answers\RoundPlaceView;
use App\Sessions\Answers\SessionRoundView;
use App\Wording\PlanWording;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Family;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Stations\BetweenTurns;
use Augendo\Core\Stations\Pairs;
use Augendo\Core\Stations\Piece;
use Augendo\Core\Stations\Place;
use Augendo\Core\Stations\Placed;
use Augendo\Core\Stations\Round;
use Augendo\Core\Stations\StationPlan;
use Illuminate\Support\Collection;

/** The rounds of a session: on its page all of them, courtside those of one athlete. */
final class Rounds
{
    /** @var Collection<string, Sheet> */
    private readonly Collection $sheets;

    /** @var array<string, list<BlockPlan>> by athlete: what the positions of their work stand for */
    private array $doses = [];

    /** @var array<string, string> */
    private readonly array $titles;

    public function __construct(
        private readonly Library $library,
        Stations $open,
        private readonly StationPlan $plan,
        private readonly BetweenTurns $between,
    ) {
        $this->sheets = $open->sheets()->keyBy('athlete_id');
        foreach ($this->sheets as $id => $sheet) {
            $this->doses[$id] = $open->placedDoses($sheet);
        }
        $this->titles = array_column($open->setup()['spaces'], 'title', 'id');
    }

    /** @return list<SessionRoundView> */
    public function views(string $startsAt): array
    {
        return array_map(fn (Round $round, int $r): SessionRoundView => new SessionRoundView(
            starts_at: self::clock($startsAt, $round->startMin),
            ends_at: self::clock($startsAt, $round->endMin()),
            minutes: $round->minutes,
            places: array_map(fn (Place $place): RoundPlaceView => $this->place($place, $r), $round->places),
            off: array_map(fn (string $id): RestView => new RestView($id, $this->name($id), $this->then($id, $r)), $round->off),
        ), $this->plan->rounds, array_keys($this->plan->rounds));
    }

    /** @return RotationView|null null: nothing of this one is placed */
    public function rotationOf(string $athleteId): ?RotationView
    {
        $rounds = [];
        foreach ($this->plan->rounds as $r => $round) {
            $what = implode(', ', $this->then($athleteId, $r)) ?: 'Rest';
            foreach ($round->places as $place) {
                foreach ($place->placed as $placed) {
                    $what = $placed->id === $athleteId ? $this->inBrief($place, $placed) : $what;
                }
            }
            $rounds[] = new RotationRoundView($round->startMin - $this->plan->rounds[0]->startMin, $round->minutes, $what);
        }
        $sheet = $this->sheets[$athleteId] ?? null;

        return $sheet === null || $rounds === [] ? null : new RotationView($sheet->training_session_id, $rounds);
    }

    /** @return int|null number of the place somebody is at first, from 1 */
    public function beginsAt(string $athleteId): ?int
    {
        foreach ($this->plan->rounds as $round) {
            foreach ($round->places as $p => $place) {
                foreach ($place->placed as $placed) {
                    if ($placed->id === $athleteId) {
                        return $p + 1;
                    }
                }
            }
        }

        return null;
    }

    /** @return list<string> what of somebody's doses has no place, each with why */
    public function leftOutOf(string $athleteId): array
    {
        $sentences = [];
        foreach ($this->plan->leftOut as $left) {
            if ($left->id === $athleteId) {
                $sentences[] = PlanWording::leftOut($this->doses[$athleteId][$left->work]->asked->title, $left->why);
            }
        }

        return $sentences;
    }

    public static function clock(string $startsAt, int $afterMin): string
    {
        $minutes = (int) substr($startsAt, 0, 2) * 60 + (int) substr($startsAt, 3, 2) + $afterMin;

        return sprintf('%02d:%02d', intdiv($minutes, 60) % 24, $minutes % 60);
    }

    private function place(Place $place, int $round): RoundPlaceView
    {
        $hard = array_filter($place->pieces($this->plan->hour), fn (Piece $piece): bool => $piece->hard) !== [];
        $with = $this->pairs($place);

        return new RoundPlaceView(
            space_id: $place->space,
            title: $this->titles[$place->space],
            skill: $this->library->skillNames()[$place->skill],
            adult: $place->adult,
            one_way: $hard,
            athletes: array_map(fn (Placed $placed): RoundPlacedView => new RoundPlacedView(
                athlete_id: $placed->id,
                name: $this->name($placed->id),
                task: $placed->task->value,
                doses: array_map(fn (int $j): DoseLineView => $this->dose($placed->id, $j), $placed->work),
                with: $with[$placed->id] ?? '',
                then: $this->then($placed->id, $round),
            ), $place->placed),
        );
    }

    /** @return list<string> the drills somebody does in the time a round leaves them */
    private function then(string $athleteId, int $round): array
    {
        return array_map(fn (Drill $drill): string => $drill->dose->title, $this->between->rounds[$round][$athleteId] ?? []);
    }

    private function inBrief(Place $place, Placed $placed): string
    {
        $title = $this->titles[$place->space];
        $doses = array_map(fn (int $j): string => lcfirst($this->doses[$placed->id][$j]->asked->title), $placed->work);

        return "{$title}: ".($doses === [] ? $placed->task->value : implode(', ', $doses));
    }

    /**
     * Who throws to whom: where balls are thrown that somebody can catch.
     *
     * @return array<string, string> names by athlete
     */
    private function pairs(Place $place): array
    {
        $members = [];
        foreach ($place->placed as $placed) {
            $dose = $this->doses[$placed->id][$placed->work[0] ?? -1] ?? null;
            if ($dose !== null && $dose->asked->skill->family === Family::Throw && ! $dose->asked->object->far) {
                $sheet = $this->sheets[$placed->id];
                $members[] = [
                    'id' => $placed->id, 'hand' => $sheet->athlete->throwing_side, 'distance_m' => (float) $dose->distanceM,
                    'level' => (int) $this->library->ladder($sheet->ladder)->position($sheet->rung),
                ];
            }
        }
        $with = [];
        foreach (Pairs::of($members) as $pair) {
            foreach ($pair as $id) {
                $others = array_values(array_diff($pair, [$id]));
                $with[$id] = implode(' and ', array_map($this->name(...), $others));
            }
        }

        return $with;
    }

    /** Given names are enough, but for two of the same. */
    private function name(string $athleteId): string
    {
        $athlete = $this->sheets[$athleteId]->athlete;
        $same = $this->sheets->filter(fn (Sheet $sheet): bool => $sheet->athlete->given_name === $athlete->given_name);

        return $same->count() > 1 ? $athlete->name() : $athlete->given_name;
    }

    private function dose(string $athleteId, int $work): DoseLineView
    {
        return DoseLine::of($this->doses[$athleteId][$work]);
    }
}
