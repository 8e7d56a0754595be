<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** One place at which two files of a ladder differ. */
final readonly class LadderChange
{
    /**
     * @param  non-empty-list<string>  $path  keys from the top; of a list whose items have ids the id, of blocks the title
     * @param  mixed  $before  as it stands in the first file; null: it is not there
     * @param  mixed  $after  as it stands in the second; null: it is not there
     * @param  string|null  $follows  of what is new in a list, the key of what stands before it; null: it comes first, or is in no list
     */
    public function __construct(public array $path, public mixed $before, public mixed $after, public ?string $follows = null) {}

    /** Names the place for a person and for a request. */
    public function pointer(): string
    {
        return '/'.implode('/', array_map(
            fn (string $key): string => str_replace(['~', '/'], ['~0', '~1'], $key), $this->path,
        ));
    }
}
