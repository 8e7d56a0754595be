<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Load\Skill;

/**
 * A club's own numbers of balls, or of nets: as they ship, but for what it has put right. What its document does not have, because it ships
 * since then, is as it ships.
 */
final readonly class FlightTable
{
    /**
     * @param  array<string, LibraryBall>  $balls  by the id of the object
     * @param  array<string, LibraryCourt>  $courts  by id
     */
    private function __construct(public array $balls = [], public array $courts = []) {}

    /**
     * @param  array<string, LibraryObject>  $objects
     * @param  array<string, LibraryBall>  $shipped
     *
     * @throws CaseError
     */
    public static function ofBalls(Node $file, array $objects, array $shipped): self
    {
        return new self(balls: [...$shipped, ...FlightFiles::balls($file, $objects)]);
    }

    /**
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryCourt>  $shipped  whose lines hold, also where they were others when the club saved its own
     *
     * @throws CaseError
     */
    public static function ofCourts(Node $file, array $skills, array $shipped): self
    {
        $own = FlightFiles::courts($file, $skills);

        return new self(courts: array_map(
            fn (LibraryCourt $court): LibraryCourt => isset($own[$court->id]) ? $court->withNetsOf($own[$court->id]) : $court, $shipped,
        ));
    }

    /**
     * Courts are drawn courtside, where they were played on: their lines change in the file that ships alone.
     *
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryCourt>  $shipped
     *
     * @throws CaseError
     */
    public static function refuseRedrawn(Node $file, array $skills, array $shipped): void
    {
        foreach (FlightFiles::courts($file, $skills) as $id => $court) {
            $key = isset($shipped[$id]) ? $court->drawnOtherwise($shipped[$id]) : 'name';
            if ($key !== null) {
                throw $file->get('courts')->get($id)->get($key)->outOfRange(
                    'The court itself is drawn courtside: it changes in the file that ships.',
                );
            }
        }
    }
}
