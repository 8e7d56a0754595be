<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** What is thrown at which age and by which hand, as far as a club may say it: core Library\SizeTables::ofClub. */
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
        /** @var list<SizeKindView> what there are tables of */
        public array $tables,
    ) {}
}
