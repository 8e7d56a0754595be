<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\LimitReader;
use Augendo\Core\Cases\Node;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\Skill;
use Augendo\Core\Returning\Programme;
use Augendo\Core\Returning\ProgrammeReader;

/** The open files a coach may read, copy and edit. Each is read once, when it is first asked for. */
final class Library
{
    private ?string $fingerprint = null;

    /** @var array<string, Skill>|null */
    private ?array $skills = null;

    /** @var array<string, LibraryObject>|null */
    private ?array $objects = null;

    /** @var array<string, Drill>|null */
    private ?array $drills = null;

    /** @var array<string, LibraryBall>|null */
    private ?array $balls = null;

    /** @var array<string, LibraryCourt>|null */
    private ?array $courts = null;

    private ?Figures $figures = null;

    private ?DoseTable $doses = null;

    private ?SizeTables $sizes = null;

    private ?TestTable $tests = null;

    /** @var array<string, Ladder> */
    private array $ladders = [];

    /** @var array<string, RuleSet> */
    private array $ruleSets = [];

    /** @var array<string, Programme> */
    private array $programmes = [];

    /**
     * @param  string  $folder  the folder that holds skills.json, objects.json, ladders/ and rule-sets/
     * @param  OwnLadders|null  $own  ladders that do not ship
     */
    public function __construct(private readonly string $folder, private readonly ?OwnLadders $own = null) {}

    /** What was worked out from the files holds as long as this stays the same. Read once, as the files are. */
    public function fingerprint(): string
    {
        return $this->fingerprint ??= $this->hashed();
    }

    private function hashed(): string
    {
        $hash = hash_init('xxh128');
        foreach (glob("{$this->folder}/{*,*/*}.json", GLOB_BRACE) ?: [] as $file) {
            hash_update($hash, $file);
            hash_update_file($hash, $file);
        }

        return hash_final($hash);
    }

    /**
     * @return array<string, Skill> by id
     *
     * @throws LibraryProblem
     */
    public function skills(): array
    {
        return $this->skills ??= $this->read('skills.json', function (Node $file): array {
            $skills = [];
            foreach ($file->keys(['skills'], ['$schema'])->get('skills')->entries() as $id => $node) {
                $node->keys(['name', 'family', 'landings_per_rep', 'channels'], ['turns', 'legs']);
                $channels = $node->get('channels')->keys(['arm', 'hand', 'trunk']);
                $skills[$id] = new Skill(
                    id: $id,
                    family: $node->get('family')->enum(Family::class),
                    landingsPerRep: $node->get('landings_per_rep')->number(0),
                    arm: $channels->get('arm')->number(0),
                    hand: $channels->get('hand')->number(0),
                    trunk: $channels->get('trunk')->number(0),
                    turns: $node->get('turns')->optional(fn (Node $turns): bool => $turns->bool()) ?? false,
                    legs: $node->get('legs')->optional(fn (Node $legs): int => $legs->int(1, 2)) ?? 2,
                );
            }

            return $skills;
        });
    }

    /**
     * @return array<string, string> what people call each skill, by id
     *
     * @throws LibraryProblem
     */
    public function skillNames(): array
    {
        return $this->read('skills.json', fn (Node $file): array => array_map(
            fn (Node $node): string => $node->get('name')->string(), $file->get('skills')->entries(),
        ));
    }

    private static function object(Node $node, string $id): LibraryObject
    {
        $node->keys(['name', 'class'], ['mass_kg', 'reference_mass_kg', 'hard', 'far']);
        $mass = fn (Node $n): float => $n->positive();

        return new LibraryObject(
            id: $id,
            name: $node->get('name')->string(),
            implement: $node->get('class')->enum(Implement::class),
            massKg: $node->get('mass_kg')->optional($mass),
            referenceMassKg: $node->get('reference_mass_kg')->optional($mass),
            hard: $node->get('hard')->optional(fn (Node $n): bool => $n->bool()) ?? false,
            far: $node->get('far')->optional(fn (Node $n): bool => $n->bool()) ?? false,
        );
    }

    /**
     * @return array<string, LibraryObject> by id
     *
     * @throws LibraryProblem
     */
    public function objects(): array
    {
        return $this->objects ??= $this->read('objects.json', function (Node $file): array {
            $nodes = $file->keys(['objects'], ['$schema'])->get('objects')->entries();
            $objects = array_map(self::object(...), $nodes, array_keys($nodes));

            return array_column($objects, null, 'id');
        });
    }

    /** @throws LibraryProblem */
    public function sizes(): SizeTables
    {
        return $this->sizes ??= $this->read('sizes.json', fn (Node $file): SizeTables => SizeTables::of(
            $file, $this->skills(), $this->objects(),
        ));
    }

    /**
     * @return array<string, LibraryBall> by the id of the object; what is not here does not fly as a ball does
     *
     * @throws LibraryProblem
     */
    public function balls(): array
    {
        return $this->balls ??= $this->read('balls.json', fn (Node $file): array => FlightFiles::balls($file, $this->objects()));
    }

    /**
     * @return array<string, LibraryCourt> by id
     *
     * @throws LibraryProblem
     */
    public function courts(): array
    {
        return $this->courts ??= $this->read('courts.json', fn (Node $file): array => FlightFiles::courts($file, $this->skills()));
    }

    /**
     * @return array<string, Drill> that belong to no rung, by id
     *
     * @throws LibraryProblem
     */
    public function drills(): array
    {
        return $this->drills ??= $this->readDrills(null);
    }

    /**
     * @param  Figures|null  $figures  null: what drills look like was looked at before
     * @return array<string, Drill>
     */
    private function readDrills(?Figures $figures): array
    {
        return $this->read('drills.json', function (Node $file) use ($figures): array {
            $reader = new DrillReader($this->skills(), $this->objects(), $figures);
            $drills = [];
            foreach ($file->keys(['drills'], ['$schema'])->get('drills')->entries() as $id => $node) {
                $drills[$id] = $reader->read($id, $node);
            }

            return $drills;
        });
    }

    /** @throws LibraryProblem */
    public function doses(): DoseTable
    {
        return $this->doses ??= $this->read('doses.json', function (Node $file): DoseTable {
            $file->keys(['source', 'ages'], ['$schema']);
            $shares = [];
            foreach ($file->get('ages')->items() as $row) {
                $row->keys(['from_age', 'asked', 'begun', 'most', 'hardest']);
                $share = fn (string $name): float => $row->get($name)->positive();
                try {
                    $shares[$row->get('from_age')->int(0, 120)] = new DoseShares(
                        $share('asked'), $share('begun'), $share('most'), $share('hardest'),
                    );
                } catch (InvalidValue $wrong) {
                    throw $row->outOfRange($wrong->getMessage());
                }
            }

            return $shares === []
                ? throw $file->get('ages')->outOfRange('One age at least is needed.')
                : new DoseTable($shares, $file->get('source')->string());
        });
    }

    /** @throws LibraryProblem */
    public function tests(): TestTable
    {
        return $this->tests ??= $this->read('tests.json', function (Node $file): TestTable {
            $file->keys(['source', 'every_days', 'least_effort_before', 'tests', 'sides_differ', 'sides'], ['$schema']);
            $days = array_map(fn (Node $each): int => $each->int(7, 366), $file->get('every_days')->items());
            if (count($days) !== 2 || $days[0] > $days[1]) {
                throw $file->get('every_days')->outOfRange('Two numbers of days are needed, the smaller first.');
            }
            $sides = [];
            foreach ($file->get('sides')->items() as $side) {
                $side->keys(['id', 'name', 'unit', 'text']);
                $unit = $side->get('unit')->string();
                $sides[$side->get('id')->string()] = new SideMeasure(
                    id: $side->get('id')->string(),
                    name: $side->get('name')->string(),
                    unit: $unit === 'kg' || $unit === '°' ? $unit : throw $side->get('unit')->outOfRange('kg and ° are the units.'),
                    text: $side->get('text')->string(),
                );
            }

            return new TestTable(
                fromDays: $days[0],
                byDays: $days[1],
                leastEffortBefore: $file->get('least_effort_before')->number(0.0, 1.0),
                protocols: array_map($this->protocol(...), $file->get('tests')->items()),
                sidesDiffer: $file->get('sides_differ')->number(0.0, 1.0),
                sides: $sides,
                source: $file->get('source')->string(),
            );
        });
    }

    private function protocol(Node $node): TestProtocol
    {
        $node->keys(['id', 'families', 'name', 'measures', 'text', 'builds_up', 'attempts', 'rest_s']);
        $measures = $node->get('measures')->string();
        if (! in_array($measures, ['longest_throw_m', 'reference_speed_ms', 'jump_cm'], true)) {
            throw $node->get('measures')->outOfRange('A longest throw, a speed or a jump is measured.');
        }

        return new TestProtocol(
            id: $node->get('id')->string(),
            families: array_map(
                fn (Node $each): Family => Family::tryFrom($each->string())
                    ?? throw $each->outOfRange('There is no such family of skills.'),
                $node->get('families')->items(),
            ),
            name: $node->get('name')->string(),
            measures: $measures,
            text: $node->get('text')->string(),
            buildsUp: array_map(
                fn (Node $step): array => ['reps' => $step->get('reps')->int(1, 20), 'effort' => $step->get('effort')->number(0.0, 1.0)],
                $node->get('builds_up')->items(),
            ),
            attempts: $node->get('attempts')->int(1, 10),
            restS: $node->get('rest_s')->int(0, 600),
        );
    }

    /** @throws LibraryProblem */
    public function figures(): Figures
    {
        return $this->figures ??= $this->read('figures.json', fn (Node $file): Figures => Figures::of($file, $this->skills()));
    }

    /** @return list<string> ids of the ladder files, readable or not */
    public function ladderIds(): array
    {
        return array_map(fn (string $file): string => basename($file, '.json'), glob("{$this->folder}/ladders/*.json") ?: []);
    }

    /**
     * @param  int|null  $version  of a ladder that does not ship; null: the latest. A shipped ladder has the one version of its file.
     *
     * @throws LibraryProblem
     */
    public function ladder(string $id, ?int $version = null): Ladder
    {
        self::refuseNoId($id);
        $own = is_file("{$this->folder}/ladders/{$id}.json") ? null : $this->own;
        // Ladders are read at every request; what their drills look like was looked at when they came to be.
        $read = fn (Node $file): Ladder => (new LadderReader($this->skills(), $this->objects(), null))->read($file);

        return $this->ladders[$own === null ? $id : "{$id} {$version}"] ??= $own === null
            ? $this->read("ladders/{$id}.json", $read)
            : self::made("ladder {$id}", $own->text($id, $version), $read);
    }

    /** Whether a ladder is another one, or began as a copy of it, or of a copy. */
    public function isOrCopies(string $id, string $other): bool
    {
        for ($at = $id; $at !== $other;) {
            $from = $this->ladder($at)->copiedFrom;
            if ($from === null || $from === $at) {
                return false;
            }
            $at = $from;
        }

        return true;
    }

    /** Whether a version of a ladder looked for the same on a rung as it does now: what was judged by it is evidence still. */
    public function judgedLike(string $ladder, int $version, Rung $rung): bool
    {
        return $this->ladder($ladder, $version)->rung($rung->id)?->judgesLike($rung) === true;
    }

    /** Reads a ladder that does not ship anew when it is next asked for. */
    public function forget(string $id): void
    {
        unset($this->ladders["{$id} "]);
    }

    /**
     * One that nobody has looked at yet.
     *
     * @throws CaseError
     */
    public function readLadder(Node $file): Ladder
    {
        return (new LadderReader($this->skills(), $this->objects(), $this->figures()))->read($file);
    }

    /** @throws LibraryProblem */
    public function ruleSet(string $id): RuleSet
    {
        self::refuseNoId($id);

        return $this->ruleSets[$id] ??= $this->read("rule-sets/{$id}.json", function (Node $file): RuleSet {
            $reader = new RuleSetReader(new LimitReader(array_keys($this->skills())));

            return $reader->read($file);
        });
    }

    /** @return list<string> ids of the rule set files, readable or not */
    public function ruleSetIds(): array
    {
        return array_map(fn (string $file): string => basename($file, '.json'), glob("{$this->folder}/rule-sets/*.json") ?: []);
    }

    /** @return list<string> ids of the return programme files, readable or not */
    public function programmeIds(): array
    {
        return array_map(fn (string $file): string => basename($file, '.json'), glob("{$this->folder}/returns/*.json") ?: []);
    }

    /** @return string where a library file lies, to be kept as it is */
    public function path(string $file): string
    {
        return "{$this->folder}/{$file}";
    }

    /** @throws LibraryProblem */
    public function programme(string $id): Programme
    {
        self::refuseNoId($id);

        return $this->programmes[$id] ??= $this->read("returns/{$id}.json", ProgrammeReader::read(...));
    }

    /** A name becomes a file name: it is an id, and never a way to another file. */
    private static function refuseNoId(string $id): void
    {
        if (preg_match('/^[a-z0-9-]{1,80}$/D', $id) !== 1) {
            throw new InvalidValue('This is not the name of anything in the library.');
        }
    }

    /** @return list<LibraryProblem> what stands in the way of using each file; empty when all is well */
    public function problems(): array
    {
        $problems = [];
        foreach ([$this->figures(...), fn () => $this->readDrills($this->figures()), $this->doses(...), $this->sizes(...),
            $this->tests(...), $this->balls(...), $this->courts(...),
            ...array_map(
                fn (string $id): callable => fn () => $this->read("ladders/{$id}.json", $this->readLadder(...)), $this->ladderIds(),
            ),
            ...array_map(fn (string $id): callable => fn () => $this->ruleSet($id), $this->ruleSetIds()),
            ...array_map(fn (string $id): callable => fn () => $this->programme($id), $this->programmeIds())] as $open) {
            try {
                $open();
            } catch (LibraryProblem $problem) {
                $problems["{$problem->libraryFile}{$problem->path}"] = $problem;
            }
        }

        return array_values($problems);
    }

    /**
     * @template T
     *
     * @param  callable(Node): T  $make
     * @return T
     */
    private function read(string $file, callable $make): mixed
    {
        $path = "{$this->folder}/{$file}";

        return self::made($file, is_file($path) ? (string) file_get_contents($path) : null, $make);
    }

    /**
     * @template T
     *
     * @param  callable(Node): T  $make
     * @return T
     */
    private static function made(string $file, ?string $text, callable $make): mixed
    {
        if ($text === null) {
            throw new LibraryProblem($file, '', 'The file is not there or cannot be read.');
        }
        try {
            return $make(Node::parse($text));
        } catch (CaseError $error) {
            throw new LibraryProblem($file, $error->path, $error->getMessage());
        }
    }
}
