<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Flight\Answers\FlightNumbersView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\FlightFiles;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryBall;
use Augendo\Core\Library\LibraryCourt;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What the air does to a club's balls, and how its nets hang: as they ship, or as the club has put them right. */
final class FlightTables
{
    /** Of a court these are drawn courtside, where they were played on: they change in the file alone. */
    private const DRAWN = ['net_m', 'half_width_m', 'tries', 'serves', 'boxes'];

    public function __construct(private readonly Library $library) {}

    /** @return array<string, LibraryBall> by the id of the object */
    public function balls(int $workspaceId): array
    {
        $own = $this->own($workspaceId, 'balls');

        return $own === null ? $this->library->balls() : FlightFiles::balls(Node::parse($own->definition), $this->library->objects());
    }

    /** @return array<string, LibraryCourt> by id */
    public function courts(int $workspaceId): array
    {
        $own = $this->own($workspaceId, 'courts');

        return $own === null ? $this->library->courts() : FlightFiles::courts(Node::parse($own->definition), $this->library->skills());
    }

    /** @param  'balls'|'courts'  $kind */
    public function view(int $workspaceId, string $kind): FlightNumbersView
    {
        $own = $this->own($workspaceId, $kind);
        $document = fn (string $text): object => json_decode($text, false, 512, JSON_THROW_ON_ERROR);
        $names = $kind === 'balls'
            ? array_map(fn (LibraryBall $ball): string => $ball->object->name, $this->library->balls())
            : array_map(fn (LibraryCourt $court): string => $court->name, $this->library->courts());

        return new FlightNumbersView(
            kind: $kind,
            own: $own !== null,
            version: (int) ($own->version ?? 0),
            definition: $document($own->definition ?? $this->shipped($kind)),
            shipped: $document($this->shipped($kind)),
            names: array_map(fn (string $id, string $name): NamedView => new NamedView($id, $name), array_keys($names), $names),
        );
    }

    /**
     * @param  'balls'|'courts'  $kind
     * @param  array<string, mixed>  $definition
     * @param  int  $version  the one that was edited; 0: as it ships
     *
     * @throws Problem with the place that cannot be used, or when somebody saved meanwhile
     */
    public function save(string $kind, array $definition, int $version, User $by): void
    {
        unset($definition['$schema']);
        $text = json_encode($definition, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
        try {
            $this->read($kind, $text);
        } catch (CaseError $error) {
            throw new Problem(
                ProblemType::SomeOfItCannotBeUsed,
                "This cannot be used: at “{$error->path}”, {$error->getMessage()}",
                [$error->path => [$error->getMessage()]],
            );
        }
        Alone::inClub($by->workspace_id, function () use ($kind, $text, $version, $by): void {
            $kept = (int) ($this->own($by->workspace_id, $kind)->version ?? 0);
            if ($kept !== $version) {
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    'Somebody saved these numbers since you opened them. What you wrote is kept in the form: compare, and save again.',
                    extra: ['version' => $kept],
                );
            }
            DB::table('flight_tables')->insert([
                'workspace_id' => $by->workspace_id, 'kind' => $kind, 'version' => $version + 1, 'definition' => $text,
                'saved_by' => $by->id, 'saved_at' => Carbon::now(),
            ]);
            Audit::of($by, null, 'flight numbers saved', ['kind' => $kind]);
        });
        // What is no easy throw may be another one now.
        AthletesChanged::many(Athlete::query()->where('workspace_id', $by->workspace_id)->pluck('id'));
    }

    /** @throws CaseError */
    private function read(string $kind, string $text): void
    {
        $node = Node::parse($text);
        $shipped = Node::parse($this->shipped($kind));
        $of = fn (Node $file): array => $file->get($kind)->entries();
        foreach (array_diff(array_keys($of($shipped)), array_keys($of($node))) as $gone) {
            throw new CaseError('missing_key', "/{$kind}/{$gone}", "“{$gone}” is used by ladders and stays.");
        }
        if ($kind === 'balls') {
            FlightFiles::balls($node, $this->library->objects());

            return;
        }
        FlightFiles::courts($node, $this->library->skills());
        $drawn = json_decode($this->shipped($kind), true)['courts'];
        foreach (json_decode($text, true)['courts'] as $id => $court) {
            foreach (self::DRAWN as $key) {
                // By value: 9 and 9.0 are one length.
                if (! isset($drawn[$id]) || $court[$key] != $drawn[$id][$key]) {
                    throw new CaseError(
                        'out_of_range', "/courts/{$id}/{$key}", 'The court itself is drawn courtside: it changes in the file.',
                    );
                }
            }
        }
    }

    private function shipped(string $kind): string
    {
        return (string) file_get_contents($this->library->path("{$kind}.json"));
    }

    private function own(int $workspaceId, string $kind): ?object
    {
        return DB::table('flight_tables')
            ->where('workspace_id', $workspaceId)
            ->where('kind', $kind)
            ->orderByDesc('version')
            ->first(['version', 'definition']);
    }
}
