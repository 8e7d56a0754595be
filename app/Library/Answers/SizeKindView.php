<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Athletes\Answers\NamedView;

/** One kind of object, and the sizes it comes in. */
final readonly class SizeKindView
{
    public function __construct(
        /** of its table */
        public string $id,
        public string $name,
        /** @var list<NamedView> the lightest first */
        public array $sizes,
    ) {}
}
