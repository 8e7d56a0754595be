<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** The usual statistics of a daily series on one day. Null where a figure is undefined. */
final readonly class LoadStatistics
{
    private const SAME_WITHIN = 1e-9;

    private function __construct(
        public float $acute,
        public float $chronicWeek,
        public ?float $ratioRolling,
        public ?float $ratioUncoupled,
        public ?float $ratioEwma,
        public ?float $monotony,
        public ?float $strain,
    ) {}

    public static function of(DailySeries $series, int $day): self
    {
        $acute = $series->sum($day - 6, $day);
        $monotony = self::monotony($series, $day);

        return new self(
            acute: $acute,
            chronicWeek: $series->sum($day - 27, $day) / 4,
            ratioRolling: RatioMethod::Rolling->ratio($series, $day),
            ratioUncoupled: RatioMethod::Uncoupled->ratio($series, $day),
            ratioEwma: RatioMethod::Ewma->ratio($series, $day),
            monotony: $monotony,
            strain: $monotony === null ? null : $acute * $monotony,
        );
    }

    private static function monotony(DailySeries $series, int $day): ?float
    {
        $values = array_map($series->on(...), range($day - 6, $day));
        $mean = array_sum($values) / 7;
        $squares = array_sum(array_map(fn (float $value): float => ($value - $mean) ** 2, $values));

        $deviation = sqrt($squares / 6);

        // Days that differ only by how a float is rounded are the same.
        return $deviation <= self::SAME_WITHIN * $mean ? null : $mean / $deviation;
    }
}
