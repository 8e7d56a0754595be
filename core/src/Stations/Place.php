<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** A space in a round, with the one skill worked in it. */
final readonly class Place
{
    /**
     * @param  bool  $adult  whether a grown-up stands there
     * @param  list<Placed>  $placed
     */
    public function __construct(public string $space, public string $skill, public bool $adult, public array $placed) {}

    /** @return list<Piece> all that is worked here */
    public function pieces(Hour $hour): array
    {
        $pieces = [];
        foreach ($this->placed as $placed) {
            foreach ($placed->work as $j) {
                $pieces[] = $hour->attendee($placed->id)->work[$j];
            }
        }

        return $pieces;
    }
}
