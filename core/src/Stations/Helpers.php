<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\BlockKind;

/** Who feeds, catches or measures while they have no work of their own: in turn, and never somebody who may not catch. */
final class Helpers
{
    /** @var array<string, int> minutes each one has helped */
    private array $helpedMin = [];

    public function __construct(private readonly Hour $hour) {}

    /**
     * @param  list<Place>  $places  with those who work
     * @param  list<Attendee>  $idle
     * @return list<Place> the same with those who help, one for every two at work
     */
    public function join(array $places, array $idle, int $minutes): array
    {
        $free = array_values(array_filter($idle, fn (Attendee $attendee): bool => $attendee->mayCatch));
        usort($free, fn (Attendee $a, Attendee $b): int => ($this->helpedMin[$a->id] ?? 0) <=> ($this->helpedMin[$b->id] ?? 0));
        $with = [];
        foreach ($places as $place) {
            $task = $this->task($place);
            if ($task === null) {
                $with[] = $place;

                continue;
            }
            $wanted = $task === Task::Measures ? 1 : intdiv(count($place->placed) + 1, 2);
            $placed = $place->placed;
            foreach (array_splice($free, 0, $wanted) as $helper) {
                $placed[] = new Placed($helper->id, $task);
                $this->helpedMin[$helper->id] = ($this->helpedMin[$helper->id] ?? 0) + $minutes;
            }
            $with[] = new Place($place->space, $place->skill, $place->adult, $placed);
        }

        return $with;
    }

    /** Nobody catches what flies far; what is thrown short is caught, other balls are fed, landings and distances are measured. */
    private function task(Place $place): ?Task
    {
        $task = null;
        foreach ($place->pieces($this->hour) as $piece) {
            if ($piece->far) {
                return Task::Measures;
            }
            $task = match (true) {
                $piece->kind === BlockKind::Rehearsal => $task,
                $piece->balls > 0 => $piece->hard ? Task::Catches : Task::Feeds,
                $piece->landing => $task ?? Task::Measures,
                default => $task,
            };
        }

        return $task;
    }
}
