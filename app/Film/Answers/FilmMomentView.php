<?php

declare(strict_types=1);

namespace App\Film\Answers;

use Augendo\Core\Frames\MomentFind;

/** An instant of the movement, and how to find it. */
final readonly class FilmMomentView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $text,
        /**
         * how it is proposed from where the joints are; null: by hand alone
         *
         * @var value-of<MomentFind>|null
         */
        public ?string $find,
    ) {}
}
