<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Load\Implement;

/** Something to throw, serve or land with. */
final readonly class LibraryObject
{
    use CopiesItself;

    /**
     * @param  float|null  $massKg  null when nothing is in the hand
     * @param  bool  $hard  whether it is caught with a glove, or not at all
     * @param  bool  $far  flies so far that a sector is kept free for it, with a grown-up beside
     */
    public function __construct(
        public string $id,
        public string $name,
        public Implement $implement,
        public ?float $massKg,
        public ?float $referenceMassKg,
        public bool $hard = false,
        public bool $far = false,
    ) {}
}
