<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use App\Athletes\Answers\NamedView;

/** The numbers of balls, or of courts, as a document by its schema in library/schema/. */
final readonly class FlightNumbersView
{
    public function __construct(
        /** @var 'balls'|'courts' */
        public string $kind,
        /** whether the club has put some of them right */
        public bool $own,
        /** 0: as it ships */
        public int $version,
        public object $definition,
        /** as it ships */
        public object $shipped,
        /** @var list<NamedView> what each id of it is called */
        public array $names,
    ) {}
}
