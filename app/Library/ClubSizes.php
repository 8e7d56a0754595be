<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Library\Answers\SizeKindView;
use App\Library\Answers\SizeNumbersView;
use App\People\User;
use App\Records\AthletesChanged;
use App\Records\VersionedDocuments;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\SizeTable;
use Augendo\Core\Library\SizeTables;

/**
 * What is thrown in a club at which age and by which hand: as it ships, or as its own code has it.
 *
 * @extends VersionedDocuments<SizeTables>
 */
final class ClubSizes extends VersionedDocuments
{
    private const SLUG = 'sizes';

    protected function table(): string
    {
        return 'size_tables';
    }

    protected function noun(): string
    {
        return 'table';
    }

    protected function shippedFiles(): array
    {
        return [self::SLUG => 'sizes.json'];
    }

    protected function shipped(string $id): SizeTables
    {
        return $this->library->sizes();
    }

    protected function read(Node $node): SizeTables
    {
        return SizeTables::ofClub($node, $this->library->sizes());
    }

    /** There is one: an edited one takes the place of what ships. */
    protected function newSlug(array $definition): string
    {
        return self::SLUG;
    }

    public function of(int $workspaceId): SizeTables
    {
        return $this->latest($workspaceId, self::SLUG) ?? $this->library->sizes();
    }

    public function view(int $workspaceId): SizeNumbersView
    {
        $kept = $this->all($workspaceId)[self::SLUG];
        [$definition, $shipped] = $this->besideShipped($kept, self::SLUG, 'tables');

        return new SizeNumbersView(
            own: $kept['own'],
            version: $kept['version'],
            definition: self::changeable($definition),
            shipped: self::changeable($shipped),
            tables: array_values(array_map(
                fn (SizeTable $table): SizeKindView => new SizeKindView($table->id, $table->name, NamedView::ofObjects($table->sizes)),
                $this->library->sizes()->tables,
            )),
        );
    }

    /** What a club may say of a document: as it ships it says more. */
    private static function changeable(object $document): object
    {
        $of = fn (object $table): array => array_intersect_key((array) $table, array_flip(SizeTables::CHANGED));

        return (object) ['source' => $document->source, 'tables' => array_map($of, (array) $document->tables)];
    }

    public function save(array $definition, int $version, User $by): string
    {
        $slug = parent::save(['id' => self::SLUG] + $definition, $version, $by);
        // What is planned from today on is thrown with something else now.
        AthletesChanged::many(Athlete::query()->where('workspace_id', $by->workspace_id)->pluck('id'), $by->workspace->today());

        return $slug;
    }
}
