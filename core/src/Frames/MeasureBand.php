<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\InvalidValue;

/** What a checkpoint asks a picture: which figure, at which moment, and between which bounds it is right. */
final readonly class MeasureBand
{
    /** A figure nearer to a bound than so many of its standard deviations does not say on which side it lies: 95 of 100. */
    public const SURE_SD = 1.96;

    /**
     * @param  string  $moment  id of a moment of the ladder
     * @param  float|null  $low  in the figure's unit; null: any less is right
     * @param  float|null  $high  null: any more is right
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $moment,
        public FrameFigure $figure,
        public ?float $low,
        public ?float $high,
    ) {
        if (($low === null && $high === null) || ($low !== null && $high !== null && $low >= $high)) {
            throw new InvalidValue('A band has a low or a high bound, and the low one lies below the high one.');
        }
    }

    /**
     * @param  float  $value  in the figure's unit
     * @param  float  $spread  one standard deviation of it
     */
    public function judge(float $value, float $spread): Look
    {
        $within = min($value - ($this->low ?? -INF), ($this->high ?? INF) - $value);

        return match (true) {
            abs($within) < self::SURE_SD * $spread => Look::Uncertain,
            $within >= 0.0 => Look::Right,
            default => Look::Wrong,
        };
    }
}
