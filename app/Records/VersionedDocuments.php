<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Wording\Wording;
use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\Library;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Documents a club can use: those that ship as files, and its own edited copies, each version of them kept.
 *
 * @template T of object
 */
abstract class VersionedDocuments
{
    public function __construct(protected readonly Library $library) {}

    /** Where a club's own ones are kept. */
    abstract protected function table(): string;

    /** What a person calls one of them. */
    abstract protected function noun(): string;

    /** @return array<string, string> library files by id */
    abstract protected function shippedFiles(): array;

    /** @return T */
    abstract protected function shipped(string $id): object;

    /**
     * @return T
     *
     * @throws CaseError
     */
    abstract protected function read(Node $node): object;

    /**
     * By id, in the latest version of the club's own.
     *
     * @return array<string, array{document: T, definition: string, own: bool, version: int}>
     */
    public function all(int $workspaceId): array
    {
        $all = [];
        foreach (array_keys($this->shippedFiles()) as $id) {
            $all[$id] = [
                'document' => $this->shipped($id),
                'definition' => $this->shippedText($id),
                'own' => false,
                'version' => 0,
            ];
        }
        foreach ($this->kept($workspaceId) as $row) {
            $all[$row->slug] = [
                'document' => $this->read(Node::parse($row->definition)), 'definition' => $row->definition, 'own' => true,
                'version' => (int) $row->version,
            ];
        }

        return $all;
    }

    /** @return T|null the club's own of an id; null: it has none */
    protected function latest(int $workspaceId, string $id): ?object
    {
        $row = $this->kept($workspaceId)[$id] ?? null;

        return $row === null ? null : $this->read(Node::parse($row->definition));
    }

    /** A library file as it ships. */
    protected function shippedText(string $id): string
    {
        return (string) file_get_contents($this->library->path($this->shippedFiles()[$id]));
    }

    /**
     * A document of which there is one, as it is edited: with what ships since it was saved.
     *
     * @param  array{definition: string}  $kept
     * @param  string  $part  the key of it that holds them by id
     * @return array{object, object} the club's, and as it ships
     */
    protected function besideShipped(array $kept, string $id, string $part): array
    {
        $document = fn (string $text): object => json_decode($text, false, 512, JSON_THROW_ON_ERROR);
        [$definition, $shipped] = [$document($kept['definition']), $document($this->shippedText($id))];
        $definition->{$part} = (object) [...(array) $shipped->{$part}, ...(array) $definition->{$part}];

        return [$definition, $shipped];
    }

    /** @return Collection<string, \stdClass> the latest version of each of a club's own, by id */
    private function kept(int $workspaceId): Collection
    {
        return DB::table($this->table())
            ->where('workspace_id', $workspaceId)
            ->orderBy('slug')
            ->orderBy('version')
            ->get(['slug', 'version', 'definition'])
            ->keyBy('slug');
    }

    /**
     * As it is read while it is edited; what was kept before is refused nothing that came to be asked since.
     *
     * @return T
     *
     * @throws CaseError
     */
    protected function readDraft(Node $node): object
    {
        return $this->read($node);
    }

    /**
     * An edited definition, read but not kept.
     *
     * @param  array<string, mixed>  $definition
     * @return array{T, string} the document and its text
     *
     * @throws Problem with the place that cannot be used
     */
    public function draft(array $definition, string $slug, int $version): array
    {
        unset($definition['$schema']);
        $text = json_encode(
            [...$definition, 'id' => $slug, 'version' => $version],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );
        try {
            return [$this->readDraft(Node::parse($text)), $text];
        } catch (CaseError $error) {
            throw new Problem(
                ProblemType::SomeOfItCannotBeUsed,
                "This {$this->noun()} cannot be used. At ".Wording::place($error->path).": {$error->getMessage()}",
                [$error->path => [$error->getMessage()]],
            );
        }
    }

    /**
     * Keeps an edited definition: a copy of a shipped one gets a name of its own, a club's own one gets its next version.
     *
     * @param  array<string, mixed>  $definition
     * @param  int  $version  the one that was edited; 0 for a copy
     * @return string its id
     *
     * @throws Problem with the place that cannot be used
     */
    public function save(array $definition, int $version, User $by): string
    {
        return Alone::inClub($by->workspace_id, function () use ($definition, $version, $by): string {
            $slug = $version === 0 ? $this->newSlug($definition) : self::text($definition['id'] ?? null);
            $kept = (int) DB::table($this->table())->where('workspace_id', $by->workspace_id)->where('slug', $slug)->max('version');
            if ($kept !== $version) {
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    "Somebody saved this {$this->noun()} since you opened it. What you wrote is kept in the form: compare, and save again.",
                    extra: ['version' => $kept],
                );
            }
            [, $text] = $this->draft($definition, $slug, $version + 1);
            DB::table($this->table())->insert([
                'workspace_id' => $by->workspace_id,
                'slug' => $slug,
                'version' => $version + 1,
                'definition' => $text,
                'saved_by' => $by->id,
                'saved_at' => Carbon::now(),
            ]);
            Audit::of($by, null, "{$this->noun()} saved", ['name' => $definition['name'] ?? $slug]);

            return $slug;
        });
    }

    /**
     * The id of a copy that is kept for the first time.
     *
     * @param  array<string, mixed>  $definition
     */
    protected function newSlug(array $definition): string
    {
        return Str::slug(self::text($definition['name'] ?? null)).'-'.Str::lower(Str::random(4));
    }

    /** What should be a text and is none is no text: the schema then says at which place. */
    protected static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}
