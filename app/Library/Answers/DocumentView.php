<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Library\RuleSet;
use Augendo\Core\Returning\Programme;

/** A return programme, a rule set or a ladder, as it stands in its document. */
final readonly class DocumentView
{
    public function __construct(
        public string $id,
        public string $name,
        /** whether it is the club's own copy */
        public bool $own,
        public int $version,
        /** the file, by its schema in library/schema/ */
        public object $definition,
    ) {}

    /**
     * @param  array<string, array{document: RuleSet|Programme, definition: string, own: bool}>  $all  by id, as VersionedDocuments has them
     * @return list<self>
     */
    public static function ofAll(array $all): array
    {
        return array_map(fn (string $id, array $kept): self => new self(
            $id, $kept['document']->name, $kept['own'], $kept['document']->version,
            json_decode($kept['definition'], false, 512, JSON_THROW_ON_ERROR),
        ), array_keys($all), $all);
    }
}
