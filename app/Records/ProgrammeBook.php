<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Models\User;
use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\Library;
use Augendo\Core\Returning\Programme;
use Augendo\Core\Returning\ProgrammeReader;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Return programmes a club can open: those that ship, and its own edited copies. */
final class ProgrammeBook
{
    public function __construct(private readonly Library $library) {}

    /** @return array<string, array{programme: Programme, definition: string, own: bool}> by id, the club's own last */
    public function all(int $workspaceId): array
    {
        $all = [];
        foreach ($this->library->programmeIds() as $id) {
            $all[$id] = ['programme' => $this->library->programme($id), 'definition' => (string) file_get_contents($this->library->path("returns/{$id}.json")), 'own' => false];
        }
        foreach (DB::table('programmes')->where('workspace_id', $workspaceId)->orderBy('slug')->orderBy('version')->get() as $row) {
            $all[$row->slug] = ['programme' => ProgrammeReader::read(Node::parse($row->definition)), 'definition' => $row->definition, 'own' => true];
        }

        return $all;
    }

    /**
     * Keeps an edited programme: a copy of a shipped one gets a name of its own, a club's own one gets its next version.
     *
     * @param  array<string, mixed>  $definition
     * @param  int  $version  the one that was edited; 0 for a copy
     *
     * @throws Problem with the place that cannot be used
     */
    public function save(array $definition, int $version, User $by): string
    {
        return DB::transaction(function () use ($definition, $version, $by): string {
            $slug = $version === 0 ? Str::slug((string) ($definition['name'] ?? '')).'-'.Str::lower(Str::random(4)) : (string) ($definition['id'] ?? '');
            $kept = (int) DB::table('programmes')->where('workspace_id', $by->workspace_id)->where('slug', $slug)->max('version');
            if ($kept !== $version) {
                throw new Problem(409, 'Changed meanwhile', 'Somebody saved this programme since you opened it. What you wrote is kept in the form: compare, and save again.', extra: ['version' => $kept]);
            }
            unset($definition['$schema']);
            $text = json_encode([...$definition, 'id' => $slug, 'version' => $version + 1], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
            try {
                ProgrammeReader::read(Node::parse($text));
            } catch (CaseError $error) {
                throw new Problem(422, 'This programme cannot be used', "At “{$error->path}”: {$error->getMessage()}", [$error->path => [$error->getMessage()]]);
            }
            DB::table('programmes')->insert(['workspace_id' => $by->workspace_id, 'slug' => $slug, 'version' => $version + 1, 'definition' => $text, 'saved_by' => $by->id, 'saved_at' => Carbon::now()]);
            Audit::of($by, null, 'return programme saved', ['programme' => $definition['name'] ?? $slug]);

            return $slug;
        });
    }
}
