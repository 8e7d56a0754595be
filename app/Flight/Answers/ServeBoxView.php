<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use Augendo\Core\Library\CourtBox;

final readonly class ServeBoxView
{
    public function __construct(
        public string $id,
        public string $name,
        public float $near_m,
        public float $far_m,
        public float $right_m,
        public float $left_m,
    ) {}

    public static function of(CourtBox $box): self
    {
        return new self($box->id, $box->name, $box->nearM, $box->farM, $box->rightM, $box->leftM);
    }
}
