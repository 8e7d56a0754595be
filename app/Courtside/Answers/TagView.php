<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Tag;

/** What a repetition may be besides good or faulty. */
final readonly class TagView
{
    public function __construct(
        public string $id,
        public string $name,
        /** what many of them tell */
        public string $means,
    ) {}

    public static function of(Tag $tag, Handedness $side): self
    {
        return new self($tag->id, $tag->name, $side->mirror($tag->means));
    }
}
