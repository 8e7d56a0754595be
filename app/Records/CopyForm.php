<?php

declare(strict_types=1);

namespace App\Records;

use Closure;

/** How a whole record is copied to a file and put back, on one kind of database. */
interface CopyForm
{
    /** What the names of its files end with. */
    public function extension(): string;

    /** The folder its copies lie in, when nobody names another. */
    public function folder(): string;

    /** One consistent copy of the live record into a file that is not there yet, whatever is being written meanwhile. */
    public function write(string $file): void;

    /** @return string|null what is wrong with a file that is to be put in place of the record, in plain words; null when nothing is */
    public function wrongWith(string $file): ?string;

    /** Whether there is a record that a restore would replace. */
    public function isThere(): bool;

    /**
     * Puts the record of a file in place of the live one: the whole of it, or nothing.
     *
     * @param  string|null  $kept  the copy just made of the live one, for the way back; null when there was none
     * @param  Closure(): void  $prepare  brings it up to date and takes away who was erased, before anybody opens it
     */
    public function replaceWith(string $file, ?string $kept, Closure $prepare): void;
}
