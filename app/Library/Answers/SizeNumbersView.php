<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Athletes\Answers\NamedView;

/** What is thrown at which age and by which hand, as a document by library/schema/sizes.schema.json. */
final readonly class SizeNumbersView
{
    public function __construct(
        /** whether the club has put its own code in */
        public bool $own,
        /** 0: as it ships */
        public int $version,
        public object $definition,
        /** as it ships */
        public object $shipped,
        /** @var list<NamedView> what each object is called */
        public array $names,
    ) {}
}
