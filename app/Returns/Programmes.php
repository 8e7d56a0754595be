<?php

declare(strict_types=1);

namespace App\Returns;

use App\Records\VersionedDocuments;
use Augendo\Core\Cases\Node;
use Augendo\Core\Returning\Programme;
use Augendo\Core\Returning\ProgrammeReader;

/**
 * Return programmes a club can open.
 *
 * @extends VersionedDocuments<Programme>
 */
final class Programmes extends VersionedDocuments
{
    protected function table(): string
    {
        return 'programmes';
    }

    protected function noun(): string
    {
        return 'return programme';
    }

    protected function shippedFiles(): array
    {
        $ids = $this->library->programmeIds();

        return array_combine($ids, array_map(fn (string $id): string => "returns/{$id}.json", $ids));
    }

    protected function shipped(string $id): Programme
    {
        return $this->library->programme($id);
    }

    protected function read(Node $node): Programme
    {
        return ProgrammeReader::read($node);
    }
}
