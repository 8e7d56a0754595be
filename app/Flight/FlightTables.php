<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Flight\Answers\FlightNumbersView;
use App\People\User;
use App\Records\AthletesChanged;
use App\Records\VersionedDocuments;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\FlightTable;
use Augendo\Core\Library\LibraryBall;
use Augendo\Core\Library\LibraryCourt;

/**
 * What the air does to a club's balls, and how its nets hang: as they ship, or as the club has put them right.
 *
 * @extends VersionedDocuments<FlightTable>
 */
final class FlightTables extends VersionedDocuments
{
    protected function table(): string
    {
        return 'flight_tables';
    }

    protected function noun(): string
    {
        return 'table';
    }

    protected function shippedFiles(): array
    {
        return ['balls' => 'balls.json', 'courts' => 'courts.json'];
    }

    protected function shipped(string $id): FlightTable
    {
        return $this->read(Node::parse($this->shippedText($id)), $id);
    }

    protected function read(Node $node, ?string $id = null): FlightTable
    {
        return ($id ?? $node->get('id')->word(['balls', 'courts'])) === 'balls'
            ? FlightTable::ofBalls($node, $this->library->objects(), $this->library->balls())
            : FlightTable::ofCourts($node, $this->library->skills(), $this->library->courts());
    }

    protected function readDraft(Node $node): FlightTable
    {
        if ($node->get('id')->string() === 'courts') {
            FlightTable::refuseRedrawn($node, $this->library->skills(), $this->library->courts());
        }

        return $this->read($node);
    }

    /** There is one of each: an edited one takes the place of what ships. */
    protected function newSlug(array $definition): string
    {
        return self::text($definition['id'] ?? null);
    }

    /** @return array<string, LibraryBall> by the id of the object */
    public function balls(int $workspaceId): array
    {
        return $this->latest($workspaceId, 'balls')->balls ?? $this->library->balls();
    }

    /** @return array<string, LibraryCourt> by id */
    public function courts(int $workspaceId): array
    {
        return $this->latest($workspaceId, 'courts')->courts ?? $this->library->courts();
    }

    /** @param  'balls'|'courts'  $kind */
    public function view(int $workspaceId, string $kind): FlightNumbersView
    {
        $kept = $this->all($workspaceId)[$kind];
        [$definition, $shipped] = $this->besideShipped($kept, $kind, $kind);
        $names = $kind === 'balls'
            ? array_map(fn (LibraryBall $ball): string => $ball->object->name, $this->library->balls())
            : array_map(fn (LibraryCourt $court): string => $court->name, $this->library->courts());

        return new FlightNumbersView(
            kind: $kind,
            own: $kept['own'],
            version: $kept['version'],
            definition: $definition,
            shipped: $shipped,
            names: array_map(fn (string $id, string $name): NamedView => new NamedView($id, $name), array_keys($names), $names),
        );
    }

    public function save(array $definition, int $version, User $by): string
    {
        $slug = parent::save($definition, $version, $by);
        // What is no easy throw may be another one now.
        AthletesChanged::many(Athlete::query()->where('workspace_id', $by->workspace_id)->pluck('id'));

        return $slug;
    }
}
