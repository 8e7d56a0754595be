<?php

declare(strict_types=1);

namespace App\Library;

use App\Library\Answers\ClubDrillView;
use App\People\User;
use App\Records\VersionedDocuments;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\DrillReader;

/**
 * A club's own drills, beside those that ship: looked up, put on sheets, offered where the work of the day is taken away.
 *
 * @extends VersionedDocuments<Drill>
 */
final class ClubDrills extends VersionedDocuments
{
    protected function table(): string
    {
        return 'club_drills';
    }

    protected function noun(): string
    {
        return 'drill';
    }

    protected function shippedFiles(): array
    {
        return [];
    }

    protected function shipped(string $id): Drill
    {
        return $this->library->drills()[$id];
    }

    protected function read(Node $node): Drill
    {
        return (new DrillReader($this->library->skills(), $this->library->objects(), $this->library->figures()))->own($node);
    }

    /** @return array<string, Drill> those that ship and those of the club that are in use, by id */
    public function known(int $workspaceId): array
    {
        return $this->library->drills() + $this->own($workspaceId);
    }

    /** @return array<string, Drill> those of the club that are in use, by id */
    public function own(int $workspaceId): array
    {
        $own = array_filter($this->all($workspaceId), fn (array $kept): bool => ! self::isWithdrawn($kept['definition']));

        return array_map(fn (array $kept): Drill => $kept['document'], $own);
    }

    /** @return list<ClubDrillView> of the club, those in use first */
    public function views(User $by): array
    {
        $views = [];
        foreach ($this->all($by->workspace_id) as $id => $kept) {
            $definition = json_decode($kept['definition'], false, 512, JSON_THROW_ON_ERROR);
            $views[] = new ClubDrillView($id, $definition->name, $definition->version, self::isWithdrawn($kept['definition']), $definition);
        }
        usort($views, fn (ClubDrillView $a, ClubDrillView $b): int => [$a->withdrawn, $a->name] <=> [$b->withdrawn, $b->name]);

        return $views;
    }

    private static function isWithdrawn(string $definition): bool
    {
        return (json_decode($definition, true)['withdrawn'] ?? false) === true;
    }
}
