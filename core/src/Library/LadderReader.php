<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\GateReader;
use Augendo\Core\Cases\Node;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Frames\MeasureBand;
use Augendo\Core\Frames\MomentFind;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;
use Augendo\Core\Scoring\Outcome;

/** Reads a ladder file; every reference in it must lead somewhere. */
final readonly class LadderReader
{
    private DoseReader $doses;

    /**
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryObject>  $objects
     * @param  Figures|null  $figures  null: the pictures it names were looked for before
     */
    public function __construct(private array $skills, private array $objects, private ?Figures $figures)
    {
        $this->doses = new DoseReader($skills, $objects);
    }

    public function read(Node $file): Ladder
    {
        $file->keys(
            ['id', 'version', 'name', 'skill', 'summary', 'cautions', 'checkpoints', 'faults', 'rungs'],
            ['$schema', 'needs', 'copied_from', 'moments', 'tags', 'seated'],
        );
        $moments = [];
        foreach ($file->get('moments')->optional(fn (Node $n): array => $n->items()) ?? [] as $node) {
            $node->keys(['id', 'name', 'text'], ['find']);
            $id = self::fresh($node->get('id'), $moments);
            $moments[$id] = new Moment(
                id: $id,
                name: $node->get('name')->string(),
                text: $node->get('text')->string(),
                find: $node->get('find')->optional(fn (Node $n): MomentFind => $n->enum(MomentFind::class)),
            );
        }
        $checkpoints = [];
        foreach ($file->get('checkpoints')->items() as $node) {
            $node->keys(['id', 'name', 'good'], ['variants', 'measure', 'school']);
            $id = self::fresh($node->get('id'), $checkpoints);
            $checkpoints[$id] = new Checkpoint(
                $id, $node->get('name')->string(), $node->get('good')->string(),
                array_map(fn (Node $n): string => $n->string(), $node->get('variants')->optional(fn (Node $n): array => $n->items()) ?? []),
                $node->get('measure')->optional(fn (Node $n): MeasureBand => self::measure($n, $moments)),
                $node->get('school')->optional(fn (Node $n): SchoolQuestion => $n->enum(SchoolQuestion::class)),
            );
        }
        $faults = [];
        foreach ($file->get('faults')->items() as $node) {
            $node->keys(['id', 'name', 'checkpoint', 'cue', 'drill'], ['dose', 'safety', 'how', 'stop', 'with', 'pair', 'picture']);
            $id = self::fresh($node->get('id'), $faults);
            $faults[$id] = new Fault(
                id: $id,
                name: $node->get('name')->string(),
                checkpoint: self::reference($node->get('checkpoint'), $checkpoints, 'checkpoint')->id,
                cue: $node->get('cue')->string(),
                drill: $node->get('drill')->string(),
                safety: $node->get('safety')->optional(fn (Node $n): bool => $n->bool()) ?? false,
                dose: $node->get('dose')->optional($this->drillDose(...)),
                how: $node->get('how')->optional(fn (Node $n): string => $n->string()),
                stop: $node->get('stop')->optional(fn (Node $n): string => $n->string()),
                with: $node->get('with')->optional(fn (Node $n): DrillWith => $n->enum(DrillWith::class)) ?? DrillWith::Alone,
                pair: $node->get('pair')->optional(fn (Node $n): array => self::pair($n, $faults)),
                picture: $node->get('picture')->optional(fn (Node $n): string => $this->figures?->known($n) ?? $n->string()),
            );
        }
        $tags = [];
        foreach ($file->get('tags')->optional(fn (Node $n): array => $n->items()) ?? [] as $node) {
            $node->keys(['id', 'name', 'means']);
            $id = self::fresh($node->get('id'), $tags);
            $tags[$id] = new Tag($id, $node->get('name')->string(), $node->get('means')->string());
        }
        $rungs = [];
        foreach ($file->get('rungs')->items() as $node) {
            $rungs[self::fresh($node->get('id'), $rungs)] = $this->rung($node, $checkpoints, $faults, $tags);
        }
        if ($rungs === []) {
            throw $file->get('rungs')->outOfRange('A ladder has at least one rung.');
        }
        $seated = $file->get('seated')->optional(fn (Node $n): Seated => self::seated($n, $checkpoints, $faults));
        foreach (array_values($rungs) as $at => $rung) {
            self::refuseHalfSeated($file->get('rungs')->items()[$at], $rung, $seated);
        }

        return new Ladder(
            id: $file->get('id')->string(),
            version: $file->get('version')->int(1),
            name: $file->get('name')->string(),
            skill: self::reference($file->get('skill'), $this->skills, 'skill'),
            summary: $file->get('summary')->string(),
            cautions: array_map(fn (Node $n): string => $n->string(), $file->get('cautions')->items()),
            needs: array_map(
                fn (Node $n): array => [$n->keys(['ladder', 'rung'])->get('ladder')->string(), $n->get('rung')->string()],
                $file->get('needs')->optional(fn (Node $n): array => $n->items()) ?? [],
            ),
            rungs: array_values($rungs),
            copiedFrom: $file->get('copied_from')->optional(fn (Node $n): string => $n->string()),
            moments: array_values($moments),
            tags: array_values($tags),
            seated: $seated,
        );
    }

    /**
     * @param  array<string, Fault>  $faults  written above it
     * @return array{string, string}
     */
    private static function pair(Node $node, array $faults): array
    {
        $ids = array_map(fn (Node $n): string => self::reference($n, $faults, 'fault')->id, $node->items());
        if (count($ids) !== 2 || $ids[0] === $ids[1]) {
            throw $node->outOfRange('A pair is two different faults that stand above it.');
        }

        return [$ids[0], $ids[1]];
    }

    /** @param  array<string, Moment>  $moments */
    private static function measure(Node $node, array $moments): MeasureBand
    {
        $node->keys(['moment', 'figure'], ['low', 'high']);
        $bound = fn (string $key): ?float => $node->get($key)->optional(fn (Node $n): float => $n->number(-180, 180));
        try {
            return new MeasureBand(
                moment: self::reference($node->get('moment'), $moments, 'moment')->id,
                figure: $node->get('figure')->enum(FrameFigure::class),
                low: $bound('low'),
                high: $bound('high'),
            );
        } catch (InvalidValue $refused) {
            throw $node->outOfRange($refused->getMessage());
        }
    }

    /**
     * An id nothing before it has.
     *
     * @param  array<string, mixed>  $taken
     */
    private static function fresh(Node $node, array $taken): string
    {
        $id = $node->string();

        return isset($taken[$id]) ? throw $node->outOfRange("“{$id}” is there already; every one needs an id of its own.") : $id;
    }

    /**
     * @param  array<string, Checkpoint>  $checkpoints
     * @param  array<string, Fault>  $faults
     * @param  array<string, Tag>  $tags
     */
    private function rung(Node $node, array $checkpoints, array $faults, array $tags): Rung
    {
        $node->keys(
            ['id', 'name', 'goal', 'outcome', 'checkpoints', 'faults', 'blocks'],
            ['gate', 'indoor', 'safe_misses', 'teaching', 'tags', 'seated'],
        );
        $blocks = array_map($this->doses->read(...), $node->get('blocks')->items());
        if (array_filter($blocks, fn (BlockDose $block): bool => $block->judged) === []) {
            throw $node->get('blocks')->outOfRange('A rung needs one block with "judged": true, or its gate never sees evidence.');
        }

        return new Rung(
            id: $node->get('id')->string(),
            name: $node->get('name')->string(),
            goal: $node->get('goal')->string(),
            outcomeIgnored: $node->get('outcome')->word(['ignored', 'scored']) === 'ignored',
            checkpoints: array_map(
                fn (Node $n): Checkpoint => self::reference($n, $checkpoints, 'checkpoint'),
                $node->get('checkpoints')->items(),
            ),
            faults: array_map(fn (Node $n): Fault => self::reference($n, $faults, 'fault'), $node->get('faults')->items()),
            gate: GateReader::read($node->get('gate')->isNull() ? new Node(new \stdClass, $node->path.'/gate') : $node->get('gate')),
            blocks: $blocks,
            indoor: $node->get('indoor')->optional($this->indoor(...)),
            safeMisses: $node->get('safe_misses')->optional(fn (Node $n): array => array_map(
                fn (Node $miss): string => $miss->word(array_values(array_diff(Outcome::WORDS, ['hit']))),
                $n->items(),
            )) ?? [],
            teaching: $node->get('teaching')->optional(self::teaching(...)),
            tags: array_map(
                fn (Node $n): Tag => self::reference($n, $tags, 'tag'),
                $node->get('tags')->optional(fn (Node $n): array => $n->items()) ?? [],
            ),
            seated: $node->get('seated')->optional(fn (Node $n): string => $n->string()),
        );
    }

    /**
     * @param  array<string, Checkpoint>  $checkpoints
     * @param  array<string, Fault>  $faults
     *
     * @throws CaseError
     */
    private static function seated(Node $node, array $checkpoints, array $faults): Seated
    {
        $node->keys(['set_up', 'warm_up', 'rehearsal', 'other_side', 'cool_down', 'without', 'drills']);
        $drills = [];
        foreach ($node->get('drills')->entries() as $id => $drill) {
            $fault = $faults[$id] ?? throw new CaseError('unknown_reference', $drill->path, "There is no fault “{$id}”.");
            $drills[$id] = $drill->optional(fn (Node $n): array => [
                'drill' => $n->keys(['drill', 'how'])->get('drill')->string(), 'how' => $n->get('how')->string(),
            ]);
            if ($fault->safety && $drills[$id] === null) {
                throw $drill->outOfRange('This can hurt: it is looked at from a chair, too.');
            }
        }

        return new Seated(
            setUp: $node->get('set_up')->string(),
            warmUp: $node->get('warm_up')->string(),
            rehearsal: $node->get('rehearsal')->string(),
            otherSide: $node->get('other_side')->string(),
            coolDown: $node->get('cool_down')->string(),
            without: array_map(
                fn (Node $n): string => self::reference($n, $checkpoints, 'checkpoint')->id, $node->get('without')->items(),
            ),
            drills: $drills,
        );
    }

    /**
     * A ladder is done from a chair on every rung or on none: nobody is left in the middle of one.
     *
     * @throws CaseError
     */
    private static function refuseHalfSeated(Node $node, Rung $rung, ?Seated $seated): void
    {
        if (($seated === null) !== ($rung->seated === null)) {
            throw $node->get('seated')->outOfRange('From a chair: say it for the ladder and for each of its rungs, or for none.');
        }
        if ($seated !== null && array_filter($rung->checkpoints, $seated->looksAt(...)) === []) {
            throw $node->get('checkpoints')->outOfRange('From a chair nothing would be left to look at here.');
        }
    }

    /** @throws CaseError */
    private static function teaching(Node $node): Teaching
    {
        $node->keys([
            'purpose', 'set_up', 'look_first', 'good', 'easier', 'harder', 'alone', 'group', 'coach_mistake', 'go_back',
        ]);

        return new Teaching(
            purpose: $node->get('purpose')->string(),
            setUp: $node->get('set_up')->string(),
            lookFirst: $node->get('look_first')->string(),
            good: $node->get('good')->string(),
            easier: $node->get('easier')->string(),
            harder: $node->get('harder')->string(),
            alone: $node->get('alone')->string(),
            group: $node->get('group')->string(),
            coachMistake: $node->get('coach_mistake')->string(),
            goBack: $node->get('go_back')->string(),
        );
    }

    /** @throws CaseError */
    private function indoor(Node $node): BlockDose
    {
        $dose = $this->doses->read($node);
        if ($dose->judged) {
            throw $node->get('judged')->outOfRange('What is done indoors in place of the rung is no evidence of it.');
        }

        return $dose->object->far
            ? throw $node->get('object')->outOfRange('An implement that flies far needs a sector, and no hall has one.')
            : $dose;
    }

    private function drillDose(Node $node): DrillDose
    {
        $node->keys(['skill', 'object', 'reps', 'effort'], ['distance_m', 'hold_s', 'surface', 'legs', 'drop_cm']);

        return new DrillDose(
            skill: $skill = self::reference($node->get('skill'), $this->skills, 'skill'),
            object: self::reference($node->get('object'), $this->objects, 'object'),
            reps: $node->get('reps')->int(1, 50),
            effort: $node->get('effort')->number(0, 1),
            distanceM: $node->get('distance_m')->optional(fn (Node $n): float => $n->positive()),
            holdS: $node->get('hold_s')->optional(fn (Node $n): int => $n->int(1, 120)),
            surface: $node->get('surface')->optional(fn (Node $n): Surface => $n->enum(Surface::class)),
            legs: $node->get('legs')->optional(fn (Node $n): int => $n->int(1, 2)) ?? $skill->legs,
            dropCm: $node->get('drop_cm')->optional(fn (Node $n): float => $n->number(0, 200)),
        );
    }

    /**
     * What a name in a file leads to.
     *
     * @template T
     *
     * @param  array<string, T>  $known
     * @return T
     *
     * @throws CaseError
     */
    public static function reference(Node $node, array $known, string $what): mixed
    {
        return $known[$node->string()] ?? throw new CaseError(
            'unknown_reference',
            $node->path,
            "There is no {$what} “{$node->string()}”; there are ".implode(', ', array_keys($known)).'.',
        );
    }
}
