<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** A length in a picture, as far as it can be told: in trunks where shoulders and hips are seen, in metres where a scale is set. */
final readonly class Length
{
    /**
     * @param  float|null  $trunk  in lengths of the athlete's trunk
     * @param  float|null  $m  in metres
     */
    public function __construct(public ?float $trunk, public ?float $m) {}
}
