<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use Augendo\Core\Library\CourtBox;
use Augendo\Core\Library\LibraryCourt;

/** A court to serve in, metres. */
final readonly class ServeCourtView
{
    public function __construct(
        public string $id,
        public string $name,
        public float $net_m,
        public float $half_width_m,
        /** whether its net is lower in the middle, so that its height is where it is crossed */
        public bool $net_sags,
        /** @var list<NamedMetresView> */
        public array $nets,
        /** @var list<NamedMetresView> */
        public array $stands,
        /** @var list<ServeBoxView> */
        public array $boxes,
        /** @var list<string> ids of its serves */
        public array $skills,
        /** how often somebody may try */
        public int $tries,
    ) {}

    public static function of(LibraryCourt $court): self
    {
        return new self(
            id: $court->id,
            name: $court->name,
            net_m: $court->netM,
            half_width_m: $court->halfWidthM,
            net_sags: $court->sag !== null,
            nets: array_map(fn (array $net): NamedMetresView => new NamedMetresView($net['name'], $net['height_m']), $court->nets),
            stands: array_map(
                fn (array $stand): NamedMetresView => new NamedMetresView($stand['name'], $stand['across_m']), $court->stands,
            ),
            boxes: array_values(array_map(fn (CourtBox $box): ServeBoxView => ServeBoxView::of($box), $court->boxes)),
            skills: $court->skills,
            tries: $court->tries,
        );
    }
}
