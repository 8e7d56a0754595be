<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Handedness;

/** The points that were put on a picture: joints by side, and the ball. What was not found is not there. */
final readonly class Landmarks
{
    public const BALL = 'ball';

    /**
     * @param  array<string, Point>  $points  by name, as `names()` has them
     *
     * @throws InvalidValue
     */
    public function __construct(public array $points)
    {
        $unknown = array_diff(array_keys($points), self::names());
        if ($unknown !== []) {
            throw new InvalidValue('“'.implode('”, “', $unknown).'” is no landmark.');
        }
    }

    /** @return list<string> `left_shoulder` … `right_toe`, `ball` */
    public static function names(): array
    {
        $names = [];
        foreach (['left', 'right'] as $side) {
            foreach (Joint::cases() as $joint) {
                $names[] = "{$side}_{$joint->value}";
            }
        }

        return [...$names, self::BALL];
    }

    public function of(Handedness $side, Joint $joint): ?Point
    {
        return $this->points["{$side->value}_{$joint->value}"] ?? null;
    }

    public function ball(): ?Point
    {
        return $this->points[self::BALL] ?? null;
    }

    /** Halfway between the joint of the left and of the right. */
    public function middle(Joint $joint): ?Point
    {
        $right = $this->of(Handedness::Right, $joint);

        return $right === null ? null : $this->of(Handedness::Left, $joint)?->halfwayTo($right);
    }

    /** The same with one of them moved by so many pixels. */
    public function moved(string $name, float $x, float $y): self
    {
        return new self([...$this->points, $name => $this->points[$name]->moved($x, $y)]);
    }
}
