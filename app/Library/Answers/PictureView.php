<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** What a drill may be drawn as. */
final readonly class PictureView
{
    public function __construct(public string $id, public FigurePoseView $pose) {}
}
