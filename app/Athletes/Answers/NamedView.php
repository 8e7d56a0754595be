<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

use Augendo\Core\Library\LibraryObject;

/** A record by its name. */
final readonly class NamedView
{
    public function __construct(
        public string $id,
        public string $name,
    ) {}

    /**
     * @param  array<LibraryObject>  $objects
     * @return list<self>
     */
    public static function ofObjects(array $objects): array
    {
        return array_values(array_map(fn (LibraryObject $object): self => new self($object->id, $object->name), $objects));
    }
}
