<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** What an athlete throws of one kind of object, and what the table of ages and hands alone would say. */
final readonly class OwnSize
{
    /** @param  LibraryObject|null  $chosen  for the athlete, whatever the table says; null: by the table */
    public function __construct(public SizeTable $table, public LibraryObject $byTable, public ?LibraryObject $chosen) {}

    public function thrown(): LibraryObject
    {
        return $this->chosen ?? $this->byTable;
    }

    /** Whether more is thrown than the table has at this age and for this hand. */
    public function isHeavier(): bool
    {
        return $this->thrown()->massKg > $this->byTable->massKg;
    }
}
