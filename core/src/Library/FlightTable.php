<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Load\Skill;

/** A club's own numbers of balls, or of nets: as they ship, but for what it has put right. */
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
        $balls = FlightFiles::balls($file, $objects);
        self::refuseGone('balls', $shipped, $balls);

        return new self(balls: $balls);
    }

    /**
     * Courts are drawn courtside, where they were played on: their lines change in the file that ships alone.
     *
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryCourt>  $shipped
     *
     * @throws CaseError
     */
    public static function ofCourts(Node $file, array $skills, array $shipped): self
    {
        $courts = FlightFiles::courts($file, $skills);
        self::refuseGone('courts', $shipped, $courts);
        foreach ($courts as $id => $court) {
            $key = isset($shipped[$id]) ? $court->drawnOtherwise($shipped[$id]) : 'name';
            if ($key !== null) {
                throw $file->get('courts')->get($id)->get($key)->outOfRange(
                    'The court itself is drawn courtside: it changes in the file that ships.',
                );
            }
        }

        return new self(courts: $courts);
    }

    /**
     * @param  array<string, object>  $shipped
     * @param  array<string, object>  $own
     */
    private static function refuseGone(string $kind, array $shipped, array $own): void
    {
        $gone = array_key_first(array_diff_key($shipped, $own));
        if ($gone !== null) {
            throw new CaseError('missing_key', "/{$kind}/{$gone}", "“{$gone}” is used by ladders and stays.");
        }
    }
}
